import loadHighs from "highs";
import { beforeAll, describe, expect, it } from "vitest";
import { bindingPerGram } from "../../src/core/models/binding";
import { judge } from "../../src/core/models/diet";
import { changedShare, leastChange, problemFor, propose, suitOf, type AdaptationProblem, type Ending, type Proposal } from "../../src/core/substitution";
import type { SolverPort } from "../../src/core/numeric";
import { REFERENCE, RULES, SUBSTITUTION } from "../../src/data";
import { createHighsPort } from "../../src/workers/solver/highs-port";
import { KINDS, textOfCase } from "../support/cases";
import { read, tableOf } from "../support/kitchen";

const ISOLATES = ["erythritol", "xylitol", "allulose", "inulin", "stevia"];

let solve: SolverPort;

describe("whole versions for each kind of sweet", () => {
  const found = new Map<string, { readonly of: AdaptationProblem; readonly ending: Ending }>();
  const proposalsOf = (name: string): readonly Proposal[] => {
    const ending = found.get(name)?.ending;
    return ending?.kind === "proposals" ? ending.proposals : [];
  };
  beforeAll(async () => {
    solve = createHighsPort(await loadHighs());
    for (const each of KINDS) {
      const { name, kind, table } = each;
      const recipe = read(textOfCase(each));
      expect(recipe.archetype, name).toBe(kind);
      const of = problemFor(recipe, tableOf({ servings: recipe.recipe.servings, ...table }), REFERENCE, SUBSTITUTION, RULES, 3);
      found.set(name, { of, ending: await propose(of, solve, () => 0) });
    }
  }, 120_000);
  const each = KINDS.map(({ name, kind }) => [name, kind] as const);

  it.each(each)("%s: some, each fit for its table, each label once", (name) => {
    const proposals = proposalsOf(name);
    expect(proposals.length).toBeGreaterThan(0);
    expect(new Set(proposals.map(({ label }) => label)).size).toBe(proposals.length);
    const { of } = found.get(name) as { of: AdaptationProblem };
    for (const { version, standing, reason } of proposals) {
      expect(standing.breaches).toEqual([]);
      for (const { food } of version.rows) if (food) for (const rule of of.rules) expect(judge(food, rule).verdict, food.id).not.toBe("avoid");
      expect(reason).not.toMatch(/undefined|NaN/);
    }
  });

  it.each(each)("%s: what leads it stays at half or more, nothing is diluted, isolates only for less sugar", (name) => {
    const { of } = found.get(name) as { of: AdaptationProblem };
    const dry = ({ food, grams }: { readonly food: { readonly per100g: readonly number[]; readonly id: string } | null; readonly grams: number }) =>
      food === null || food.id === "water" ? 0 : grams * (1 - (food.per100g[0] ?? 0) / 100);
    const lead = of.tables.profiles.get(of.archetype)?.lead.filter((role) => role !== "liquid") ?? [];
    for (const { version } of proposalsOf(name)) {
      const of_ = (rows: readonly { readonly role: string; readonly food: (typeof version.rows)[number]["food"]; readonly grams: number }[]) =>
        rows.filter(({ role }) => lead.some((each) => each === role)).reduce((sum, row) => sum + dry(row), 0);
      expect(of_(version.rows)).toBeGreaterThanOrEqual(0.49 * of_(of.lines));
      const isolates = version.rows.filter(({ food, change }) => food && change !== "as is" && ISOLATES.includes(food.id));
      if (of.limits.length === 0) expect(isolates).toEqual([]);
    }
  });

  it.each(each)("%s: what is told before solving is no more than what then changes", (name) => {
    const { of } = found.get(name) as { of: AdaptationProblem };
    expect(suitOf(of).kind).toBe("to adapt");
    const changed = proposalsOf(name).map(({ version }) => changedShare(version, of));
    expect(Math.min(...changed)).toBeGreaterThanOrEqual(leastChange(of) - 1e-9);
    expect(Math.max(...changed)).toBeLessThanOrEqual(1);
  });

  it("hold a ladoo together as it held before, and a jelly as firm", () => {
    const ratio = (rows: readonly { readonly food: Proposal["version"]["rows"][number]["food"]; readonly grams: number }[]) => {
      const sums = rows.reduce(
        (all, { food, grams }) => {
          const { demand, supply } = food ? bindingPerGram(food, food.per100g, REFERENCE.constants) : { demand: 0, supply: 0 };
          return { demand: all.demand + demand * grams, supply: all.supply + supply * grams };
        },
        { demand: 0, supply: 0 },
      );
      return sums.supply / sums.demand;
    };
    const { of } = found.get("Besan ladoo") as { of: AdaptationProblem };
    for (const { version } of proposalsOf("Besan ladoo")) expect(Math.abs(ratio(version.rows) / ratio(of.lines) - 1)).toBeLessThan(0.25);
    const { of: jelly } = found.get("Cardamom panna cotta") as { of: AdaptationProblem };
    for (const { version, figures } of proposalsOf("Cardamom panna cotta")) {
      expect(version.rows.filter(({ food }) => food?.thickening.agar).map(({ role }) => role)).toEqual(["setting"]);
      expect(figures["body.chilled"].value).toBeGreaterThan(6.5);
      expect(jelly.archetype).toBe("set pudding");
    }
  });

  it("tell one of several that differ only in their fat, with the others in its line", () => {
    const barfi = proposalsOf("Cashew barfi");
    expect(barfi).toHaveLength(1);
    expect(barfi[0]?.version.rows.find(({ role }) => role === "richness")?.why).toMatch(/, or (?:sunflower|groundnut|sesame) oil|, or cocoa butter/);
  });

  it("leave out what a recipe calls optional, free, and take what its own words name", async () => {
    const of = (text: string, rules: readonly string[]) =>
      propose(problemFor(read(text), tableOf({ servings: 4, rules: [...rules] }), REFERENCE, SUBSTITUTION, RULES, 1), solve, () => 0);
    const optional = await of(
      "Rice kheer\nServes 4\n1 litre milk\n60 g rice\n80 g sugar\n20 g almonds, optional\n\n1. Simmer the rice in the milk for 40 minutes.\n2. Stir in the sugar and the almonds.",
      ["nut-free"],
    );
    expect(optional.kind === "proposals" && optional.proposals[0]?.version.rows.map(({ change }) => change)).toEqual(["as is", "as is", "as is", "left out"]);
  });

  it("name the food that would make one fit where the house takes it", async () => {
    const of = read("Baked custard\nServes 4\n\n500 ml milk\n3 eggs\n80 g sugar\n\n1. Beat all together.\n2. Bake for 40 minutes.");
    const rules = ["dairy-free", "nut-free", "soy-free", "no-coconut", "gluten-free"];
    expect(await propose(problemFor(of, tableOf({ servings: 4, rules, serve: "chilled" }), REFERENCE, SUBSTITUTION, RULES, 2), solve, () => 0)).toMatchObject({
      kind: "no-version-fits",
      clashes: [{ kind: "food", food: "oat-drink", asks: [{ short: "no gluten" }] }],
    });
  });

  it("are refused where another milk would have to be soured", async () => {
    const of = read("Shrikhand\nServes 4\n\n500 g yogurt\n80 g icing sugar\n\n1. Hang the yogurt in a cloth overnight.\n2. Whisk it with the icing sugar.");
    expect(await propose(problemFor(of, tableOf({ servings: 4, rules: ["dairy-free"] }), REFERENCE, SUBSTITUTION, RULES, 3), solve, () => 0)).toMatchObject({
      kind: "failed",
      why: expect.stringMatching(/soured/) as string,
    });
  });
});

