import { createFoodMatcher, createFoodFinder, readRecipe, readRecipeText, withAllLines, type ReadRecipe, type ReadingContext } from "../../src/core/recipe";
import { problemFor, type AdaptationProblem } from "../../src/core/substitution";
import type { DiningTable } from "../../src/core/table";
import { DEMO_RECIPES, FAMILY_DENSITY, NAMED_ONLY, PANTRY_TABLES, REFERENCE, RULES, SUBSTITUTION } from "../../src/data";
import { USUAL_HOUSEHOLD } from "../../src/core/household";
import type { Food } from "../../src/core/food";

export const context: ReadingContext = {
  foods: REFERENCE.foods,
  matcher: createFoodMatcher(REFERENCE.foods.values()),
  find: createFoodFinder([...REFERENCE.foods.values(), ...NAMED_ONLY]),
  familyDensity: FAMILY_DENSITY,
  measures: USUAL_HOUSEHOLD.measures,
  tables: PANTRY_TABLES,
};

export function food(id: string): Food {
  const found = REFERENCE.foods.get(id);
  if (!found) throw new Error(`no food ${id}`);
  return found;
}

export function read(text: string): ReadRecipe {
  const result = readRecipeText(text);
  if (!result.ok) throw new Error(result.error.kind);
  return readRecipe(withAllLines(result.value, context), context, REFERENCE.constants);
}

export const halwa = (): ReadRecipe => read(DEMO_RECIPES[0]?.text ?? "");
export const phirni = (): ReadRecipe => read(DEMO_RECIPES[1]?.text ?? "");

export const tableOf = (part: Partial<DiningTable> = {}): DiningTable => ({ rules: [], limits: [], servings: 6, serve: "hot", ...part });
export const freeSugars = (most: number): DiningTable["limits"] => [{ id: "freeSugars", most, school: "uk" }];
export const problem = (recipe: ReadRecipe, part: Partial<DiningTable> = {}, most = 3): AdaptationProblem =>
  problemFor(recipe, tableOf(part), REFERENCE, SUBSTITUTION, RULES, most);
