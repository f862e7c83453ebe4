import { describe, expect, it } from "vitest";
import { read } from "../../../tests/support/kitchen";
import { readJsonLd } from "./json-ld";
import { readRecipeText } from "./read-text";
import { readYield, yieldText } from "./yield";

describe("pasted text", () => {
  it("keeps a long line that nobody can read among the ingredients it stands between", () => {
    const read = readRecipeText(
      "Balls\n\n100 g semolina\nsome of the thing that the aunt dried in her shed\n20 g sugar\n\n1. Mix everything and shape into balls.\n2. Let them stand.",
    );
    expect(read.ok && [read.value.lines.length, read.value.steps.length]).toEqual([3, 2]);
    const prose = readRecipeText(
      "Balls\n\n100 g semolina\n20 g sugar\nMix the semolina with all of the sugar until it comes together\n5 minutes later shape it.",
    );
    expect(prose.ok && prose.value.lines.length).toBe(2);
  });
  it("begins the steps below an empty line at what is done to it, though nobody set a full stop", () => {
    const read = readRecipeText("Brittle\n\n100 g sesame\n80 g jaggery\nset curd\n\nToast the sesame till it crackles\nMelt the jaggery\nMix it all");
    expect(read.ok && [read.value.lines.length, read.value.steps.length]).toEqual([3, 3]);
  });
  it("takes an oven that is heated and what is blitzed for steps", () => {
    const read = readRecipeText("Bars\n\n150 g dates\n100 g almonds\n\nPreheat oven to 175C.\nBlitz everything.\nBake 20 minutes.");
    expect(read.ok && [read.value.lines.length, read.value.steps.length]).toEqual([2, 3]);
  });
  it("takes a bare number right below the title for what it makes, one with a noun for food", () => {
    const read = readRecipeText("Rolls\n18\n\n100 g figs\n\n1. Roll.");
    expect(read.ok && [read.value.servings, read.value.lines.length]).toEqual([18, 1]);
    const food = readRecipeText("Custard\n4 eggs\n\n100 g milk\n\n1. Whisk.");
    expect(food.ok && food.value.lines.map((line) => line.text)).toEqual(["4 eggs", "100 g milk"]);
  });
  it("finds title, yield, lines and steps with headings", () => {
    const { recipe } = read("My kheer\nMakes 8 bowls\n\nIngredients:\n1 litre milk\n½ cup rice\n\nMethod\n1. Wash the rice.\n2) Simmer it for 40 minutes.");
    expect(recipe).toMatchObject({ title: "My kheer", servings: 8, steps: [{ text: "Wash the rice." }, { text: "Simmer it for 40 minutes." }] });
    expect(recipe.lines.map((line) => line.text)).toEqual(["1 litre milk", "½ cup rice"]);
  });
  it.each([
    ["12 pieces", 12],
    ["8 people", 8],
    ["16 squares", 16],
  ])("takes “%s” for a yield, not for a line", (text, servings) =>
    expect(read(`My kheer\n${text}\n1 litre milk`).recipe).toMatchObject({ servings, lines: [{ text: "1 litre milk" }] }),
  );
  it("takes a line of dashes or stars for what parts a recipe, not for an ingredient", () => {
    const { recipe } = read(`My kheer\n${"-".repeat(40)}\n1 litre milk\n***\n½ cup rice\n====\nMethod\n________\nSimmer it.`);
    expect(recipe.lines.map((line) => line.text)).toEqual(["1 litre milk", "½ cup rice"]);
    expect(recipe.steps.map((step) => step.text)).toEqual(["Simmer it."]);
  });
  it("takes a long line with an amount for an ingredient, and all before a heading of steps; a yield from behind the title", () => {
    const list = ["1.5 litres full fat milk (plus a good splash more to loosen it)", "a good pinch of saffron, bloomed in two tablespoons of warm milk"];
    for (const head of ["", "Method\n"]) {
      const parsed = readRecipeText(
        `Milk thing (makes 24 squares)\n${list.join("\n")}\n${head}Simmer the milk for 20 minutes, stirring all the time, and stir in the saffron.`,
      );
      const recipe = parsed.ok ? parsed.value : expect.fail("not read");
      expect(recipe.lines.map(({ text }) => text)).toEqual(list);
      expect(recipe).toMatchObject({ title: "Milk thing", servings: 24, makes: { kind: "pieces", noun: "square" } });
      expect(recipe.steps).toHaveLength(1);
    }
  });
  it("tells steps from ingredients without headings", () => {
    const { recipe } = read("Rice thing\n1 litre milk\n½ cup rice\nBring the milk to the boil and add the rice, stirring all the time.\nServe.");
    expect(recipe.lines).toHaveLength(2);
    expect(recipe.steps).toHaveLength(2);
  });
  it.each([
    ["Serves 6", 6],
    ["6 servings", 6],
    ["Serves: about 4", 4],
    ["Makes 10-12 pieces", 10],
    ["4", 4],
    ["12 pieces, 6 servings", 6],
    ["a lot", null],
  ])("yield %s is %s", (text, servings) => expect(readYield(text, true)?.servings ?? null).toBe(servings));
  it.each([
    ["Makes about 20 small ladoos", "20 ladoos"],
    ["8 pops", "8 pops"],
    ["Makes 16", "16 servings"],
    ["Makes 24 pieces (serves 12)", "24 pieces, 12 servings"],
    ["Makes a jar", "one jar, 18 servings"],
    ["Makes 2 jars of 250 ml", "2 250 ml jars, 26 servings"],
    ["Makes one 20 cm square tin", "one 20 cm square tin, 25 servings"],
    ["Makes a 20 x 30 cm tray", "one 20 x 30 cm tray, 38 servings"],
    ["Two dozen truffles", "24 truffles"],
    ["Yield: 12 modaks", "12 modaks"],
    ["Serves 4 to 6 people", "4 servings"],
    ["2 cups rice", null],
    ["1 jar honey", null],
    ["3 large bananas", null],
    ["6 slices bread", null],
    ["a lemon-sized ball of tamarind", null],
    ["10 digestive biscuits", null],
    ["2 bars of chocolate", null],
    ["4 sugar cubes", null],
    ["3 small cakes of jaggery", null],
    ["Makes 10 digestive biscuits", "10 digestive biscuits"],
    ["Makes a jar of jam", "one jar, 18 servings"],
    ["for the syrup", null],
  ])("%s makes %s", (text, told) => {
    const read = readYield(text, false);
    expect(read && yieldText(read)).toBe(told);
  });
  it("refuses nothing, too much, and no ingredients, by name", () => {
    expect(readRecipeText(" \n ")).toEqual({ ok: false, error: { kind: "empty" } });
    expect(readRecipeText(Array.from({ length: 5000 }, (_, i) => `${i} cups milk`).join("\n"))).toMatchObject({
      ok: false,
      error: { kind: "too long", lines: 5000 },
    });
    expect(readRecipeText(`Kheer\n1 cup milk ${"x".repeat(3000)}`)).toMatchObject({ ok: false, error: { kind: "long line", line: 2 } });
    expect(readRecipeText("Ingredients\nMethod\nStir.")).toEqual({ ok: false, error: { kind: "no ingredients" } });
  });
});

