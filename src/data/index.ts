import type { Food, Reference } from "../core/food";
import { CONSTANTS } from "./constants";
import { FOODS } from "./foods";

export { TABLE_ENERGY, FAMILY_DENSITY } from "./foods";

/** Changes whenever a constant or an equation changes, so that a kept version can say what it was computed with. */
export const MODEL_VERSION = "1";

const byId = (foods: readonly Food[]) => new Map(foods.map((food) => [food.id, food]));

/** The shipped tables and constants. */
export const REFERENCE: Reference = Object.freeze({ modelVersion: MODEL_VERSION, foods: byId(FOODS), constants: CONSTANTS });

/** The shipped constants with other foods: a kept version is recomputed with the foods it was kept with. */
export function referenceWith(foods: readonly Food[]): Reference {
  return Object.freeze({ ...REFERENCE, foods: byId(foods) });
}
