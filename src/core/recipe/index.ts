export { ARCHETYPES, type Archetype, type BalancedLine, type LineChoice, type Recipe, type RecipeLine } from "./recipe";
export { createFoodMatcher, type FoodMatch, type FoodMatcher } from "./match-food";
export { readAmount } from "./read-amount";
export { readLine, type AmountGuess, type LineReading, type ReadingContext } from "./read-line";
export { readRecipeText, readServings, MOST_LINES, type PasteProblem } from "./read-text";
export { readRecipe, type ReadRecipe } from "./read-recipe";
export { kitchenMeasure, nearestFraction } from "./kitchen-measure";
export { scaleLines } from "./scale";
export { balance, type Balance } from "./balance";
