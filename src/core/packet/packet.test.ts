import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { context } from "../../../tests/support/kitchen";
import { PANTRY_TABLES as tables, REFERENCE, RULES } from "../../data";
import { ALLERGENS, INDEX, NUTRIENTS, sumOf, SUGAR_INDICES, type Food } from "../food";
import { judge } from "../models/diet";
import { EMPTY_LABEL, foodFromLabel, packetFit, type Label, type OwnFood, type PacketIngredient } from "../pantry";
import { readPacket } from ".";

const { foods } = REFERENCE;
const ground = { foods, tables };
const read = (text: string) => readPacket(text, { matcher: context.matcher, find: context.find, tables: tables.packet });
const means = (text: string) =>
  read(text).ingredients.map(({ words, means: it }) => `${words}: ${it?.kind === "food" ? it.id : it?.kind === "additive" ? it.code : "?"}`);
const ownOf = (ingredients: readonly PacketIngredient[], label: Label = EMPTY_LABEL): OwnFood => ({
  id: "own-case",
  name: "Of a packet",
  synonyms: [],
  family: "cereal",
  origin: "plant",
  allergens: [],
  traces: [],
  made: { kind: "label", label, packet: { text: "", ingredients, keeps: null } },
  density: null,
  note: "",
  revision: 1,
});
const foodOf = (text: string): Food => {
  const { ingredients, label } = read(text);
  const own = ownOf(ingredients, label ?? EMPTY_LABEL);
  return own.made.kind === "label" ? foodFromLabel(own, own.made, ground) : expect.fail();
};
const verdict = (text: string, rule: string) => judge(foodOf(text), RULES.get(rule) ?? expect.fail(rule)).verdict;

