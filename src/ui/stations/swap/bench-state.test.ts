import { describe, expect, it } from "vitest";
import { food, halwa, tableOf } from "../../../../tests/support/kitchen";
import { addFood, asHandedDown, leaveOut, putBack, setEvaporation, setFood, setGrams } from "./bench-state";

const table = tableOf({ rules: ["vegan"] });
const start = () => asHandedDown(halwa(), table);
const row = (state: ReturnType<typeof start>, index: number) => state.version.rows[index];

describe("the bench", () => {
  it("starts from the recipe as handed down, scaled to the table", () => {
    const state = start();
    expect(state.version.rows.map((each) => each.change)).toEqual(Array(8).fill("as is"));
    const doubled = asHandedDown(halwa(), { ...table, servings: 12 });
    expect((row(doubled, 0)?.grams ?? 0) / (row(state, 0)?.grams ?? 1)).toBeCloseTo(2, 9);
    expect(doubled.version.evaporation / state.version.evaporation).toBeCloseTo(2, 1);
  });

  it("marks an amount changed by hand, and takes the mark away when it is back", () => {
    const handed = row(start(), 2)?.grams ?? 0;
    const changed = setGrams(start(), 2, 120, handed);
    expect(row(changed, 2)).toMatchObject({ grams: 120, change: "amount", why: "by hand" });
    expect(changed.label).toBe("By hand");
    expect(row(setGrams(changed, 2, handed, handed), 2)).toMatchObject({ change: "as is", why: "" });
  });

  it("says once that a proposal was changed by hand", () => {
    const proposal = { ...start(), label: "Closest" };
    expect(setGrams(setGrams(proposal, 0, 1, 2), 0, 3, 2).label).toBe("Closest, by hand");
  });

  it("exchanges, leaves out, puts back and adds foods", () => {
    const exchanged = setFood(start(), 1, food("coconut-oil"), 105, "by hand");
    expect(row(exchanged, 1)).toMatchObject({ line: "l2", food: food("coconut-oil"), grams: 105, change: "replaced" });
    const without = leaveOut(exchanged, 4);
    expect(row(without, 4)).toMatchObject({ line: "l5", food: null, grams: 0, change: "left out" });
    const back = putBack(without, 4, food("cashew"), 16);
    expect(row(back, 4)).toMatchObject({ food: food("cashew"), grams: 16, change: "as is" });
    const added = addFood(back, food("honey"), 20);
    expect(added.version.rows).toHaveLength(9);
    expect(row(added, 8)).toMatchObject({ line: null, change: "added", role: "sweetener" });
    expect(leaveOut(added, 8).version.rows).toHaveLength(8);
    expect(setFood(added, 8, food("jaggery"), 30, "by hand").version.rows[8]).toMatchObject({ change: "added" });
  });

  it("keeps what was taken: nothing but the touched row moves", () => {
    const state = start();
    const changed = setEvaporation(setGrams(state, 0, 1, 167), 99);
    expect(changed.version.evaporation).toBe(99);
    changed.version.rows.slice(1).forEach((each, i) => expect(each).toBe(state.version.rows[i + 1]));
  });
});
