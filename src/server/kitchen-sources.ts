import { cache } from "react";
import { completeHousehold, USUAL_HOUSEHOLD, type Household } from "../core/household";
import { NO_HOUSE_RULES, type HouseRules } from "../core/models/diet";
import { EMPTY_PANTRY, type PantryDocument } from "../core/pantry";
import { validateHouseRules, validateHousehold } from "./household-schema";
import { validatePantry } from "./pantry-schema";
import type { Revised } from "./revised";
import { storedSetting } from "./settings";

/** What a household has told of itself is kept under these keys. */
export const SOURCE_KEYS = { household: "household", pantry: "pantry", house: "house-rules" } as const;

/** The household's measures and units; the usual ones until they are set. */
export const getHousehold = cache(async (): Promise<Revised<Household>> => {
  const { value, revision } = await storedSetting(SOURCE_KEYS.household);
  return { document: validateHousehold(value) ? completeHousehold(value) : USUAL_HOUSEHOLD, revision };
});

/** The household's own foods and weighings; none until there are some. */
export const getPantry = cache(async (): Promise<Revised<PantryDocument>> => {
  const { value, revision } = await storedSetting(SOURCE_KEYS.pantry);
  return { document: validatePantry(value) ? { ...EMPTY_PANTRY, ...value } : EMPTY_PANTRY, revision };
});

/** The household's own rule sets and its answers; none until there are some. */
export const getHouseRules = cache(async (): Promise<Revised<HouseRules>> => {
  const { value, revision } = await storedSetting(SOURCE_KEYS.house);
  return { document: validateHouseRules(value) ? value : NO_HOUSE_RULES, revision };
});
