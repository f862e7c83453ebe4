import type { PantryTables } from "../core/pantry";
import { ADDITIVES, FOODS_OF_PACKETS } from "./additives";
import { completeTraits } from "./foods";
import { NAMED_ONLY } from "./foods/named-only";
import { MAKING } from "./making";

/** What own foods rest on beside the shipped foods. */
export const PANTRY_TABLES: PantryTables = {
  traits: completeTraits,
  making: MAKING,
  packet: { additives: new Map(ADDITIVES.map((each) => [each.code, each])), names: FOODS_OF_PACKETS, namedOnly: new Map(NAMED_ONLY.map((each) => [each.id, each])) },
};
