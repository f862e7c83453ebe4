import { describe, expect, it } from "vitest";
import { context, food, read, tableOf, problem } from "../../../tests/support/kitchen";
import { findings } from "../models/diet";
import { judgedLines, listedIn, stepFindings, versionNotes } from "../substitution";
import { rulesAt } from "../table";
import { fits, standing } from "../../../tests/support/trials";
import { RULES } from "../../data";
import { evaluate } from "../evaluate";
import { besideIn } from "./beside";
import { readLine } from "./read-line";

const beside = (text: string) => {
  const reading = readLine({ id: "l", text, choice: {} }, context);
  return reading.kind === "left out" ? null : reading.beside;
};
const ids = (text: string) => beside(text)?.foods.map(({ id }) => id);

describe("what a line names beside its food", () => {
  it.each([
    ["1 cup besan, roasted in ghee", ["ghee"]],
    ["1 cup semolina, roasted slowly in a little melted butter", ["butter"]],
    ["100 g dates, soaked in warm water", []],
    ["2 tbsp cashews fried in ghee until golden", ["ghee"]],
    ["½ cup almonds, soaked in milk and ground", ["cow-milk"]],
    ["1 cup sugar", []],
    ["1 cup milk, warmed in the small pan", []],
    ["60 g raisins, cashews", ["raisins", "cashew"]],
    ["60 g raisins; slivered almonds", ["raisins", "almond"]],
    ["1 cup coconut milk (mixed with cow milk)", ["cow-milk"]],
    ["50 g sugar - with a spoon of honey", ["honey"]],
    ["20 cashews, ghee-roasted", ["ghee"]],
    ["100 g semolina, buttered", ["butter"]],
    ["1 cup jaggery, without ghee", []],
    ["1 cup rice flour, the colour of cream", []],
    ["100 g jaggery (a walnut-sized lump)", []],
  ])("%s", (line, found) => expect(ids(line)).toEqual(found));

  it.each([
    ["Grease a tray with ghee and pour it in.", ["ghee"]],
    ["Serve with a spoon of warm milk.", ["cow-milk"]],
    ["Roll the balls in desiccated coconut.", ["desiccated-coconut"]],
    ["Garnish with the almonds.", []],
    ["Sprinkle with love, and serve in bowls.", []],
    ["Press an almond on each piece.", []],
    ["Add a spoon of ghee at the end and stir.", ["ghee"]],
    ["Serve warm with a scoop of gelato.", ["named-ice-cream"]],
    ["Cook until it is the colour of honey and smells of butter.", []],
    ["Wrap it in a tea towel on butter paper.", []],
  ])("of a step that no line lists: %s", (step, found) => {
    const recipe = read(`Halwa\n\n1 cup semolina\n1 cup sugar\n10 almonds\n\nMethod\n${step}`);
    expect(recipe.unlisted.flatMap(({ food }) => food?.id ?? [])).toEqual(found);
    const [finding] = stepFindings(recipe, listedIn(recipe), rulesAt(tableOf({ rules: ["dairy-free", "nut-free"] }), RULES));
    expect(finding?.food).toEqual(found[0]);
  });

  it("asks about words that may name a food, and about nothing that only says how", () => {
    expect(besideIn("1 cup sugar, zibibbo", food("sugar"), false, context.find).words).toEqual(["zibibbo"]);
    expect(beside("1 cup jaggery, without ghee, the colour of honey, on butter paper")?.words).toEqual([]);
    expect(beside("1 cup sugar (see the note), finely ground, plus more for dusting")?.words).toEqual([]);
    expect(besideIn("1 cup sugar, zibibbo", null, false, context.find).words).toEqual([]);
    const recipe = read("Halwa\n\n1 cup semolina\n1 cup sugar\n\nMethod\nStir in the sugar and simmer with the lid on.\nSprinkle with zibibbo on top.");
    expect(recipe.unlisted).toEqual([{ step: "s2", food: null, words: "zibibbo", made: false }]);
  });

  // Words that only look like a tool, a likeness or a refusal; foods that look like what was done.
  it.each([
    ["100 g semolina", "Add a spoon if you like ghee."],
    ["100 g semolina", "Add the same weight of ghee."],
    ["100 g semolina", "Shape butter into balls and add them."],
    ["100 g semolina", "Add ghee less than a spoon."],
    ["100 g semolina", "Add the milk glass by glass."],
    ["100 g semolina", "Add two condensed milk tins."],
    ["100 g semolina, fried with fish", "Serve."],
    ["100 g semolina", "Serve with chicken, cooked in stock."],
    ["100 g semolina", "Top with frosting."],
    ["100 g semolina", "Finish with a drizzle of zibibbo."],
    ["100 g semolina", "Add the semolina, zibibbo and water."],
    ["100 g semolina", "Cook it in zibibbo."],
    ["100 g semolina", "Top with crushed sweets."],
  ])("is not vegan as far as is known: %s; %s", (line, step) => expect(fits(standing([line], [step], ["vegan"]))).toBe(false));
  it("is not asked about where only tools and likenesses are named", () =>
    expect(
      standing(
        ["100 g almonds", "100 g sugar", "4 cardamom pods, seeds only"],
        [
          "Blend the almonds to the texture of cream, on butter paper, with the seeds of the cardamom.",
          "Add the sugar a spoon at a time and cook until it is the size of a walnut and smells like popcorn.",
          "Work it with the heel of the hand, cut it with a knife dipped in hot water, and serve with a smile.",
        ],
        ["vegan", "sesame-free"],
      ),
    ).toMatchObject({ breaches: [], questions: [] }));

  it("leaves a choice open until it is settled: a breach only where all of it is", () => {
    const judged = (text: string) =>
      findings(judgedLines(read(`Halwa\n\n1 cup semolina\n${text}`)), rulesAt(tableOf({ rules: ["vegan"] }), RULES)).filter(({ line }) => line === "l2");
    expect(judged("2 tbsp coconut oil or ghee").map(({ verdict }) => verdict)).toEqual(["ask", "ask"]);
    expect(judged("2 tbsp ghee or butter").map(({ verdict }) => verdict)).toContain("avoid");
    const { ghee } = { ghee: read("Halwa\n\n2 tbsp coconut oil or ghee").readings[0] };
    expect(ghee?.kind).toBe("food unknown");
  });

  it("is judged with the line, and named in a version that keeps it", () => {
    const recipe = read("Halwa\n\nServes 4\n\n1 cup besan, roasted in ghee\n½ cup sugar\n1 cup water\n\nSimmer for 10 minutes.");
    const table = tableOf({ rules: ["vegan"] });
    expect(recipe.lines.map(({ food }) => food.id)).toEqual(["besan", "sugar", "water"]);
    expect(findings(judgedLines(recipe), rulesAt(table, RULES))).toMatchObject([
      { line: "l1", verdict: "avoid", food: "ghee", reason: "Ghee: is dairy, and the line names it" },
    ]);
    const of = problem(recipe, table);
    const version = {
      rows: of.lines.map(({ id, food, grams, role }) => ({ id, line: id, food, grams, role, change: "as is" as const, why: "" })),
      evaporation: 0,
    };
    const notes = versionNotes(of, version, evaluate(of, of.reference.constants).figures);
    expect(notes.flatMap(({ kind, text }) => (kind === "breaks" ? [text] : [])).join(" ")).toMatch(/Breaks “vegan”: Ghee: is dairy/);
  });
});

