import { NOTHING_LEARNED } from "../../core/food";
import { openRecipe, type Kitchen } from "../../core/kitchen";
import { readRecipeText, withAllLines, yieldText, type LineReading, type Recipe } from "../../core/recipe";
import { kitchenOf } from "../../data/kitchen";
import type { ReadingAnswer, ReadingQuestion, UnderstoodLine, UnderstoodRecipe } from "../protocol";

/** What a text, or each recipe of a file, would be read as in this kitchen. */
export function understand({ of, pantry, household, rules }: ReadingQuestion): ReadingAnswer {
  // How lines are read rests on nothing that batches teach.
  const kitchen = kitchenOf({ pantry, household, house: rules, learned: NOTHING_LEARNED });
  if (of.kind === "recipes") return { recipes: of.recipes.map((recipe) => understoodOf(recipe, kitchen)), tooLarge: "" };
  const read = readRecipeText(of.text);
  if (read.ok) return { recipes: [understoodOf(withAllLines(read.value, kitchen.reading), kitchen)], tooLarge: "" };
  return { recipes: [], tooLarge: read.error.kind === "over limits" ? read.error.over.map(({ detail }) => detail).join(" ") : "" };
}

function understoodOf(recipe: Recipe, kitchen: Kitchen): UnderstoodRecipe {
  const { readings, unresolved, archetype } = openRecipe(recipe, kitchen);
  return {
    title: recipe.title,
    makes: yieldText(recipe),
    archetype,
    lines: readings.map(lineOf),
    steps: recipe.steps.length,
    asked: unresolved.length,
    notes: recipe.notes ?? "",
  };
}

const lineOf = (reading: LineReading): UnderstoodLine => ({
  text: reading.line.text,
  food: "food" in reading ? reading.food.name : null,
  grams: reading.kind === "read" ? reading.grams.value : null,
  how: reading.kind === "read" ? reading.how : "",
  leftOut: reading.kind === "left out",
  why: "why" in reading ? reading.why : "",
});
