import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { inOrder, piecesBetween, plainLine } from "./plain-text";
import { scanAmount } from "./scan-amount";

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
    ["saffron, 8 strands", 8, null, "strand", "saffron"],
    ["dates 6 to 7 pieces", 6, 7, null, "dates"],
    ["juice of 2 oranges", 2, null, null, "juice of oranges"],
    ["sugar", null, null, null, "sugar"],
    ["3 large eggs", 3, null, null, "large eggs"],
    ["12345678901 cups sugar", null, null, null, "12345678901 cups sugar"],
  ])("%s", (text, quantity, upper, unit, rest) => {
    const scanned = scanAmount(text);
    if (quantity === null) expect(scanned.quantity).toBeNull();
    else expect(scanned.quantity).toBeCloseTo(quantity, 9);
    expect([scanned.upper, scanned.unit, scanned.rest]).toEqual([upper, unit, rest]);
  });

  it("is read back as it was put together, in any unit, and leaves all of the food", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9999 }),
        fc.constantFrom("g", "cups", "tbsp", "ml", "pinches", "handfuls"),
        fc.constantFrom("rice flour", "ghee", "dried figs"),
        (count, unit, food) => {
          expect(scanAmount(`${count} ${unit} ${food}`)).toMatchObject({ quantity: count, upper: null, rest: food });
          expect(scanAmount(`${food} ${count} ${unit}`)).toMatchObject({ quantity: count, upper: null, rest: food });
        },
      ),
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
