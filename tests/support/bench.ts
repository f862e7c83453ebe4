import type { StoredBench } from "../../src/core/adaptation";

type Row = Omit<StoredBench["rows"][number], "was" | "why"> & Partial<Pick<StoredBench["rows"][number], "was" | "why">>;

/** A bench as the page sends it, for a table of so many servings at which nothing is left out, unless said otherwise. */
export const benchOf = (rows: readonly Row[], servings: number, part: Partial<StoredBench> = {}): StoredBench => ({
  schema: 2,
  madeFor: { rules: [], limits: [], servings, serve: "hot" },
  byHand: true,
  label: "By hand",
  evaporation: 10,
  ...part,
  rows: rows.map((row) => ({ why: "", was: null, ...row })),
});
