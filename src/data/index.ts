import type { Food, Reference } from "../core/food";
import { CONSTANTS } from "./constants";
import { FOODS } from "./foods";

export { completeTraits, FAMILY_DENSITY } from "./foods";
export { NAMED_ONLY } from "./foods/named-only";
export { LOOK_ALIKES } from "./foods/look-alikes";
export { DIETS, RULES } from "./diet-rules";
export { SUBSTITUTION } from "./substitution";
export { CAUTIONS } from "./cautions";
export { HANDLING } from "./handling";
export { MAKING } from "./making";
export { RETENTION, RULE_BOOKS } from "./rule-books";
export { DEMO_CURRENCY, DEMO_EATERS, DEMO_EQUIPMENT, DEMO_PANTRY, DEMO_PLACE } from "./demo-pantry";
export { DEMO_RECIPES } from "./demo-recipes";

/** Changes whenever a constant or an equation changes, so that a kept version can say what it was computed with. */
export const MODEL_VERSION = "2";

const byId = (foods: readonly Food[]) => new Map(foods.map((food) => [food.id, food]));

/** The shipped tables and constants. */
export const REFERENCE: Reference = Object.freeze({ modelVersion: MODEL_VERSION, foods: byId(FOODS), constants: CONSTANTS });
