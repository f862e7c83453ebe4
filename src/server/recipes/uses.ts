import { openRecipe } from "../../core/kitchen";
import type { Recipe } from "../../core/recipe";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { getKitchen } from "../kitchen/kitchen";
import { Refusal } from "../http/problems";

/** Where a food of the household's own is used. */
export interface Uses {
  readonly recipes: readonly { readonly id: string; readonly recipe: Recipe }[];
  /** More recipes may use it than are listed. */
  readonly more: boolean;
  readonly benches: readonly { readonly id: string; readonly title: string }[];
}

/** Looked through for a food, the newest first. */
const MOST_READ = 200;
const MOST_TOLD = 40;

/** The recipes in which a food is read, and the benches on which it lies; 404 where there is no such food. */
export async function usesOf(foodId: string): Promise<Uses> {
  const [kitchen, connection] = await Promise.all([getKitchen(), getDatabase()]);
  const food = kitchen.reference.foods.get(foodId);
  if (!food) throw new Refusal(404, "There is no such food in the pantry.");
  const found = await db.recipesWith(connection, [foodId, food.name, ...food.synonyms], MOST_READ);
  const using = found.filter(({ recipe }) => openRecipe(recipe, kitchen).lines.some((line) => line.food.id === foodId));
  return {
    recipes: using.slice(0, MOST_TOLD),
    more: using.length > MOST_TOLD || found.length === MOST_READ,
    benches: await db.benchesWith(connection, foodId, MOST_TOLD),
  };
}
