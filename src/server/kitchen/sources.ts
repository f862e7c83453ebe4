import { cache } from "react";
import { completeHousehold, USUAL_HOUSEHOLD, type Household } from "../../core/household";
import { HOUSE_RULE_KEYS, NO_HOUSE_RULES, type HouseRules } from "../../core/models/diet";
import { EMPTY_PANTRY, PANTRY_KEYS, type PantryDocument } from "../../core/pantry";
import { EATER_KEYS, NO_EATERS, type EatersDocument } from "../../core/table";
import { getCollection, type Collection } from "./collections";
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

export const PANTRY: Collection<PantryDocument> = { name: "pantry", what: "pantry", keys: PANTRY_KEYS, validate: validatePantry, empty: EMPTY_PANTRY };
export const HOUSE_RULES: Collection<HouseRules> = {
  name: "house-rules",
  what: "list of rules",
  keys: HOUSE_RULE_KEYS,
  validate: validateHouseRules,
  empty: NO_HOUSE_RULES,
};
export const EATERS: Collection<EatersDocument> = { name: "eaters", what: "list of eaters", keys: EATER_KEYS, validate: validateEaters, empty: NO_EATERS };

/** The household's own foods and weighings; none until there are some. */
export const getPantry = cache((): Promise<Revised<PantryDocument>> => getCollection(PANTRY));

/** The household's own rule sets and its answers; none until there are some. */
export const getHouseRules = cache((): Promise<Revised<HouseRules>> => getCollection(HOUSE_RULES));

/** Who eats at this household; nobody until somebody is named. */
export const getEaters = cache((): Promise<Revised<EatersDocument>> => getCollection(EATERS));
