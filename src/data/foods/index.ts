import type { Food } from "../../core/food";
import made from "./foods.json";

export { completeTraits, FAMILY_DENSITY } from "./complete";

/** All foods of the shipped tables, as `make-foods.ts` makes them; a test holds the two together. */
export const FOODS = made as unknown as readonly Food[];
