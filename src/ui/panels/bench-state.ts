import type { StoredBench, StoredRow } from "../../core/adaptation";
import type { OwnSteps } from "../../core/method";
import { newRowId } from "../../core/substitution";
import type { FoundFood, NamedFood } from "../../core/views";

// What can be done on the bench, as changes of the bench as it is stored; rows by their ids.

const edited = (label: string) => (label.endsWith(", by hand") || label === "By hand" ? label : `${label}, by hand`);
const touched = (bench: StoredBench, rows: StoredBench["rows"]): StoredBench => ({ ...bench, label: edited(bench.label), byHand: true, rows });
const withRow = (bench: StoredBench, id: string, change: (row: StoredRow) => StoredRow | null): StoredBench =>
  touched(
    bench,
    bench.rows.flatMap((row) => (row.id === id ? (change(row) ?? []) : row)),
  );

/** Sets an amount by hand; a line back at the recipe's own amount is as it was. */
export const setGrams = (bench: StoredBench, id: string, grams: number): StoredBench =>
  withRow(bench, id, (row) => {
    const own = row.change === "as is" || row.change === "amount";
    const same = own && row.was !== null && Math.abs(grams - row.was.grams) < 0.005 * row.was.grams;
    return { ...row, grams, ...(own ? { change: same ? "as is" : "amount", why: same ? "" : "by hand" } : {}) };
  });

/** Puts another food in a row. */
export const setFood = (bench: StoredBench, id: string, food: Pick<NamedFood, "id">, grams: number): StoredBench =>
  withRow(bench, id, (row) => ({
    ...row,
    foodId: food.id,
    grams,
    change: row.line === null ? "added" : "replaced",
    why: row.change === "replaced" ? row.why : "by hand",
  }));

/** Leaves a line out, or takes an added food away. */
export const leaveOut = (bench: StoredBench, id: string): StoredBench =>
  withRow(bench, id, (row) => (row.line === null ? null : { ...row, foodId: null, grams: 0, change: "left out", why: row.why || "by hand" }));

/** Puts a line back as handed down. */
export const putBack = (bench: StoredBench, id: string): StoredBench =>
  withRow(bench, id, (row) => (row.was ? { ...row, foodId: row.was.foodId, grams: row.was.grams, change: "as is", why: "" } : row));

/** Lays on another food: so much of a liquid, little of all else. */
export const addFood = (bench: StoredBench, { id, role }: Pick<FoundFood, "id" | "role">): StoredBench =>
  touched(bench, [
    ...bench.rows,
    { id: newRowId(bench.rows), line: null, foodId: id, grams: role === "liquid" ? 100 : 10, role, change: "added", why: "by hand", was: null },
  ]);

export const setEvaporation = (bench: StoredBench, evaporation: number): StoredBench => ({ ...touched(bench, bench.rows), evaporation });

/** Sets the maker's own words and order of its steps; none where both are as they are built. */
export function setOwnSteps(bench: StoredBench, own: OwnSteps): StoredBench {
  const { steps: _, ...rest } = touched(bench, bench.rows);
  return own.texts.length === 0 && own.order === null ? rest : { ...rest, steps: own };
}

/** A bench as it would be if a hand had chosen it: it gives way to nothing by itself. */
export const chosen = (bench: StoredBench): StoredBench => ({ ...bench, byHand: true });

/** Does this batch in another way; null where it is to be done as the household usually does it. */
export function setWay(bench: StoredBench, way: string, option: string | null): StoredBench {
  const { ways: before = {}, ...rest } = touched(bench, bench.rows);
  const { [way]: _, ...others } = before;
  const ways = option === null ? others : { ...others, [way]: option };
  return Object.keys(ways).length === 0 ? rest : { ...rest, ways };
}
