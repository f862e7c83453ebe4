/**
 * What is proposed for sweets of every kind at several tables, with what a maker would not cook struck: writes docs/proposals.md.
 * `npm run proposals -- FILE`: a JSON file of requests besides, as the open interface takes them, is only counted and printed.
 */
import { readFileSync, writeFileSync } from "node:fs";
import loadHighs from "highs";
import { methodFor, readAgain } from "../src/core/adaptation";
import { evaluate } from "../src/core/evaluate";
import { INDEX } from "../src/core/food";
import { textOf } from "../src/core/method";
import { judge } from "../src/core/models/diet";
import { readJsonLd, readRecipe, withAllLines, type ReadRecipe, type Recipe } from "../src/core/recipe";
import { problemFor, propose, type AdaptationProblem, type Ending, type Proposal } from "../src/core/substitution";
import type { DiningTable, Limit } from "../src/core/table";
import { HANDLING, REFERENCE, RULES, SUBSTITUTION } from "../src/data";
import { createHighsPort } from "../src/workers/solver/highs-port";
import { MAKER_VERDICTS } from "./maker-verdicts";
import { KINDS, textOfCase } from "../tests/support/cases";
import { context, freeSugars, read, tableOf } from "../tests/support/kitchen";

const { constants } = REFERENCE;
const open = (recipe: Recipe): ReadRecipe => readRecipe(withAllLines(recipe, context), context, constants);

/** Tables at which each sweet is tried. */
const TABLES: readonly (readonly [name: string, table: Partial<DiningTable>])[] = [
  ["vegan", { rules: ["vegan"] }],
  ["dairy-free, no nuts", { rules: ["dairy-free", "nut-free"] }],
  ["gluten-free, egg-free", { rules: ["gluten-free", "egg-free"] }],
  ["free sugars at most 8 g", { limits: freeSugars(8) }],
  ["navratri", { rules: ["navratri"] }],
];

const ISOLATES = ["erythritol", "xylitol", "allulose", "inulin", "stevia"];
const share = (grams: number, of: number) => grams / Math.max(1, of);

/** What a maker would not cook of a version, in few words; empty where nothing is known against it. */
function vetoes(of: AdaptationProblem, recipe: ReadRecipe, table: DiningTable, { version, figures, standing }: Proposal): string[] {
  const held = version.rows.filter(({ food, grams }) => food !== null && grams > 0);
  const grams = (test: (row: (typeof held)[number]) => boolean) => held.reduce((sum, row) => sum + (test(row) ? row.grams : 0), 0);
  const finished = figures.yield.value;
  const lead = of.tables.profiles.get(of.archetype)?.lead ?? [];
  const dry = (food: { readonly per100g: readonly number[] } | null) => (food ? 1 - (food.per100g[INDEX.water] ?? 0) / 100 : 0);
  const leads = (rows: readonly { readonly role: string; readonly food: (typeof held)[number]["food"]; readonly grams: number }[], role: string) =>
    rows.reduce((sum, row) => sum + (row.role === role && row.food?.id !== "water" ? row.grams * (role === "liquid" ? 1 : dry(row.food)) : 0), 0);
  const crunch = of.lines.reduce((sum, { role, grams: own }) => sum + (role === "crunch" ? own : 0), 0);
  const { method, words, hazards } = methodFor(recipe, version, table, { handling: HANDLING, constants });
  const again = readAgain(recipe, version, words, table, finished, open, constants);
  const goesIn = new Map<string, number>();
  for (const { takes } of method.steps) for (const { of: taken, share: part } of takes) goesIn.set(taken.id, (goesIn.get(taken.id) ?? 0) + part);
  const hasParts = recipe.steps.some(({ step }) => step.component !== undefined);
  return [
    ...standing.breaches.map(({ short, limit }) => (limit === null ? `breaks “${short}”` : `passes a limit`)),
    ...(share(
      grams(({ food, change }) => change !== "as is" && ISOLATES.includes(food?.id ?? "")),
      finished,
    ) > 0.17
      ? ["isolates"]
      : []),
    ...lead.flatMap((role) =>
      leads(of.lines, role) > 0 && leads(held, role) < 0.45 * leads(of.lines, role) && !(role === "liquid" && /halwa/.test(of.archetype))
        ? [`little left of its ${role}`]
        : [],
    ),
    ...(crunch > 0 && grams(({ role }) => role === "crunch") > 1.35 * crunch ? ["more garnish"] : []),
    ...hazards.filter(({ grade, isOwn, change }) => grade === "sure" && !isOwn && change === null).map(({ family }) => family),
    ...(again !== null && Math.abs(again.off) > 0.05 ? [`its steps come to ${Math.round(again.grams)} g, not ${Math.round(finished)} g`] : []),
    ...(hasParts
      ? []
      : held
          .filter(({ id }) => Math.abs((goesIn.get(id) ?? 0) - 1) > 0.02)
          .map(({ food }) => `${food?.name ?? ""} goes in ${(goesIn.get(food?.id ?? "") ?? 0) > 1 ? "twice" : "not once"}`)),
    ...new Set(
      words.flatMap((step) =>
        context
          .find(textOf(step))
          .filter(({ food }) => of.rules.some((rule) => judge(food, rule).verdict === "avoid"))
          .map(({ food }) => `a step names ${(food.name.split(",")[0] ?? "").toLowerCase()}`),
      ),
    ),
    ...(words.some((step) => /undefined|NaN/.test(textOf(step))) ? ["broken words"] : []),
    ...(Object.values(evaluate({ ...of, lines: of.lines }, constants).figures).every(({ value }) => Number.isFinite(value)) ? [] : ["no figure"]),
  ];
}

