import type { Food } from "../food";
import { pressedId } from "./pressing";
import type { ReadRecipe } from "./read-recipe";

/**
 * What has to be at hand for a food of a recipe or of a version of it, g: of a milk that the recipe presses itself what it is pressed from, in proportion; of
 * any other the food itself.
 */
export function atHandFor(
  { ledger, byLine, lines }: Pick<ReadRecipe, "ledger" | "byLine" | "lines">,
  food: Food,
  grams: number,
): { readonly food: Food; readonly grams: number } {
  const line = [...ledger.pressedIn.keys()].find((each) => pressedId(each) === food.id);
  const reading = line === undefined ? undefined : byLine.get(line);
  const milk = lines.reduce((sum, each) => sum + (each.food.id === food.id ? each.grams : 0), 0);
  return reading?.kind === "read" && milk > 0 ? { food: reading.food, grams: (reading.grams.value * grams) / milk } : { food, grams };
}
