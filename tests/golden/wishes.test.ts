import loadHighs from "highs";
import { beforeAll, describe, expect, it } from "vitest";
import { evaluate } from "../../src/core/evaluate";
import { goalBounds, goalProperty, problemFor, propose, type AdaptationProblem, type Ending } from "../../src/core/substitution";
import type { SolverPort } from "../../src/core/numeric";
import type { Wish } from "../../src/core/table";
import { REFERENCE, RULES, SUBSTITUTION } from "../../src/data";
import { createHighsPort } from "../../src/workers/solver/highs-port";
import { KINDS, textOfCase, type Case } from "../support/cases";
import { food, read, tableOf } from "../support/kitchen";

let solve: SolverPort;
beforeAll(async () => {
  solve = createHighsPort(await loadHighs());
});

const readCases = new Map(KINDS.map((each) => [each.name, read(textOfCase(each))] as const));
function problemOf({ name, table }: Case, wishes: readonly Wish[], part: Partial<Case["table"]> = {}): AdaptationProblem {
  const recipe = readCases.get(name);
  if (!recipe) throw new Error(name);
  return problemFor(recipe, tableOf({ servings: recipe.recipe.servings, ...table, wishes, ...part }), REFERENCE, SUBSTITUTION, RULES, 2);
}
const versionsOf = (ending: Ending) => (ending.kind === "proposals" ? ending.proposals : []);
const one = (name: string): Case => {
  const found = KINDS.find((each) => each.name === name);
  if (!found) throw new Error(name);
  return found;
};

