import loadHighs from "highs";
import { beforeAll, describe, expect, it } from "vitest";
import { bindingPerGram } from "../../src/core/models/binding";
import { judge } from "../../src/core/models/diet";
import type { Archetype } from "../../src/core/recipe";
import { problemFor, propose, type AdaptationProblem, type Ending, type Proposal, type SolverPort } from "../../src/core/substitution";
import type { DiningTable } from "../../src/core/table";
import { REFERENCE, RULES, SUBSTITUTION } from "../../src/data";
import { createHighsPort } from "../../src/workers/solver/highs-port";
import { freeSugars, read, tableOf } from "../support/kitchen";

interface Case {
  readonly name: string;
  readonly kind: Archetype;
  readonly yields: string;
  readonly lines: string;
  readonly steps: readonly string[];
  readonly table: Partial<DiningTable>;
}
const ofCase = (name: string, kind: Archetype, yields: string, lines: string, steps: readonly string[], table: Partial<DiningTable>): Case => ({
  name,
  kind,
  yields,
  lines,
  steps,
  table,
});
const NO_SUGAR_LIMIT = { limits: [] };

/** One sweet of each kind, and a table that it does not fit as handed down. */
const CASES: readonly Case[] = [
  ofCase(
    "Besan ladoo",
    "ladoo",
    "Makes 16 pieces",
    "2 cups besan\n3/4 cup ghee\n1 cup powdered sugar\n2 tbsp chopped almonds",
    ["Roast the besan in the ghee for 25 minutes.", "Cool, and work in the powdered sugar and the almonds.", "Shape 16 balls."],
    { rules: ["vegan"], serve: "room" },
  ),
  ofCase(
    "Sesame balls",
    "ladoo",
    "Makes 18 pieces",
    "200 g sesame seeds\n150 g jaggery\n2 tsp ghee\n30 ml water",
    [
      "Roast the sesame for 6 minutes.",
      "Melt the jaggery with the water and the ghee and cook 4 minutes to a soft ball.",
      "Stir in the sesame.",
      "Shape 18 balls.",
    ],
    { rules: ["sesame-free"], serve: "room" },
  ),
  ofCase(
    "Carrot halwa",
    "vegetable halwa",
    "Serves 6",
    "1 kg carrots, grated\n1 litre milk\n150 g sugar\n60 g ghee\n30 g cashews",
    [
      "Fry the carrots in the ghee for 10 minutes.",
      "Pour in the milk and simmer for 45 minutes until it is absorbed.",
      "Add the sugar and cook for 10 minutes.",
      "Stir in the cashews.",
    ],
    { rules: ["vegan"], serve: "warm" },
  ),
  ofCase(
    "Moong dal halwa",
    "pulse halwa",
    "Serves 6",
    "200 g moong dal\n120 g ghee\n150 g sugar\n300 ml milk\n200 ml water",
    [
      "Soak the dal 4 hours and grind it.",
      "Fry the dal in the ghee for 25 minutes.",
      "Pour in the milk and the water and cook for 10 minutes.",
      "Add the sugar and cook 8 minutes.",
    ],
    { rules: ["vegan"] },
  ),
  ofCase(
    "Baked custard",
    "set pudding",
    "Serves 6",
    "500 ml milk\n3 eggs\n80 g sugar",
    ["Beat the eggs with the sugar and the milk.", "Bake at 160 °C for 40 minutes."],
    { rules: ["vegan"], serve: "chilled" },
  ),
  ofCase(
    "Cardamom panna cotta",
    "set pudding",
    "Serves 4",
    "300 ml cream\n200 ml milk\n60 g sugar\n8 g gelatin",
    ["Soak the gelatin in the cold milk.", "Warm the cream with the sugar and melt the gelatin in it.", "Chill for 4 hours."],
    { rules: ["vegan"], serve: "chilled" },
  ),
  ofCase(
    "Cashew barfi",
    "barfi",
    "Makes 20 pieces",
    "250 g cashews, ground\n150 g sugar\n80 ml water\n1 tbsp ghee",
    ["Boil the sugar and the water for 5 minutes.", "Stir in the cashews and cook 6 minutes.", "Stir in the ghee, roll it out and cut it into diamonds."],
    { rules: ["vegan"], serve: "room" },
  ),
  ofCase(
    "Kulfi",
    "frozen",
    "Serves 6",
    "1 litre milk\n100 g condensed milk\n60 g sugar\n30 g pistachios",
    ["Simmer the milk for 40 minutes.", "Add the condensed milk and the sugar and cook 10 minutes.", "Cool, add the pistachios, and freeze overnight."],
    { rules: ["vegan"], serve: "chilled" },
  ),
  ofCase(
    "Panjiri",
    "loose mix",
    "Serves 10",
    "300 g whole wheat flour\n120 g ghee\n120 g powdered sugar\n50 g almonds",
    ["Roast the flour in the ghee for 15 minutes.", "Mix with the almonds and the sugar."],
    { rules: ["gluten-free", "vegan"], serve: "room" },
  ),
  ofCase(
    "Date and nut balls",
    "fruit-bound",
    "Makes 15 pieces",
    "250 g dates\n80 g almonds\n60 g cashews\n1 tbsp ghee",
    ["Blend the dates to a paste.", "Fry the nuts in the ghee for 4 minutes.", "Mix and shape 15 balls."],
    { rules: ["nut-free"], serve: "room" },
  ),
  ofCase(
    "Caramel sauce",
    "sauce",
    "Serves 8",
    "150 g sugar\n40 g butter\n150 ml cream",
    ["Melt the sugar to amber.", "Stir in the butter, then the cream.", "Simmer 3 minutes."],
    { rules: ["vegan"], serve: "warm" },
  ),
  ofCase("Shrikhand", "cultured", "Serves 4", "500 g yogurt\n80 g icing sugar", ["Hang the yogurt in a cloth overnight.", "Whisk it with the icing sugar."], {
    limits: freeSugars(12),
    serve: "chilled",
  }),
];
const ISOLATES = ["erythritol", "xylitol", "allulose", "inulin", "stevia"];

describe("whole versions for each kind of sweet", () => {
  let solve: SolverPort;
  const found = new Map<string, { readonly of: AdaptationProblem; readonly ending: Ending }>();
  const proposalsOf = (name: string): readonly Proposal[] => {
    const ending = found.get(name)?.ending;
    return ending?.kind === "proposals" ? ending.proposals : [];
  };
  beforeAll(async () => {
    solve = createHighsPort(await loadHighs());
    for (const { name, kind, yields, lines, steps, table } of CASES) {
      const recipe = read(`${name}\n${yields}\n\nIngredients\n${lines}\n\nMethod\n${steps.map((text, i) => `${i + 1}. ${text}`).join("\n")}`);
      expect(recipe.archetype, name).toBe(kind);
      const of = problemFor(recipe, tableOf({ servings: recipe.recipe.servings, ...NO_SUGAR_LIMIT, ...table }), REFERENCE, SUBSTITUTION, RULES, 3);
      found.set(name, { of, ending: await propose(of, solve, () => 0) });
    }
  }, 120_000);
  const each = CASES.map(({ name, kind }) => [name, kind] as const);

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
      clashes: [{ kind: "food", food: "oat-drink", rules: ["no gluten"] }],
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
});
