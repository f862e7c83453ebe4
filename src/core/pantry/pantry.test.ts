import { describe, expect, it } from "vitest";
import { NAMED_ONLY, PANTRY_TABLES as TABLES, REFERENCE } from "../../data";
import { context } from "../../../tests/support/kitchen";
import { INDEX } from "../food";
import { createFoodFinder, createFoodMatcher, readRecipe, readRecipeText } from "../recipe";
import type { Making } from "../making";
import { USUAL_HOUSEHOLD } from "../household";
import {
  EMPTY_LABEL,
  EMPTY_PANTRY,
  foodFromLabel,
  foodFromMaking,
  kitchenFoods,
  namesOf,
  ownFoodProblems,
  priceUnitsOf,
  weighedMeasures,
  type Label,
  type OwnFood,
  type Weighing,
} from ".";

const { measures } = USUAL_HOUSEHOLD;
const label = (part: Partial<Label>): Label => ({ ...EMPTY_LABEL, ...part });
const own = (part: Partial<Label> = {}, more: Partial<OwnFood> = {}): OwnFood => ({
  id: "own-case",
  name: "Fig spread",
  synonyms: [],
  family: "fruit",
  origin: "plant",
  allergens: [],
  traces: [],
  made: { kind: "label", label: label(part) },
  density: null,
  note: "",
  revision: 1,
  ...more,
});
const FULL = { energy: 264, fat: 0.4, saturatedFat: 0.1, carbohydrate: 60, sugars: 52, fibre: 5, protein: 1.5, salt: 0.05 } as const;
const fromLabel = (part: Partial<Label>, more: Partial<OwnFood> = {}) =>
  foodFromLabel(own(part, more), { label: label(part) }, { foods: REFERENCE.foods, tables: TABLES });
const problems = (part: Partial<Label>, more: Partial<OwnFood> = {}) =>
  ownFoodProblems(own(part, more), namesOf(REFERENCE.foods.values()), REFERENCE.foods, REFERENCE.constants, TABLES);
const weighing = (grams: number, part: Partial<Weighing> = {}): Weighing => ({
  id: String(grams),
  foodId: "semolina",
  unit: "cup",
  form: "",
  grams,
  at: "2026-05-01T10:00:00.000Z",
  ...part,
});

describe("a food from a label", () => {
  it("holds what the label says per 100 g, and the rest is water", () => {
    const food = fromLabel(FULL);
    expect(food.per100g[INDEX.availableCarbohydrate]).toBe(60);
    expect((food.per100g[INDEX.fructose] ?? 0) + (food.per100g[INDEX.glucose] ?? 0)).toBe(52);
    expect(food.per100g[INDEX.sodium]).toBeCloseTo(20, 9);
    expect((food.per100g[INDEX.water] ?? 0) + (food.per100g[INDEX.ash] ?? 0)).toBeCloseTo(100 - 0.4 - 60 - 5 - 1.5, 9);
  });
  it("reads a serving, an American carbohydrate and sodium in milligrams as the same food", () => {
    const american = {
      per: 20,
      energy: 53,
      fat: 0.08,
      saturatedFat: 0.02,
      carbohydrate: 13,
      includesFibre: true,
      sugars: 10.4,
      fibre: 1,
      protein: 0.3,
      salt: 4,
      saltUnit: "mg sodium",
    } as const;
    const [a, b] = [fromLabel(FULL), fromLabel(american)];
    a.per100g.forEach((amount, n) => expect(b.per100g[n], String(n)).toBeCloseTo(amount, 6));
  });
  it("tells what is not said from what is none", () => {
    const food = fromLabel({ ...FULL, fibre: null, saturatedFat: 0 });
    expect(food.unknown).toContain("solubleFibre");
    expect(food.unknown).not.toContain("saturatedFat");
    expect(food.micro.every((amount) => amount === null)).toBe(true);
  });
});

describe("what is wrong with a label", () => {
  it("is nothing where it holds together", () => expect(problems(FULL)).toEqual([]));
  it.each([
    ["parts that pass 100 g", { ...FULL, carbohydrate: 98 }, "carbohydrate", true, /more than the 100 g/],
    ["more saturated fat than fat", { ...FULL, saturatedFat: 2 }, "saturatedFat", true, /part of the fat/],
    ["more sugars than carbohydrate", { ...FULL, sugars: 61 }, "sugars", true, /part of the carbohydrate/],
    ["kilojoules given as kilocalories", { ...FULL, energy: 1105 }, "energy", false, /looks like kJ/],
    ["energy that contradicts the rest", { ...FULL, energy: 400 }, "energy", false, /5\d % off/],
    ["milligrams given as grams of salt", { ...FULL, salt: 20 }, "salt", false, /milligrams of sodium/],
    ["a macronutrient that is missing", { ...FULL, fat: null }, "protein", false, /at least/],
  ] as const)("is told: %s", (_, part, field, grave, why) => {
    expect(problems(part)).toContainEqual({ field, grave, why: expect.stringMatching(why) as string });
  });
  it("is a name in use, told with its field", () => {
    expect(problems(FULL, { name: " jaggery " })).toContainEqual(expect.objectContaining({ field: "name", grave: true }));
    expect(problems(FULL, { name: "" })).toContainEqual(expect.objectContaining({ field: "name", grave: true }));
  });
});

