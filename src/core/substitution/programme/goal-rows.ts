import { INDEX, sumOf } from "../../food";
import { indexOfBody } from "../../process";
import { askedOf, goalBounds, goalProperty } from "../wishes";
import { bodyTerms } from "./body-terms";
import { mass, sum, type Programme, type Term } from "./programme";

/** What a goal asks of a property, as shares of the recipe's own; null where it asks nothing of it. */
export function wantedShare({ problem, opening }: Programme, property: string): readonly [number, number] | null {
  const id = property === "sweetness" ? "sweetness" : property === "fat" ? "richness" : null;
  const goal = askedOf(problem).goals.find((each) => each.goal === id);
  if (!goal) return null;
  const own = opening.recipeFigures[goalProperty(goal.goal, problem)].value;
  const [least, most] = goalBounds(goal, own, problem);
  return own > 0 ? [least / own, most / own] : null;
}

/** What a goal asks of body, as X. */
export function wantedBody({ problem, opening }: Programme): readonly [number, number] | null {
  const goal = askedOf(problem).goals.find((each) => each.goal === "body");
  if (!goal) return null;
  const [least, most] = goalBounds(goal, opening.recipeFigures[goalProperty("body", problem)].value, problem);
  const { constants } = problem.reference;
  return [
    Number.isFinite(least) ? indexOfBody(Math.max(0, least), constants) : 0,
    Number.isFinite(most) ? indexOfBody(Math.max(0, most), constants) : Infinity,
  ];
}

/** What is asked of figures and cost is kept: near the line for those whose closeness is weighed, hard for all. */
export function goalRows(programme: Programme): void {
  const { builder, problem, opening, run } = programme;
  const asked = askedOf(problem);
  for (const goal of asked.goals) {
    const id = goalProperty(goal.goal, problem);
    const [least, most] = goalBounds(goal, opening.recipeFigures[id].value, problem);
    const row = (terms: (bound: number) => Term[]) => {
      if (Number.isFinite(least)) builder.row(`least_${goal.goal}`, 0, Infinity, terms(least));
      if (Number.isFinite(most)) builder.row(`most_${goal.goal}`, -Infinity, 0, terms(most));
    };
    switch (goal.goal) {
      // Held where closeness is weighed: what a saturating sweetener brings is told there.
      case "sweetness":
        break;
      case "body":
        if (!run.isGelled) row((bound) => bodyTerms(programme, indexOfBody(Math.max(0, bound), problem.reference.constants)));
        break;
      case "richness":
        row((bound) => [...sum(programme, ({ food }) => (food.per100g[INDEX.fat] ?? 0) / 100), ...mass(programme, -bound / 100)]);
        break;
      case "fibre":
      case "protein": {
        const indices = goal.goal === "fibre" ? [INDEX.solubleFibre, INDEX.insolubleFibre] : [INDEX.protein];
        const terms = sum(programme, ({ food }) => sumOf(food.per100g, indices) / 100);
        if (Number.isFinite(least)) builder.row(`least_${goal.goal}`, least * problem.servings, Infinity, terms);
        if (Number.isFinite(most)) builder.row(`most_${goal.goal}`, -Infinity, most * problem.servings, terms);
      }
    }
  }
  if (asked.mostCost !== null)
    builder.row(
      "cost",
      -Infinity,
      asked.mostCost * problem.servings,
      sum(programme, ({ food }) => food.pricePerGram ?? 0),
    );
}