interface Tried {
  readonly name: string;
  readonly kind: string;
  readonly ending: Ending;
  readonly milliseconds: number;
  readonly told: readonly { readonly proposal: Proposal; readonly against: readonly string[] }[];
  /** How the first is made, step by step. */
  readonly steps: readonly string[];
}

async function tried(name: string, recipe: ReadRecipe, table: DiningTable, solve: ReturnType<typeof createHighsPort>): Promise<Tried> {
  const of = problemFor(recipe, table, REFERENCE, SUBSTITUTION, RULES, 3);
  const start = performance.now();
  const ending = await propose(of, solve, () => performance.now());
  const milliseconds = performance.now() - start;
  const told = ending.kind === "proposals" ? ending.proposals.map((proposal) => ({ proposal, against: vetoes(of, recipe, table, proposal) })) : [];
  const [first] = told;
  const steps = first
    ? methodFor(recipe, first.proposal.version, table, { handling: HANDLING, constants })
        .words.map(textOf)
        .filter((text) => text !== "")
    : [];
  return { name, kind: recipe.archetype, ending, milliseconds, told, steps };
}

const endingWords = (ending: Ending): string => {
  if (ending.kind === "failed") return ending.why;
  if (ending.kind === "no-version-fits")
    return `no version fits: ${ending.clashes.map(({ limit, needed }) => `${limit} would have to be ${String(needed)}`).join(", ")}`;
  return ending.kind.replaceAll("-", " ");
};

const rowWords = ({ version }: Proposal): string =>
  version.rows
    .flatMap(({ food, grams, change }) =>
      food
        ? [
            `${change === "as is" ? "" : "**"}${(food.name.split(",")[0] ?? "").toLowerCase()} ${Number(grams.toPrecision(3))} g${change === "as is" ? "" : "**"}`,
          ]
        : [],
    )
    .join(", ");

/** What of the first version would be noticed, what to know before it is cooked, its steps, and what a maker says of it. */
function moreOf({ name, told, steps }: Tried): string[] {
  const [first] = told;
  if (!first) return [];
  const off = first.proposal.beams.flatMap(({ name: figure, deviation: { state, relative } }) =>
    state === "outside" && relative !== null ? [`${figure.toLowerCase()} ${relative > 0 ? "+" : "−"}${Math.abs(Math.round(100 * relative))} %`] : [],
  );
  const looked = MAKER_VERDICTS[name];
  return [
    "",
    `Noticed: ${off.join(", ") || "nothing"}.${first.proposal.notes.length > 0 ? ` To know: ${first.proposal.notes.map(({ text }) => text).join(" ")}` : ""}`,
    "",
    `${steps.map((text, i) => `${i + 1}. ${text}`).join(" ")}`,
    "",
    `**The maker:** ${looked ? (looked.of === rowWords(first.proposal).replaceAll("**", "") ? looked.verdict : "not looked at since it changed.") : "not looked at."}`,
  ];
}

