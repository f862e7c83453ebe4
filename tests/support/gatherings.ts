import type { CookPlan } from "../../src/core/cook";
import { USUAL_SOURCES } from "../../src/core/kitchen";
import { sweetTasks, type SweetTasks } from "../../src/core/plan";
import { cookPlan, methodView } from "../../src/core/views";
import { DEMO_RECIPES, kitchenOf } from "../../src/data";
import { tableOf } from "./kitchen";
import { recipeOf } from "./sweets";

interface PlannedSweet {
  readonly id: string;
  readonly plan: CookPlan;
  readonly tasks: SweetTasks;
}

/** A recipe as it is taken into a plan. */
export function plannedSweet(id: string, text: string): PlannedSweet {
  const recipe = recipeOf(text);
  const table = tableOf({ servings: recipe.servings });
  const plan = cookPlan(recipe, table, methodView({ recipe, table, bench: null }, kitchenOf(USUAL_SOURCES)));
  return { id, plan, tasks: sweetTasks(id, plan, { due: 0, keeps: null }) };
}

let known: readonly PlannedSweet[] | null = null;
/** Sweets of the demo as they are planned: those with the word in a step, all where none has it. */
export function plansOf(word: string): readonly PlannedSweet[] {
  known ??= DEMO_RECIPES.map(({ text }, i) => plannedSweet(`s${i}`, text));
  const found = known.filter(({ plan }) => word !== "" && plan.steps.some(({ text }) => text.toLowerCase().includes(word)));
  return found.length > 0 ? found : known;
}