describe("the kind of a sweet", () => {
  const kindOf = (title: string, lines: string, ...steps: readonly string[]) =>
    read(`${title}\nServes 4\n\n${lines}\n\n${steps.map((text, i) => `${i + 1}. ${text}`).join("\n")}`).archetype;
  it("is told by its name, else by what is done in the end, else by what is in it", () => {
    expect(
      kindOf(
        "Grandmother's sweet",
        "200 g besan\n100 g ghee\n120 g sugar",
        "Roast the besan in the ghee for 20 minutes.",
        "Work in the sugar and shape 12 balls.",
      ),
    ).toBe("ladoo");
    expect(
      kindOf(
        "Grandmother's sweet",
        "200 g cashews\n120 g sugar\n60 ml water",
        "Boil the sugar and the water.",
        "Stir in the cashews, press it flat and cut it into squares.",
      ),
    ).toBe("barfi");
    expect(kindOf("Mango something", "300 g mango\n300 ml cream\n60 g sugar", "Whisk all together.", "Freeze overnight.")).toBe("frozen");
    expect(kindOf("Milk and rice", "1 litre milk\n60 g rice\n80 g sugar", "Simmer for 40 minutes.")).toBe("pudding");
  });
  it("does not change when one line is answered", () => {
    const ladoo = (line: string) =>
      kindOf(
        "Winter ladoo",
        `${line}\n200 g wheat flour\n100 g ghee\n120 g jaggery`,
        "Roast the flour in the ghee for 15 minutes.",
        "Work in the jaggery and shape 15 balls.",
      );
    expect(new Set([ladoo("gond"), ladoo("300 ml milk"), ladoo("400 g carrots"), ladoo("10 g salt")])).toEqual(new Set(["ladoo"]));
  });

  it("keep what a caramel, a crack or a boiled milk needs", async () => {
    const solved = async (text: string, rules: readonly string[]) => {
      const recipe = read(text);
      const ending = await propose(
        problemFor(recipe, tableOf({ servings: recipe.recipe.servings, rules, serve: "room" }), REFERENCE, SUBSTITUTION, RULES, 3),
        solve,
        () => 0,
      );
      return ending.kind === "proposals" ? ending.proposals : [];
    };
    const custard = await solved(
      "Caramel cups\nServes 4\n\n3 eggs\n400 ml milk\n120 g sugar\n30 ml water\n\n1. Melt half the sugar with the water to a caramel, and pour it into cups.\n2. Warm the milk with the rest of the sugar.\n3. Beat the eggs, stir them in, and bake for 40 minutes in a water bath.\n4. Chill.",
      ["egg-free"],
    );
    expect(custard.length).toBeGreaterThan(0);
    for (const { version } of custard) expect(version.rows.find(({ line }) => line === "l4")?.grams).toBeCloseTo(30, -0.5);
    const brittle = await solved(
      "Seed brittle\nMakes 12 pieces\n\n200 g sesame seeds\n150 g sugar\n50 g honey\n\n1. Toast the sesame seeds.\n2. Boil the sugar and the honey to the hard crack, and stir in the sesame seeds.\n3. Roll it out and cut it.",
      ["vegan"],
    );
    expect(brittle.length).toBeGreaterThan(0);
    for (const { version } of brittle) expect(version.rows.filter(({ food, change }) => food?.family === "fruit" && change !== "as is")).toEqual([]);
    const boiled = "Reduced milk\nServes 4\n\n1 litre milk\n60 g sugar\n\n1. Simmer the milk for 50 minutes, until it is down to half.\n2. Stir in the sugar.";
    const own = problemFor(read(boiled), tableOf({ servings: 4 }), REFERENCE, SUBSTITUTION, RULES, 1).evaporation.value;
    const lactose = await solved(boiled, ["lactose-free"]);
    const milk = lactose.find(({ version }) => version.rows.some(({ food }) => food?.id === "lactose-free-milk"));
    expect(milk?.version.evaporation).toBeGreaterThan(0.75 * own);
    for (const { version } of await solved(boiled, ["vegan"])) expect(version.evaporation).toBeLessThan(0.65 * own);
    const seeds = await solved(
      "Peanut brittle\nMakes 12 pieces\n\n200 g peanuts\n180 g jaggery\n2 tbsp water\n\n1. Melt the jaggery with the water to the hard crack.\n2. Stir in the peanuts and cut it warm.",
      ["peanut-free"],
    );
    expect(seeds.length).toBeGreaterThan(0);
  });

  it("are told by what leads them: a fruit that flavours a sheera makes no vegetable halwa, a mix is loose", () => {
    const kind = (text: string) => read(text).archetype;
    expect(
      kind(
        "Banana sheera\nServes 4\n\n120 g semolina\n80 g ghee\n100 g sugar\n2 bananas\n350 ml milk\n\n1. Roast the semolina in the ghee.\n2. Cook all of it.",
      ),
    ).toBe("flour halwa");
    expect(kind("Pumpkin halwa\nServes 4\n\n800 g pumpkin\n30 g semolina\n60 g ghee\n120 g sugar\n\n1. Cook all of it.")).toBe("vegetable halwa");
    expect(
      kind("Winter mix\nServes 8\n\n300 g whole wheat flour\n140 g ghee\n120 g powdered sugar\n\n1. Roast the flour in the ghee.\n2. Stir in the sugar."),
    ).toBe("loose mix");
  });

  it("know an oven and hot oil from sugar that cracks", () => {
    const cracks = (step: string) =>
      problemFor(read(`Sweet\nServes 4\n\n200 g sugar\n100 g sesame seeds\n\n1. ${step}\n2. Mix all.`), tableOf(), REFERENCE, SUBSTITUTION, RULES, 1).cracks;
    expect(["Boil the sugar to 150 °C.", "Melt the sugar to the hard crack."].map(cracks)).toEqual([true, true]);
    expect(["Preheat the oven to 160 °C. Melt the sugar.", "Bake it at 150 °C for 20 minutes.", "Fry it in oil of 170 °C."].map(cracks)).toEqual([
      false,
      false,
      false,
    ]);
  });
});
