import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { inOrder, piecesBetween, plainLine } from "./plain-text";
import { linePartsOf } from "./line-parts";

/** The amounts of a text and the words beside them, part by part. */
const told = (text: string) => linePartsOf(text).parts.map(({ joint, amounts, words }) => ({ joint, amounts, words }));
const only = (text: string) => {
  const [part] = told(text);
  const [amount] = part?.amounts ?? [];
  return [amount?.quantity ?? null, amount?.upper ?? null, amount?.unit ?? null, part?.words ?? ""] as const;
};

describe("an amount", () => {
  it.each([
    ["1 cup sugar", 1, null, "cup", "sugar"],
    ["1½ cups of sugar", 1.5, null, "cup", "sugar"],
    ["1 1/2 cups sugar", 1.5, null, "cup", "sugar"],
    ["1-1/2 cups sugar", 1.5, null, "cup", "sugar"],
    ["1/3 cup jaggery", 1 / 3, null, "cup", "jaggery"],
    ["200g sugar", 200, null, "gram", "sugar"],
    [".5 l milk", 0.5, null, "liter", "milk"],
    ["6–7 dates", 6, 7, null, "dates"],
    ["2 to 3 tbsp. ghee", 2, 3, "tablespoon", "ghee"],
    ["½-¾ cup milk", 0.5, 0.75, "cup", "milk"],
    ["1 T oil", 1, null, "tablespoon", "oil"],
    ["1 t oil", 1, null, "teaspoon", "oil"],
    ["4 fl. oz. milk", 4, null, "fluidounce", "milk"],
    ["Milk 500 ml", 500, null, "milliliter", "Milk"],
    ["dates 6 to 7 pieces", 6, 7, null, "dates pieces"],
    ["juice of 2 oranges", 2, null, null, "juice of oranges"],
    ["sugar", null, null, null, "sugar"],
    ["3 large eggs", 3, null, null, "large eggs"],
    ["half a dozen eggs", 6, null, null, "eggs"],
    ["three quarters of a cup of milk", 0.75, null, "cup", "milk"],
    ["one and a half cups milk", 1.5, null, "cup", "milk"],
    ["a scant 1/4 cup ghee", 0.25, null, "cup", "ghee"],
    ["a few strands saffron", 3, 6, "strand", "saffron"],
    ["a few raisins", null, null, null, "a few raisins"],
    ["a little milk", null, null, null, "a little milk"],
    ["two-milk pudding", null, null, null, "two milk pudding"],
    ["2-inch piece of cinnamon", 2, null, "inch", "piece of cinnamon"],
    ["a grating of nutmeg", 1, null, "grating", "nutmeg"],
    ["milk for 10 minutes", null, null, null, "milk"],
    ["12345678901 cups sugar", null, null, null, "12345678901 cups sugar"],
  ])("%s", (text, quantity, upper, unit, rest) => {
    const [found, ...others] = only(text);
    if (quantity === null) expect(found).toBeNull();
    else expect(found).toBeCloseTo(quantity, 9);
    expect(others).toEqual([upper, unit, rest]);
  });

  it("is read back as it was put together, in any unit, and leaves all of the food", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9999 }),
        fc.constantFrom("g", "cups", "tbsp", "ml", "pinches", "handfuls"),
        fc.constantFrom("rice flour", "ghee", "dried figs"),
        (count, unit, food) => {
          for (const text of [`${count} ${unit} ${food}`, `${food} ${count} ${unit}`]) {
            const [quantity, upper, , words] = only(text);
            expect([quantity, upper, words]).toEqual([count, null, food]);
          }
        },
      ),
    );
  });
});

describe("the parts of a line", () => {
  it.each([
    ["1 cup (120 grams) almond flour", ["start: almond flour", "(: "]],
    ["2 heaped tbsp desiccated (dried, unsweetened) coconut", ["start: desiccated coconut", "(: dried", ",: unsweetened"]],
    ["pearl millet flour / bajra atta", ["start: pearl millet flour", "/: bajra atta"]],
    ["1/2 cup + 2 tbsp sugar", ["start: ", "plus: sugar"]],
    ["1 tbsp arrowroot stirred into 3 tbsp cold water", ["start: arrowroot stirred", "into: cold water"]],
    ["½ cup sugar (or jaggery)", ["start: sugar", "or: jaggery"]],
    ["1 cup half and half", ["start: half and half"]],
    ["day-old bread, cut in half", ["start: day old bread", ",: cut in half"]],
  ])("%s", (text, parts) => expect(told(text).map(({ joint, words }) => `${joint}: ${words}`)).toEqual(parts));

  it("lose no word of a line, whatever stands in it", () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom("1 cup", "200 g", "milk", "(", ")", ",", "or", "and", "with", "ground", "half", "a", "/", "-", "minus"), { maxLength: 14 }),
        (pieces) => {
          const parts = linePartsOf(pieces.join(" ")).parts;
          const words = (text: string) => text.match(/\b(?:milk|ground)\b/g)?.length ?? 0;
          expect(parts.reduce((sum, part) => sum + words(part.words), 0)).toBe(words(pieces.join(" ")));
        },
      ),
      { numRuns: 500 },
    );
  });
});

describe("plain text", () => {
  it("splits at pairs of signs, and takes one that is never closed for text", () => {
    expect(piecesBetween("a (b) c (d", "(", ")")).toEqual([
      { text: "a ", inside: false },
      { text: "b", inside: true },
      { text: " c (d", inside: false },
    ]);
    expect(plainLine("• <b>2 cups</b>&nbsp;water < 5")).toBe("2 cups water < 5");
  });
  it("finds one thing after another in one sentence only", () => {
    const strained = inOrder(/\bstrain\b/, /\bcloth\b/);
    expect(strained("Cool it. Then strain through a cloth.")).toBe(true);
    expect(strained("Fold the cloth and strain it.")).toBe(false);
    expect(strained("Now strain it. Wash the cloth.")).toBe(false);
  });
});
