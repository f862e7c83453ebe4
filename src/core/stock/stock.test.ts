import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { byUse, dueOf, dueWords, inOrderOfUse, madeFrom, takeOut, type InStock } from ".";

const TODAY = "2026-11-30";
const item = (id: string, part: Partial<InStock> = {}): InStock => ({
  id,
  foodId: "rice",
  name: "Rice",
  kind: "bought",
  place: "cupboard",
  gotOn: "2026-11-01",
  useBy: null,
  note: "",
  grams: 100,
  ...part,
});

describe("stock", () => {
  it("is used by its last day, then as it came; what has no date behind what has one", () => {
    const ids = (...items: InStock[]) => inOrderOfUse(items).map(({ id }) => id);
    expect(ids(item("none"), item("late", { useBy: "2027-01-01" }), item("soon", { useBy: "2026-12-01" }), item("older", { gotOn: "2026-10-01" }))).toEqual([
      "soon",
      "late",
      "older",
      "none",
    ]);
  });
  it.each([
    ["2026-11-28", "past", "2 days past its date"],
    ["2026-11-30", "soon", "today is its last day"],
    ["2026-12-02", "soon", "2 days left"],
    ["2026-12-03", "later", "3 days left"],
    [null, "not known", "no date"],
  ] as const)("with the last day %s is %s", (useBy, due, words) => {
    expect(dueOf({ useBy }, TODAY)).toBe(due);
    expect(dueWords({ useBy }, TODAY)).toBe(words);
  });
  it("takes what is to be used first, what is past its date last, and says what was not there", () => {
    const stock = [item("past", { useBy: "2026-11-01" }), item("later", { useBy: "2027-01-01" }), item("soon", { useBy: "2026-12-01" })];
    const need = (grams: number) => [{ food: "rice", name: "rice", grams }];
    expect(takeOut(need(150), stock, TODAY)).toEqual({
      taken: [
        { item: "soon", grams: 100 },
        { item: "later", grams: 50 },
      ],
      missing: [],
    });
    expect(takeOut(need(350), stock, TODAY).missing).toEqual([{ food: "rice", name: "rice", grams: 50 }]);
    expect(takeOut([{ food: "millet", name: "millet", grams: 5 }], stock, TODAY).taken).toEqual([]);
  });
  it("ranks what can be made by what it uses up that is due, and takes nothing past its date", () => {
    const stock = [
      item("soon", { useBy: "2026-12-01", grams: 50 }),
      item("ghee", { foodId: "ghee", grams: 300 }),
      item("past", { foodId: "milk", useBy: "2026-11-01" }),
    ];
    const of = (...foods: [string, number][]) =>
      madeFrom(
        foods.map(([food, grams]) => ({ food, name: food, grams })),
        stock,
        TODAY,
      );
    const [rice, fat, milk] = [of(["rice", 40], ["saffron", 1]), of(["ghee", 100]), of(["milk", 10])];
    expect([rice, fat, milk].toSorted(byUse)).toEqual([rice, fat, milk]);
    expect([rice.usedUp, rice.missing.map(({ name }) => name), milk.uses]).toEqual([0.8, ["saffron"], []]);
  });
  it("never takes more of anything than there is, and accounts for all that is needed", () => {
    const food = fc.constantFrom("rice", "ghee", "jaggery", null);
    const grams = fc.double({ min: 0, max: 500, noNaN: true });
    const day = fc.constantFrom(null, "2026-11-01", "2026-12-01", "2027-02-01");
    fc.assert(
      fc.property(
        fc.array(fc.record({ foodId: food, grams, useBy: day }), { maxLength: 8 }),
        fc.uniqueArray(fc.record({ food: fc.constantFrom("rice", "ghee", "jaggery"), grams }), { selector: ({ food: of }) => of }),
        (things, wanted) => {
          const stock = things.map((part, i) => item(`i${i}`, part));
          const needs = wanted.map((each) => ({ ...each, name: each.food }));
          const { taken, missing } = takeOut(needs, stock, TODAY);
          for (const { item: id, grams: of } of taken) expect(of).toBeLessThanOrEqual((stock.find((each) => each.id === id)?.grams ?? 0) + 1e-9);
          for (const need of needs) {
            const got = taken.reduce((sum, each) => sum + (stock.find(({ id }) => id === each.item)?.foodId === need.food ? each.grams : 0), 0);
            expect(Math.abs(got + (missing.find((each) => each.food === need.food)?.grams ?? 0) - need.grams)).toBeLessThan(0.05);
          }
        },
      ),
    );
  });
});
