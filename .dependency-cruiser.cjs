/** The rooms of the code and who may enter which; docs/architecture.md says why. */
const CORE = "^(?:tests/fixtures/layers/)?src/core/";
const room = (name) => `^(?:tests/fixtures/layers/)?src/${name}/`;
const core = (...names) => `${CORE}(${names.join("|")})/`;
const below = {
  numeric: [],
  merge: [],
  units: ["numeric"],
  food: ["numeric", "units"],
  household: ["numeric", "units"],
  devices: ["numeric", "units"],
  calendar: ["numeric", "units", "household"],
  process: ["numeric", "units", "food", "household"],
  making: ["numeric", "units", "food", "process"],
  pantry: ["numeric", "units", "food", "making"],
  recipe: ["numeric", "units", "food", "process", "making", "pantry"],
  packet: ["numeric", "units", "food", "calendar", "pantry", "recipe"],
  models: ["numeric", "units", "food", "process", "recipe"],
  table: ["numeric", "units", "food", "models"],
  evaluate: ["numeric", "units", "food", "process", "recipe", "models"],
  exchange: ["numeric", "units", "food", "recipe", "cook"],
  nutrition: ["numeric", "units", "food", "recipe", "models", "evaluate"],
  substitution: ["numeric", "units", "food", "process", "recipe", "models", "table", "evaluate"],
  method: ["numeric", "units", "food", "process", "recipe", "substitution"],
  cautions: ["numeric", "units", "food", "household", "recipe", "models", "table", "evaluate", "nutrition", "substitution", "adaptation"],
  hazards: ["numeric", "units", "food", "household", "recipe", "substitution", "method"],
  rescue: ["units", "food", "process", "recipe", "models", "table", "evaluate", "substitution", "method"],
  leftovers: ["units", "food", "making", "pantry", "recipe", "evaluate", "substitution", "method", "rescue"],
  cues: ["units", "food", "recipe", "models", "evaluate", "method", "hazards"],
  cook: ["numeric", "units", "food", "household", "process", "recipe", "cues"],
  ways: ["food", "recipe", "evaluate", "method"],
  adaptation: ["numeric", "units", "food", "household", "process", "recipe", "models", "table", "evaluate", "substitution", "method", "hazards"],
  kitchen: [
    "numeric",
    "units",
    "food",
    "household",
    "pantry",
    "process",
    "recipe",
    "models",
    "table",
    "evaluate",
    "nutrition",
    "substitution",
    "method",
    "hazards",
    "ways",
    "rescue",
    "cues",
    "leftovers",
    "adaptation",
    "cautions",
  ],
  views: ["numeric", "units", "food", "household", "pantry", "packet", "process", "recipe", "models", "table", "evaluate", "nutrition", "substitution", "method", "hazards", "ways", "rescue", "cues", "leftovers", "cook", "adaptation", "cautions", "kitchen"],
};
const roomsOf = {
  data: ["data", "core"],
  db: ["db", "core"],
  server: ["server", "core", "data", "db", "workers/solver", "workers/protocol", "workers/worker-client", "workers/serve"],
  workers: ["workers", "core", "data"],
  ui: ["ui", "core", "workers/client", "workers/protocol"],
  app: ["app", "server", "ui", "core"],
};
const layersOfUi = {
  parts: [],
  shell: ["parts"],
  devices: ["parts", "shell"],
  panels: ["parts", "shell", "devices"],
  stations: ["parts", "shell", "devices", "panels"],
  places: ["parts", "shell", "devices", "panels"],
};
const SOURCE = "^(?:tests/fixtures/layers/)?src/";
const TEST = "\\.test\\.tsx?$";

module.exports = {
  forbidden: [
    { name: "no-cycles", severity: "error", from: {}, to: { circular: true } },
    ...Object.entries(below).map(([name, allowed]) => ({
      name: `core-${name}-looks-down-only`,
      severity: "error",
      from: { path: core(name), pathNot: TEST },
      to: { path: SOURCE, pathNot: [core(name), ...(allowed.length ? [core(...allowed)] : [])] },
    })),
    {
      name: "sibling-models-apart",
      severity: "error",
      from: { path: `${CORE}models/([^/]+)/`, pathNot: TEST },
      to: { path: `${CORE}models/`, pathNot: `${CORE}models/$1/` },
    },
    {
      name: "core-folders-by-their-index",
      severity: "error",
      from: { path: `${CORE}(?!models/)([^/]+)/`, pathNot: TEST },
      to: { path: `${CORE}(?!models/)[^/]+/.+`, pathNot: [`${CORE}$1/`, "/index\\.ts$"] },
    },
    {
      name: "models-by-their-index",
      severity: "error",
      from: { path: SOURCE, pathNot: [`${CORE}models/`, TEST] },
      to: { path: `${CORE}models/[^/]+/.+`, pathNot: "/index\\.ts$" },
    },
    { name: "core-without-platform", severity: "error", from: { path: CORE, pathNot: TEST }, to: { dependencyTypes: ["core"] } },
    {
      name: "core-without-interface-packages",
      severity: "error",
      from: { path: CORE, pathNot: TEST },
      to: { path: "node_modules/(react|react-dom|next|echarts|@headlessui|@electric-sql|highs|lucide-react)/" },
    },
    ...Object.entries(roomsOf).map(([name, allowed]) => ({
      name: `${name}-stays-in-its-rooms`,
      severity: "error",
      from: { path: room(name), pathNot: TEST },
      to: { path: SOURCE, pathNot: allowed.map((each) => `${SOURCE}${each}(/|\\.ts$)`) },
    })),
    // The interface in layers: parts, then the shell with its documents, then panels that several places show, then stations and places, each alone.
    ...Object.entries(layersOfUi).map(([name, allowed]) => ({
      name: `ui-${name}-looks-down-only`,
      severity: "error",
      from: { path: room(`ui/${name}`), pathNot: TEST },
      to: { path: room("ui"), pathNot: [name, ...allowed].map((each) => room(`ui/${each}`)) },
    })),
    {
      name: "stations-and-places-apart",
      severity: "error",
      from: { path: `${SOURCE}ui/(stations|places)/([^/]+)/`, pathNot: TEST },
      to: { path: `${SOURCE}ui/(stations|places)/`, pathNot: `${SOURCE}ui/$1/$2/` },
    },
    {
      name: "http-knows-no-use-case",
      severity: "error",
      from: { path: room("server/http"), pathNot: TEST },
      to: { path: room("server"), pathNot: room("server/http") },
    },
    {
      name: "driver-only-in-db",
      severity: "error",
      from: { path: SOURCE, pathNot: [room("db"), TEST] },
      to: { path: "node_modules/(@electric-sql/pglite|pg)/" },
    },
    { name: "charts-only-in-ui", severity: "error", from: { path: SOURCE, pathNot: room("ui") }, to: { path: "^(node_modules/)?echarts(/|$)" } },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: { exportsFields: ["exports"], conditionNames: ["import", "types", "node", "default"] },
  },
};
