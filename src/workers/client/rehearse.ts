import { evaluatePoint } from "../../core/evaluate";
import { findings, NO_HOUSE_RULES } from "../../core/models/diet";
import { EMPTY_PANTRY, type OwnFood } from "../../core/pantry";
import { readRecipe, readRecipeText, type ReadRecipe } from "../../core/recipe";
import { judgedLines, problemFor } from "../../core/substitution";
import type { DiningTable } from "../../core/table";
import { USUAL_HOUSEHOLD } from "../../core/household";
import { foodMatcher, knowledgeOf, readingContext } from "./knowledge";

const knowledge = knowledgeOf(EMPTY_PANTRY, USUAL_HOUSEHOLD, NO_HOUSE_RULES);
const { constants } = knowledge.reference;
const TABLE: DiningTable = { rules: ["vegan"], limits: [], servings: 2, serve: "hot" };
const MILK: OwnFood = {
  id: "own-rehearsal",
  name: "Rehearsed milk",
  synonyms: [],
  family: "drink",
  origin: "plant",
  allergens: [],
  traces: [],
  made: {
    kind: "made",
    making: { kind: "milk", material: "almond", grams: 100, soaked: 0, presses: [400], squeeze: "hard", holds: null, weighedMilk: null, weighedPulp: null },
    part: "milk",
  },
  density: null,
  note: "",
  revision: 1,
};
const NAMED = "A rehearsal\n\nghee\n";
const FIRST = "A rehearsal\nServes 2\n\n40 g ghee, melted\n";
const LINES = `${FIRST}1/2 cup fine semolina\n1 tbsp almonds, chopped\n`;
const STEP = `${FIRST}\nWarm the ghee.\n`;
const WHOLE = `${LINES}\nRoast the semolina in the ghee for 10 minutes.\nAdd half of the almonds and simmer until thick.\n`;

function read(text: string): ReadRecipe {
  const recipe = readRecipeText(text);
  if (!recipe.ok) throw new Error("the rehearsal is no recipe");
  return readRecipe(recipe.value, readingContext(knowledge, USUAL_HOUSEHOLD.measures), constants);
}

function figures(): void {
  const whole = read(WHOLE);
  const problem = problemFor(whole, TABLE, knowledge.reference, knowledge.substitution, knowledge.rules, 1);
  findings(judgedLines(whole), problem.rules);
  evaluatePoint(problem, constants);
}

/**
 * Reading and reckoning a small recipe, part by part, each resting on those before it: what a browser runs for the first
 * time is many times slower than the second, so a page that reads its recipe after this holds nobody up.
 */
export const REHEARSAL: readonly (() => void | Promise<void>)[] = [
  () => void foodMatcher(knowledge),
  () => foodMatcher(knowledge).prepare(),
  () => void knowledgeOf({ ...EMPTY_PANTRY, foods: [MILK] }, USUAL_HOUSEHOLD, NO_HOUSE_RULES),
  () => void readRecipeText(NAMED),
  () => void readRecipeText(FIRST),
  () => void readRecipeText(WHOLE),
  () => void read(FIRST),
  () => void read(LINES),
  () => void read(STEP),
  () => void read(WHOLE),
  figures,
];