describe("a packet's list", () => {
  it("is read with brackets, classes, numbers, shares, and words of many packets", () => {
    expect(
      means(
        "INGREDIENTS: Refined Wheat Flour (Maida), Sugar, Edible Vegetable Oil (Palm), Milk Solids 1.2%, Raising Agents [503(ii), 500(ii)], Emulsifier (322), Acidity regulator: citric acid; vitamins (B12, D2).",
      ),
    ).toEqual([
      "Refined Wheat Flour: wheat-flour",
      "Sugar: sugar",
      "Edible Vegetable Oil: vegetable-oil",
      "Palm: ifct-palm-oil",
      "Milk Solids: milk-powder",
      "503: E503",
      "500: E500",
      "322: E322",
      "citric acid: E330",
      "B12: vitamins",
      "D2: vitamin D2",
    ]);
    expect(read("Ingredients: oat base (water, oats 10,5 %), salt").ingredients.map(({ percent, depth }) => [percent, depth])).toEqual([
      [null, 0],
      [null, 1],
      [10.5, 1],
      [null, 0],
    ]);
  });
  it("ends where another part begins, and asks about words that it does not know", () => {
    const { ingredients, name } = read("Crunchy thing\nIngredients: peanuts 87%, kremolin, salt. Store in a dry place, away from light, with care.");
    expect(ingredients.map(({ words }) => words)).toEqual(["peanuts", "kremolin", "salt"]);
    expect(ingredients[1]?.means).toBeNull();
    expect(name).toBe("Crunchy thing");
  });
  it("tells allergens in it, beside it and of a shared line, in the packet's own words", () => {
    const { allergens, traces } = read(
      "Ingredients: sugar, whey, lecithin (soya). Contains gluten. May contain traces of nuts (almonds) and sesame. Free from egg.",
    );
    expect([...allergens].sort()).toEqual(["barley", "milk", "oats", "rye", "soy", "wheat"]);
    expect(traces).toContain("almond");
    expect(traces).toContain("cashew");
    expect(traces).toContain("sesame");
    expect([...allergens, ...traces]).not.toContain("egg");
    for (const [text, has] of [
      ["cocoa butter, buckwheat, coconut milk, cream of tartar, nutmeg", ["coconut"]],
      ["sulphur dioxide, lysozyme", ["sulphites", "egg"]],
      ["Barley malt, spelt, tahini", ["barley", "wheat", "sesame"]],
    ] as const)
      expect([...read(`Ingredients: ${text}.`).allergens].sort(), text).toEqual([...has].sort());
    expect(read("Ingredients: rice. Allergy advice: for allergens, including cereals containing gluten, see ingredients in bold.").allergens).toEqual([]);
  });
  it("never loses an allergen of a food that it lists, however it is written", () => {
    const some = [...foods.values()].filter(({ name, allergens }) => allergens.length > 0 && context.matcher.known(name.split(",")[0] ?? "") !== null);
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...some), { minLength: 1, maxLength: 6 }),
        fc.constantFrom(", ", "; ", ",\n"),
        fc.constantFrom("%", "% 12 %", "% (12%)", "% [organic]", "blend (%, salt)", "12,5 % %", "*%"),
        fc.boolean(),
        (listed, between, style, isUpper) => {
          const named = listed.map(({ name }) => name.split(",")[0] ?? name);
          const list = named.map((name) => style.replace(/%$|(?<!\d ?)%(?! ?%)/, name)).join(between);
          const { allergens } = read(`Ingredients: ${isUpper ? list.toUpperCase() : list}.`);
          for (const [i, name] of named.entries()) {
            const food = foods.get(context.matcher.known(name) ?? "") ?? listed[i];
            for (const allergen of food?.allergens ?? []) expect(allergens, `${allergen} in ${list}`).toContain(allergen);
          }
        },
      ),
      { seed: 16, numRuns: 400 },
    );
  });
  it("never loses an allergen wherever in a packet it is said, with whatever stands around it", () => {
    const SAID = ["milk", "egg", "soya", "peanuts", "sesame", "wheat", "almonds", "cashews", "hazelnuts", "mustard", "celery", "fish"] as const;
    const OF: Readonly<Record<(typeof SAID)[number], string>> = {
      milk: "milk", egg: "egg", soya: "soy", peanuts: "peanut", sesame: "sesame", wheat: "wheat", almonds: "almond", cashews: "cashew", hazelnuts: "hazelnut", mustard: "mustard", celery: "celery", fish: "fish",
    }; // prettier-ignore
    const PLACES = [
      "Ingredients: rice, sugar, %.",
      "Ingredients: rice, Vit. B12, %, salt.",
      "Ingredients: rice, flavouring (%), salt.",
      "Ingredients: rice, crisps (sugar, %), salt.",
      "Ingredients: rice, salt. Contains %.",
      "Ingredients: rice, salt. CONTAINS: %, no artificial colours.",
      "Ingredients: rice, salt. Does not contain lupin but contains %.",
      "Ingredients: rice, salt. Free from lupin, contains %.",
      "Ingredients: rice, salt. May contain lupin. Also contains %.",
      "Ingredients: rice, salt. Allergy advice: contains % (see bold).",
      "Ingredients: rice, salt. Keep dry. Contains %",
      "Ingredients: rice,\n\nsugar, salt, %",
      "Rice crisps with %\nIngredients: rice, salt.",
    ];
    for (const place of PLACES)
      for (const said of SAID)
        for (const text of [place.replace("%", said), place.replace("%", said.toUpperCase())]) expect(read(text).allergens, text).toContain(OF[said]);
    for (const denied of ["Free from milk and egg.", "Does not contain milk, egg or nuts.", "No milk, no eggs."])
      expect(read(`Ingredients: rice, salt. ${denied}`).allergens, denied).toEqual([]);
  });
  it("asks about every word of it, behind an additive and past an abbreviation too, and says where it read no further", () => {
    const asked = (text: string) => read(text).ingredients.flatMap(({ words, means: it }) => (it === null ? [words] : []));
    expect(asked("Ingredients: rice, citric acid (kremolin), salt.")).toEqual(["kremolin"]);
    expect(asked("Ingredients: rice, Vit. B12, kremolin, salt.")).toEqual(["kremolin"]);
    expect(asked("Ingredients: rice, emulsifier: kremolin.")).toEqual(["kremolin"]);
    expect(read(`Ingredients: ${Array.from({ length: 90 }, () => "salt").join(", ")}.`).doubts).toHaveLength(1);
    expect(verdict("Ingredients: rice, cheese crisps, butter (cultures, salt).", "vegan")).not.toBe("allowed");
  });
  it("takes text of any kind, however long, without an error", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), fc.constantFrom("", "Ingredients: ", "Energy 100 "), (text, head) => {
        const { allergens } = read(head + text);
        expect(allergens.every((each) => ALLERGENS.includes(each))).toBe(true);
      }),
      { seed: 16, numRuns: 300 },
    );
    for (const part of ["Ingredients: (", "a, ", "E471 (", "12 % ", "energy 1 ", "may contain ", "\n ", "( ["])
      expect(read(part.repeat(10_000)).ingredients.length, part).toBeLessThanOrEqual(80);
  });
});

