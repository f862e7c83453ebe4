import { cache } from "react";
import { completeHousehold, USUAL_HOUSEHOLD, type Household } from "../../core/household";
import { NO_HOUSE_RULES, type HouseRules } from "../../core/models/diet";
import { EMPTY_PANTRY, type PantryDocument } from "../../core/pantry";
import { NO_EATERS, type EatersDocument } from "../../core/table";
import { getCollection } from "./collections";
import { validateEaters, validateHouseRules, validateHousehold } from "../http/schemas/household";
import { validatePantry } from "../http/schemas/pantry";
import type { Revised } from "../http/revised";
import { storedSetting } from "../data/settings";

/** What a household has told of itself is kept under this key. */
export const HOUSEHOLD_KEY = "household";

/** The household's measures and units; the usual ones until they are set. */
export const getHousehold = cache(async (): Promise<Revised<Household>> => {
  const { value, revision } = await storedSetting(HOUSEHOLD_KEY);
  return { document: validateHousehold(value) ? completeHousehold(value) : USUAL_HOUSEHOLD, revision };
});

/** The household's own foods and weighings; none until there are some. */
export const getPantry = cache((): Promise<Revised<PantryDocument>> => getCollection("pantry", validatePantry, EMPTY_PANTRY));

/** The household's own rule sets and its answers; none until there are some. */
export const getHouseRules = cache((): Promise<Revised<HouseRules>> => getCollection("house-rules", validateHouseRules, NO_HOUSE_RULES));

/** Who eats at this household; nobody until somebody is named. */
export const getEaters = cache((): Promise<Revised<EatersDocument>> => getCollection("eaters", validateEaters, NO_EATERS));
