import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { KINDS, textOfCase } from "../../../tests/support/cases";
import { read, tableOf } from "../../../tests/support/kitchen";
import { WRITTEN_RECIPES } from "../../../tests/golden/written-recipes";
import { kitchenOf } from "../../data";
import { asHandedDown, stored } from "../adaptation";
import { USUAL_SOURCES } from "../kitchen";
import { methodView, type MethodView } from "../views";
import type { CueDrawing } from ".";

const kitchen = kitchenOf(USUAL_SOURCES);
const { rows, dry, bodies, syrups } = kitchen.cues;
const viewOf = (text: string, servings?: number): MethodView => {
  const { recipe } = read(text);
  return methodView({ recipe, table: tableOf({ servings: servings ?? recipe.servings }), bench: null }, kitchen);
};
const cuesOf = (lines: string, ...steps: string[]) =>
  viewOf(`A sweet\nServes 4\n\n${lines}\n\n${steps.map((step, i) => `${i + 1}. ${step}`).join("\n")}`).steps.map(({ cues }) => cues.map(({ id }) => id));

describe("the table of cues", () => {
  const foods = [...kitchen.reference.foods.values()];
  const isKnown = (word: string) => foods.some(({ id, nature }) => id === word || nature?.botanical === word);
  it("names foods that there are, and says something else of each state", () => {
    for (const row of [...rows, dry]) {
      for (const name of [...(row.foods ?? []), ...Object.keys(row.shadeOf ?? {})]) expect(isKnown(name), `${row.id}: ${name}`).toBe(true);
      const told = Object.values(row.told);
      expect(told.length, row.id).toBeGreaterThan(0);
      for (const words of told) expect(new Set(words).size, `${row.id}: ${words.join(" | ")}`).toBe(3);
      for (const shade of [row.shade, ...Object.values(row.shadeOf ?? {})]) for (const step of shade ?? []) expect(step).toBeLessThanOrEqual(5);
    }
    expect(new Set(rows.map(({ id }) => id)).size).toBe(rows.length);
  });
  it("draws every instrument of the set, within its numbers", () => {
    const all = [...[...rows, dry].flatMap(({ draw }) => draw), ...syrups.map(({ draw }) => draw), { instrument: "spoon", body: 3 } as CueDrawing];
    expect(new Set(all.map(({ instrument }) => instrument)).size).toBe(10);
    for (const drawing of all)
      for (const [name, value] of Object.entries(drawing))
        if (typeof value === "number") expect(Math.abs(value), name).toBeLessThanOrEqual(name === "body" ? 10 : name === "threads" ? 3 : 1.5);
    expect(bodies.map(({ body }) => body)).toEqual([...bodies.map(({ body }) => body)].sort((a, b) => a - b));
  });
});