describe("a packet's table and date", () => {
  it.each([
    [
      "Energy 1580 kJ / 377 kcal; Fat 1,2 g of which saturates <0.5 g; Carbohydrate 70 g, of which sugars 30 g; Protein 8 g; Salt 0.2 g, per 100 g",
      { per: 100, energy: 377, fat: 1.2, saturatedFat: 0.25, carbohydrate: 70, sugars: 30, protein: 8, salt: 0.2 },
    ],
    [
      "Nutrition Facts Serving size 2 squares (20 g) Calories 110 Total Fat 8g 10% Saturated Fat 4.5g 23% Trans Fat 0g Sodium 5mg 0% Total Carbohydrate 9g Dietary Fiber 2g Total Sugars 5g Includes 2g Added Sugars 4% Protein 1g",
      {
        per: 20,
        energy: 110,
        fat: 8,
        saturatedFat: 4.5,
        carbohydrate: 9,
        fibre: 2,
        sugars: 5,
        protein: 1,
        salt: 5,
        saltUnit: "mg sodium",
        includesFibre: true,
      },
    ],
    [
      "Nutrition per serving (30 g) per 100 g\nEnergy (kcal) 120 400\nProtein 3 10\nTotal Fat 4.5 15\nCarbohydrate 18 60\nSodium (mg) 30 100",
      { per: 100, energy: 400, protein: 10, fat: 15, carbohydrate: 60, salt: 100 },
    ],
    ["Nutritional information per 100 ml: Energy 251 kJ, fat 3 g, carbohydrate 7 g, protein 1 g", { per: 103, energy: 251, energyUnit: "kJ", fat: 3 }],
  ])("is read: %s", (text, told) => expect(read(text).label).toMatchObject(told));
  it.each([
    ["Best before 14.03.2027", { kind: "best before", day: "2027-03-14" }, 0],
    ["Use by 3rd Feb 2027", { kind: "use by", day: "2027-02-03" }, 0],
    ["Best before end: Feb 2028", { kind: "best before", day: "2028-02-29" }, 0],
    ["BB 08/27", { kind: "best before", day: "2027-08-31" }, 0],
    ["Best before 03/04/2027", { kind: "best before", day: "2027-03-04" }, 1],
    ["Mfg 31/08/2026. Best before 6 months from manufacture", { kind: "best before", day: "2027-02-28" }, 0],
    ["Best before 6 months from packing", null, 1],
    ["Best before 45.13.2027", null, 1],
  ])("tells until when it keeps: %s", (text, keeps, doubts) => {
    const found = read(`Ingredients: rice, salt, sugar.\n${text}`);
    expect(found.keeps).toEqual(keeps);
    expect(found.doubts).toHaveLength(doubts);
  });
});

