import { kitchensOver,type Kitchen,type KitchenSources } from "../core/kitchen";
import { CAUTIONS } from "./cautions";
import { CUES } from "./cues";
import { DIETS,RULES } from "./diet-rules";
import { FAMILY_DENSITY } from "./foods";
import { MENDERS } from "./menders";
import { LOOK_ALIKES } from "./foods/look-alikes";
import { NAMED_ONLY } from "./foods/named-only";
import { HANDLING } from "./handling";
import { PANTRY_TABLES } from "./pantry-tables";
import { REFERENCE } from "./reference";
import { RETENTION,RULE_BOOKS } from "./rule-books";
import { SUBSTITUTION } from "./substitution";
import { WAYS } from "./ways";

/** The kitchen of a household, over the tables that ship. */
export const kitchenOf: (sources: KitchenSources) => Kitchen = kitchensOver({
  reference: REFERENCE,
  rules: RULES,
  diets: DIETS,
  substitution: SUBSTITUTION,
  handling: HANDLING,
  cues: CUES,
  ways: WAYS,
  menders: MENDERS,
  lookAlikes: LOOK_ALIKES,
  cautions: CAUTIONS,
  books: RULE_BOOKS,
  retention: RETENTION,
  pantryTables: PANTRY_TABLES,
  familyDensity: FAMILY_DENSITY,
  namedOnly: NAMED_ONLY,
});
