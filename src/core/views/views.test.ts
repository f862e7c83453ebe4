import { describe, expect, it } from "vitest";
import loadHighs from "highs";
import { createHighsPort } from "../../workers/solver/highs-port";
import { food, halwa, phirni, tableOf } from "../../../tests/support/kitchen";
import { answering } from "../../workers/compute/answer";
import { kitchenOf } from "../../data";
import type { StoredBench } from "../adaptation";
import { USUAL_SOURCES } from "../kitchen";
import { propose } from "../substitution";
import { viewOf, type BenchQuestion, type ViewAnswer, type ViewKind, type ViewQuestion } from ".";

const kitchen = kitchenOf(USUAL_SOURCES);
const ask = <Kind extends ViewKind>(kind: Kind, question: ViewQuestion<Kind>) => viewOf(kind, question, kitchen);
const { recipe } = halwa();
const vegan = tableOf({ rules: ["vegan"] });
const onBench = (part: Partial<BenchQuestion> = {}): BenchQuestion => ({
  recipe,
  table: vegan,
  bench: null,
  proposals: null,
  revisions: [1, 1, 0, 0, 0],
  laysFirst: true,
  ...part,
});
const gramsSet = (bench: StoredBench, id: string, grams: number): StoredBench => ({
  ...bench,
  byHand: true,
  rows: bench.rows.map((row) => (row.id === id ? { ...row, grams, change: "amount", why: "by hand" } : row)),
});

describe("what is put in stock by a line", () => {
  it.each([
    ["1 kg jaggery", "jaggery", 1000, "cupboard"],
    ["2 litres whole milk", "cow-milk", 2060, "fridge"],
    ["half a can of coconut milk", "coconut-milk", 195, "fridge"],
    ["two cans of coconut milk", "coconut-milk", 780, "cupboard"],
    ["250 g khoya", "khoa", 250, "fridge"],
    ["3 bananas", "banana", 345, "cupboard"],
    ["  ghee ", "ghee", null, "cupboard"],
    ["500 g rose syrup of my aunt", null, 500, "cupboard"],
    ["250–300 g rose syrup of my aunt", null, null, "cupboard"],
    ["2 cups of a mystery powder", null, null, "cupboard"],
    ["🙂", null, null, "cupboard"],
  ] as const)("“%s”", (text, foodId, grams, place) => {
    const read = ask("stock line", { text });
    expect(read).toMatchObject({ foodId, place });
    expect(read?.grams === null ? null : Math.round(read?.grams ?? -1)).toBe(grams);
    expect(read?.name).toMatch(/\S/);
    expect(read?.how).toMatch(/\S/);
  });
  it("is nothing of nothing", () => expect(ask("stock line", { text: " " })).toBeNull());
});