describe("the food of a packet", () => {
  it("is judged by all that it lists", () => {
    expect(verdict("Ingredients: sugar, dextrose, colour: carmine.", "vegan")).toBe("avoid");
    expect(verdict("Ingredients: rice flour, sugar, E471.", "vegan")).toBe("ask");
    expect(verdict("Ingredients: rice flour, glue of kremolin.", "vegan")).toBe("ask");
    expect(verdict("Ingredients: rice flour, glue of kremolin.", "no-milk")).toBe("ask");
    expect(verdict("Ingredients: rice flour, dried skimmed milk.", "no-milk")).toBe("avoid");
    expect(verdict("Ingredients: dates, almonds, sunflower lecithin.", "vegan")).toBe("allowed");
    expect(foodOf("Ingredients: oats, sugar. Per 100 g: energy 390 kcal, fat 6 g, carbohydrate 68 g, sugars 20 g, protein 11 g, salt 0 g").sugarClass).toBe(
      "added",
    );
  });
  it("has the table as printed, and what that cannot tell from the mixture: sugars of milk, of honey, of starch that enzymes split", () => {
    const food = foodOf(
      "Ingredients: sugar, cocoa butter, skimmed milk powder. Per 100 g: fat 32 g, saturates 19.5 g, carbohydrate 58 g, sugars 58 g, protein 6 g, salt 0.25 g",
    );
    expect(food.per100g[INDEX.fat]).toBe(32);
    expect(sumOf(food.per100g, SUGAR_INDICES)).toBeCloseTo(58, 6);
    expect(food.per100g[INDEX.lactose]).toBeGreaterThan(5);
    expect(food.per100g[INDEX.sucrose]).toBeGreaterThan(40);
    expect(food.unknown).not.toContain("calcium");
    const drink = foodOf(
      "Ingredients: water, oats 10 %, rapeseed oil, salt. Per 100 g: fat 1.5 g, saturates 0.2 g, carbohydrate 7 g, sugars 4 g, fibre 0.8 g, protein 1 g, salt 0.1 g",
    );
    expect(drink.per100g[INDEX.maltose]).toBeGreaterThan(3);
  });
  it("says where no mixture of what is listed comes near the table, and takes nothing from it", () => {
    const text = "Ingredients: water, sugar, salt. Per 100 g: fat 30 g, saturates 3 g, carbohydrate 10 g, sugars 10 g, protein 20 g, salt 0.1 g";
    const { ingredients, label } = read(text);
    expect(packetFit(label ?? EMPTY_LABEL, { text, ingredients, keeps: null }, ground)?.off.map(({ name }) => name)).toEqual(
      expect.arrayContaining(["fat", "protein"]),
    );
    expect(foodOf(text).unknown).toContain("potassium");
  });
  it("finds the mixtures of which a table was computed again, within the intervals that it tells", () => {
    const listed = [
      "oats-rolled",
      "rolled-oats",
      "sugar",
      "almond",
      "raisins",
      "coconut-oil",
      "cocoa-powder",
      "milk-powder",
      "wheat-flour",
      "dates",
      "honey",
    ].flatMap((id) => foods.get(id) ?? []);
    let [within, all] = [0, 0];
    fc.assert(
      fc.property(
        fc.shuffledSubarray(listed, { minLength: 2, maxLength: 5 }),
        fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 5, maxLength: 5 }),
        (picked, weights) => {
          const sorted = weights.slice(0, picked.length).sort((a, b) => b - a);
          const whole = sorted.reduce((a, b) => a + b, 0);
          const shares = sorted.map((each) => each / whole);
          const mixed = NUTRIENTS.map((_, n) => picked.reduce((sum, food, i) => sum + (shares[i] ?? 0) * (food.per100g[n] ?? 0), 0));
          const of = (...names: (keyof typeof INDEX)[]) => Math.round(10 * names.reduce((sum, name) => sum + (mixed[INDEX[name]] ?? 0), 0)) / 10;
          const label: Label = {
            ...EMPTY_LABEL,
            fat: of("fat"),
            saturatedFat: of("saturatedFat"),
            carbohydrate: of("availableCarbohydrate"),
            sugars: Math.round(10 * sumOf(mixed, SUGAR_INDICES)) / 10,
            fibre: of("solubleFibre", "insolubleFibre"),
            protein: of("protein"),
            salt: of("sodium"),
            saltUnit: "mg sodium",
          };
          const ingredients = picked.map(({ id, name }): PacketIngredient => ({ words: name, percent: null, depth: 0, means: { kind: "food", id } }));
          const fit = packetFit(label, { text: "", ingredients, keeps: null }, ground);
          expect(fit?.off).toEqual([]);
          for (const [i, share] of shares.entries()) {
            const found = fit?.shares[i];
            all++;
            if (found && Math.abs(found.value - share) <= 1.2816 * found.sd + 0.005) within++;
          }
        },
      ),
      { seed: 16, numRuns: 150 },
    );
    expect(within / all).toBeGreaterThan(0.8);
  });
});

