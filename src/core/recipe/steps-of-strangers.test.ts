import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { read } from "../../../tests/support/kitchen";
import { REFERENCE } from "../../data";
import { readStep } from "./read-step";

const sweet = (lines: readonly string[], steps: readonly string[]) =>
  read(`A sweet\nServes 4\n\nIngredients\n${lines.join("\n")}\n\nMethod\n${steps.map((step, i) => `${i + 1}. ${step}`).join("\n")}`);
const went = (recipe: ReturnType<typeof sweet>) =>
  recipe.ledger.entries.map((entry) => entry.went.map(({ name, grams }) => `${name} ${Math.round(grams)}`).sort());
const treated = (recipe: ReturnType<typeof sweet>, id: string) => recipe.lines.find(({ food }) => food.id === id)?.treated;

describe("liquids that only the steps name", () => {
  it.each([
    ["Boil 400 ml of hot water with the sugar and pour it over.", 400],
    ["Pour in half a litre of water and the sugar.", 500],
    ["Add the sugar and 2 cups boiling water.", 480],
    ["Wash the pan, then cook it all in two cups of water with the sugar.", 480],
    ["Soak the semolina for 1 hour and grind it with 250 ml water.", 250],
    ["Rinse it, pour in 300 ml water and stir in the sugar.", 300],
    ["Add 1 cup water, then the sugar. Pour in another 1 cup of water.", 480],
  ])("are lines: %s", (step, grams) => {
    const recipe = sweet(["100 g semolina", "80 g sugar"], ["Roast the semolina for 8 minutes.", step]);
    expect(recipe.lines.find(({ food }) => food.id === "water")?.grams ?? 0).toBeCloseTo(grams, -1);
    expect(recipe.recipe.lines).toHaveLength(3);
  });
  it.each([
    "Soak the semolina in 2 cups of water and drain.",
    "Wash and soak the semolina in 2 cups of water.",
    "Rinse the pan, then soak the semolina in 500 ml water, then drain it.",
    "Wash the semolina in 2 cups water.",
    "Bake it in a bath of 500 ml water.",
    "Roast the semolina, then add the sugar and the water.",
    "Stir in two spoonfuls of the milk.",
  ])("are none where they go away again, or no amount is told: %s", (step) =>
    expect(sweet(["100 g semolina", "80 g sugar"], [step]).recipe.lines).toHaveLength(2),
  );
  it("are meant by what is listed", () => {
    expect(sweet(["300 ml water", "100 g semolina"], ["Boil 200 ml water.", "Add the semolina."]).recipe.lines).toHaveLength(2);
    expect(sweet(["1 litre milk", "100 g rice"], ["Cook the rice in 500 ml milk.", "Add the rest of the milk."]).recipe.lines).toHaveLength(2);
    // Ghee is of a cow as well, and no milk.
    expect(
      sweet(["2 tbsp ghee", "100 g rice"], ["Simmer the rice in 1 litre of milk for 40 minutes.", "Fry it in the ghee."]).lines.map(({ food }) => food.id),
    ).toContain("cow-milk");
  });
  it("make the sweet heavier by what they weigh, whatever stands around them", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 900 }),
        fc.constantFrom("Pour in", "Stir in", "Add", "Mix it with"),
        fc.constantFrom("", "hot ", "cold "),
        (ml, verb, heat) => {
          const step = `${verb} ${ml} ml ${heat}water.`;
          const [without, with_] = [sweet(["100 g semolina", "80 g sugar"], ["Mix the two."]), sweet(["100 g semolina", "80 g sugar"], ["Mix the two.", step])];
          expect(with_.lines.reduce((sum, { grams }) => sum + grams, 0) - without.lines.reduce((sum, { grams }) => sum + grams, 0)).toBeCloseTo(ml, -1);
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe("a liquid that a step names", () => {
  it("is a line in the step's own words, and judged as any line: milk of a step is dairy, what is left open is asked", () => {
    const named = (words: string) => sweet(["100 g semolina", "80 g sugar"], [`Pour in 1 cup of ${words} and cook for 5 minutes.`]).recipe.lines.at(-1)?.text;
    for (const words of ["almond milk", "coconut milk", "milk", "buttermilk", "oat milk"]) expect(named(words)).toBe(`1 cup ${words}`);
  });
});

describe("what goes in at a step", () => {
  it("is the other half of what a step before took", () => {
    for (const rest of ["Add the other half and simmer for 10 minutes.", "Pour in the rest, and simmer for 10 minutes.", "Stir in the remaining half."]) {
      const recipe = sweet(["1 litre milk", "60 g rice"], ["Simmer the rice in half of the milk for 20 minutes.", rest]);
      expect(
        went(recipe).map((names) => names.filter((name) => name.startsWith("Whole milk"))),
        rest,
      ).toEqual([["Whole milk 515"], ["Whole milk 515"]]);
    }
  });
  it("is all that has the name in common", () => {
    const recipe = sweet(["1 litre milk", "60 g rice", "40 g sugar", "40 g jaggery"], ["Simmer the rice in the milk for 20 minutes.", "Stir in both sugars."]);
    expect(went(recipe)[1]).toEqual(["Jaggery, cane 40", "Sugar 40"]);
  });
  it("is cooked in a pan of its own where the words say so", () => {
    const steps = (pan: string) => [
      "Simmer the rice in the milk for 30 minutes.",
      `${pan} boil the sugar and the water to a syrup, 6 minutes.`,
      "Stir the syrup into the rice.",
    ];
    const lines = ["1 litre milk", "60 g rice", "100 g sugar", "60 ml water"];
    const [own, same] = [sweet(lines, steps("In another small pan")), sweet(lines, steps("Then"))];
    expect(own.ledger.entries[1]?.driven).toBeLessThan(60);
    expect(same.ledger.entries[1]?.driven).toBeGreaterThan(60);
    expect(treated(own, "white-rice")?.minutes).toBe(30);
  });
});

describe("how long it cooks", () => {
  const problems = (...steps: readonly string[]) => sweet(["1 litre milk", "60 g rice", "80 g sugar"], steps).ledger.problems;
  it("is asked where no step tells it and much would boil away", () => {
    expect(problems("Simmer the rice in the milk.", "Stir in the sugar.")).toMatchObject([{ kind: "cooking not told", step: 0 }]);
    for (const told of ["Simmer the rice in the milk for 30 minutes.", "Simmer the rice in the milk down to 800 ml."])
      expect(problems(told, "Stir in the sugar.")).toEqual([]);
    expect(problems("Mix all of it.")).toEqual([]);
  });
});

describe("a lid", () => {
  const driven = (step: string) => sweet(["1 litre milk", "60 g rice"], [`Simmer the rice in the milk for 20 minutes${step}.`]).ledger.entries[0]?.driven ?? 0;
  it("that is off covers nothing", () => {
    for (const off of [", lid off", " without a lid", ", no lid", " uncovered"]) expect(driven(off), off).toBe(driven(""));
    for (const on of [" under a lid", ", covered", " with the lid on"]) expect(driven(on), on).toBeLessThan(0.3 * driven(""));
  });
});

describe("a syrup", () => {
  const syrup = (step: string, water = "100 ml") => sweet(["200 g sugar", `${water} water`], [`Put the sugar and the water into a pan. ${step}`]);
  const percent = (recipe: ReturnType<typeof sweet>) => (100 * 200) / recipe.ledger.finished.value;
  it.each([
    ["Boil it to a one-string consistency.", 75],
    ["Cook to a two-string syrup, 8 minutes.", 80],
    ["Boil the syrup to the soft-ball stage.", 85],
    ["Boil until a thermometer reads 112 °C.", 80],
    ["Heat it to 116°C.", 85],
  ])("is boiled to its stage: %s", (step, solids) => expect(percent(syrup(step))).toBeCloseTo(solids, -0.5));
  it("asks where it is thicker already, and leaves a pot alone that is no syrup", () => {
    expect(syrup("Boil it to a one-string consistency.", "20 ml").ledger.problems).toMatchObject([{ kind: "end not reached" }]);
    const pudding = sweet(["1 litre milk", "60 g rice"], ["Simmer the rice in the milk for 10 minutes, until a thermometer reads 104 °C."]);
    expect(pudding.ledger.entries[0]?.driven).toBeLessThan(150);
    const baked = sweet(["500 ml milk", "3 eggs"], ["Bake it in the oven at 150 °C for 40 minutes."]);
    expect(baked.ledger.finished.value).toBeGreaterThan(600);
  });
});

describe("a pan of its own", () => {
  it("in which nothing wet is has the other's poured in before it cooks", () => {
    const recipe = sweet(
      ["100 g semolina", "60 g ghee", "120 g sugar", "400 ml water"],
      ["Boil the sugar and the water for 2 minutes.", "In another pan roast the semolina in the ghee, pour the syrup over and cook for 6 minutes."],
    );
    expect(recipe.ledger.entries[1]?.driven).toBeGreaterThan(30);
  });
});

describe("what steps do to foods", () => {
  it.each([
    ["3 ripe bananas", "Mash the bananas and fold them in.", "banana", { ground: "fine" }],
    ["100 g dates, chopped", "Blend the dates with the milk until smooth.", "dates", { ground: "fine" }],
    ["100 g almonds", "Grind the almonds coarsely and stir them in.", "almond", { ground: "coarse" }],
    ["100 g almonds, ground to a paste", "Stir the almonds in.", "almond", { ground: "fine" }],
    ["100 g almonds", "Soak the almonds for 6 hours.", "almond", { soaked: true }],
    ["80 g sugar", "Caramelise the sugar until it is dark amber.", "sugar", { caramel: "dark" }],
    ["2 eggs", "Whisk in the eggs and bake it for 40 minutes.", "egg", { egg: "baked" }],
    ["2 egg yolks", "Stir in the yolks and cook for 5 minutes.", "egg-yolk", { egg: "stirred" }],
    ["100 g moong dal", "Pressure-cook the dal in the milk for 3 whistles, and mash it.", "moong-dal", { broken: 1 }],
    ["80 g whole wheat flour", "Roast the flour for 10 minutes.", "whole-wheat-flour", { toasted: true }],
  ] as const)("%s: %s", (line, step, id, expected) => {
    const first =
      step.startsWith("Roast") || step.startsWith("Caramelise") || step.startsWith("Soak")
        ? [step, "Warm the milk and pour it over."]
        : ["Warm the milk.", step];
    expect(treated(sweet(["500 ml milk", line], first), id)).toMatchObject(expected);
  });
  it("are no things that a cue tells, nor what is done to another food", () => {
    expect(
      treated(sweet(["100 g millet", "500 ml milk"], ["Cook the millet in the milk for 20 minutes, until it mashes between two fingers."]), "foxtail-millet")
        ?.ground,
    ).toBeUndefined();
    const apart = sweet(["100 g almonds", "3 bananas", "500 ml milk"], ["Mash the bananas, chop the almonds, and stir both into the milk."]);
    expect([treated(apart, "banana")?.ground, treated(apart, "almond")?.ground]).toEqual(["fine", undefined]);
  });
  it("counts mashed fruit as free sugars by the stricter school, whole fruit not", () => {
    const [mashed, whole] = ["Mash the bananas and stir them in.", "Slice the bananas over it."].map((step) =>
      sweet(["500 ml milk", "3 bananas"], ["Warm the milk.", step]),
    );
    expect(mashed && treated(mashed, "banana")).toMatchObject({ ground: "fine" });
    expect(whole && treated(whole, "banana")?.ground).toBeUndefined();
  });
  it("hangs yogurt and curdles milk: the whey is gone", () => {
    const hung = sweet(["500 g yogurt", "100 g sugar"], ["Hang the yogurt in a cloth overnight.", "Whisk in the sugar."]);
    expect(hung.lines.map(({ food, grams }) => [food.id, Math.round(grams)])).toEqual([
      ["hung-curd", 200],
      ["sugar", 100],
    ]);
    const atOnce = sweet(["1 kg yogurt", "150 g powdered sugar"], ["Hang the yogurt in muslin overnight. Beat the hung curd with the sugar."]);
    expect(atOnce.lines.map(({ food, grams }) => [food.id, Math.round(grams)])).toEqual([
      ["hung-curd", 400],
      ["icing-sugar", 150],
    ]);
    expect(atOnce.unlisted).toEqual([]);
    const curdled = sweet(
      ["1 litre milk", "2 tbsp lemon juice", "120 g sugar"],
      ["Boil the milk, add the lemon juice and let it curdle. Strain through a cloth and press.", "Knead the paneer with the sugar."],
    );
    expect(curdled.lines.map(({ food }) => food.id)).toEqual(["paneer", "sugar"]);
    expect(curdled.unlisted).toEqual([]);
    const other = sweet(["500 g yogurt", "100 g sugar"], ["Whisk the yogurt with the sugar and strain it through a sieve."]);
    const sieved = sweet(["500 g yogurt", "100 g sugar"], ["Strain the yogurt through a sieve.", "Whisk in the sugar."]);
    expect(sieved.lines.map(({ food }) => food.id)).toEqual(["yogurt", "sugar"]);
    expect(other.lines.map(({ food }) => food.id)).toEqual(["yogurt", "sugar"]);
  });
});

describe("what is not to boil", () => {
  const heatOf = (text: string) => readStep({ id: "s1", text, choice: {} }, REFERENCE.constants.process.value).heat;
  it.each(["Warm the milk and take it off before it boils.", "Stir in the coconut milk; do not let it come to the boil.", "Heat it, never boiling."])(
    "does not: %s",
    (text) => expect(heatOf(text)).toBeNull(),
  );
  it.each([
    "Do not cover and simmer for 20 minutes.",
    "Before serving boil the syrup for 5 minutes.",
    "Without stirring, boil it for 4 minutes.",
    "Simmer, not too fast, for 10 minutes.",
  ])("does: %s", (text) => expect(heatOf(text)).not.toBeNull());
});
