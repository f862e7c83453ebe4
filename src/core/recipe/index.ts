export {
  ARCHETYPES,
  linesApart,
  plainSteps,
  stepTexts,
  type Archetype,
  type BalancedLine,
  type ComponentUse,
  type LineChoice,
  type LineId,
  type PartId,
  type StepId,
  type Recipe,
  type RecipeComponent,
  type RecipeLine,
  type RecipeStep,
} from "./recipe";
export { ATTENTIONS, HEATS, OPERATIONS, type Attention, type Operation, type StepChoice, type StepMinutes, type StepTake } from "./operations";
export { pressedId } from "./pressing";
export { atHandFor } from "./bought";
export { classesIn } from "./read-steps";
export { generalNames, mentionsOf, namesOfLine, type FindMentions, type Mention } from "./mentions";
export { type LedgerEntry, type LedgerMass } from "./take-step";
export { type LedgerProblem } from "./walk";
export { ratiosFor } from "./ratios";
export { writersCup } from "./writers-cup";
export { readStep, type StepReading } from "./read-step";
export { namesAllTheRest, type ReadStepWithTakes, type ReadTake } from "./read-steps";
export { massStated } from "./mass-stated";
export { singleSpaced, trimmedOf } from "./plain-text";
export { createFoodMatcher, isPlainWord, type FoodMatcher } from "./match-food";
export { type Beside } from "./beside";
export { createFoodFinder, stemsOf, type FoodFinder } from "./named-foods";
export { type LineReading } from "./read-line";
export { withAllLines } from "./lines-of-steps";
export { type ReadingContext } from "./reading-context";
export { readRecipeText, type PasteProblem } from "./read-text";
export { readYield, servingText, yieldText } from "./yield";
export { overLimits, RECIPE_LIMITS, STORED_RECIPE_LIMITS, type RecipeLimits } from "./limits";
export { guessArchetype } from "./archetype";
export { readRecipe, unlistedInOwnWords, type ReadRecipe } from "./read-recipe";
export { readJsonLd } from "./json-ld";
export { halvedCan, halvedCanWords } from "./halved-can";
export { foodMeasures } from "./food-measures";
export { kitchenMeasure } from "./kitchen-measure";
export { scaleLines } from "./scale";
export { scaleFactor, scaleRecipe, type ScaleGoal, type ScaleProblem } from "./scaling";
export { balance, potOnly, type Balance } from "./balance";
export { type RecipeSearch } from "./search";
