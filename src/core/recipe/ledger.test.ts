import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { context, read } from "../../../tests/support/kitchen";
import { DEMO_RECIPES, REFERENCE } from "../../data";
import { balance, plainSteps, readRecipe, type Recipe, type RecipeStep } from ".";

const recipeOf = (lines: readonly string[], steps: readonly (string | Partial<RecipeStep>)[], part: Partial<Recipe> = {}): Recipe => ({
  title: "A sweet",
  servings: 4,
  lines: lines.map((text, i) => ({ id: `l${i + 1}`, text, choice: {} })),
  steps: steps.map((step, i) => ({ id: `s${i + 1}`, choice: {}, ...(typeof step === "string" ? { text: step } : { text: "", ...step }) })),
  evaporation: null,
  archetype: null,
  ...part,
});
const ledgerOf = (...args: Parameters<typeof recipeOf>) => {
  const made = readRecipe(recipeOf(...args), context, REFERENCE.constants);
  return { ...made.ledger, read: made };
};
const went = (ledger: ReturnType<typeof ledgerOf>) => ledger.entries.map((entry) => entry.went.map(({ name, grams }) => [name, Math.round(grams)]));

describe("the mass ledger", () => {
  it("loses no gram: what went in is there, driven off, or told to be elsewhere, in every demo recipe and every step", () => {
    for (const { text } of DEMO_RECIPES) {
      const { ledger, readings } = read(text);
      const pots = new Map<string | null, number>();
      let [all, gone, moved] = [0, 0, 0];
      for (const entry of ledger.entries) {
        const into = entry.went.reduce((sum, { grams }) => sum + grams, 0);
        const away = entry.away.reduce((sum, { grams }) => sum + grams, 0);
        expect(entry.after.mass).toBeCloseTo((pots.get(entry.component) ?? 0) + into - entry.driven - away, 0);
        expect(entry.after.water).toBeGreaterThanOrEqual(-1e-9);
        expect(entry.after.water + entry.after.fat).toBeLessThanOrEqual(entry.after.mass + 1e-6);
        pots.set(entry.component, entry.after.mass);
        all += into;
        gone += entry.driven + away;
        moved += entry.went.reduce((sum, { name, grams }) => sum + (readings.some((line) => line.kind === "read" && line.food.name === name) ? 0 : grams), 0);
      }
      const written = readings.reduce((sum, line) => sum + (line.kind === "read" ? line.grams.value : 0), 0);
      expect(all - moved).toBeCloseTo(written, 1);
      expect(ledger.problems).toEqual([]);
      const apart = ledger.apart.reduce((sum, { grams }) => sum + grams, 0);
      expect(ledger.finished.value + apart).toBeCloseTo(written - gone, 0);
    }
  });
  it("is what the models take: their yield is the ledger's, but for what stays on the tools", () => {
    for (const { text } of DEMO_RECIPES) {
      const { ledger, lines, evaporation } = read(text);
      const apart = ledger.apart.reduce((sum, { grams }) => sum + grams, 0);
      const tools = ledger.entries
        .flatMap(({ away }) => away)
        .filter(({ name }) => !/peel|pulp/.test(name))
        .reduce((sum, { grams }) => sum + grams, 0);
      expect(balance(lines, evaporation.grams.value, null).finishedMass).toBeCloseTo(ledger.finished.value + apart + tools, 0);
    }
  });
  it("never drives off more water than there is, whatever the times", () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 600 }),
        fc.integer({ min: 1, max: 900 }),
        fc.constantFrom("Simmer", "Keep at a rolling boil"),
        (water, minutes, heat) => {
          const { entries, finished } = ledgerOf([`${water} ml water`, "50 g sugar"], [`${heat} the water with the sugar for ${minutes} minutes.`]);
          expect(entries[0]?.after.water).toBeGreaterThanOrEqual(0);
          expect(finished.value).toBeGreaterThanOrEqual(50 - 1e-6);
        },
      ),
    ));
  it("says what does not add up: more water driven off than was there", () => {
    const { problems } = ledgerOf(["200 ml milk", "50 g sugar"], ["Simmer the milk with the sugar for 90 minutes."]);
    expect(problems).toMatchObject([{ kind: "more water than there is", step: 0 }]);
  });
  it("boils down to a part of itself, by the words", () => {
    expect(ledgerOf(["1 kg milk"], ["Boil the milk until it is reduced to half."]).finished.value).toBeCloseTo(500, 0);
    expect(ledgerOf(["1 kg milk"], ["Simmer the milk down by a third."]).finished.value).toBeCloseTo(667, 0);
    expect(ledgerOf(["1 kg milk"], ["Reduce the milk to a quarter."]).problems).toEqual([]);
    expect(ledgerOf(["1 kg sugar", "100 g water"], ["Boil the sugar and the water down to half."]).problems).toMatchObject([
      { kind: "more water than there is" },
    ]);
  });
  it("takes up water in soaking, and comes with it when cooked before", () => {
    const soaked = ledgerOf(["100 g moong dal", "500 g milk"], ["Soak the moong dal for 2 hours and drain it.", "Stir it into the milk."]);
    expect(soaked.entries[0]).toMatchObject({ driven: -100, after: { mass: 200 } });
    expect(ledgerOf(["100 g rice", "500 g milk"], ["Soak the rice in the milk for 2 hours."]).entries[0]?.driven).toBe(0);
    const cooked = ledgerOf(["2 cups cooked rice", "500 g milk"], ["Stir the rice into the milk."]);
    expect(cooked.read.lines[0]?.grams).toBeCloseTo(123.4, 0);
    expect(cooked.finished.value).toBeCloseTo(500 + 0.72 * 480, 0);
  });
  it("leaves peel behind unless the line says it is peeled, and buys it", () => {
    const { read: made } = ledgerOf(["400 g carrots"], ["Peel and grate the carrots."]);
    expect(made.lines).toMatchObject([{ grams: 360, bought: 400 }]);
    expect(ledgerOf(["400 g carrots, peeled"], ["Peel and grate the carrots."]).finished.value).toBeCloseTo(400, 6);
  });
  it("dries what is roasted to its moisture, and nothing in a wet pot", () => {
    const flour = ledgerOf(["200 g semolina"], ["Roast the semolina for 10 minutes."]);
    expect(flour.entries[0]?.after.water).toBeCloseTo(0.025 * (flour.entries[0]?.after.mass ?? 0), 1);
    expect(
      ledgerOf(["200 g semolina", "600 g water"], ["Pour the water on the semolina and roast it for 5 minutes.", "Simmer for 1 minute."]).entries[0]?.driven,
    ).toBe(0);
  });
  it("presses a milk out: it takes the place of nut and water, pulp is taken out", () => {
    const pressed = ledgerOf(
      ["100 g almonds", "400 g water", "40 g sugar"],
      ["Soak the almonds overnight.", "Blend the almonds with the water and strain the milk through a cloth.", "Stir in the sugar."],
    );
    expect(pressed.read.lines.map(({ food, role }) => [food.name, role])).toEqual([
      ["Almond milk, pressed here", "liquid"],
      ["Sugar", "sweetener"],
    ]);
    expect(pressed.entries[1]?.away).toMatchObject([{ name: "pulp, and what stays on the cloth" }]);
    expect(pressed.read.lines[0]?.food.allergens).toContain("almond");
  });
  it("presses nuts together by their mass, and leaves of what is beside them a share in the pulp", () => {
    const lines = ["100 g almonds", "50 g cashews", "60 g dates", "450 g water"];
    const {
      read: together,
      entries,
      problems,
    } = ledgerOf(lines, ["Blend the almonds, the cashews and the dates with the water and strain it through a cloth."]);
    expect(problems).toEqual([]);
    expect(together.lines.map(({ food }) => food.name)).toEqual(["Almond milk, pressed here", "Cashew milk, pressed here", "Dates"]);
    expect(entries[0]?.after.mass).toBeCloseTo(660 - (entries[0]?.away[0]?.grams ?? 0), 6);
    const alone = (line: string, water: string) => ledgerOf([line, water], ["Blend all of it and strain it through a cloth."]).read.lines[0];
    const [almond, cashew, dates] = together.lines;
    expect(almond?.grams).toBeCloseTo(alone("100 g almonds", "300 g water")?.grams ?? 0, 6);
    expect(cashew?.grams).toBeCloseTo(alone("50 g cashews", "150 g water")?.grams ?? 0, 6);
    expect(dates?.grams).toBeLessThan(60);
    expect(dates?.grams).toBeGreaterThan(30);
  });
  it("lets a weighed pot go before all that is reckoned, unless it cannot be", () => {
    const weighed = (grams: number) =>
      ledgerOf(["1 kg milk", "100 g sugar"], [{ text: "Simmer the milk with the sugar for 20 minutes.", choice: { weighed: grams } }]);
    expect(weighed(700).finished.value).toBeCloseTo(700, 9);
    expect(weighed(700).finished.sd).toBeLessThan(weighed(5000).finished.sd);
    expect(weighed(5000).problems).toMatchObject([{ kind: "weighs more", weighed: 5000 }]);
    expect(weighed(120).problems).toMatchObject([{ kind: "weighs less than dry", weighed: 120 }]);
  });
});

