import type { Food } from "../food";
import type { FoodMatcher } from "./match-food";
import { singleSpaced } from "./plain-text";

interface Context {
  readonly matcher: FoodMatcher;
  readonly foods: ReadonlyMap<string, Food>;
}

const THEN = String.raw` (?:in|with) ([^,;.()]{1,80})`;
/** In a line: what was done to it before ("roasted in ghee"). */
const PREPARED = new RegExp(
  String.raw`\b(?:roasted|toasted|fried|browned|sautéed|sauteed|soaked|steeped|cooked|simmered|boiled|plumped|coated|rubbed|kneaded|mixed|blended|ground|moistened|brushed|poached)\b(?: (?!in\b|with\b)[a-z]{1,20}){0,2}${THEN}`,
  "giu",
);
/** In a step: what is put on or under it beside the list ("grease a tray with ghee"). */
const USED = new RegExp(
  String.raw`\b(?:grease|oil|brush|dust|coat|rub|line|roll|drizzle|sprinkle|top|garnish|decorate|finish|serve|fry|roast|toast|soak|moisten|wet)\b(?: (?!in\b|with\b)[a-z]{1,20}){0,6}${THEN}`,
  "giu",
);
const ASIDE = /^(?:a|an|the|some|little|warm|hot|cold|melted|bit|of|more|splash|spoon|spoonful|drop|few|your) /i;

function foodsAfter(pattern: RegExp, text: string, { matcher, foods }: Context): readonly Food[] {
  const found = new Map<string, Food>();
  for (const [, words = ""] of singleSpaced(text).matchAll(pattern)) {
    let phrase = (words.split(/\b(?:and|until|then|for|till)\b/i)[0] ?? "").trim();
    if (!phrase) continue;
    while (ASIDE.test(phrase)) phrase = phrase.replace(ASIDE, "");
    const match = matcher.match(phrase);
    const food = match.kind === "known" ? foods.get(match.foodId) : undefined;
    if (food && food.id !== "water") found.set(food.id, food);
  }
  return [...found.values()];
}

/**
 * Foods that a line only names as what it was made ready in ("besan, roasted in ghee"): they stand in no line of their
 * own, and who avoids them has to know. Water is none.
 */
export const preparedWith = (text: string, context: Context): readonly Food[] => foodsAfter(PREPARED, text, context);

/**
 * Foods that a step uses and no line lists ("grease a tray with ghee"). What is of the family and origin of a listed food,
 * and brings no other allergen, is taken to be that one: the milk of a step is the toned milk of the list.
 */
export const unlistedIn = (text: string, listed: readonly Food[], context: Context): readonly Food[] =>
  foodsAfter(USED, text, context).filter(
    (food) =>
      !listed.some((other) => other.family === food.family && other.origin === food.origin && bringsOf(food).every((each) => bringsOf(other).includes(each))),
  );

const bringsOf = ({ allergens, mayContain }: Food): readonly string[] => [...allergens, ...mayContain.map(({ allergen }) => allergen)];