describe("what is asked of versions beside rules and limits", () => {
  it.each(KINDS.map(({ name }) => name))("%s: a line that stays is as handed down, one that leaves is gone, one at most is no more", async (name) => {
    const bare = problemOf(one(name), []);
    const plain = versionsOf(await propose({ ...bare, maxProposals: 1 }, solve, () => 0))[0];
    let held = 0;
    for (const { id, food: own, grams, role } of bare.lines) {
      if (bare.rules.length > 0 && plain?.version.rows.find(({ line }) => line === id)?.change === "replaced") continue;
      if (role === "seasoning") continue;
      const asked: readonly Wish[] = [
        { kind: "line stays", line: id },
        { kind: "line leaves", line: id },
        { kind: "line at most", line: id, grams: Math.round(grams * 0.8 * 10) / 10 },
      ];
      for (const wish of asked) {
        const ending = await propose({ ...problemOf(one(name), [wish]), maxProposals: 1 }, solve, () => 0);
        for (const { version, standing } of versionsOf(ending)) {
          held++;
          const there = version.rows.filter((row) => row.line === id && row.food?.id === own.id).reduce((sum, row) => sum + row.grams, 0);
          if (wish.kind === "line stays") expect(there, own.name).toBeCloseTo(grams, 6);
          if (wish.kind === "line leaves") expect(there, own.name).toBe(0);
          if (wish.kind === "line at most") expect(there, own.name).toBeLessThanOrEqual(wish.grams + 1e-6);
          expect(standing.breaches).toEqual([]);
        }
        if (ending.kind === "no-version-fits") expect(ending.clashes.length).toBeGreaterThan(0);
        expect(["proposals", "no-version-fits", "failed", "time-ran-out"]).toContain(ending.kind);
      }
    }
    expect(held).toBeGreaterThan(0);
  });

  it("goals are met by what is shown, whatever they are set for", async () => {
    let met = 0;
    const goals: readonly Wish[] = [
      { kind: "goal", goal: "sweetness", aim: "lower", value: null },
      { kind: "goal", goal: "sweetness", aim: "as it is", value: null },
      { kind: "goal", goal: "body", aim: "raise", value: null },
      { kind: "goal", goal: "richness", aim: "lower", value: null },
      { kind: "goal", goal: "fibre", aim: "raise", value: null },
      { kind: "goal", goal: "protein", aim: "at least", value: 5 },
    ];
    for (const each of KINDS)
      for (const wish of goals) {
        if (wish.kind !== "goal") continue;
        const problem = { ...problemOf(each, [wish]), maxProposals: 1 };
        const ending = await propose(problem, solve, () => 0);
        const own = evaluate(problem, REFERENCE.constants).figures;
        const id = goalProperty(wish.goal, problem);
        const [least, most] = goalBounds(wish, own[id].value, problem);
        for (const { figures } of versionsOf(ending)) {
          met++;
          expect(figures[id].value, `${each.name}, ${wish.goal} ${wish.aim}`).toBeGreaterThanOrEqual(least - 0.3);
          expect(figures[id].value, `${each.name}, ${wish.goal} ${wish.aim}`).toBeLessThanOrEqual(most + 0.3);
        }
      }
    expect(met).toBeGreaterThan(25);
  });

  it("a food that is to go in does, as much as is asked; one that is never wanted does not", async () => {
    const carrot = one("Carrot halwa");
    const plain = versionsOf(await propose(problemOf(carrot, []), solve, () => 0))[0];
    const milk = plain?.version.rows.find(({ role, change }) => role === "liquid" && change === "replaced")?.food?.id ?? "";
    expect(milk).not.toBe("");
    for (const { version } of versionsOf(await propose(problemOf(carrot, [{ kind: "food never", food: milk }]), solve, () => 0)))
      expect(version.rows.map(({ food: each }) => each?.id)).not.toContain(milk);
    const used = versionsOf(await propose(problemOf(carrot, [{ kind: "food goes in", food: "coconut-milk", grams: 180 }]), solve, () => 0));
    expect(used.length).toBeGreaterThan(0);
    for (const { version } of used) {
      const grams = version.rows.filter(({ food: each }) => each?.id === "coconut-milk").reduce((sum, row) => sum + row.grams, 0);
      expect(grams).toBeGreaterThanOrEqual(180 - 1e-6);
    }
  });

  it("what contradicts a rule or another wish is named, before anything is solved", async () => {
    const carrot = one("Carrot halwa");
    const milk = problemOf(carrot, []).lines.find(({ role, food: each }) => role === "liquid" && each.origin === "dairy");
    const never = () => Promise.reject(new Error("asked"));
    const stays = await propose(problemOf(carrot, [{ kind: "line stays", line: milk?.id ?? "" }]), never, () => 0);
    expect(stays).toMatchObject({ kind: "no-version-fits", clashes: [{ kind: "wish", wish: { kind: "line stays" } }] });
    const ghee = await propose(problemOf(carrot, [{ kind: "food goes in", food: food("ghee").id, grams: 0 }]), never, () => 0);
    expect(ghee).toMatchObject({ kind: "no-version-fits", clashes: [{ kind: "wish" }] });
  });

  it("what together cannot be names a wish to let go of, and letting go of it is enough", async () => {
    const besan = one("Besan ladoo");
    const wishes: readonly Wish[] = [
      { kind: "goal", goal: "sweetness", aim: "at least", value: 60 },
      { kind: "goal", goal: "richness", aim: "as it is", value: null },
    ];
    const ending = await propose(problemOf(besan, wishes), solve, () => 0);
    if (ending.kind !== "no-version-fits") throw new Error(ending.kind);
    const [clash] = ending.clashes;
    if (clash?.kind !== "wish") throw new Error("no wish");
    expect(ending.relation).toBe("any");
    expect(
      (
        await propose(
          problemOf(
            besan,
            wishes.filter((each) => each !== clash.wish),
          ),
          solve,
          () => 0,
        )
      ).kind,
    ).toBe("proposals");
  });

  it("all locked, all unwanted, nothing but limits of nothing: a named ending, and no figure that is none", async () => {
    for (const each of KINDS) {
      const { lines } = problemOf(each, []);
      for (const wishes of [
        lines.map(({ id }): Wish => ({ kind: "line stays", line: id })),
        lines.map(({ id }): Wish => ({ kind: "line leaves", line: id })),
        [{ kind: "cost at most", most: 0 }] as readonly Wish[],
      ]) {
        const ending = await propose(
          { ...problemOf(each, wishes, { limits: [{ id: "freeSugars", most: 0, school: "uk" }] }), maxProposals: 1 },
          solve,
          () => 0,
        );
        expect(["proposals", "no-version-fits", "failed", "time-ran-out", "nothing-to-change"]).toContain(ending.kind);
        for (const { figures } of versionsOf(ending)) for (const figure of Object.values(figures)) expect(Number.isFinite(figure.value)).toBe(true);
      }
    }
  });

  it("one line, sixty, a milligram, a hundred kilos: a named ending that says something", async () => {
    const sixty = Array.from(
      { length: 60 },
      (_, i) => `${10 + i} g ${["milk", "sugar", "ghee", "semolina", "cashews", "jaggery", "rice", "dates"][i % 8] ?? ""}`,
    );
    const texts = [
      "Milk\nServes 1\n\n1 litre milk\n\n1. Boil the milk for 30 minutes.",
      `All of it\nServes 6\n\n${sixty.join("\n")}\n\n1. Cook all of it for 30 minutes.`,
      "A speck\nServes 1\n\n0.001 g milk\n0.001 g sugar\n0.001 g semolina\n\n1. Boil all of it.",
      "A feast\nServes 500\n\n100 kg milk\n20 kg sugar\n9 kg rice\n\n1. Boil all of it for 60 minutes.",
    ];
    for (const text of texts)
      for (const [rules, most] of [
        [["vegan"], 1000],
        [["vegan", "gluten-free", "nut-free"], 0],
        [[], 0],
      ] as const) {
        const recipe = read(text);
        const table = tableOf({ servings: recipe.recipe.servings, rules, limits: [{ id: "freeSugars", most, school: "uk" }] });
        const ending = await propose(problemFor(recipe, table, REFERENCE, SUBSTITUTION, RULES, 1), solve, () => 0);
        for (const { figures } of versionsOf(ending)) for (const figure of Object.values(figures)) expect(Number.isFinite(figure.value)).toBe(true);
        if (ending.kind === "no-version-fits") expect(ending.clashes.length).toBeGreaterThan(0);
        if (ending.kind === "failed") expect(ending.why).not.toBe("");
      }
  });
});