describe("what is computed for a page", () => {
  it("is whole when it is cloned, as it comes from a worker", () => {
    for (const view of [
      ask("recipe", { recipe, table: vegan }),
      ask("bench", onBench()),
      ask("substitutes", { recipe, table: vegan, bench: null, row: "l2" }),
    ]) {
      expect(structuredClone(view)).toEqual(view);
      expect(JSON.stringify(view).length).toBeLessThan(120_000);
    }
  });

  it("is the same from the worker, to which each document goes once", () => {
    const answer = answering();
    const names = ["recipe", "table"];
    const table = (fresh: Readonly<Record<string, unknown>>) => answer({ kind: "recipe", names, fresh }) as ViewAnswer<"recipe">;
    expect(() => table({ recipe, table: vegan })).toThrow(/household/);
    expect(table({ sources: USUAL_SOURCES, recipe, table: vegan })).toEqual(ask("recipe", { recipe, table: vegan }));
    expect(table({})).toEqual(ask("recipe", { recipe, table: vegan }));
    const named = { ...recipe, lines: [{ id: "l1", text: "100 g grandmother's grain", choice: {} }] };
    expect(table({ recipe: named }).thread).toEqual({ asked: 1, lines: 0, steps: 5 });
    const pantry = { ...USUAL_SOURCES.pantry, names: [{ words: "grandmother's grain", foodId: food("semolina").id, at: "2026-11-29" }] };
    expect(table({ sources: { ...USUAL_SOURCES, pantry } }).thread).toEqual({ asked: 0, lines: 1, steps: 5 });
    expect(answer({ kind: "foods", names: ["words", "table"], fresh: { words: "grandm", table: null } })).toMatchObject([{ id: "semolina" }]);
    expect(table({ table: vegan }).lines[0]?.food?.id).toBe("semolina");
  });

  it("tells each line and step of a recipe by its id, and asks what is not read", () => {
    const asked = { ...recipe, lines: [...recipe.lines, { id: "x", text: "a pinch of moonbeam", choice: {} }, { id: "y", text: "sugar", choice: {} }] };
    const view = ask("recipe", { recipe: asked, table: vegan });
    expect(view.lines.map(({ id }) => id)).toEqual(asked.lines.map(({ id }) => id));
    expect(view.lines.slice(-2)).toMatchObject([
      { kind: "food unknown", food: null, grams: null },
      { kind: "amount unknown", food: { id: "sugar" }, grams: null, proposal: { by: expect.any(String) as string } },
    ]);
    expect(view.steps.every(({ id }) => asked.steps.some((step) => step.id === id))).toBe(true);
    expect(view.steps.flatMap(({ takes }) => takes.map(({ id }) => id))).toEqual(expect.arrayContaining(["l1", "l2", "l3"]));
  });

  it("is made in the household's ways, against the recipe as it was handed down, unless this batch is made otherwise", () => {
    const house = kitchenOf({ ...USUAL_SOURCES, household: { ...USUAL_SOURCES.household, ways: { salt: "measured", cardamom: "early" } } });
    const kheer = phirni().recipe;
    const table = tableOf({ servings: kheer.servings });
    const of = (bench: StoredBench | null) => viewOf("bench", onBench({ recipe: kheer, table, bench }), house);
    const usual = of(null);
    expect(usual.ways.map(({ way }) => way)).toEqual(["cardamom", "salt"]);
    expect(usual.rows.find(({ food: of }) => of?.id === "salt")).toMatchObject({ change: "added", was: null, why: "your way" });
    expect(usual.after.figures.yield.value).toBeGreaterThan(usual.before.figures.yield.value);
    expect(usual.steps.filter(({ why }) => why.includes("your way")).length).toBeGreaterThan(1);
    expect(usual.steps.every(({ segments }) => segments.some(({ kind }) => kind !== "removed"))).toBe(true);
    // This batch as it is written: nothing is added, and nothing marked.
    const written = of({ ...usual.handedDown, ways: { salt: "as written", cardamom: "as written" } });
    expect(written.ways).toEqual([]);
    expect(written.rows.map(({ change }) => change)).toEqual(kheer.lines.map(() => "as is"));
    expect(written.steps.every(({ why }) => why === "")).toBe(true);
    // What is worked out rests on the ways: it is not told of others.
    const [told] = viewOf("ways", { recipe: kheer, table, ways: {} }, house).filter(({ way }) => way === "salt");
    expect(told).toMatchObject({ written: "none", picked: "measured", isHouse: true, isFollowed: true });
    const lid = viewOf("ways", { recipe: kheer, table, ways: {} }, house).find(({ way }) => way === "sweetener goes in");
    for (const { reason } of lid?.options ?? []) expect(reason).not.toBe("");
  });

  it("lays a bench made for six in the servings of seven, and says so", () => {
    const six = gramsSet(ask("bench", onBench()).handedDown, "l3", 77);
    const view = ask("bench", onBench({ bench: six, table: { ...vegan, servings: 7 } }));
    expect(view.isLaid).toBe(true);
    const row = view.rows.find(({ id }) => id === "l3");
    expect(row?.change).toBe("amount");
    expect(row?.grams).toBeCloseTo((77 * 7) / 6, 9);
    expect(view.since).toEqual([expect.stringContaining("7")]);
    expect(ask("bench", onBench({ bench: { ...six, byHand: false }, table: { ...vegan, servings: 7 } })).isLaid).toBe(false);
  });

  it("shows a breach at its row and does not call it fit, until the row is another food", () => {
    const view = ask("bench", onBench());
    expect(view.isNotFor).toBe(true);
    expect(view.rows.filter(({ breaks }) => breaks).map(({ food: named, breaks }) => [named?.id, breaks])).toEqual([
      ["ghee", { short: "vegan", isAsked: false }],
    ]);
    const bench: StoredBench = {
      ...view.bench,
      byHand: true,
      rows: view.bench.rows.map((row) => (row.id === "l2" ? { ...row, foodId: "coconut-oil", change: "replaced" } : row)),
    };
    const mended = ask("bench", onBench({ bench }));
    expect(mended.isNotFor).toBe(false);
    expect(mended.rows.every(({ breaks }) => breaks === null)).toBe(true);
  });

  it("tells a bench whose food is gone from one that can be laid", () => {
    const { handedDown } = ask("bench", onBench());
    const bench: StoredBench = {
      ...handedDown,
      byHand: true,
      rows: handedDown.rows.map((row) => (row.id === "l2" ? { ...row, foodId: "no-such", change: "replaced" } : row)),
    };
    expect(ask("bench", onBench({ bench }))).toMatchObject({ gone: 1, isLaid: false });
  });

  it("tells what a search came to, keeps it, and opens it again without the solver", async () => {
    const at = { recipe, table: vegan };
    const revisions = [1, 1, 0, 0, 0];
    const ending = await propose(ask("bench problem", at), createHighsPort(await loadHighs()), () => 0);
    const { told, kept } = ask("bench ending", { ...at, ending, revisions });
    if (told.kind !== "proposals") throw new Error(told.kind);
    expect(told.proposals.length).toBeGreaterThan(0);
    for (const { bench } of told.proposals) expect(ask("bench", onBench({ bench })).isNotFor).toBe(false);
    // One whose own steps come to something else than its figures is not shown.
    const [first] = ending.kind === "proposals" ? ending.proposals : [];
    if (first && ending.kind === "proposals") {
      const { yield: finished } = first.figures;
      const stray = { ...first, label: "Stray", figures: { ...first.figures, yield: { ...finished, value: finished.value * 1.4 } } };
      const { told: held } = ask("bench ending", { ...at, ending: { ...ending, proposals: [...ending.proposals, stray] }, revisions });
      expect(held.kind === "proposals" && held.proposals.map(({ label }) => label)).toEqual(told.proposals.map(({ label }) => label));
    }
    const again = ask("bench", onBench({ proposals: kept, revisions }));
    expect(again.ending).toEqual(told);
    // Nothing lies there, and nothing was done: the first is shown; after undo the recipe itself.
    expect(again).toMatchObject({ isLaid: false, bench: told.proposals[0]?.bench });
    expect(ask("bench", onBench({ proposals: kept, revisions, laysFirst: false })).bench).toEqual(again.handedDown);
    expect(ask("bench", onBench({ proposals: kept, revisions: [2, 1, 0, 0, 0] })).ending).toBeNull();
    expect(ask("bench", onBench({ proposals: kept, revisions: null })).ending).toBeNull();
  });

  it("ranks only foods that the table's rules allow, and says which they do not", () => {
    const { options, reasons } = ask("substitutes", { recipe, table: vegan, bench: null, row: "l2" });
    const { options: others, refused } = ask("substitutes", { recipe, table: tableOf({ rules: ["no-sesame"] }), bench: null, row: "l2" });
    expect(reasons).toMatchObject([{ rule: "vegan", isAsked: false }]);
    expect(options.length).toBeGreaterThan(1);
    const isSesame = ({ food: { name } }: { readonly food: { readonly name: string } }) => /sesame/i.test(name);
    expect(refused.some(isSesame)).toBe(true);
    expect(others.some(isSesame)).toBe(false);
    const [first] = options;
    expect(ask("exchange grams", { recipe, table: vegan, bench: null, row: "l2", food: first?.food.id ?? "" })).toBeCloseTo(first?.grams ?? 0, -1);
    expect(ask("exchange grams", { recipe, table: vegan, bench: null, row: "l2", food: "no-such" })).toBeNull();
  });

  it("finds foods by name, with what the table makes of them", () => {
    const found = ask("foods", { words: "butter", table: vegan });
    expect(found.find(({ id }) => id === "butter")?.breaks).toEqual({ short: "vegan", isAsked: false });
    expect(ask("foods", { words: "butter", table: null }).every(({ breaks }) => breaks === null)).toBe(true);
    expect(ask("foods", { words: "  ", table: null })).toEqual([]);
  });

  it("answers why with the figure that is shown, of whichever sweet", () => {
    const view = ask("bench", onBench());
    const table = vegan;
    for (const side of ["before", "after"] as const) {
      const working = ask("working", { of: { kind: "bench", side, recipe, table, bench: null }, id: "serving.energy" });
      expect(working.figure).toEqual(view[side].figures["serving.energy"]);
    }
    const own = phirni().recipe;
    const { told } = ask("recipe", { recipe: own, table });
    expect(ask("working", { of: { kind: "recipe", recipe: own, table }, id: "sweetness.hot" }).figure).toEqual(told.figures["sweetness.hot"]);
  });

  it("leaves out of what lay before whatever is as it lies now", () => {
    const now = ask("bench", onBench()).handedDown;
    const [changed, more] = [gramsSet(now, "l3", 77), gramsSet(now, "l3", 88)];
    expect(ask("earlier benches", { recipe, table: vegan, now, benches: [now, changed, changed, more] }).map(({ rows }) => rows[2]?.grams)).toEqual([88, 77]);
  });
});
