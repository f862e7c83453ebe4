import type { Food } from "../food";

/** What is made in a pot and called by a food's name: "pour the syrup over". */
const MADE = new Set([
  "syrup",
  "caramel",
  "custard",
  "jelly",
  "cake",
  "brittle",
  "burfi",
  "barfi",
  "peda",
  "halva",
  "rabri",
  "basundi",
  "jam",
  "crumb",
  "cone",
  "wafer",
  "meringue",
  "praline",
  "toffee",
  "fudge",
  "whey",
  "paneer",
  "chenna",
  "curd",
  "hung curd",
  "strained curd",
  "hung yogurt",
  "hung yoghurt",
  "masala",
  "chikki",
  "sponge",
  "pastry",
  "roti",
  "sweetener",
  "dough",
  "malt",
  "chutney",
  "sherbet",
  "sharbat",
  "simple syrup",
  "sugar syrup",
]);
/** Before its name: "the", or what something is cooked to ("to a one-string syrup"). */
const THE = /\b(?:the|this|that|your|hot|warm|cooled|thick|thin|sticky|boiling) $|\b(?:in)?to an?(?: [a-z-]{1,14}){0,2} $/i;
/** What something is cooked to without a word before it: "melt the sugar to caramel". */
const COOKED_TO = /\b(?:boil|burn|cook|heat|melt|reduce|simmer|turn)[a-z]{0,3}\b[^.;:]{0,40} (?:in)?to (?:[a-z-]{1,14} ){0,2}$/i;
/** Whether words, with what stands before them, call something by what was made of it here. */
export const isCalledMade = (words: string, before: string): boolean => MADE.has(words) && (THE.test(before) || COOKED_TO.test(before));

const PULPED = /\b(?:pur[ée]e|pulp|paste|juice|zest|milk|flesh)$/i;
const isOfPlant = (listed: Food, food: Food): boolean =>
  listed.nature?.botanical != null &&
  listed.nature.botanical === food.nature?.botanical &&
  food.allergens.every((allergen) => listed.allergens.includes(allergen)) &&
  food.mayContain.every(({ allergen }) => listed.allergens.includes(allergen) || listed.mayContain.some((each) => each.allergen === allergen)) &&
  food.parts.length === 0 &&
  food.sugarClass !== "added";
/** Whether all that a food is known to hold is among the lines: then it is made of them. */
export const isMadeOf = ({ allergens, origin, sugarClass }: Food, listed: readonly Food[]): boolean =>
  allergens.every((allergen) => listed.some((each) => each.allergens.includes(allergen))) &&
  (origin === "plant" || listed.some((each) => each.origin === origin)) &&
  (sugarClass !== "added" || listed.some(({ family }) => family === "sweetener"));

/** "The mango purée" of a mango that is listed: of one plant, and nothing in it or its packs that the listed has not. */
export const isPulpOf = (words: string, food: Food, listed: readonly Food[]): boolean => PULPED.test(words) && listed.some((each) => isOfPlant(each, food));
