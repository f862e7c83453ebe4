import type { Food } from "../food";
import type { ReadRecipe } from "./read-recipe";

/**
 * What has to be at hand for a food of a recipe or of a version of it, g: where the recipe makes it of what a line lists (a milk that is pressed, curd that is
 * hung) that, in proportion; of any other the food itself.
 */
export function atHandFor({ byLine, lines }: Pick<ReadRecipe, "byLine" | "lines">, food: Food, grams: number): { readonly food: Food; readonly grams: number } {
  const own = lines.filter((line) => line.food.id === food.id);
  const [first] = own;
  const reading = first && byLine.get(first.id);
  const made = own.reduce((sum, each) => sum + each.grams, 0);
  return own.length === 1 && reading?.kind === "read" && reading.food.id !== food.id && made > 0
    ? { food: reading.food, grams: (reading.grams.value * grams) / made }
    : { food, grams };
}