const made = (making: Making, part = "whole", more: Partial<OwnFood> = {}): OwnFood =>
  own({}, { name: "Made here", made: { kind: "made", making, part }, ...more });

describe("a food made at home", () => {
  const mixture = {
    kind: "mixture",
    parts: [
      { foodId: "cow-milk", grams: 1000 },
      { foodId: "sugar", grams: 100 },
      { foodId: "almond", grams: 50 },
    ],
    finished: 600,
  } as const;
  it("is the sum of its parts, less the water boiled away, with what any of them does to an eater", () => {
    const food = foodFromMaking(made(mixture), mixture, "whole", REFERENCE.foods, TABLES);
    const of = (id: string, nutrient: "protein" | "water") => REFERENCE.foods.get(id)?.per100g[INDEX[nutrient]] ?? NaN;
    expect(food?.per100g[INDEX.protein]).toBeCloseTo((10 * of("cow-milk", "protein") + 0.5 * of("almond", "protein")) / 6, 6);
    expect(food?.per100g[INDEX.water]).toBeCloseTo((10 * of("cow-milk", "water") + of("sugar", "water") + 0.5 * of("almond", "water") - 550) / 6, 6);
    expect(food?.allergens).toEqual(expect.arrayContaining(["milk", "almond"]));
  });
  it("has the traits of what it is like, and the allergens of what it is made of, not of what it is like", () => {
    const milk = {
      kind: "milk",
      material: "hemp-seeds",
      grams: 100,
      soaked: 4,
      presses: [400],
      squeeze: "hard",
      holds: null,
      weighedMilk: null,
      weighedPulp: null,
    } as const;
    const food = foodFromMaking(made(milk, "milk"), milk, "milk", REFERENCE.foods, TABLES);
    expect(food).toMatchObject({ family: "drink", sugarClass: "plant drink", allergens: [], counted: [], provenance: "computed" });
    const roast = { kind: "roast", flour: "semolina", grams: 200, stage: "golden", finished: null } as const;
    const semolina = REFERENCE.foods.get("semolina");
    expect(foodFromMaking(made(roast), roast, "whole", REFERENCE.foods, TABLES)).toMatchObject({ thickening: semolina?.thickening, allergens: ["wheat"] });
  });
  it("is refused with its reason where a part is not known or a mass cannot be", () => {
    const told = (making: Making, part = "whole") =>
      ownFoodProblems(made(making, part), namesOf(REFERENCE.foods.values()), REFERENCE.foods, REFERENCE.constants, TABLES).filter(({ grave }) => grave);
    expect(told({ ...mixture, parts: [{ foodId: "own-gone", grams: 5 }] })).toMatchObject([
      { field: "making", why: expect.stringContaining("own-gone") as string },
    ]);
    expect(told({ ...mixture, finished: 1300 })).toMatchObject([{ field: "finished" }]);
    expect(told({ ...mixture, finished: 100 })).toMatchObject([{ field: "finished" }]);
    expect(told(mixture, "pulp")).toMatchObject([{ field: "part" }]);
    expect(told(mixture)).toEqual([]);
  });
  it("costs what went into it, by the household's prices; the milk bears it, the pulp is free", () => {
    const milk = {
      kind: "milk",
      material: "almond",
      grams: 100,
      soaked: 8,
      presses: [400],
      squeeze: "hard",
      holds: null,
      weighedMilk: 400,
      weighedPulp: null,
    } as const;
    const foods = [made(milk, "milk", { id: "own-milk" }), made(milk, "pulp", { id: "own-pulp", name: "Pulp" })];
    const prices = [{ foodId: "almond", price: 9, amount: 500, unit: "g", at: "2026-05-01" }] as const;
    const kitchen = kitchenFoods(REFERENCE.foods, { ...EMPTY_PANTRY, foods, prices }, measures, TABLES);
    expect(kitchen.get("own-milk")?.pricePerGram).toBeCloseTo(1.8 / 400, 9);
    expect(kitchen.get("own-pulp")?.pricePerGram).toBe(0);
    expect(kitchenFoods(REFERENCE.foods, { ...EMPTY_PANTRY, foods }, measures, TABLES).get("own-milk")?.pricePerGram).toBeNull();
  });
});

