import type { Food,Reference } from "../core/food";
import { CONSTANTS } from "./constants";
import { FOODS } from "./foods";

/** Changes whenever a constant or an equation changes, so that a kept version can say what it was computed with. */
export const MODEL_VERSION = "5";

const byId = (foods: readonly Food[]) => new Map(foods.map((food) => [food.id, food]));

/** The shipped tables and constants. */
export const REFERENCE: Reference = Object.freeze({ modelVersion: MODEL_VERSION, foods: byId(FOODS), constants: CONSTANTS });