describe("foods to choose from", () => {
  const settled = (text: string, foodId: string) => {
    const reading = readLine({ id: "l", text, choice: { foodId, grams: 100 } }, context);
    return "beside" in reading ? { foods: reading.beside.foods.map(({ id }) => id), alternatives: reading.beside.alternatives.map(({ id }) => id) } : null;
  };
  it.each([
    ["2 tbsp oil or ghee", "sunflower-oil", [], ["ghee"]],
    ["2 tbsp oil or ghee, with honey", "sunflower-oil", ["honey"], ["ghee"]],
    ["2 tbsp butter, ghee or coconut oil", "coconut-oil", [], ["butter", "ghee"]],
    ["2 tbsp coconut oil, or butter if you like", "coconut-oil", [], ["butter"]],
    ["1 cup jaggery/honey", "jaggery", [], ["honey"]],
    ["200 g dates, soaked in milk or water", "dates", ["cow-milk"], []],
    ["1 cup cream or full-fat coconut milk and 1 tbsp honey", "cream", ["honey"], ["coconut-milk"]],
  ])("once one is taken the others are not in it, and what stands with them is: %s", (text, food, foods, alternatives) =>
    expect(settled(text, food)).toEqual({ foods, alternatives }),
  );
  it.each([", ", " plus ", " and ", " with ", "; ", " + ", " "])(
    "what has an amount of its own beside the food that was chosen stays in it, joined by “%s”",
    (joint) => {
      for (const amount of ["1/2 tsp", "½ tsp", "1 tbsp", "20 g", "1/4 cup"])
        expect(settled(`2 tbsp coconut oil${joint}${amount} ghee`, "coconut-oil"), `${joint}${amount}`).toEqual({ foods: ["ghee"], alternatives: [] });
    },
  );
});
