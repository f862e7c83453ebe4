import { describe, expect, it } from "vitest";
import { context, problem, read, tableOf } from "../../../tests/support/kitchen";
import { standingOf, tableVerdict, scaledFor, type VersionRow } from "../substitution";
import { withOwnWords } from ".";

const KHEER = read("Kheer\nServes 4\n\n1 litre soya milk\n60 g rice\n80 g sugar\n\n1. Simmer the rice in the soya milk for 30 minutes.\n2. Stir in the sugar.");
const verdict = (text: string, rules: readonly string[], of = KHEER, step = "s2") => {
  const given = problem(of, { rules, servings: 4 });
  const rows = scaledFor(of, 4).lines.map((line): VersionRow => ({ ...line, line: line.id, change: "as is", why: "" }));
  const version = { rows, evaporation: of.evaporation.grams.value };
  const judged = withOwnWords(given, of, version, { texts: [{ step, text }], order: null }, context.find);
  return tableVerdict(standingOf(judged, version), judged, tableOf({ rules, servings: 4 }));
};

describe("a maker's own words of a step", () => {
  it.each([
    ["Stir in the sugar and a knob of butter.", "vegan"],
    ["Stir in the sugar, and scatter chopped cashews over it.", "nut-free"],
    ["Stir in the sugar with a spoon of honey.", "vegan"],
    ["Stir in the sugar. Serve with whipped cream.", "dairy-free"],
  ])("are judged by the rules of the table: %s", (text, rule) => {
    const found = verdict(text, [rule]);
    expect(found.kind).toBe("not for");
    expect(found.breaches.join()).toMatch(/^A step in your own words, /);
  });
  it("break nothing where they name what is there, or nothing", () => {
    for (const text of ["Stir the sugar into the milk and the rice.", "Stir well, taste, and wait.", "Rinse the pan with water first."])
      expect(verdict(text, ["vegan", "nut-free"]).kind, text).toBe("fits");
  });
  it("ask where a word is not understood", () => {
    expect(verdict("Stir in the sugar and a handful of grumbleberries.", ["nut-free"]).kind).toBe("cannot tell");
  });
  it("take the place of what the recipe says there", () => {
    const greased = read(
      "Cups\nServes 4\n\n1 litre soya milk\n60 g rice\n80 g sugar\n\n1. Simmer the rice in the soya milk.\n2. Grease a dish with butter and pour it in.",
    );
    expect(verdict("Wait.", ["vegan"], greased, "s1").kind).toBe("not for");
    expect(verdict("Pour it into a dish.", ["vegan"], greased, "s2").kind).toBe("fits");
  });
});
