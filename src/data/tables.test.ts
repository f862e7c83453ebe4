import { describe, expect, it } from "vitest";
import { EXPLAINED, FACTS } from "../../tests/support/food-facts";
import { checkRow, energyKilojoules, INDEX, MICRONUTRIENTS, MINERALS, NUTRIENTS } from "../core/food";
import { context } from "../../tests/support/kitchen";
import { REFERENCE, SUBSTITUTION, HANDLING } from ".";
import { FOODS } from "./foods";
import { makeFoods, TABLE_ENERGY } from "./foods/make-foods";

const foods = [...REFERENCE.foods.values()];
const findings = foods.flatMap((food) => checkRow(food, TABLE_ENERGY.get(food.id) ?? null, REFERENCE.constants.energyPerGram.value));

describe("the food tables", () => {
  it("are what their parts make; after a change of those: npm run build:foods", () => {
    expect(FOODS).toEqual(makeFoods());
  });
  it("hold some hundred foods, each with its source and a standard deviation beside each amount", () => {
    expect(foods.length).toBeGreaterThan(340);
    for (const food of foods) {
      expect(food.source.length, food.id).toBeGreaterThan(5);
      expect([food.per100g.length, food.sd.length]).toEqual([NUTRIENTS.length, NUTRIENTS.length]);
      food.per100g.forEach((amount, n) =>
        expect(amount >= 0 && Number.isFinite(amount) && (food.sd[n] ?? -1) >= 0, `${food.id} ${NUTRIENTS[n] ?? ""}`).toBe(true),
      );
    }
  });
  it("have parts that sum to 100 ± 4 and sugars within carbohydrate, but for the one measured row that is known", () => {
    expect(findings.filter((finding) => finding.fault === "parts do not sum to 100")).toEqual([]);
    expect(findings.filter((finding) => finding.fault === "sugars and starch pass carbohydrate").map((finding) => finding.food)).toEqual(["barley"]);
    expect(findings.filter(({ fault }) => fault === "sugars pass carbohydrate" || fault === "saturated fat passes fat")).toEqual([]);
  });
  it("can be as they are told with their spread: no part above the whole, and what is not measured no closer than what is", () => {
    expect(findings.filter(({ fault }) => fault === "a part may pass the whole")).toEqual([]);
    const off = (id: string, nutrient: (typeof NUTRIENTS)[number]) => 1.2816 * (REFERENCE.foods.get(id)?.sd[INDEX[nutrient]] ?? 0);
    expect(off("ghee", "fat")).toBeLessThanOrEqual(0.52);
    expect(off("almond-milk-home", "water")).toBeLessThan(3.5);
    expect(off("oat-drink", "water")).toBeLessThan(2);
    for (const nutrient of ["protein", "fat", "calcium"] as const) {
      const share = (provenance: string) => {
        const shares = foods
          .filter((each) => each.provenance === provenance && (each.per100g[INDEX[nutrient]] ?? 0) > 2 && (each.per100g[INDEX[nutrient]] ?? 0) < 60)
          .map((each) => (each.sd[INDEX[nutrient]] ?? 0) / (each.per100g[INDEX[nutrient]] ?? 1))
          .sort((a, b) => a - b);
        return shares[0] ?? 0;
      };
      expect(share("typical"), nutrient).toBeGreaterThanOrEqual(share("measured") * 0.5);
    }
  });
  it("are computed of what they are made of, or within the water that makes them up", () => {
    const of = (id: string) => REFERENCE.foods.get(id)?.per100g ?? [];
    for (const [made, from] of [
      ["almond-milk-home", "almond"],
      ["cashew-milk-home", "cashew"],
      ["date-paste", "dates"],
      ["jaggery-syrup", "jaggery"],
      ["moong-flour", "moong-dal"],
      ["chana-dal", "besan"],
    ] as const)
      for (const mineral of [...MINERALS, "ash", "protein"] as const) expect(of(made)[INDEX[mineral]] ?? 0, `${made} ${mineral}`).toBeLessThanOrEqual((of(from)[INDEX[mineral]] ?? 0) * 1.001);
    expect(of("jaggery")[INDEX.glucose]).toBe(of("jaggery")[INDEX.fructose]);
    expect(of("dried-apricot")[INDEX.starch]).toBe(0);
    expect(of("lemon-juice")[INDEX.insolubleFibre]).toBe(0);
    expect(REFERENCE.foods.get("cow-milk")?.micro[MICRONUTRIENTS.indexOf("vitaminA")]).toBeNull();
  });
  it("agree, where a row was written from memory, with two facts put down apart from it, but for those that are explained", () => {
    const typical = foods.filter(({ provenance, family }) => provenance === "typical" && family !== "salt" && family !== "water");
    const without = typical.filter(({ id }) => !(id in FACTS)).map(({ id }) => id);
    expect(without).toEqual(["toned-milk", "vanilla-extract", "pectin"]);
    const off = typical.filter(({ id, per100g }) => {
      const [kilocalories, protein] = FACTS[id] ?? [];
      if (kilocalories === undefined || protein === undefined) return false;
      const fibre = (per100g[INDEX.solubleFibre] ?? 0) + (per100g[INDEX.insolubleFibre] ?? 0);
      const energy = energyKilojoules(per100g, REFERENCE.constants.energyPerGram.value) / 4.184;
      // Tables that count fibre as carbohydrate give it 2 kcal more.
      return Math.abs(energy - kilocalories) > 0.06 * kilocalories + 6 + 2.2 * fibre || Math.abs((per100g[INDEX.protein] ?? 0) - protein) > 0.06 * protein + 0.3;
    });
    expect(off.map(({ id }) => id).sort()).toEqual(Object.keys(EXPLAINED).sort());
  });
  it("say of a glycaemic index that is another food's whose it is", () => {
    expect(REFERENCE.foods.get("dates")?.glycaemicIndex?.source).toMatch(/^Atkinson/);
    expect(REFERENCE.foods.get("date-paste")?.glycaemicIndex?.source).toMatch(/^borrowed from dates: Atkinson/);
    expect(REFERENCE.foods.get("raspberry")?.glycaemicIndex?.source).toMatch(/^borrowed from apple/);
  });
  it("compute energy within 8 % of the table's wherever fibre carries under 5 % of it", () => {
    const misses = findings.filter((finding) => finding.fault === "energy differs from the table");
    expect(misses.filter((finding) => finding.explained === null)).toEqual([]);
    expect(misses.length).toBeLessThan(125);
    expect(misses.some((finding) => finding.food === "bottle-gourd" && finding.amount > 0.15)).toBe(true);
  });
  it("agree with published values of foods everyone knows", () => {
    const of = (id: string, nutrient: (typeof NUTRIENTS)[number]) => REFERENCE.foods.get(id)?.per100g[INDEX[nutrient]];
    expect(of("cow-milk", "water")).toBe(86.64);
    expect(of("semolina", "starch")).toBe(58.2);
    expect(of("semolina", "insolubleFibre")).toBe(8.16);
    expect(of("honey", "fructose")).toBe(40.94);
    expect(of("salt", "sodium")).toBe(38758);
    expect(of("ghee", "fat")).toBe(100);
  });
  it("tell of each food what it is: plant, form, processing, binding, acid", () => {
    const of = (id: string) => REFERENCE.foods.get(id)?.nature;
    expect(foods.filter(({ nature }) => nature === null).map(({ id }) => id), "npm run build:nature").toEqual([]);
    const NO_ONE_PLANT = /^(safflower-oil-blended|vegetable-oil|vanaspati|glucose-syrup|erythritol|xylitol|allulose|vegan-block|custard-powder|baking-powder|candied-peel|fruit-sugar|dextrose|xanthan-gum|pectin|filo-pastry|digestive-biscuits|jam|dry-yeast|maltodextrin|monk-fruit-erythritol)$/;
    const plants = foods.filter(({ origin, family }) => origin === "plant" && family !== "salt");
    expect(plants.filter(({ id, nature }) => (nature?.botanical === null) !== NO_ONE_PLANT.test(id.replace("ifct-", ""))).map(({ id }) => id)).toEqual([]);
    expect(foods.filter(({ origin, nature }) => origin !== "plant" && nature?.botanical).map(({ id }) => id)).toEqual([]);
    expect(of("almond")).toEqual({ botanical: "Prunus dulcis", form: "whole", processing: "raw", binding: "chopped nuts", acidity: "none" });
    expect(of("besan")).toMatchObject({ botanical: "Cicer arietinum", form: "flour", processing: "milled", binding: "fine flour" });
    expect(of("yogurt")).toMatchObject({ botanical: null, processing: "fermented", acidity: "sour" });
    expect(of("ifct-water-melon-dark-green-sugar-baby")).toMatchObject({ form: "whole", processing: "raw", binding: null });
    expect(foods.filter(({ nature, freeOil }) => nature?.binding === "free fat" && freeOil < 0.5).map(({ id }) => id)).toEqual([]);
  });
  it("keep minerals in milligrams", () => {
    for (const mineral of MINERALS) expect(Math.max(...foods.map((food) => food.per100g[INDEX[mineral]] ?? 0)), mineral).toBeGreaterThan(10);
    expect(REFERENCE.foods.get("cow-milk")?.per100g[INDEX.calcium]).toBeGreaterThan(80);
  });
  it("carry wider uncertainty for labels than for typical values", () => {
    const spread = (provenance: string) =>
      foods
        .filter((food) => food.provenance === provenance && (food.per100g[0] ?? 0) > 1)
        .map((food) => (food.sd[0] ?? 0) / (food.per100g[0] ?? 1))
        .sort((a, b) => a - b);
    const median = (values: number[]) => values[Math.floor(values.length / 2)] ?? 0;
    expect(median(spread("label"))).toBeGreaterThan(median(spread("typical")));
  });
  it("find every food by its own name", () => {
    for (const food of foods) {
      const match = context.matcher.match(food.name);
      expect(match.kind === "known" ? match.foodId : match.guesses, food.name).toEqual(match.kind === "known" ? food.id : expect.arrayContaining([food.id]));
    }
  });
});

describe("the substitution tables", () => {
  it("name only foods that there are, with sane bounds", () => {
    for (const { foodId, least, most } of SUBSTITUTION.candidates) {
      expect(REFERENCE.foods.has(foodId), foodId).toBe(true);
      expect(least < most && most <= 130).toBe(true);
    }
    for (const { foods: pair } of SUBSTITUTION.clashes) for (const id of pair) expect(REFERENCE.foods.has(id), id).toBe(true);
    for (const id of [...SUBSTITUTION.grainClasses.keys(), ...HANDLING.foods.keys()]) expect(REFERENCE.foods.has(id), id).toBe(true);
  });
  it("hold a profile for each kind of sweet", () => expect(SUBSTITUTION.profiles.size).toBe(12));
});
