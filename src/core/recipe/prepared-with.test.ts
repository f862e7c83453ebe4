import { describe, expect, it } from "vitest";
import { context, read, tableOf, problem } from "../../../tests/support/kitchen";
import { findings } from "../models/diet";
import { judgedLines, rulesAt, stepFindings, versionNotes } from "../substitution";
import { RULES } from "../../data";
import { evaluate } from "../evaluate";
import { preparedWith } from ".";

const ids = (text: string) => preparedWith(text, context).map(({ id }) => id);

describe("what a line is made ready in", () => {
  it.each([
    ["1 cup besan, roasted in ghee", ["ghee"]],
    ["1 cup semolina, roasted slowly in a little melted butter", ["butter"]],
    ["100 g dates, soaked in warm water", []],
    ["2 tbsp cashews fried in ghee until golden", ["ghee"]],
    ["½ cup almonds, soaked in milk and ground", ["cow-milk"]],
    ["1 cup sugar", []],
    ["1 cup milk, warmed in the small pan", []],
  ])("%s", (line, found) => expect(ids(line)).toEqual(found));

  it.each([
    ["Grease a tray with ghee and pour it in.", ["ghee"]],
    ["Serve with a spoon of warm milk.", ["cow-milk"]],
    ["Roll the balls in desiccated coconut.", ["desiccated-coconut"]],
    ["Garnish with the almonds.", []],
    ["Sprinkle with love, and serve in bowls.", []],
  ])("of a step that no line lists: %s", (step, found) => {
    const recipe = read(`Halwa\n\n1 cup semolina\n1 cup sugar\n10 almonds\n\nMethod\n${step}`);
    expect(recipe.unlisted.map(({ food: { id } }) => id)).toEqual(found);
    const [finding] = stepFindings(recipe, rulesAt(tableOf({ rules: ["dairy-free", "nut-free"] }), RULES));
    expect(finding?.food).toEqual(found[0]);
  });

  it("is judged with the line, and named in a version that keeps it", () => {
    const recipe = read("Halwa\n\nServes 4\n\n1 cup besan, roasted in ghee\n½ cup sugar\n1 cup water\n\nSimmer for 10 minutes.");
    const table = tableOf({ rules: ["vegan"] });
    expect(recipe.lines.map(({ food }) => food.id)).toEqual(["besan", "sugar", "water"]);
    expect(findings(judgedLines(recipe), rulesAt(table, RULES))).toMatchObject([
      { line: 0, verdict: "avoid", food: "ghee", reason: "Ghee: is dairy, and this is made ready in it" },
    ]);
    const of = problem(recipe, table);
    const version = {
      rows: of.lines.map(({ index, food, grams, role }) => ({ line: index, food, grams, role, change: "as is" as const, why: "" })),
      evaporation: 0,
    };
    const notes = versionNotes(of, version, evaluate(of, of.reference.constants).figures);
    expect(notes.flatMap(({ kind, text }) => (kind === "ask" ? [text] : [])).join(" ")).toMatch(/made ready in it: Ghee: is dairy/);
  });
});