describe("whatever parts and steps a recipe has", () => {
  const use = fc.oneof(
    fc.constant({ kind: "whole" as const }),
    fc.constant({ kind: "apart" as const }),
    fc.double({ min: 0.05, max: 1, noNaN: true }).map((share) => ({ kind: "part" as const, share })),
  );
  const ids = ["a", "b", "c"] as const;
  const place = fc.option(fc.constantFrom(...ids), { nil: undefined });
  const recipes = fc
    .record({
      components: fc.array(fc.record({ use, into: place }), { minLength: 0, maxLength: 3 }),
      lines: fc.array(
        fc.record({ text: fc.constantFrom("100 g sugar", "200 g milk", "50 g semolina", "80 g almonds", "60 g rice", "30 g ghee"), component: place }),
        { minLength: 1, maxLength: 6 },
      ),
      steps: fc.array(
        fc.record({
          text: fc.constantFrom(
            "Stir in half the sugar.",
            "Simmer the milk for 10 minutes.",
            "Add the rest of the sugar and the part b.",
            "Roast the semolina.",
            "Soak the rice for an hour.",
            "Fry the almonds in the ghee and lift them out.",
            "Pour the part a over the part c.",
            "Strain it through a cloth.",
            "Chill it overnight.",
          ),
          component: place,
        }),
        { maxLength: 7 },
      ),
    })
    .map(({ components, lines, steps }) =>
      recipeOf([], [], {
        components: components.map((each, i) => ({ id: ids[i] ?? "a", name: `Part ${ids[i] ?? "a"}`, ...each })),
        lines: lines.map((each, i) => ({ id: `l${i}`, choice: {}, ...each })),
        steps: steps.map((each, i) => ({ id: `s${i}`, choice: {}, ...each })),
      }),
    );
  it("what the models take is what the pots come to: no part is lost on the way or counted twice", () =>
    fc.assert(
      fc.property(recipes, (recipe) => {
        const { ledger, lines, evaporation } = readRecipe(recipe, context, REFERENCE.constants);
        const apart = ledger.apart.reduce((sum, { grams }) => sum + grams, 0);
        const tools = ledger.entries.flatMap(({ away }) => away).reduce((sum, { name, grams }) => sum + (/peel|pulp/.test(name) ? 0 : grams), 0);
        const models = balance(lines, evaporation.grams.value, null).finishedMass;
        // What stays on the tools of a part that is used in part counts in part.
        expect(models).toBeGreaterThanOrEqual(ledger.finished.value + apart - 0.5);
        expect(models).toBeLessThanOrEqual(ledger.finished.value + apart + tools + 0.5);
        for (const { after } of ledger.entries) expect(after.water).toBeGreaterThanOrEqual(-1e-6);
      }),
      { numRuns: 300 },
    ));
  it("all steps may belong to parts: they come together at the end", () => {
    const { recipe, ledger } = read(
      "Chia bowl\nServes 2\nFor the pudding:\n300 g milk\n40 g sugar\nFor the topping:\n100 g mango\nMethod\nFor the pudding:\n1. Stir the sugar into the milk.\nFor the topping:\n2. Mash the mango.",
    );
    expect(recipe.components?.map(({ name }) => name)).toEqual(["Pudding", "Topping"]);
    expect(ledger.finished.value).toBeCloseTo(440, 6);
    expect(ledger.entries.slice(-2).map(({ step, went: [first] }) => [step, first?.name])).toEqual([
      [null, "Pudding"],
      [null, "Topping"],
    ]);
  });
  it("a nut of which some is kept back cannot be pressed as one line", () => {
    const { problems, read: made } = ledgerOf(
      ["100 g almonds", "400 g water"],
      [
        {
          text: "Blend the almonds with the water and strain the milk through a cloth.",
          choice: {
            takes: [
              { of: "l1", share: 0.75 },
              { of: "l2", share: 1 },
            ],
          },
        },
        "Scatter the almonds.",
      ],
    );
    expect(problems).toMatchObject([{ kind: "cannot be pressed" }]);
    expect(made.lines.map(({ grams }) => Math.round(grams))).toEqual([100, 400]);
  });
});

