import { describe, expect, it } from "vitest";
import { randomOf, randomSweet, toKeep } from "../../../tests/support/sweets";
import { kitchenOf, REFERENCE } from "../../data";
import { USUAL_SOURCES } from "../kitchen";
import { rounded } from "../nutrition";
import { EMPTY_LABEL, type OwnFood } from "../pantry";
import type { Eater } from "../table";
import { keepView } from "../views";

const tables = kitchenOf(USUAL_SOURCES);
const label = (text: string, part: Parameters<typeof toKeep>[1] = {}) => keepView(toKeep(text, part), part.sources ? kitchenOf(part.sources) : tables).label;
const panel = (text: string, of: string) => label(text, { got: 700 }).nutrition.find(({ book }) => book === of);
const names = (notes: readonly { readonly allergen: string }[]) => notes.map(({ allergen }) => allergen);

const HALWA =
  "Semolina halwa\nServes 6\n\n150 g semolina\n90 g ghee\n120 g sugar\n600 ml water\n20 g cashews\n10 g raisins\n4 green cardamom pods, ground\n\n1. Roast the semolina in the ghee for 10 minutes.\n2. Pour in the water, add the sugar and stir for 8 minutes.\n3. Fold in the cashews, raisins and cardamom.";

describe("ingredients of a label", () => {
  it("stand by weight, water without what was boiled off, each with its allergens", () => {
    const { ingredients, allergens } = label(HALWA, { got: 700 });
    const grams = ingredients.map((each) => each.grams ?? 0);
    expect(grams).toEqual([...grams].sort((a, b) => b - a));
    expect(ingredients.find(({ name }) => /water/i.test(name))?.grams).toBeLessThan(400);
    expect(ingredients.find(({ name }) => /ghee/i.test(name))?.contains).toEqual(["milk"]);
    expect(names(allergens.contains)).toEqual(["cashew", "wheat", "milk"]);
    expect(ingredients.reduce((sum, { share }) => sum + (share ?? 0), 0)).toBeCloseTo(1, 9);
  });
  it("names every allergen of every food that goes in: 300 random sweets, whatever its line was read as", () => {
    for (let seed = 1; seed <= 300; seed++) {
      const { text, foods } = randomSweet(randomOf(seed));
      const question = toKeep(text);
      const { allergens, unread } = keepView(question, tables).label;
      const told = new Set([...names(allergens.contains), ...names(allergens.mayContain)]);
      for (const { id, allergens: of } of foods) for (const allergen of of) expect(told, `${seed}: ${id}`).toContain(allergen);
      for (const { allergen } of allergens.mayContain) expect(names(allergens.contains)).not.toContain(allergen);
      expect(unread.some((line) => /neighbour/.test(line))).toBe(/neighbour/.test(text));
    }
  });
  it("names what is in a part of a food, what some makers put in, what the pan is used for too, and what an unread line may be", () => {
    const sources = {
      ...USUAL_SOURCES,
      household: {
        ...USUAL_SOURCES.household,
        equipment: {
          pans: [{ id: "p", name: "Iron pan", diameter: 24, depth: 8, mass: null, sharedWith: ["peanut", "milk"] }],
          burners: [],
          mixer: null,
          pressureCooker: null,
          fridge: null,
        },
      },
    };
    const { allergens, unread } = label(HALWA.replace("20 g cashews", "20 g cashews\n50 g dark chocolate\nsome of aunt's hazelnut praline stuff"), {
      sources,
    });
    expect(names(allergens.mayContain)).toEqual(expect.arrayContaining(["hazelnut", "soy", "peanut"]));
    // Milk is there for sure: the pan says nothing more.
    expect(names(allergens.contains)).toContain("milk");
    expect(names(allergens.mayContain)).not.toContain("milk");
    expect(unread.join()).toMatch(/praline/);
    expect(allergens.mayContain.find(({ allergen }) => allergen === "peanut")?.why).toMatch(/Iron pan.*used for it too/);
  });
  it("names what only a step says, what went in at the stove, and what goes in and is strained off again", () => {
    const kheer =
      "Rice kheer\nServes 4\n\n900 ml oat drink\n80 g rice\n70 g sugar\n\n1. Fry 20 g pistachios in ghee and set aside.\n2. Simmer the rice in the oat drink for 30 minutes.";
    expect(names(label(kheer).allergens.contains)).toEqual(expect.arrayContaining(["milk", "pistachio", "oats"]));
    const put = label(kheer, { happened: [{ kind: "put in", line: null, food: "peanut", name: "peanuts", grams: 30, word: "" }] });
    expect(names(put.allergens.contains)).toContain("peanut");
    const strange = label(kheer, { happened: [{ kind: "put in", line: null, food: null, name: "a powder with sesame", grams: 30, word: "" }] });
    expect(strange.unread).toContain("a powder with sesame");
    expect(names(strange.allergens.mayContain)).toContain("sesame");
    expect([strange.nutrition, strange.storage.unknown === null]).toEqual([[], false]);
    const pressed = label(
      "Almond kheer\nServes 4\n\n120 g almonds\n700 ml water\n40 g rice flour\n60 g sugar\n\n1. Soak the almonds overnight, grind with the water and press through a cloth.\n2. Simmer the milk with the flour and sugar for 15 minutes.",
    );
    expect(names(pressed.allergens.contains)).toContain("almond");
  });
});

