import { evaluatePoint } from "../../core/evaluate";
import { findings } from "../../core/models/diet";
import { EMPTY_PANTRY } from "../../core/pantry";
import { readRecipe, readRecipeText } from "../../core/recipe";
import { judgedLines, problemFor, type DiningTable } from "../../core/substitution";
import { NO_HOUSE_RULES } from "../../core/models/diet";
import { USUAL_HOUSEHOLD } from "../../core/units";
import { foodMatcher, knowledgeOf, readingContext } from "./knowledge";

const knowledge = knowledgeOf(EMPTY_PANTRY, USUAL_HOUSEHOLD, NO_HOUSE_RULES);
const { measures } = USUAL_HOUSEHOLD;
const SAMPLE = `A rehearsal
Serves 2

1/2 cup fine semolina
40 g ghee, melted
1 tbsp almonds, chopped

Roast the semolina in the ghee for 10 minutes.
Add half of the almonds and simmer until thick.`;
const TABLE: DiningTable = { rules: ["vegan"], limits: [], servings: 2, serve: "hot" };

const parsed = () => {
  const read = readRecipeText(SAMPLE);
  if (!read.ok) throw new Error("the rehearsal is no recipe");
  return read.value;
};
const lines = () => ({ ...parsed(), steps: [] });
const read = (recipe: ReturnType<typeof parsed>) => readRecipe(recipe, readingContext(knowledge, measures), knowledge.reference.constants);

/** The names of the shipped foods, and the index that is asked where none fits. */
export const names = (): unknown => foodMatcher(knowledge);
export const search = (): unknown => foodMatcher(knowledge).search("semolina", 1);
/** Lines read, then steps too, then judged and reckoned: what a browser runs for the first time is many times slower than the second. */
export const text = (): unknown => parsed();
export const reading = (): unknown => read(lines());
export const steps = (): unknown => read(parsed());
export const figures = (): unknown => {
  const whole = read(parsed());
  const problem = problemFor(whole, TABLE, knowledge.reference, knowledge.substitution, knowledge.rules, 1);
  return [findings(judgedLines(whole), problem.rules), evaluatePoint(problem, knowledge.reference.constants)];
};