describe("what goes in at a step", () => {
  it.each([
    ["half now, half later", ["Stir in half the sugar.", "Stir in the rest of the sugar."], [50, 50]],
    ["a third, then what remains", ["Add a third of the sugar.", "Add the remaining sugar."], [33, 67]],
    ["two parts and the last at the last", ["Add ¼ of the sugar.", "Add half of the sugar."], [25, 75]],
    ["an amount of it", ["Keep 2 tbsp of the sugar in a bowl.", "Melt the sugar."], [25, 75]],
    ["lifted out, and back", ["Fry the sugar and lift it out.", "Stir in the sugar."], [0, 100]],
    ["named by no step", ["Wait.", "Serve."], [100, 0]],
  ] as const)("%s", (_, steps, expected) => {
    const ledger = ledgerOf(["100 g sugar"], steps);
    expect(ledger.entries.map((entry) => Math.round(entry.went.reduce((sum, { grams }) => sum + grams, 0)))).toEqual(expected);
  });
  it("goes by hand where it was set by hand", () => {
    const ledger = ledgerOf(["100 g sugar"], [{ text: "Add the sugar.", choice: { takes: [{ of: "l1", share: 0.3 }] } }, "Add the sugar."]);
    expect(went(ledger)).toEqual([[["Sugar", 30]], [["Sugar", 70]]]);
    const twice = ledgerOf(
      ["100 g sugar"],
      [
        { text: "x", choice: { takes: [{ of: "l1", share: 0.8 }] } },
        { text: "y", choice: { takes: [{ of: "l1", share: 0.8 }] } },
      ],
    );
    expect(twice.problems).toMatchObject([{ kind: "used twice", name: "Sugar" }]);
  });
});

