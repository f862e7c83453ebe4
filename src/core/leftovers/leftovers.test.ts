import { describe, expect, it } from "vitest";
import { read, tableOf } from "../../../tests/support/kitchen";
import { kitchenOf } from "../../data";
import { asHandedDown, stored } from "../adaptation";
import { evaluateRecipe, USUAL_SOURCES } from "../kitchen";
import type { DiningTable } from "../table";
import { methodView } from "../views";

const kitchen = kitchenOf(USUAL_SOURCES);
const PANJIRI =
  "Panjiri\nServes 8\n\n200 g wheat flour\n60 g ghee\n80 g almonds\n100 g powdered sugar\n\n1. Roast the flour in the ghee for 15 minutes.\n2. Mix with the almonds and the sugar.";
const ALMOND_KHEER =
  "Almond kheer\nServes 4\n\n150 g almonds\n700 ml water\n60 g rice\n80 g jaggery\n\n1. Soak the almonds overnight, peel, blend with the water and press through a cloth.\n2. Simmer the rice in the almond milk for 30 minutes.\n3. Stir in the jaggery.";
const HALWA =
  "Semolina halwa\nServes 8\n\n250 g semolina\n120 g ghee\n200 g sugar\n900 ml water\n\n1. Roast the semolina in the ghee for 12 minutes.\n2. Add the water and the sugar and cook for 6 minutes until it leaves the sides.";
const IN_SYRUP =
  "Milk balls\nMakes 12 pieces\n\n200 g khoa\n40 g flour\n\nSyrup to serve:\n300 g sugar\n200 ml water\n\n1. Knead the khoa and the flour and shape 12 balls.\n2. Boil the sugar and the water for 5 minutes.";
const leftoversOf = (text: string, table: Partial<DiningTable> = {}) => {
  const { recipe } = read(text);
  return methodView({ recipe, table: tableOf({ servings: recipe.servings, ...table }), bench: null }, kitchen).leftovers;
};

describe("what is made of what is left over", () => {
  it.each([
    ["balls", PANJIRI],
    ["pulp", ALMOND_KHEER],
    ["pan", HALWA],
    ["syrup", IN_SYRUP],
  ] as const)("%s, with amounts within their bounds", (kind, text) => {
    const batch = leftoversOf(text).find((each) => each.kind === kind);
    expect(batch?.adds.length).toBeGreaterThan(0);
    for (const { grams, low, high } of batch?.adds ?? []) {
      expect(grams).toBeGreaterThan(0);
      expect(low).toBeLessThanOrEqual(grams * 1.05);
      expect(high).toBeGreaterThanOrEqual(grams * 0.95);
    }
    expect(batch?.grams).toBeGreaterThan(batch?.kind === "pulp" ? 50 : (batch?.from.grams ?? 0));
  });

  it.each([
    [PANJIRI, 8, "balls"],
    [HALWA, 8, "pan"],
    [ALMOND_KHEER, 4, "pulp"],
  ] as const)("is twice as much of twice as much: %#", (text, servings, kind) => {
    const [once, twice] = [servings, 2 * servings].map((each) => leftoversOf(text, { servings: each }).find((batch) => batch.kind === kind));
    expect((twice?.from.grams ?? 0) / (once?.from.grams ?? 1)).toBeCloseTo(2, 1);
    // Amounts are told as they are weighed.
    once?.adds.forEach(({ grams }, i) => expect(Math.abs((twice?.adds[i]?.grams ?? 0) - 2 * grams)).toBeLessThanOrEqual(Math.max(5, 0.12 * 2 * grams)));
  });

  it("is as sweet as it was solved for: the halwa as the sweet, the cup lightly, the cold drink as such drinks are", () => {
    const pulp = leftoversOf(ALMOND_KHEER).find(({ kind }) => kind === "pulp");
    const sweet = evaluateRecipe(read(ALMOND_KHEER), tableOf({ servings: 4 }), kitchen).figures["sweetness.hot"].value;
    expect(Math.abs((pulp?.sweetness ?? 0) - sweet)).toBeLessThan(0.15 * sweet);
    expect(leftoversOf(HALWA).find(({ kind }) => kind === "pan")?.sweetness).toBeCloseTo(5, 0);
    expect(leftoversOf(IN_SYRUP).find(({ kind }) => kind === "syrup")?.sweetness).toBeCloseTo(8, 0);
  });

  it("takes only what the table takes, and nothing of a sweet that is not for it", () => {
    expect(leftoversOf(ALMOND_KHEER, { rules: ["vegan"] })[0]?.adds.map(({ name }) => name)).not.toContain("Ghee");
    expect(leftoversOf(ALMOND_KHEER, { rules: ["no-almond"] })).toEqual([]);
    expect(leftoversOf(PANJIRI, { rules: ["vegan"] })).toEqual([]);
  });

  it("makes nothing of raw soya, nothing of what is not read, and says what it brings", () => {
    const soya =
      "Soya kheer\nServes 4\n\n150 g soybeans\n900 ml water\n60 g rice\n80 g jaggery\n\n1. Soak the soybeans overnight, blend with the water and press through a cloth.\n2. Boil the rice in the soy milk for 30 minutes.\n3. Stir in the jaggery.";
    expect(leftoversOf(soya).map(({ kind }) => kind)).not.toContain("pulp");
    expect(leftoversOf(ALMOND_KHEER.replace("80 g jaggery", "80 g jaggery\n1 cup dragon scales"))).toEqual([]);
    expect(leftoversOf(ALMOND_KHEER).find(({ kind }) => kind === "pulp")?.brings).toEqual(["milk"]);
    expect(leftoversOf(ALMOND_KHEER, { rules: ["vegan"] }).find(({ kind }) => kind === "pulp")?.brings).toEqual(["coconut"]);
  });

  it("counts the pulp of a milk that a version has to be pressed for, and not the milk as at hand", () => {
    const of = read("Rice pudding\nServes 6\n\n1.2 litre milk\n100 g rice\n110 g sugar\n\n1. Simmer the rice in the milk for 40 minutes.\n2. Add the sugar.");
    const table = tableOf({ servings: 6, rules: ["vegan"] });
    const { version } = asHandedDown(of, table);
    const almond = kitchen.reference.foods.get("almond-milk-home");
    if (!almond) throw new Error("no almond milk");
    const rows = version.rows.map((row) => (row.food?.id === "cow-milk" ? { ...row, food: almond, change: "replaced" as const, why: "vegan" } : row));
    const bench = stored({ label: "With almond milk", version: { ...version, rows }, byHand: true }, of, table);
    const { leftovers } = methodView({ recipe: of.recipe, table, bench }, kitchen);
    const pulp = leftovers.find(({ kind }) => kind === "pulp");
    expect(pulp?.title).toBe("Halwa of the almond pulp");
    expect(pulp?.from.grams).toBeGreaterThan(100);
    expect(pulp?.from.grams).toBeLessThan(700);
    for (const { adds } of leftovers) expect(adds.map(({ name }) => name).join()).not.toMatch(/milk/i);
  });
});
