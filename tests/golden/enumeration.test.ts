import loadHighs from "highs";
import { beforeAll, describe, expect, it } from "vitest";
import { build, openRoles, plainRun, problemFor, targetsOf, type AdaptationProblem } from "../../src/core/substitution";
import type { LinearModel, SolverPort } from "../../src/core/numeric";
import { REFERENCE, RULES, SUBSTITUTION } from "../../src/data";
import { createHighsPort } from "../../src/workers/solver/highs-port";
import { KINDS, textOfCase } from "../support/cases";
import { read, tableOf } from "../support/kitchen";

let solve: SolverPort;
beforeAll(async () => {
  solve = createHighsPort(await loadHighs());
});

/** Candidates that are left in, so that every choice of them can be tried. */
const CANDIDATES = 7;
const MOST_BINARIES = 9;

/** The model with its binaries set to one choice. */
const fixed = (model: LinearModel, binaries: readonly number[], choice: number): LinearModel => ({
  ...model,
  columns: model.columns.map((column, i) => {
    const at = binaries.indexOf(i);
    const value = at < 0 ? 0 : (choice >> at) & 1;
    return at < 0 ? column : { ...column, lower: value, upper: value, integer: false };
  }),
});

/** The least that any choice of the binaries comes to, each solved as a linear programme; null where none holds. */
async function byEnumeration(model: LinearModel): Promise<number | null> {
  const binaries = model.columns.flatMap(({ integer }, i) => (integer ? [i] : []));
  expect(binaries.length).toBeLessThanOrEqual(MOST_BINARIES);
  let best: number | null = null;
  for (let choice = 0; choice < 2 ** binaries.length; choice++) {
    if (binaries.some((i, at) => ((choice >> at) & 1) < (model.columns[i]?.lower ?? 0) || ((choice >> at) & 1) > (model.columns[i]?.upper ?? 1))) continue;
    const outcome = await solve(fixed(model, binaries, choice), { timeLimitSeconds: 5, relativeGap: 0 });
    if (outcome.kind === "optimal") best = Math.min(best ?? Infinity, outcome.objective);
  }
  return best;
}

let found = 0;

describe("the mixed-integer model on small cases", () => {
  it.each(KINDS.filter(({ name }) => !["Kulfi", "Caramel sauce"].includes(name)).map((each) => [each.name, each] as const))(
    "%s: finds what trying every choice finds",
    async (_, each) => {
      const recipe = read(textOfCase(each));
      const whole = problemFor(recipe, tableOf({ servings: recipe.recipe.servings, ...each.table }), REFERENCE, SUBSTITUTION, RULES, 1);
      const opening = openRoles(whole);
      const targets = targetsOf(whole);
      const run = plainRun(targets.proteinRatio);
      const built = build(whole, opening, targets, run);
      // As many candidates as can be tried one with another: those that a version of all of them takes first.
      const full = await solve(built.model, { timeLimitSeconds: 5, relativeGap: 0.02 });
      const taken = (key: string) => {
        const at = built.slots.findIndex((slot) => slot.key === key);
        return full.kind === "optimal" && (full.values[built.x[at] ?? -1] ?? 0) > 0 ? 1 : 0;
      };
      const fresh = built.slots
        .filter(({ source, food }) => source === null && food.id !== "water")
        .sort((one, other) => taken(other.key) - taken(one.key) || Number(opening.opened.has(other.role)) - Number(opening.opened.has(one.role)));
      const own = built.model.columns.filter(({ integer }) => integer).length - fresh.length;
      const left = new Set(fresh.slice(0, Math.min(CANDIDATES, MOST_BINARIES - own)).map(({ role, food }) => `${role}:${food.id}`));
      const small: AdaptationProblem = {
        ...whole,
        tables: { ...whole.tables, candidates: whole.tables.candidates.filter(({ role, foodId }) => left.has(`${role}:${foodId}`)) },
      };
      const { model } = build(small, opening, targets, run);
      const outcome = await solve(model, { timeLimitSeconds: 20, relativeGap: 1e-6 });
      const best = await byEnumeration(model);
      if (outcome.kind === "infeasible") return expect(best).toBeNull();
      if (outcome.kind !== "optimal") throw new Error(outcome.kind);
      expect(outcome.objective).toBeCloseTo(best ?? NaN, 2);
      found++;
    },
  );
  it("most of them have a version", () => expect(found).toBeGreaterThanOrEqual(6));
});