describe("a price", () => {
  it.each([
    [{ price: 4, amount: 1, unit: "kg" }, "sugar", 0.004],
    [{ price: 2, amount: 1, unit: "l" }, "cow-milk", 2 / 1030],
    [{ price: 3, amount: 500, unit: "ml" }, "almond", 3 / 300],
  ] as const)("%j of %s is %f a gram", (price, foodId, perGram) => {
    const foods = kitchenFoods(REFERENCE.foods, { ...EMPTY_PANTRY, prices: [{ ...price, foodId, at: "" }] }, measures, TABLES);
    expect(foods.get(foodId)?.pricePerGram).toBeCloseTo(perGram, 9);
    expect(foods.get("jaggery")?.pricePerGram).toBeNull();
  });
  it("by the piece goes by what a piece weighs here, whatever was entered first", () => {
    const document = { ...EMPTY_PANTRY, prices: [{ foodId: "dates", price: 1, amount: 10, unit: "piece", at: "" }] as const };
    const perGram = (pantry: typeof EMPTY_PANTRY) => kitchenFoods(REFERENCE.foods, pantry, measures, TABLES).get("dates")?.pricePerGram;
    expect(perGram(document)).toBeCloseTo(1 / 80, 9);
    expect(perGram({ ...document, weighings: [weighing(20, { foodId: "dates", unit: "piece" })] })).toBeCloseTo(1 / 200, 9);
  });
  it("is offered only in units that can be weighed", () => {
    const figs = REFERENCE.foods.get("fresh-fig");
    if (!figs) throw new Error("no figs");
    expect(priceUnitsOf(figs)).toEqual(["g", "kg", "piece"]);
  });
});

describe("a name that the household taught", () => {
  const read = (text: string, pantry: typeof EMPTY_PANTRY) => {
    const foods = kitchenFoods(REFERENCE.foods, pantry, measures, TABLES);
    const parsed = readRecipeText(`Case\n${text}`);
    if (!parsed.ok) throw new Error(parsed.error.kind);
    return readRecipe(
      parsed.value,
      { ...context, foods, matcher: createFoodMatcher(foods.values()), find: createFoodFinder([...foods.values(), ...NAMED_ONLY]) },
      REFERENCE.constants,
    ).readings[0];
  };
  const names = [{ words: "moon syrup", foodId: "jaggery-syrup", at: "2026-05-01" }];
  it("is read in every recipe, also with a word that says how it is cut", () => {
    expect(read("2 tbsp moon syrup", EMPTY_PANTRY)?.kind).toBe("food unknown");
    expect(read("2 tbsp moon syrup", { ...EMPTY_PANTRY, names })).toMatchObject({ kind: "read", food: { id: "jaggery-syrup" } });
    expect(read("2 tbsp warm moon syrup", { ...EMPTY_PANTRY, names })).toMatchObject({ kind: "read", food: { id: "jaggery-syrup" } });
  });
  it("of a food that is gone does nothing", () =>
    expect(read("2 tbsp moon syrup", { ...EMPTY_PANTRY, names: [{ ...names[0], words: "moon syrup", foodId: "own-gone", at: "" }] })?.kind).toBe(
      "food unknown",
    ));
});

describe("a measure weighed by the household", () => {
  it("is the mean of its weighings; its spread starts at the usual one and draws to their own", () => {
    expect(weighedMeasures([weighing(131)])).toMatchObject([{ grams: 131, share: 0.08, times: 1 }]);
    const [many] = weighedMeasures([128, 130, 132, 129, 131, 130, 130, 130].map((grams) => weighing(grams)));
    expect(many?.grams).toBe(130);
    expect(many?.share).toBeLessThan(0.05);
    const [rough] = weighedMeasures([100, 160, 130, 90].map((grams) => weighing(grams)));
    expect(rough?.share).toBeGreaterThan(0.2);
  });
  it("goes before the tables in every recipe, by its form, and leaves other foods alone", () => {
    const pantry = {
      ...EMPTY_PANTRY,
      weighings: [weighing(150), weighing(199, { form: "packed" }), weighing(31, { unit: "handful" }), weighing(24, { unit: "lemon-sized" })],
    };
    const foods = kitchenFoods(REFERENCE.foods, pantry, measures, TABLES);
    const parsed = readRecipeText("Halwa\n1 cup semolina\n1 cup packed semolina\n2 handfuls semolina\n1/2 cup sugar\na lemon-sized ball of semolina");
    if (!parsed.ok) throw new Error("not read");
    const grams = (in_: typeof context) => readRecipe(parsed.value, in_, REFERENCE.constants).lines.map((line) => line.grams);
    const own = grams({ ...context, foods, matcher: createFoodMatcher(foods.values()) });
    expect(own.slice(0, 3)).toEqual([150, 199, 62]);
    expect(own[3]).toBe(grams(context)[3]);
    expect(own[4]).toBe(24);
    expect(foods.get("semolina")?.density).toBeCloseTo(150 / 240, 9);
  });
});
