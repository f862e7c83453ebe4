import type { Food } from "../../core/food";
import { MILKS } from "./by-hand-milks";
import { OTHERS } from "./by-hand-others";
import { SWEETENERS } from "./by-hand-sweeteners";
import { completeRow, completeTraits } from "./complete";
import measured from "./ifct.json";
import type { Traits } from "./row";

export { FAMILY_DENSITY } from "./complete";

interface MeasuredRow {
  readonly id: string;
  readonly name: string;
  readonly family: Food["family"];
  readonly code: string;
  readonly rescaled?: boolean;
  readonly tableEnergy: number;
  readonly per100g: readonly number[];
  readonly sd: readonly number[];
  readonly traits: Traits;
}

const MEASURED = measured as unknown as readonly MeasuredRow[];

const measuredFood = (row: MeasuredRow): Food => ({
  id: row.id,
  name: row.name,
  family: row.family,
  provenance: "measured",
  source: `IFCT 2017, ${row.code}${row.rescaled ? ", sugars rescaled to carbohydrate" : ""}`,
  revision: 1,
  per100g: row.per100g,
  sd: row.sd,
  ...completeTraits(row.family, row.traits),
});

/** All foods of the shipped tables. */
export const FOODS: readonly Food[] = [...MEASURED.map(measuredFood), ...[...SWEETENERS, ...MILKS, ...OTHERS].map(completeRow)];

/** Energy as the measured table states it, kJ per 100 g; pure fats carry 0 there and are left out. */
export const TABLE_ENERGY: ReadonlyMap<string, number> = new Map(MEASURED.filter((row) => row.tableEnergy > 0).map((row) => [row.id, row.tableEnergy]));
