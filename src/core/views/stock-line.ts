import { openRecipe, type Kitchen } from "../kitchen";
import { INDEX, type Family, type Food } from "../food";
import { massStated, readRecipeText } from "../recipe";
import type { StockPlace } from "../stock";
import { capital } from "../units";

/** What somebody puts in stock, in words as in a recipe: "1 kg jaggery", "half a can of coconut milk". */
export interface StockLineQuestion {
  readonly text: string;
}

/** What it says: a food with how much of it; `grams` is null where that is not said, `foodId` where no table knows it. */
export interface StockLine {
  readonly foodId: string | null;
  readonly name: string;
  readonly grams: number | null;
  /** Where such a food is kept, as far as can be guessed: what is moist, in the fridge. */
  readonly place: StockPlace;
  /** How it was measured, or why it was not, in words. */
  readonly how: string;
}

/** Reads what is put in stock by one line; null where it says nothing. */
export function stockLine({ text }: StockLineQuestion, kitchen: Kitchen): StockLine | null {
  const line = text.replace(/\s+/g, " ").trim();
  if (line === "") return null;
  const recipe = readRecipeText(`In stock\n\nIngredients\n${line}`);
  const [reading] = recipe.ok ? openRecipe(recipe.value, kitchen).readings : [];
  switch (reading?.kind) {
    case "read":
      return {
        foodId: reading.food.id,
        name: reading.food.name,
        grams: Math.max(0, reading.grams.value),
        place: placeOf(reading.food, reading.containers),
        how: reading.how,
      };
    case "amount unknown":
      return { foodId: reading.food.id, name: reading.food.name, grams: null, place: placeOf(reading.food), how: reading.why };
    case "food unknown":
      return { foodId: null, name: capital(reading.description.trim() || line), grams: massStated(line), place: "cupboard", how: reading.why };
    default:
      return { foodId: null, name: line, grams: null, place: "cupboard", how: "No food is named in it." };
  }
}

/** From so much water on, g in 100 g, a food spoils out of the fridge, what comes of animals sooner: rules of thumb. */
const MOIST = 45;
const MOIST_OF_ANIMALS = 15;
const OF_ANIMALS: readonly Family[] = ["dairy", "egg"];
/** Whole cans and jars are shut, and fruit ripens where it lies. */
function placeOf({ per100g, family }: Food, containers = 0): StockPlace {
  const isShut = containers >= 1 && Number.isInteger(containers);
  const water = per100g[INDEX.water] ?? 0;
  return !isShut && family !== "fruit" && water > (OF_ANIMALS.includes(family) ? MOIST_OF_ANIMALS : MOIST) ? "fridge" : "cupboard";
}
