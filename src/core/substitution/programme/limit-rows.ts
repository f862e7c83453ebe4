import type { Limit } from "../../table";
import { limitPerGram } from "../coefficients";
import { sum, type Programme } from "./programme";

/** The table's limits, but for one that is minimised alone or left off to see what it clashes with. */
export function limitRows(programme: Programme): void {
  const { builder, problem, run } = programme;
  for (const limit of problem.limits) {
    const terms = sum(programme, (slot) => limitPerGram(slot, limit, problem));
    if (run.minimised?.id === limit.id) {
      const value = builder.column("minimised", 0, Infinity, 1 / Math.max(1e-6, problem.servings * Math.max(limit.most, 0.1)));
      builder.row("minimised_row", 0, 0, [...terms, [value, -1]]);
    } else if (!run.without.has(limit.id)) builder.row(`limit_${limit.id}`, -Infinity, limit.most * problem.servings, terms);
  }
}

/** Where a run looks for fewer free sugars, they cost something by themselves. */
export function freeSugarRows(programme: Programme): void {
  const { builder, problem, run } = programme;
  if (run.freeSugarWeight <= 0) return;
  const limit: Limit = problem.limits.find((each) => each.id === "freeSugars") ?? { id: "freeSugars", most: 0, school: "uk" };
  const own = problem.lines.reduce((total, line) => total + line.grams * limitPerGram(line, limit, problem), 0);
  if (own <= 0) return;
  builder.row("free_sugars_cost", 0, 0, [
    ...sum(programme, (slot) => limitPerGram(slot, limit, problem)),
    [builder.column("free_sugars", 0, Infinity, (run.freeSugarWeight * 10) / own), -1],
  ]);
}