describe("components", () => {
  const syrup = (use: object, more: object = {}) =>
    ledgerOf([], [], {
      lines: [
        { id: "a", text: "500 g milk", choice: {} },
        { id: "b", text: "100 g jaggery", choice: {}, component: "c1" },
        { id: "c", text: "50 g water", choice: {}, component: "c1" },
      ],
      steps: [
        { id: "1", text: "Mix the jaggery into the water.", choice: {}, component: "c1" },
        { id: "2", text: "Stir the syrup into the milk.", choice: {} },
      ],
      components: [{ id: "c1", name: "Syrup", use, ...more } as NonNullable<Recipe["components"]>[number]],
    });
  it("are used whole, in part, or kept apart", () => {
    expect(syrup({ kind: "whole" }).finished.value).toBeCloseTo(650, 6);
    const part = syrup({ kind: "part", share: 0.4 });
    expect(part.finished.value).toBeCloseTo(560, 6);
    expect(part.read.lines.map(({ grams }) => grams)).toEqual([500, 40, 20]);
    const apart = syrup({ kind: "apart" });
    expect(apart.apart).toMatchObject([{ name: "Syrup", grams: 150 }]);
    expect(apart.read.lines.map((line) => line.apart ?? false)).toEqual([false, true, true]);
  });
  it("that go round, or into nothing, or are used before they are made, are told", () => {
    expect(syrup({ kind: "whole" }, { into: "c1" }).problems).toMatchObject([{ kind: "goes round", components: ["Syrup"] }]);
    expect(syrup({ kind: "whole" }, { into: "c9" }).problems).toMatchObject([{ kind: "no such component", named: "c9" }]);
    const early = ledgerOf([], [], {
      lines: [{ id: "a", text: "100 g jaggery", choice: {}, component: "c1" }],
      steps: [
        { id: "1", text: "Pour in the syrup.", choice: {} },
        { id: "2", text: "Grate the jaggery.", choice: {}, component: "c1" },
      ],
      components: [{ id: "c1", name: "Syrup", use: { kind: "whole" } }],
    });
    expect(early.problems).toMatchObject([{ kind: "not yet made", step: 0, component: "Syrup" }]);
  });
  it("come from headings in a pasted text, with their lines and steps", () => {
    const { recipe } = read(
      "Custard\nServes 4\nIngredients\nFor the caramel:\n100 g sugar\nFor the custard:\n500 ml milk\n3 eggs\nMethod\nFor the caramel:\n1. Melt the sugar.\nFor the custard:\n2. Warm the milk.\nTo serve:\n3. Hand it round.",
    );
    expect(recipe.components).toEqual([
      { id: "c1", name: "Caramel", use: { kind: "whole" } },
      { id: "c2", name: "To serve", use: { kind: "apart" } },
    ]);
    expect(recipe.lines.map(({ component }) => component)).toEqual(["c1", undefined, undefined]);
    expect(recipe.steps.map(({ component }) => component)).toEqual(["c1", undefined, "c2"]);
  });
});

