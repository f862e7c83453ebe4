import { describe, expect, it } from "vitest";
import { food, read, tableOf } from "../../../tests/support/kitchen";
import { DEMO_RECIPES, HANDLING, REFERENCE } from "../../data";
import type { VersionRow } from "../substitution";
import { differenceWords, lineDifferences, rebased, methodFor, stored, type ComparedLine } from ".";

const line = (key: string, foodId: string, grams: number): ComparedLine => ({ key, name: foodId, foodId, grams });

describe("line by line", () => {
  it("tells what is added, left out, replaced, or of another amount, and nothing else", () => {
    const before = [line("a", "milk", 500), line("b", "sugar", 100), line("c", "ghee", 20), line("d", "salt", 1)];
    const after = [line("a", "milk", 501), line("b", "dates", 150), line("c", "ghee", 30), line("e", "oats", 10)];
    expect(lineDifferences(before, after).map(differenceWords)).toEqual([
      "sugar 100 g, now dates 150 g",
      "ghee 20 g, now 30 g",
      "salt 1 g, left out",
      "oats 10 g, new",
    ]);
    expect(lineDifferences(before, before)).toEqual([]);
  });
});

describe("a recipe that presses its own milk", () => {
  const kheer = read(DEMO_RECIPES[14]?.text ?? "");
  const rows = kheer.lines.map((each): VersionRow => ({
    id: each.id,
    line: each.id,
    food: each.food,
    grams: each.grams,
    role: each.role,
    change: "as is",
    why: "",
  }));
  it("comes back on the bench, milk and all", () => {
    const { servings } = kheer.recipe;
    const state = { label: "By hand", byHand: true, version: { rows, evaporation: 100 }, from: "v1" };
    const kept = stored(state, kheer, tableOf({ servings }));
    expect(rebased(kept, kheer, tableOf({ servings }), REFERENCE.foods)).toEqual({ state, since: [] });
  });
  it("needs no pressing where another milk stands for it", () => {
    const changed = rows.map((row): VersionRow =>
      row.line === kheer.readings[0]?.line.id ? { ...row, food: food("soy-milk"), change: "replaced", why: "no oats" } : row,
    );
    const { words: steps } = methodFor(kheer, { rows: changed, evaporation: kheer.evaporation.grams.value }, tableOf({ servings: 4 }), {
      handling: HANDLING,
      constants: REFERENCE.constants,
    });
    expect(steps[0]).toMatchObject({ from: kheer.steps[0]?.step.id, segments: [{ kind: "removed" }], why: "needless: no oats" });
    expect(steps.flatMap(({ segments }) => segments).find(({ kind }) => kind === "changed")?.text).toMatch(/^soya milk/);
  });
});