describe("JSON-LD", () => {
  const recipe = {
    "@type": "Recipe",
    name: "Kheer",
    recipeYield: "Serves 4",
    recipeIngredient: ["1 litre milk"],
    recipeInstructions: [
      {
        "@type": "HowToSection",
        itemListElement: [
          { "@type": "HowToStep", text: "Boil." },
          { "@type": "HowToStep", text: "Stir." },
        ],
      },
    ],
  };
  it.each([
    ["alone", recipe],
    ["in a graph", { "@context": "https://schema.org", "@graph": [{ "@type": "Person" }, recipe] }],
    ["in a list", [recipe]],
  ])("reads a recipe %s", (_, document) => {
    expect(readJsonLd(document)).toMatchObject({ ok: true, value: { title: "Kheer", servings: 4, steps: [{ text: "Boil." }, { text: "Stir." }] } });
  });
  it("reads text instructions and a number as yield", () =>
    expect(readJsonLd({ ...recipe, recipeYield: 3, recipeInstructions: "Boil.\nStir." })).toMatchObject({
      ok: true,
      value: { servings: 3, steps: [{ text: "Boil." }, { text: "Stir." }] },
    }));
  it("points at what is wrong", () => {
    expect(readJsonLd({ "@type": "Person" })).toMatchObject({ ok: false, error: [{ pointer: "" }] });
    expect(readJsonLd({ "@graph": [{ "@type": "Person" }, { ...recipe, recipeIngredient: ["ok", 5], recipeYield: 0 }] })).toMatchObject({
      ok: false,
      error: [{ pointer: "/@graph/1/recipeIngredient/1" }, { pointer: "/@graph/1/recipeYield" }],
    });
    expect(readJsonLd({ ...recipe, recipeIngredient: Array(101).fill("1 cup milk") })).toMatchObject({ ok: false });
  });
});
