import type { Food, Role } from "../../core/food";
import type { ReadRecipe } from "../../core/recipe";
import { scaledFor, type DiningTable, type Proposal, type Version, type VersionRow } from "../../core/substitution";

/** What is on the bench: a version being worked on, and what it started from. */
export interface BenchState {
  readonly label: string;
  readonly version: Version;
}

/** A bench as stored: foods by id. `basis` tells which recipe and table it was made for. */
export interface StoredBench {
  readonly basis: string;
  readonly label: string;
  readonly evaporation: number;
  readonly rows: readonly {
    readonly line: number | null;
    readonly foodId: string | null;
    readonly grams: number;
    readonly role: Role;
    readonly change: VersionRow["change"];
    readonly why: string;
  }[];
}

/** Identifies what a bench was worked out for; another recipe or table makes it void. */
export function basisOf(read: ReadRecipe, table: DiningTable): string {
  const text = JSON.stringify([
    read.lines.map((line) => [line.index, line.food.id, Math.round(line.grams * 100), line.role]),
    read.archetype,
    Math.round(read.evaporation.grams.value),
    table.rules,
    table.limits,
    table.servings,
    table.serve,
  ]);
  let hash = 2166136261;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 16777619);
  return (hash >>> 0).toString(36);
}

export const stored = ({ label, version }: BenchState, basis: string): StoredBench => ({
  basis,
  label,
  evaporation: version.evaporation,
  rows: version.rows.map(({ line, food, grams, role, change, why }) => ({ line, foodId: food?.id ?? null, grams, role, change, why })),
});

export function reopened(bench: StoredBench | null, basis: string, foods: ReadonlyMap<string, Food>): BenchState | null {
  if (!bench || bench.basis !== basis) return null;
  const rows = bench.rows.map(({ foodId, ...row }): VersionRow | null => {
    const food = foodId === null ? null : foods.get(foodId);
    return food === undefined ? null : { ...row, food };
  });
  return rows.some((row) => row === null) ? null : { label: bench.label, version: { rows: rows.flatMap((row) => row ?? []), evaporation: bench.evaporation } };
}

/** The recipe itself as a version: where one starts by hand. */
export function asHandedDown(read: ReadRecipe, table: DiningTable): BenchState {
  const { lines, evaporation } = scaledFor(read, table.servings);
  return {
    label: "By hand",
    version: {
      evaporation: Math.round(evaporation.value),
      rows: lines.map((line) => ({ line: line.index, food: line.food, grams: line.grams, role: line.role, change: "as is", why: "" })),
    },
  };
}

export const fromProposal = ({ label, version }: Proposal): BenchState => ({ label, version });

const edited = (label: string) => (label.endsWith(", by hand") || label === "By hand" ? label : `${label}, by hand`);
const withRow = (state: BenchState, index: number, change: (row: VersionRow) => VersionRow | null): BenchState => ({
  label: edited(state.label),
  version: { ...state.version, rows: state.version.rows.flatMap((row, i) => (i === index ? (change(row) ?? []) : row)) },
});

/** Sets an amount by hand; a line back at the recipe's own amount is as it was. */
export function setGrams(state: BenchState, index: number, grams: number, handedDown: number | null): BenchState {
  return withRow(state, index, (row) => {
    const own = row.change === "as is" || row.change === "amount";
    const same = own && handedDown !== null && Math.abs(grams - handedDown) < 0.005 * handedDown;
    return { ...row, grams, ...(own ? { change: same ? "as is" : "amount", why: same ? "" : "by hand" } : {}) };
  });
}

/** Puts another food in a row. */
export const setFood = (state: BenchState, index: number, food: Food, grams: number, why: string): BenchState =>
  withRow(state, index, (row) => ({ ...row, food, grams, change: row.line === null ? "added" : "replaced", why: row.change === "replaced" ? row.why : why }));

/** Leaves a line out, or takes an added food away. */
export const leaveOut = (state: BenchState, index: number): BenchState =>
  withRow(state, index, (row) => (row.line === null ? null : { ...row, food: null, grams: 0, change: "left out", why: row.why || "by hand" }));

/** Puts a line back as handed down. */
export const putBack = (state: BenchState, index: number, food: Food, grams: number): BenchState =>
  withRow(state, index, (row) => ({ ...row, food, grams, change: "as is", why: "" }));

export const addFood = (state: BenchState, food: Food, grams: number): BenchState => ({
  label: edited(state.label),
  version: { ...state.version, rows: [...state.version.rows, { line: null, food, grams, role: food.role, change: "added", why: "by hand" }] },
});

export const setEvaporation = (state: BenchState, evaporation: number): BenchState => ({
  label: edited(state.label),
  version: { ...state.version, evaporation },
});