describe("a label of what is hardly known", () => {
  it("of an own food without composition has no nutrition, counts what spoils soonest, and says that its packet is to be read", () => {
    const own: OwnFood = {
      id: "own-spread",
      name: "Green spread",
      synonyms: [],
      family: "nut",
      origin: "plant",
      allergens: ["pistachio"],
      traces: ["sesame"],
      made: { kind: "label", label: EMPTY_LABEL },
      density: null,
      note: "",
      revision: 1,
    };
    const sources = { ...USUAL_SOURCES, pantry: { ...USUAL_SOURCES.pantry, foods: [own] } };
    const told = label("Green balls\nMakes 10\n\n200 g green spread\n100 g dates\n\n1. Mix and roll into balls.", { sources });
    expect(told.ingredients[0]).toMatchObject({ name: "Green spread", isTold: false, contains: ["pistachio"] });
    expect(names(told.allergens.mayContain)).toContain("sesame");
    expect(told.storage.unknown).toMatch(/how much water green spread holds/);
    expect(told.storage.notSealed).not.toBeNull();
    for (const panel of told.nutrition) for (const { amounts } of panel.rows) expect(amounts[0]).toMatch(/^at least/);
  });
  it("of what nobody weighed has neither weight nor nutrition, and every food of it all the same", () => {
    const told = label("Some halwa\nServes 4\n\nsemolina, as needed\nghee, as needed\nsugar to taste\n\n1. Roast the semolina in the ghee, stir in the sugar.");
    expect(told.nutrition).toEqual([]);
    expect(told.ingredients.map(({ grams }) => grams)).toEqual([null, null, null]);
    expect(names(told.allergens.contains)).toEqual(["wheat", "milk"]);
  });
  it("claims nothing by its title", () => expect(label(HALWA.replace("Semolina halwa", "Healthy sugar-free semolina halwa")).title).toBe("Semolina halwa"));
});

