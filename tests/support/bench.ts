import type { StoredBench } from "../../src/core/adaptation";

type Row = Omit<StoredRow, "id" | "was" | "why"> & Partial<Pick<StoredRow, "id" | "was" | "why">>;
type StoredRow = StoredBench["rows"][number];

let added = 0;
const newId = () => `added-${++added}`;

/** A bench as the page sends it, for a table of so many servings at which nothing is left out, unless said otherwise. */
export const benchOf = (rows: readonly Row[], servings: number, part: Partial<StoredBench> = {}): StoredBench => ({
  schema: 3,
  madeFor: { rules: [], limits: [], servings, serve: "hot" },
  byHand: true,
  label: "By hand",
  evaporation: 10,
  ...part,
  rows: rows.map((row) => ({ id: row.line ?? newId(), why: "", was: null, ...row })),
});