describe("steps read", () => {
  it.each([
    ["Soak the rice for 30 minutes.", "soak", 30, "unattended", null],
    ["Roast the semolina for 12 minutes, stirring all the while, until it smells of nuts.", "roast", 12, "hands on", "it smells of nuts"],
    ["Simmer for 20 to 30 minutes, stirring now and then.", "simmer", 25, "now and then", null],
    ["Pressure-cook for 3 whistles.", "pressure", 11, "unattended", null],
    ["Bake at 150 °C for 1 hour until the middle trembles.", "bake", 60, "unattended", "the middle trembles"],
    ["Chill overnight.", "chill", 480, "unattended", null],
    ["Shape into balls while warm.", "shape", 15, "hands on", null],
    ["Slake the cornflour in cold milk.", "slake", 2, "hands on", null],
  ] as const)("%s", (text, operation, minutes, attention, cue) => {
    const [step] = readRecipe(recipeOf(["1 cup sugar"], plainSteps([text])), context, REFERENCE.constants).steps;
    expect(step).toMatchObject({ operation, minutes: { usual: minutes }, attention, cue });
  });
  it("drives off more in a wider pan, where a step tells how wide it is", () => {
    const finished = (pan: string) => ledgerOf(["1 litre milk", "80 g rice"], [`Simmer the rice in the milk in a ${pan} for 40 minutes.`]).finished.value;
    const [narrow, usual, wide] = [finished("20 cm pan"), finished("pan"), finished("12 inch heavy pan")];
    expect(narrow).toBeGreaterThan(usual);
    expect(usual).toBeGreaterThan(wide);
    expect(usual - wide).toBeGreaterThan(40);
  });
  it("reads vessels with their size, and takes “the rest of” for no rest", () => {
    const { read: made } = ledgerOf(
      ["100 g sugar", "1 litre milk"],
      ["Add half the sugar to the milk in a kadai.", "Stir in the rest of the sugar.", "Pour it into 6 ramekins or a 20 cm tin."],
    );
    expect(made.steps.map(({ operation }) => operation)).toEqual(["mix", "mix", "transfer"]);
    expect(made.steps[2]?.equipment).toEqual(["6 ramekins", "20 cm tin"]);
  });
  it.each([
    ["Simmer the milk until reduced to 500 ml.", 525, 1],
    ["Boil the milk down to 700 g, stirring.", 700, 1],
    ["Boil the milk down to half its volume.", 515, 1],
    ["Boil the milk until it has reduced by a third.", 687, 1],
    ["Simmer the milk until only a quarter is left.", 258, 1],
    ["Simmer the milk until you have 2 cups.", 504, 1],
  ])("boils down to what a step tells: %s", (step, grams, off) => {
    const { entries, problems } = ledgerOf(["1 litre milk"], [step]);
    expect(Math.abs((entries[0]?.after.mass ?? 0) - grams)).toBeLessThanOrEqual(off);
    expect(problems).toEqual([]);
  });
  it("tells where end and minutes are far apart, and where an end cannot be come to; the end is followed", () => {
    const far = ledgerOf(["1 litre milk"], ["Simmer the milk for 10 minutes until only a quarter is left."]);
    expect(far.problems).toMatchObject([{ kind: "end and minutes differ", step: 0 }]);
    expect(far.entries[0]?.after.mass).toBeCloseTo(257.5, 0);
    expect(far.entries[0]?.how).toMatch(/by 10 min of open cooking alone \d+ g would go/);
    const less = ledgerOf(["1 litre milk"], ["Reduce the milk to 2 l."]);
    expect(less.problems).toMatchObject([{ kind: "end not reached", step: 0 }]);
    expect(less.finished.value).toBeGreaterThan(0);
    for (const step of ["Simmer for 0 minutes.", "Simmer for 3000 minutes.", "Reduce to 0 g.", "Cook until dry.", "Boil down to half."])
      for (const lines of [["1 litre milk"], ["100 g ghee"], ["200 g sugar"], ["100 g semolina", "300 ml water"], []]) {
        const { finished } = ledgerOf(lines, [step]);
        expect(finished.value >= 0 && Number.isFinite(finished.value), `${step} of ${lines.join()}`).toBe(true);
      }
  });
  it("goes on until flour leaves the sides where no minutes are told, and until liquid is gone", () => {
    const halwa = (water: number) =>
      ledgerOf(
        [`${water} ml water`, "150 g sugar", "110 g ghee", "120 g semolina"],
        ["Mix water, sugar, ghee and semolina and cook until it leaves the sides of the pan."],
      ).finished.value;
    // However much water goes in, it comes to the same.
    expect(Math.abs(halwa(700) - halwa(900))).toBeLessThan(2);
    const dry = ledgerOf(["500 g carrots", "500 ml milk"], ["Cook the carrots in the milk until all the milk is absorbed."]);
    expect(dry.finished.value).toBeGreaterThan(380);
    expect(dry.finished.value).toBeLessThan(620);
  });
  it.each([
    ["Simmer the milk for half an hour.", "Simmer the milk for 30 minutes."],
    ["Simmer the milk for 1 hour, stirring every 5 minutes.", "Simmer the milk for 60 minutes."],
    ["Simmer the milk for 40 minutes; after the first 20 minutes stir well.", "Simmer the milk for 40 minutes."],
    ["Soak the rice for ten minutes, bring to the boil and simmer for five minutes.", "Simmer for 5 minutes."],
    ["Roast the rice for 10 minutes, add the milk and simmer, stirring, for 20 minutes.", "Simmer for 20 minutes."],
    ["Simmer the milk for 20 minutes, then cool and chill for 3 hours.", "Simmer for 20 minutes. Chill it for 3 hours."],
    ["Simmer the milk in three batches, 5 minutes each.", "Simmer the milk for 15 minutes."],
    ["Boil the milk on a high flame for 10 minutes, then on low for 20.", "Boil the milk for 10 minutes. Simmer on low heat for 20 minutes."],
  ])("takes time for what it is: %s", (one, other) =>
    expect(ledgerOf(["1 litre milk"], [one]).finished.value).toBeCloseTo(ledgerOf(["1 litre milk"], [other]).finished.value, 3),
  );
  it("loses next to nothing where milk is only brought to the boil", () =>
    expect(ledgerOf(["1 litre milk"], ["Bring the milk to the boil and switch off the flame."]).finished.value).toBeGreaterThan(1010));
  it("holds minutes against an end only where they are of it", () => {
    const mashed = ledgerOf(["250 g dates", "200 ml water"], ["Simmer the dates in the water for a quarter of an hour, mash, and cook down to 300 g."]);
    expect(mashed.finished.value).toBeCloseTo(300, 0);
    expect(mashed.problems).toEqual([]);
    expect(ledgerOf(["1 litre milk"], ["Simmer the milk gently for 20 minutes until you are left with 350 ml."]).problems).toMatchObject([
      { kind: "end and minutes differ" },
    ]);
  });
  it("takes a lid on the lowest flame for cooking, and a look for heat", () => {
    expect(
      ledgerOf(["200 g semolina", "600 ml water"], ["Boil the water. Add the semolina, cover and leave on the lowest flame for 5 minutes."]).finished.value,
    ).toBeGreaterThan(770);
    const besan = ledgerOf(
      ["100 g besan", "100 g ghee", "100 g sugar", "500 ml milk"],
      ["Roast the besan in the ghee for 15 minutes.", "Pour in the milk and sugar and stir until it comes together."],
    );
    expect(besan.entries[1]?.driven).toBeGreaterThan(30);
  });
  it.each([
    "Simmer the milk with 500 ml water for 10 minutes.",
    "Cook the rice for 10 minutes, then add to 1 litre milk.",
    "Boil 2 cups of water with 1 cup sugar for 10 minutes.",
    "Cook for 10 minutes until the ghee is absorbed.",
    "Cook for 10 minutes until the sugar is absorbed.",
  ])("takes no amount that goes in, and no fat or sugar taken up, for an end: %s", (step) => {
    const { read: made, problems } = ledgerOf(["1 litre milk"], [step]);
    expect(made.steps[0]?.end).toBeNull();
    expect(problems).toEqual([]);
  });
});
