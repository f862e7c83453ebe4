import { describe, expect, it } from "vitest";
import { completeTraits, REFERENCE } from "../../data";
import { context } from "../../../tests/support/kitchen";
import { INDEX } from "../food";
import { createFoodMatcher, readRecipe, readRecipeText } from "../recipe";
import { USUAL_HOUSEHOLD } from "../units";
import {
  EMPTY_LABEL,
  EMPTY_PANTRY,
  foodFromLabel,
  foodFromMixture,
  kitchenFoods,
  namesOf,
  ownFoodProblems,
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
const fromLabel = (part: Partial<Label>, more: Partial<OwnFood> = {}) => foodFromLabel(own(part, more), label(part), completeTraits);
const problems = (part: Partial<Label>, more: Partial<OwnFood> = {}) =>
  ownFoodProblems(own(part, more), namesOf(REFERENCE.foods.values()), REFERENCE.constants, completeTraits);
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

describe("a food computed from others", () => {
  it("is their sum, less the water boiled away, with what any of them does to an eater", () => {
    const mixture = {
      parts: [
        { foodId: "cow-milk", grams: 1000 },
        { foodId: "sugar", grams: 100 },
        { foodId: "almond", grams: 50 },
      ],
      finished: 600,
    };
    const food = foodFromMixture(own({}, { made: { kind: "computed", mixture } }), mixture, REFERENCE.foods, completeTraits);
    const milk = REFERENCE.foods.get("cow-milk");
    const almond = REFERENCE.foods.get("almond");
    expect(food.per100g[INDEX.protein]).toBeCloseTo((10 * (milk?.per100g[INDEX.protein] ?? NaN) + 0.5 * (almond?.per100g[INDEX.protein] ?? NaN)) / 6, 6);
    expect(food.per100g[INDEX.water]).toBeCloseTo((10 * (milk?.per100g[INDEX.water] ?? NaN) + 0.5 * (almond?.per100g[INDEX.water] ?? NaN) - 550) / 6, 1);
    expect(food.allergens).toEqual(expect.arrayContaining(["milk", "almond"]));
  });
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
    const pantry = { ...EMPTY_PANTRY, weighings: [weighing(150), weighing(199, { form: "packed" }), weighing(31, { unit: "handful" })] };
    const foods = kitchenFoods(REFERENCE.foods, pantry, measures, completeTraits);
    const parsed = readRecipeText("Halwa\n1 cup semolina\n1 cup packed semolina\n2 handfuls semolina\n1/2 cup sugar");
    if (!parsed.ok) throw new Error("not read");
    const grams = (in_: typeof context) => readRecipe(parsed.value, in_, REFERENCE.constants).lines.map((line) => line.grams);
    const own = grams({ ...context, foods, matcher: createFoodMatcher(foods.values()) });
    expect(own.slice(0, 3)).toEqual([150, 199, 62]);
    expect(own[3]).toBe(grams(context)[3]);
    expect(foods.get("semolina")?.density).toBeCloseTo(150 / 240, 9);
  });
});
