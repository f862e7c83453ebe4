import type { Food } from "../../core/food";
import first from "./foods-1.json";
import second from "./foods-2.json";
import third from "./foods-3.json";
import fourth from "./foods-4.json";

export { completeTraits, FAMILY_DENSITY } from "./complete";

/** All foods of the shipped tables, as `make-foods.ts` makes them; a test holds the two together. */
export const FOODS = [...first, ...second, ...third, ...fourth] as unknown as readonly Food[];
