import { describe, expect, it } from "vitest";
import { food, halwa, phirni, read, tableOf } from "../../../tests/support/kitchen";
import { REFERENCE } from "../../data";
import { scaledFor, type VersionRow } from "../substitution";
import type { DiningTable } from "../table";
import { benchFrom1, rebased, sinceWords, stored, type BenchState, type StoredBench1 } from ".";

const { foods } = REFERENCE;
const table = tableOf({ servings: 6 });
const asHandedDown = (recipe = halwa(), at: DiningTable = table): BenchState => {
  const { lines, evaporation } = scaledFor(recipe, at.servings);
  const rows = lines.map(({ id, food: each, grams, role }): VersionRow => ({ id, line: id, food: each, grams, role, change: "as is", why: "" }));
  return { label: "By hand", byHand: true, version: { rows, evaporation: evaporation.value } };
};
const withRow = (state: BenchState, foodId: string, change: (row: VersionRow) => VersionRow): BenchState => ({
  ...state,
  version: { ...state.version, rows: state.version.rows.map((row) => (row.food?.id === foodId ? change(row) : row)) },
});
const sugarAt = (grams: number) => withRow(asHandedDown(), "sugar", (row) => ({ ...row, grams, change: "amount", why: "by hand" }));
const gramsOf = (state: BenchState | undefined, foodId: string) => state?.version.rows.find((row) => row.food?.id === foodId)?.grams;
const asJson = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

