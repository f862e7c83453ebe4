export { ARCHETYPES, type Archetype, type BalancedLine, type LineChoice, type Recipe, type RecipeLine } from "./recipe";
export { createFoodMatcher, type FoodMatcher } from "./match-food";
export { type LineReading, type ReadingContext } from "./read-line";
export { readRecipeText, MOST_LINES, type PasteProblem } from "./read-text";
export { readRecipe, type ReadRecipe } from "./read-recipe";
export { readJsonLd } from "./json-ld";
export { kitchenMeasure } from "./kitchen-measure";
export { scaleLines } from "./scale";
export { balance, type Balance } from "./balance";