describe("what a label says of whom", () => {
  const eater = (name: string, rules: readonly string[]): Eater => ({ id: name, name, rules, limits: [], note: "", asked: "2026-11-01" });
  it("is by each one's own rules, a breach of the table is printed, without names", () => {
    const eaters = [eater("Niece", ["no-cashew"]), eater("Cousin", ["vegan"]), eater("Grandmother", [])];
    const told = label(HALWA, { eaters, table: { rules: ["vegan"] } });
    expect(told.whom.map(({ name, may }) => `${name} ${may}`)).toEqual(["Niece no", "Cousin no", "Grandmother yes"]);
    expect(told.breaches.join()).toMatch(/ghee/i);
    expect(`${told.breaches.join()} ${told.questions.join()}`).not.toMatch(/Niece|Cousin|Grandmother/);
  });
  it("has the cautions of whoever eats it, of whatever age, and none that are for the cook", () => {
    const honey =
      "Date rolls\nMakes 20\n\n200 g dates\n60 g walnuts\n30 g honey\n20 g xylitol\n\n1. Mash the dates with the honey and xylitol, mix in the walnuts and roll.";
    const ids = label(honey).cautions.map(({ id }) => id);
    expect(ids).toEqual(expect.arrayContaining(["honey-infant", "choking-nuts", "polyols"]));
    expect(label(HALWA).cautions.map(({ id }) => id)).not.toContain("cooling");
  });
});

describe("nutrition on a label", () => {
  const eu = tables.books.find(({ id }) => id === "eu")?.label.roundings;
  const us = tables.books.find(({ id }) => id === "us")?.label.roundings;
  // The Commission's guidance on tolerances (2012), and 21 CFR 101.9(c).
  it.each([
    ["eu", "grams", 0.5, "<0.5"],
    ["eu", "grams", 0, "0"],
    ["eu", "grams", 0.51, "0.5"],
    ["eu", "grams", 9.94, "9.9"],
    ["eu", "grams", 10.4, "10"],
    ["eu", "saturates", 0.1, "<0.1"],
    ["eu", "saturates", 0.14, "0.1"],
    ["eu", "salt", 0.0125, "<0.01"],
    ["eu", "salt", 0.013, "0.01"],
    ["eu", "salt", 1.26, "1.3"],
    ["eu", "kJ", 1234.5, "1235"],
    ["us", "kcal", 4.9, "0"],
    ["us", "kcal", 48, "50"],
    ["us", "kcal", 50, "50"],
    ["us", "kcal", 54, "50"],
    ["us", "kcal", 56, "60"],
    ["us", "fat", 0.4, "0"],
    ["us", "fat", 4.7, "4.5"],
    ["us", "fat", 5.4, "5"],
    ["us", "sodium", 4.9, "0"],
    ["us", "sodium", 138, "140"],
    ["us", "sodium", 146, "150"],
    ["us", "whole", 0.9, "<1"],
    ["us", "whole", 1.4, "1"],
  ] as const)("is rounded as %s rounds %s: %f", (book, kind, amount, words) => {
    const rounding = (book === "eu" ? eu : us)?.[kind];
    expect(rounding && rounded(amount, rounding)).toBe(words);
  });
  it("stands in the layout of each book, and not where a line is not read or nothing has a weight", () => {
    const rows = (book: string) => panel(HALWA, book)?.rows.map(({ name }) => name);
    expect(rows("eu")).toEqual(["Energy", "Fat", "of which saturates", "Carbohydrate", "of which sugars", "Fibre", "Protein", "Salt"]);
    expect(rows("us")?.slice(0, 3)).toEqual(["Calories", "Total fat", "Saturated fat"]);
    expect(panel(HALWA, "eu")?.rows[0]?.amounts[0]).toMatch(/^\d{3,4} kJ \/ \d{3} kcal$/);
    expect(panel(HALWA, "us")?.rows[1]?.ofDay).toMatch(/^\d+ %$/);
    expect(label(HALWA.replace("20 g cashews", "something of hers"), {}).nutrition).toEqual([]);
  });
  it("says “at least” where a food's amount is not known", () => {
    const unknownFat = [...REFERENCE.foods.values()].find(({ unknown }) => unknown.includes("fat"));
    if (unknownFat) expect(label(`Odd\nServes 2\n\n100 g ${unknownFat.name}\n100 g sugar\n\n1. Mix.`).nutrition[0]?.rows[1]?.amounts[0]).toMatch(/^at least/);
    expect(tables.books.every(({ label: { per } }) => per.length > 0)).toBe(true);
  });
});