/** Of the first versions that were looked at: how many a maker would cook. */
function verdictsOf(all: readonly Tried[]): string {
  const said = all.flatMap(({ name, told: [first] }) => {
    const looked = MAKER_VERDICTS[name];
    return first && looked?.of === rowWords(first.proposal).replaceAll("**", "") ? [looked.verdict] : [];
  });
  const after = said.filter((verdict) => verdict.startsWith("Cook after")).length;
  const not = said.filter((verdict) => verdict.startsWith("Not")).length;
  return `Of ${said.length} first versions a maker would cook ${said.length - after - not} as they stand, ${after} after a correction, ${not} not.`;
}

function summary(all: readonly Tried[]): string {
  const times = all.map(({ milliseconds }) => milliseconds).sort((a, b) => a - b);
  const at = (part: number) => (times[Math.min(times.length - 1, Math.floor(part * times.length))] ?? 0).toFixed(0);
  const versions = all.flatMap(({ told }) => told);
  const optimal = versions.filter(({ proposal }) => proposal.solver.status === "optimal").length;
  return `${all.length} cases, ${all.filter(({ told }) => told.length > 0).length} with versions; ${versions.length} versions, ${versions.filter(({ against }) => against.length > 0).length} with something against them; ${optimal} solved to the end. A whole case takes ${at(0.5)} ms (median), ${at(0.95)} ms (p95).`;
}

async function main() {
  const solve = createHighsPort(await loadHighs());
  const all: Tried[] = [];
  for (const each of KINDS) {
    const recipe = read(textOfCase(each));
    for (const [name, table] of TABLES)
      all.push(await tried(`${each.name}, ${name}`, recipe, tableOf({ servings: recipe.recipe.servings, serve: each.table.serve ?? "hot", ...table }), solve));
  }
  const lines = all.flatMap((each) => [
    `### ${each.name} (${each.kind})`,
    "",
    ...(each.told.length === 0 ? [endingWords(each.ending)] : []),
    ...each.told.map(
      ({ proposal, against }) => `- *${proposal.label}*: ${rowWords(proposal)}.${against.length > 0 ? ` **Against it:** ${against.join("; ")}.` : ""}`,
    ),
    ...moreOf(each),
    "",
  ]);
  writeFileSync(
    "docs/proposals.md",
    [
      "# What is proposed",
      "",
      "Made by `npm run proposals`. What is changed is bold; what a maker would not cook is said behind it.",
      "",
      summary(all),
      "",
      verdictsOf(all),
      "",
      ...lines,
    ].join("\n"),
  );
  console.log(summary(all));
  const [file] = process.argv.slice(2);
  if (file) await strangers(file, solve);
}

/** Requests in a file, as the open interface takes them: printed, not kept. */
async function strangers(file: string, solve: ReturnType<typeof createHighsPort>) {
  interface Asked {
    readonly name: string;
    readonly request: {
      readonly recipe?: unknown;
      readonly diets?: readonly { readonly id: string; readonly school?: string }[];
      readonly avoidAllergens?: readonly string[];
      readonly limits?: Readonly<Record<string, Readonly<Record<string, number>>>>;
      readonly serve?: DiningTable["serve"];
      readonly servings?: number;
    };
  }
  const all: Tried[] = [];
  for (const { name, request } of JSON.parse(readFileSync(file, "utf8")) as readonly Asked[]) {
    const parsed = request.recipe === undefined ? null : readJsonLd(request.recipe);
    if (!parsed?.ok) continue;
    const recipe = open(parsed.value);
    const rules = [
      ...(request.diets ?? []).map(({ id, school }) => (school && RULES.has(`${id}/${school}`) ? `${id}/${school}` : id)).filter((id) => RULES.has(id)),
      ...(request.avoidAllergens ?? []).map((allergen) => `no-${allergen}`),
    ];
    const most = request.limits?.freeSugars?.max_g;
    const limits: readonly Limit[] = most === undefined ? [] : freeSugars(most);
    const table = tableOf({ rules, limits, servings: request.servings ?? recipe.recipe.servings, serve: request.serve ?? "hot" });
    const one = await tried(name, recipe, table, solve);
    all.push(one);
    console.log(`${name} (${one.kind}): ${one.told.length === 0 ? endingWords(one.ending) : ""}`);
    for (const { proposal, against } of one.told)
      console.log(`  ${proposal.label}: ${rowWords(proposal).replaceAll("**", "")}${against.length > 0 ? `  AGAINST: ${against.join("; ")}` : ""}`);
  }
  console.log(summary(all));
}

await main();