describe("packets of many makers", () => {
  const told = (text: string) => {
    const { label, allergens, traces, keeps, ingredients } = read(text);
    const asked = ingredients.filter(({ means: it }, place) => it === null && (ingredients[place + 1]?.depth ?? 0) <= (ingredients[place]?.depth ?? 0)).length;
    return [label?.per, label?.energy, label?.fat, label?.sugars, label?.salt, allergens.join(), traces.join(), keeps?.day, asked];
  };
  it.each([
    [
      "RICE DRINK. Water, rice 14 %, sunflower oil, sea salt. Per 100ml: 228 kJ / 54 kcal, Fat 1.0 g (saturates 0.1 g), Carbohydrates 10.8 g (sugars 5.2 g), Protein 0.1 g, Salt 0.08 g. Shake well.",
      [103, 54, 1, 5.2, 0.08, "", "", undefined, 0],
    ],
    [
      "Ingredients: Sugar, Cocoa Butter, Whole Milk Powder, Hazelnuts (8%), Natural Vanilla Flavouring. Contains: cocoa solids 30% minimum. May contain wheat. Typical values per 100g Energy 2315kJ/555kcal Fat 34.2g Carbohydrate 52.8g of which sugars 51.9g Protein 7.3g Salt 0.21g BEST BEFORE END: 11 2027",
      [100, 555, 34.2, 51.9, 0.21, "milk,hazelnut", "wheat", "2027-11-30", 0],
    ],
    [
      "Khari - Ingredients: Maida (wheat flour) 58%, Edible vegetable fat [interesterified vegetable fat (palm & palm kernel)], sugar, improver (E 1100(i), INS 300), preservative 282. May contain soy, milk & sulphite. Nutrition per 100g (approx): Energy 533 Kcal, Protein 7.7g, Carbohydrate 57.2g, Sugar 4.1g, Fat 30.4g, SFA 15g, Sodium 610mg. MFG DT 14/10/26 Best before four months from mfg.",
      [100, 533, 30.4, 4.1, 610, "wheat", "soy,milk,sulphites", "2027-02-14", 0],
    ],
    [
      "Bar ingredients - dates, cashew nuts 21%, raisins, natural orange flavor, himalayan salt; may contain peanuts. per 45 g bar: 182 kcal, 6.9 g fat, 1.4 g saturated fat, 21 g carbohydrate, 15 g sugars, 6.8 g protein, 0.12 g salt",
      [45, 182, 6.9, 15, 0.12, "cashew", "peanut", undefined, 0],
    ],
    [
      "Plain soya block — water, SOYA beans* 38 %, coagulant: magnesium chloride; salt. *from organic farming. Traces of CELERY possible. 100 g = 612 kJ (147 kcal) / fat 8.9 g / carbohydrate 1.0 g / of which sugars 0.5 g / protein 15 g / salt 0.9 g.",
      [100, 147, 8.9, 0.5, 0.9, "soy", "celery", undefined, 1],
    ],
    [
      "Vegan spread: rapeseed oil 32%, water, coconut oil 21%, colour (carotenes), vitamins A and D2. 100 g contains: energy 2260 kJ/549 kcal, fat 61 g, carbohydrate 0.3 g of which sugars 0 g, protein 0 g, salt 1.3 g.",
      [100, 549, 61, 0, 1.3, "coconut", "", undefined, 0],
    ],
  ])("are read: %s", (text, expected) => expect(told(text)).toEqual(expected));
});
