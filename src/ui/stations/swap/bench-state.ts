import type { BenchState } from "../../../core/adaptation";
import type { Food } from "../../../core/food";
import type { ReadRecipe } from "../../../core/recipe";
import { newRowId, scaledFor, type Proposal, type VersionRow } from "../../../core/substitution";
import type { DiningTable } from "../../../core/table";

/** The recipe itself as a version: where one starts by hand. */
export function asHandedDown(read: ReadRecipe, table: DiningTable): BenchState {
  const { lines, evaporation } = scaledFor(read, table.servings);
  return {
    label: "By hand",
    byHand: false,
    version: {
      evaporation: Math.round(evaporation.value),
      rows: lines.map((line) => ({ id: line.id, line: line.id, food: line.food, grams: line.grams, role: line.role, change: "as is", why: "" })),
    },
  };
}

/** A proposal laid on the bench; `byHand` where it was chosen. */
export const fromProposal = ({ label, version }: Proposal, byHand: boolean): BenchState => ({ label, version, byHand });

const byHand = ({ label }: BenchState): Pick<BenchState, "label" | "byHand"> => ({ label: edited(label), byHand: true });
const edited = (label: string) => (label.endsWith(", by hand") || label === "By hand" ? label : `${label}, by hand`);
const withRow = (state: BenchState, index: number, change: (row: VersionRow) => VersionRow | null): BenchState => ({
  ...state,
  ...byHand(state),
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
  ...state,
  ...byHand(state),
  version: {
    ...state.version,
    rows: [...state.version.rows, { id: newRowId(state.version.rows), line: null, food, grams, role: food.role, change: "added", why: "by hand" }],
  },
});

export const setEvaporation = (state: BenchState, evaporation: number): BenchState => ({
  ...state,
  ...byHand(state),
  version: { ...state.version, evaporation },
});
