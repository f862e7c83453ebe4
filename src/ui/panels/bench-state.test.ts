import { describe, expect, it } from "vitest";
import { asHandedDown, stored, type StoredBench } from "../../core/adaptation";
import { food, halwa, tableOf } from "../../../tests/support/kitchen";
import { addFood, leaveOut, putBack, setEvaporation, setFood, setGrams } from "./bench-state";

const table = tableOf({ rules: ["vegan"] });
const start = (servings = table.servings) => {
  const at = { ...table, servings };
  return stored(asHandedDown(halwa(), at), halwa(), at);
};
const row = (bench: StoredBench, id: string) => bench.rows.find((each) => each.id === id);

describe("the bench", () => {
  it("starts from the recipe as handed down, scaled to the table", () => {
    const bench = start();
    expect(bench.rows.map((each) => each.change)).toEqual(Array(8).fill("as is"));
    const doubled = start(12);
    expect((row(doubled, "l1")?.grams ?? 0) / (row(bench, "l1")?.grams ?? 1)).toBeCloseTo(2, 9);
    expect(doubled.evaporation / bench.evaporation).toBeCloseTo(2, 1);
  });

  it("marks an amount changed by hand, and takes the mark away when it is back", () => {
    const handed = row(start(), "l3")?.grams ?? 0;
    const changed = setGrams(start(), "l3", 120);
    expect(row(changed, "l3")).toMatchObject({ grams: 120, change: "amount", why: "by hand" });
    expect(changed.label).toBe("By hand");
    expect(row(setGrams(changed, "l3", handed), "l3")).toMatchObject({ change: "as is", why: "" });
  });

  it("says once that a proposal was changed by hand", () => {
    const proposal = { ...start(), label: "Closest" };
    expect(setGrams(setGrams(proposal, "l1", 1), "l1", 3).label).toBe("Closest, by hand");
  });

  it("exchanges, leaves out, puts back and adds foods", () => {
    const exchanged = setFood(start(), "l2", food("coconut-oil"), 105);
    expect(row(exchanged, "l2")).toMatchObject({ line: "l2", foodId: "coconut-oil", grams: 105, change: "replaced", why: "by hand" });
    const without = leaveOut(exchanged, "l5");
    expect(row(without, "l5")).toMatchObject({ line: "l5", foodId: null, grams: 0, change: "left out" });
    const back = putBack(without, "l5");
    expect(row(back, "l5")).toEqual(row(start(), "l5"));
    const added = addFood(back, food("honey"));
    expect(added.rows).toHaveLength(9);
    const id = added.rows[8]?.id ?? "";
    expect(added.rows[8]).toMatchObject({ line: null, foodId: "honey", change: "added", role: "sweetener", grams: 10 });
    expect(leaveOut(added, id).rows).toHaveLength(8);
    expect(setFood(added, id, food("jaggery"), 30).rows[8]).toMatchObject({ change: "added", foodId: "jaggery" });
  });

  it("keeps what was taken: nothing but the touched row moves", () => {
    const bench = start();
    const changed = setEvaporation(setGrams(bench, "l1", 1), 99);
    expect(changed.evaporation).toBe(99);
    changed.rows.slice(1).forEach((each, i) => expect(each).toBe(bench.rows[i + 1]));
  });
});
