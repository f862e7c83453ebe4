import { byUse, dueOf, madeFrom, NOTHING_LEFT, type MadeFrom } from "../../core/stock";
import { openInWays } from "../../core/kitchen";
import { atHandFor } from "../../core/recipe";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { getRecipe } from "../recipes/recipes";
import { dayHere } from "./day";
import { getKitchen } from "./kitchen";

/** So many recipes are read whole: those whose foods are most of all in stock. */
const MOST_READ = 60;
const MOST_SHOWN = 30;

export interface MadeOfStock extends MadeFrom {
  readonly id: string;
  readonly title: string;
  /** Lines that nobody could read: what they take is not known. */
  readonly unread: number;
}

/** What can be made of what is in the house, of the household's own recipes as handed down: what uses up most of what is due first. */
export async function madeOfStock(
  now = Date.now(),
): Promise<{ readonly rows: readonly MadeOfStock[]; readonly of: number; readonly today: string; readonly inStock: number }> {
  const database = await getDatabase();
  const [kitchen, dayOf, all, stored] = await Promise.all([getKitchen(), dayHere(), db.recipeFoods(database), db.listStock(database)]);
  const today = dayOf(now);
  const stock = stored.filter((item) => item.grams >= NOTHING_LEFT && dueOf(item, today) !== "past");
  const due = new Set(stock.flatMap((item) => (dueOf(item, today) === "soon" && item.foodId !== null ? [item.foodId] : [])));
  const there = new Set(stock.flatMap(({ foodId }) => foodId ?? []));
  const near = all
    .map(({ id, foodIds }) => {
      const foods = foodIds.filter((food) => kitchen.reference.foods.get(food)?.family !== "water");
      const [soon, has] = [foods.filter((food) => due.has(food)).length, foods.filter((food) => there.has(food)).length];
      return { id, soon, has, lacks: foods.length - has };
    })
    .filter(({ has }) => has > 0)
    .toSorted((one, other) => other.soon - one.soon || one.lacks - other.lacks || other.has - one.has)
    .slice(0, MOST_READ);
  const rows: MadeOfStock[] = [];
  for (const { id } of near) {
    const recipe = await getRecipe(id);
    if (!recipe) continue;
    const { read } = openInWays(recipe.recipe, undefined, kitchen);
    const needs = read.lines.flatMap((line) => {
      const { food, grams } = atHandFor(read, line.food, line.bought ?? line.grams);
      return food.family === "water" || grams <= 0 ? [] : [{ food: food.id, name: food.name, grams }];
    });
    const made = madeFrom(needs, stock, today);
    if (made.uses.length > 0) rows.push({ id, title: recipe.recipe.title, unread: read.unresolved.length, ...made });
    // Between two recipes the pages come first.
    await new Promise((resolve) => setImmediate(resolve));
  }
  return { rows: rows.toSorted(byUse).slice(0, MOST_SHOWN), of: all.length, today, inStock: stock.length };
}