describe("when a step is done", () => {
  it.each([
    ["flour in fat", "200 g besan\n100 g ghee", "Roast the besan in the ghee for 20 minutes.", ["flour in fat"]],
    ["flour without fat", "200 g ragi flour", "Roast the flour dry for 10 minutes.", ["flour, dry"]],
    ["seeds", "200 g sesame", "Roast the sesame for 6 minutes.", ["small seeds"]],
    [
      "what is fried and lifted out",
      "30 g cashews\n15 g raisins\n1 tbsp ghee",
      "Fry the cashews, then the raisins in the ghee, and lift both out.",
      ["nuts", "dried fruit in fat"],
    ],
    ["pearls", "100 g sago\n800 ml milk", "Simmer the sago in the milk for 20 minutes.", ["pearls"]],
    ["a syrup by its stage", "200 g jaggery\n60 ml water", "Boil the jaggery with the water to one thread, 5 minutes.", ["syrup"]],
    ["a syrup by its drop", "200 g jaggery\n1 tsp ghee", "Melt the jaggery with the ghee and cook until a drop in cold water snaps.", ["syrup"]],
    ["caramel", "150 g sugar", "Melt the sugar to a dark caramel.", ["caramel"]],
    ["egg in milk", "500 ml milk\n3 egg yolks", "Simmer the milk with the yolks for 8 minutes, stirring.", ["custard"]],
    ["what sets", "500 ml coconut milk\n4 g agar", "Simmer the agar in the coconut milk for 2 minutes.", ["gel melts"]],
    ["starch in cold milk", "300 ml milk\n20 g cornflour", "Slake the cornflour in a little cold milk.", ["slaked"]],
    ["a vegetable that is only peeled", "500 g beetroot", "Peel the beetroot and grate it finely.", []],
  ] as const)("%s", (_, lines, step, ids) => expect(cuesOf(lines, step)[0]?.slice(0, Math.max(1, ids.length))).toEqual(ids));

  it("looks at meal where a food was ground before, and tells of a food once while nothing comes in", () => {
    expect(cuesOf("200 g moong dal\n100 g ghee", "Soak the dal and grind it to a paste.", "Roast the paste in the ghee for 20 minutes.")[1]).toEqual([
      "flour in fat",
    ]);
    const [first, second] = cuesOf(
      "100 g rice\n1 litre milk\n90 g sugar",
      "Simmer the rice in the milk for 30 minutes.",
      "Add the sugar and simmer for 5 minutes.",
    );
    expect(first).toContain("grain");
    expect(second).toEqual(["body"]);
  });

  it("keeps pans apart: a syrup beside the flour, fruit in a second pan", () => {
    expect(
      cuesOf(
        "200 g besan\n100 g ghee\n150 g sugar\n80 ml water",
        "Fry the besan in the ghee for 18 minutes.",
        "Boil the sugar and the water to a one-string syrup.",
      )[1],
    ).not.toContain("flour or starch");
    const [, pot = [], fruit = []] = cuesOf(
      "120 g quinoa\n750 ml oat milk\n2 pears\n50 g maple syrup",
      "Toast the quinoa for 5 minutes.",
      "Pour in the oat milk and cook for 20 minutes.",
      "Soften the pears in a second pan with the maple syrup for 6 minutes.",
    );
    expect(pot).toContain("grain");
    expect(fruit).not.toContain("body");
    expect(
      cuesOf("1 litre milk\n2 tbsp lemon juice", "Bring the milk to the boil, add the lemon juice and stir until it curdles; strain through muslin.")[0],
    ).toContain("acid curdles milk");
  });

  it("takes nothing for ground that is only chopped beside something that is bought so", () => {
    const [chopped = [], fried = []] = cuesOf(
      "100 g almonds\n1 tsp ground cardamom\n20 g ghee\n50 g millet",
      "Wash the millet, chop the almonds and mix in the ground cardamom.",
      "Fry the almonds in the ghee for 4 minutes.",
    );
    expect(chopped).not.toContain("ground fine");
    expect(fried).toContain("nuts");
  });

  it("tells how far a pot comes down, in grams as well, and of a version only what is known of it", () => {
    const rabri = "Rabri\nServes 6\n\n2 litres milk\n80 g sugar\n\n1. Simmer the milk for 70 minutes until one third is left.\n2. Add the sugar.";
    const words = viewOf(rabri).steps[0]?.cues.find(({ id }) => id === "level")?.told[0]?.words[1];
    expect(words).toMatch(/^stands at 3\d % of where it began: about \d+ g is in it, without the pan$/);
    const of = read(rabri);
    const table = tableOf({ servings: 6, rules: ["vegan"] });
    const { version } = asHandedDown(of, table);
    const oat = kitchen.reference.foods.get("oat-drink");
    if (!oat) throw new Error("no oat drink");
    const rows = version.rows.map((row) => (row.food?.id === "cow-milk" ? { ...row, food: oat, grams: 900, change: "replaced" as const, why: "vegan" } : row));
    const bench = stored({ label: "With oat drink", version: { rows, evaporation: 300 }, byHand: true }, of, table);
    const level = methodView({ recipe: of.recipe, table, bench }, kitchen)
      .steps.flatMap(({ cues }) => cues)
      .find(({ id }) => id === "level");
    expect(level?.told[0]?.words[1]).not.toMatch(/%/);
    expect(level?.told[0]?.words[1]).toMatch(/^about \d+ g is in it/);
  });

  it("looks at what is got ready from the beginning: the night's soaking too", () => {
    const of = read("Rice pudding\nServes 4\n\n1 litre milk\n80 g rice\n90 g sugar\n\n1. Boil the rice in the milk for 40 minutes.\n2. Add the sugar.");
    const table = tableOf({ servings: 4, rules: ["vegan"] });
    const { version } = asHandedDown(of, table);
    const almond = kitchen.reference.foods.get("almond-milk-home");
    if (!almond) throw new Error("no almond milk");
    const rows = version.rows.map((row) => (row.food?.id === "cow-milk" ? { ...row, food: almond, change: "replaced" as const, why: "vegan" } : row));
    const bench = stored({ label: "With almond milk", version: { ...version, rows }, byHand: true }, of, table);
    const ids = methodView({ recipe: of.recipe, table, bench }, kitchen).before.flatMap(({ cues }) => cues.map(({ id }) => id));
    expect(ids).toContain("nuts soak");
  });

  it("fries what was shaped as dough, and looks at what is cold as it is cold", () => {
    expect(
      cuesOf(
        "200 g khoa\n60 g flour",
        "Knead the khoa and the flour to a dough and shape 12 balls.",
        "Fry the balls on a low flame for 8 minutes until brown.",
      )[1],
    ).toEqual(["dough in fat"]);
    const chilled = viewOf(
      "Phirni\nServes 4\n\n1 litre milk\n60 g rice flour\n80 g sugar\n\n1. Simmer all of it for 20 minutes, stirring.\n2. Chill for 3 hours.",
    ).steps[1]?.cues[0];
    expect(chilled?.id).toBe("chilled");
    expect(chilled?.told[0]?.words[1]).not.toMatch(/pan/);
  });

  it("shows caramel as far as the recipe takes it", () => {
    const at = (level: string) => viewOf(`Caramel\nServes 4\n\n150 g sugar\n\n1. Melt the sugar to ${level}.`).steps[0]?.cues[0]?.shade?.steps[1] ?? 0;
    expect(at("a light caramel")).toBeLessThan(at("an amber caramel"));
    expect(at("an amber caramel")).toBeLessThan(at("a dark caramel"));
  });

  it("draws the body that is computed: the more starch, the thicker, and never one that is past it before it", () => {
    const bodyOf = (grams: number) => {
      const cue = viewOf(`Pudding\nServes 4\n\n500 ml milk\n${grams} g cornflour\n60 g sugar\n\n1. Simmer all of it for 5 minutes, stirring.`)
        .steps.flatMap(({ cues }) => cues)
        .find(({ id }) => id === "body");
      return cue?.draw.map((drawing) => (drawing.instrument === "spoon" ? drawing.body : 9)) ?? [];
    };
    const [thin = 0, more = 0, stiff = 0] = [10, 25, 45].map((grams) => bodyOf(grams)[1] ?? Number.NaN);
    expect(thin).toBeLessThan(more);
    expect(more).toBeLessThan(stiff);
    const [before = 0, now = 0, past = 0] = bodyOf(25);
    expect([before, now, past]).toEqual([before, now, past].sort((a, b) => a - b));
  });

  it("of any sweet: at most two at a step, whole words, and the same for twice as many but for what is weighed", () => {
    const texts = [...KINDS.map(textOfCase), ...WRITTEN_RECIPES.map(({ text }) => text)];
    let [judged, told] = [0, 0];
    fc.assert(
      fc.property(fc.constantFrom(...texts), fc.integer({ min: 2, max: 4 }), (text, times) => {
        const once = viewOf(text);
        const more = viewOf(text, times * once.servings);
        once.steps.forEach(({ cues, attention, minutes, text: said }, at) => {
          expect(cues.length).toBeLessThanOrEqual(2);
          for (const { told: senses, draw } of cues) {
            expect(draw).toHaveLength(3);
            for (const { words } of senses) for (const each of words) expect(each).toMatch(/^\S.*\S$/);
          }
          expect(more.steps[at]?.cues.map(({ id }) => id)).toEqual(cues.map(({ id }) => id));
          if (attention !== "unattended" && minutes.usual >= 6 && /\b(?:roast|fry|simmer|boil|cook|bake)/i.test(said)) {
            judged++;
            if (cues.length > 0) told++;
          }
        });
      }),
      { numRuns: texts.length, seed: 20 },
    );
    // What takes minutes on the fire has nearly always something to look for.
    expect(told / judged).toBeGreaterThan(0.85);
  });
});
