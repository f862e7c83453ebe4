import { areKin, type Food } from "../food";
import { clausesOf } from "./clauses";
import { RECIPE_LIMITS } from "./limits";
import { readLine, withLinesApart } from "./read-line";
import type { ReadingContext } from "./reading-context";
import type { Recipe, RecipeLine } from "./recipe";

/** An amount right before a name, which is not of what is listed: "400 ml", "half a litre of hot", "2 cups warm". */
const AMOUNT =
  /((?:(?<![\d.,/])\d{1,5}(?:[.,]\d{1,3})?(?: ?[½⅓⅔¼¾])?|(?<!\d)\d ?\/ ?\d|[½⅓⅔¼¾]|half a|half an|a quarter of a|an?|one|two|three|four|five|six) ?(?:cups?|tbsp|tablespoons?|tsp|teaspoons?|ml|millilitres?|milliliters?|l|litres?|liters?|pints?|glass(?:es)?|tumblers?)) (?:of )?(?:(?:warm|hot|cold|boiling|lukewarm|fresh|plain|more|chilled|tepid|drinking|extra|whole|full-fat|full-cream|toned) ){0,3}$/i;
/** Water that something lies in, is washed or steamed in, does not stay in the sweet. */
const GOES_AWAY = /\b(?:soak|soaked|soaking|wash|rinse|drain|drained|discard|throw away|bath|steamer|blanch|cooker base|base of the cooker|ice)\b/i;

const isLiquid = ({ id, family, pours }: Food): boolean => id === "water" || family === "drink" || (family === "dairy" && pours);

/** The toned milk of the list is meant by "the milk"; its ghee is not. */
const isOfKind = (listed: Food, food: Food): boolean => listed.id === food.id || (isLiquid(listed) && areKin(listed, food));

/**
 * A recipe with lines for liquids that its steps name with an amount and its list leaves out: "pour in 400 ml of hot water". What the
 * list has of the same kind is meant by the steps, and what is drained again is not counted.
 */
export function withLinesOfSteps(recipe: Recipe, context: ReadingContext): Recipe {
  const listed = recipe.lines.flatMap((line) => {
    const reading = readLine(line, context);
    return "food" in reading ? [reading.food] : [];
  });
  const found = new Map<string, { readonly food: Food; readonly words: string; readonly amounts: string[]; readonly line: Omit<RecipeLine, "text"> }>();
  for (const step of recipe.steps) {
    for (const clause of clausesOf(step.text.slice(0, RECIPE_LIMITS.stepCharacters))) {
      if (GOES_AWAY.test(clause)) continue;
      for (const { food, at, end } of context.find(clause)) {
        const amount = AMOUNT.exec(clause.slice(Math.max(0, at - 80), at))?.[1];
        if (amount === undefined || !isLiquid(food)) continue;
        // Of several foods of one name the first is meant.
        if (listed.some((each) => isOfKind(each, food)) || [...found.values()].some((each) => each.food.id !== food.id && isOfKind(each.food, food))) continue;
        const known = found.get(food.id) ?? {
          food,
          words: clause.slice(at, end),
          amounts: [],
          line: { id: `${step.id}-${food.id}`, choice: {}, ...(step.component === undefined ? {} : { component: step.component }) },
        };
        known.amounts.push(amount);
        found.set(food.id, known);
      }
    }
  }
  // In the step's own words: what they leave open is asked as of any line.
  const lines = [...found.values()].map(({ words, amounts, line }): RecipeLine => ({ ...line, text: `${amounts.join(" plus ")} ${words}` }));
  return lines.length === 0 || recipe.lines.length + lines.length > RECIPE_LIMITS.lines ? recipe : { ...recipe, lines: [...recipe.lines, ...lines] };
}

/** A recipe as it is taken in: each line of one food, and a line for each liquid that only its steps name. */
export const withAllLines = (recipe: Recipe, context: ReadingContext): Recipe => withLinesOfSteps(withLinesApart(recipe, context), context);
