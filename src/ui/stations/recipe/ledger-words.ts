import type { LedgerProblem } from "../../../core/recipe";
import { capital, formatGrams } from "../../../core/units";

const stepName = (step: number) => (step < 0 ? "In all, it" : `Step ${step + 1}`);

/** What does not add up, where, and how to mend it. */
export function ledgerWords(problem: LedgerProblem): string {
  switch (problem.kind) {
    case "goes round":
      return problem.components.length === 1
        ? `${problem.components[0] ?? ""} goes into itself. Choose what it goes into.`
        : `${problem.components.join(", ")} go into each other in a circle. Let one of them go into the sweet itself.`;
    case "no such component":
      return `“${problem.of}” belongs to a part that is not there; it is taken into the sweet itself.`;
    case "not yet made":
      return `${stepName(problem.step)} uses ${problem.component}, which is not made yet. Move its steps before it.`;
    case "used twice":
      return `By step ${problem.step + 1}, ${Math.round(100 * problem.share)} % of ${problem.name} has gone in. Give shares that come to 100.`;
    case "end and minutes differ":
      return `To the end that it tells ${formatGrams(problem.byEnd)} g of water would go, by its minutes ${formatGrams(problem.byMinutes)} g. The end is taken; open the step and set the minutes, or weigh the pot, where that is wrong.`;
    case "cooking not told":
      return `Nothing says how long this cooks: ${formatGrams(problem.usual)} g of water are taken to boil away, as is usual for its kind, give or take half. Set its minutes here, or weigh the pot.`;
    case "end not reached":
      return `${capital(problem.why)}. Look at the amounts, or weigh the pot.`;
    case "more water than there is":
      return `${stepName(problem.step)} would drive off ${formatGrams(problem.asked)} g of water; there ${Math.round(problem.there) === 1 ? "is" : "are"} ${formatGrams(Math.max(0, problem.there))} g. A shorter time, a lower flame, or a lid?`;
    case "weighs more":
      return `${stepName(problem.step)}: the pot cannot weigh ${formatGrams(problem.weighed)} g, only ${formatGrams(problem.there)} g are in it. Is the pan's own weight in it?`;
    case "weighs less than dry":
      return `${stepName(problem.step)}: without any water it would still weigh ${formatGrams(problem.dry)} g, not ${formatGrams(problem.weighed)} g. Is something left elsewhere?`;
    case "cannot be pressed":
      return `${stepName(problem.step)}: ${problem.why}`;
  }
}