describe("a bench", () => {
  it("comes back from the store as it was", () => {
    const state = withRow(sugarAt(77), "ghee", (row) => ({ ...row, food: food("coconut-oil"), grams: 105, change: "replaced", why: "no dairy" }));
    expect(rebased(asJson(stored(state, halwa(), table)), halwa(), table, foods)).toEqual({ state, since: [] });
    expect(rebased(null, halwa(), table, foods)).toBeNull();
  });
  it("keeps an amount to the gram that a hand typed, also where it counts as the recipe's own", () => {
    const near = withRow(asHandedDown(), "sugar", (row) => ({ ...row, grams: row.grams * 0.997 }));
    expect(gramsOf(rebased(stored(near, halwa(), table), halwa(), table, foods)?.state, "sugar")).toBe(gramsOf(near, "sugar"));
  });
  it("keeps hand work over another number of servings and back again, and says what changed", () => {
    const seven = rebased(stored(sugarAt(77), halwa(), table), halwa(), { ...table, servings: 7 }, foods);
    expect(gramsOf(seven?.state, "sugar")).toBeCloseTo((77 * 7) / 6, 9);
    expect(seven?.since).toEqual([{ kind: "servings", before: 6, after: 7 }]);
    const back = rebased(stored(seven?.state ?? asHandedDown(), halwa(), { ...table, servings: 7 }), halwa(), table, foods);
    expect(gramsOf(back?.state, "sugar")).toBeCloseTo(77, 9);
    expect(back?.state.version.evaporation).toBeCloseTo(asHandedDown().version.evaporation, 6);
  });
  it("follows the recipe where a line is as handed down, and keeps what a hand has set", () => {
    const text = (ghee: number, sugar: number) =>
      read(`Halwa\nServes 6\n160 g semolina\n${ghee} g ghee\n${sugar} g sugar\n600 ml water\n\nSimmer for 10 minutes.`);
    const [before, after] = [text(100, 150), text(120, 180)];
    const state = withRow(asHandedDown(before), "sugar", (row) => ({ ...row, grams: 77, change: "amount", why: "by hand" }));
    const laid = rebased(stored(state, before, table), after, table, foods);
    expect([gramsOf(laid?.state, "ghee"), gramsOf(laid?.state, "sugar")]).toEqual([120, 77]);
    expect(laid?.since.map((each) => sinceWords(each, (id) => id))).toEqual([
      "the recipe has ghee 120 g (ghee 100 g before)",
      "the recipe has sugar 180 g (sugar 150 g before); what was set by hand stays",
    ]);
  });
  it("takes up new lines, drops those that are gone, and keeps what stood for one of them", () => {
    const before = read("Halwa\nServes 6\n160 g semolina\n100 g ghee\n150 g sugar\n600 ml water");
    const after = {
      ...read("Halwa\nServes 6\n160 g semolina\n150 g sugar\n600 ml water\n5 g cardamom powder"),
    };
    // The lines that stay keep their ids: ghee was the second.
    const renamed = read("x\nServes 6\n1 g salt");
    expect(renamed.lines.length).toBe(1);
    const ids = ["l1", "l3", "l4", "l9"];
    const recipe = { ...after.recipe, lines: after.recipe.lines.map((line, i) => ({ ...line, id: ids[i] ?? line.id })) };
    const now = { ...after, recipe, lines: after.lines.map((line, i) => ({ ...line, id: ids[i] ?? line.id })) };
    const byLine = new Map(after.readings.map((reading, i) => [ids[i] ?? "", { ...reading, line: { ...reading.line, id: ids[i] ?? "" } }] as const));
    const state = withRow(asHandedDown(before), "ghee", (row) => ({ ...row, food: food("coconut-oil"), grams: 90, change: "replaced", why: "no dairy" }));
    const laid = rebased(stored(state, before, table), { ...now, byLine, readings: [...byLine.values()] }, table, foods);
    expect(laid?.state.version.rows.find((row) => row.food?.id === "coconut-oil")).toMatchObject({ line: null, change: "added", grams: 90 });
    expect(laid?.state.version.rows.map((row) => row.food?.id)).toContain(now.lines[3]?.food.id);
    expect(laid?.since.map(({ kind }) => kind)).toEqual(["line gone", "new line"]);
  });
  it("says what else the table asks, and is not thrown away for it", () => {
    const other = { ...table, rules: ["vegan"], serve: "chilled" as const, limits: [{ id: "freeSugars" as const, most: 8, school: "uk" as const }] };
    const laid = rebased(stored(sugarAt(77), halwa(), table), halwa(), other, foods);
    expect(gramsOf(laid?.state, "sugar")).toBe(77);
    expect(laid?.since.map((each) => sinceWords(each, () => "Vegan"))).toEqual([
      "served hot, now chilled",
      "kept now: vegan",
      "limits now: free sugars at most 8 g",
    ]);
  });
  it("waits for a food that the pantry has no more", () => {
    const state = withRow(asHandedDown(), "ghee", (row) => ({ ...row, food: { ...food("coconut-oil"), id: "own-oil" }, change: "replaced" }));
    expect(rebased(stored(state, halwa(), table), halwa(), table, foods)).toBeNull();
  });
  it("of the first schema is read by the places of its lines", () => {
    const old: StoredBench1 = {
      basis: "x",
      label: "Closest, by hand",
      evaporation: 300,
      rows: [
        { line: 0, foodId: "semolina", grams: 160, role: "body", change: "as is", why: "" },
        { line: 2, foodId: "jaggery", grams: 77, role: "sweetener", change: "replaced", why: "by hand" },
        { line: 40, foodId: "honey", grams: 5, role: "sweetener", change: "replaced", why: "" },
      ],
    };
    const recipe = phirni();
    const laid = rebased(
      benchFrom1(old, recipe.recipe, tableOf({ servings: recipe.recipe.servings })),
      recipe,
      tableOf({ servings: recipe.recipe.servings }),
      foods,
    );
    const rows = laid?.state.version.rows ?? [];
    expect(rows.find(({ food: each }) => each?.id === "jaggery")).toMatchObject({ line: recipe.readings[2]?.line.id, grams: 77 });
    expect(rows.find(({ food: each }) => each?.id === "honey")).toMatchObject({ line: null, change: "added" });
  });
});
