import type { DiningTable } from "../../core/table";
import { servingsText } from "../../core/units";

/** What a sweet's stations tell their lines from. */
export interface StationSource {
  /** Lines of the recipe that are read, and those that are asked about. */
  readonly lines: number;
  readonly asked: number;
  /** Steps of the recipe. */
  readonly steps: number;
  readonly table: DiningTable;
  /** What is known of what lies on the bench, in few words; null where nothing does. */
  readonly bench: string | null;
}

interface StationRecord {
  readonly id: string;
  readonly name: string;
  /** Its one-line state: "9 lines, 1 to ask". */
  readonly state: (of: StationSource) => string;
  readonly settled: (of: StationSource) => boolean;
}

const wishes = ({ table }: StationSource) => table.rules.length + table.limits.length;

/** The stations of a sweet, in their order: each has a page of its name under the sweet's. */
export const STATIONS = [
  {
    id: "recipe",
    name: "Recipe",
    state: ({ asked, lines }) => (asked > 0 ? `${asked} to ask` : `${lines} lines`),
    settled: ({ asked }) => asked === 0,
  },
  {
    id: "table",
    name: "Table",
    state: (of) => (wishes(of) === 0 ? "not set" : `${wishes(of)} ${wishes(of) === 1 ? "wish" : "wishes"}, ${servingsText(of.table.servings)}`),
    settled: (of) => wishes(of) > 0,
  },
  { id: "swap", name: "Swap", state: ({ bench }) => bench ?? "to come", settled: ({ bench }) => bench !== null },
  {
    id: "method",
    name: "Method",
    state: ({ steps }) => (steps === 0 ? "no steps" : `${steps} ${steps === 1 ? "step" : "steps"}`),
    settled: ({ bench, steps }) => bench !== null && steps > 0,
  },
] as const satisfies readonly StationRecord[];
export type StationId = (typeof STATIONS)[number]["id"];
