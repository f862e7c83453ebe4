import { upgradeDump, type Dump } from "../../src/db";
import { execFileSync } from "node:child_process";
import { resolve } from "node:path";
import { afterAll, beforeAll, describe, expect, it, vi } from "vitest";
import { stored as storedBench } from "../../src/core/adaptation";
import { openBench, openRecipe, USUAL_SOURCES } from "../../src/core/kitchen";
import { DEMO_PANTRY, kitchenOf } from "../../src/data";
import { getKitchen } from "../../src/server/kitchen/kitchen";
import { getEaters, getHouseRules, getPantry } from "../../src/server/kitchen/sources";
import { savePantry } from "../../src/server/kitchen/pantry";
import { makeBackup, restoreBackup } from "../../src/server/data/backup";
import { closeDatabase, getDatabase } from "../../src/server/data/database";
import { getAdaptation, requireRecipe, saveBench, saveTable } from "../../src/server/recipes/recipes";
import { getVersion, keepVersion, versionsOf, workOnFrom } from "../../src/server/versions/versions";
import { lineageOf } from "../../src/server/versions/lineage";
import { newFolder, removeFolder } from "../support/app";

/** Written by the app when its schema was 4: fifteen demo recipes and one that presses its own milk, two benches by hand, a version. */
const WRITTEN_4 = resolve("tests/fixtures/data/schema-4.tar.gz");
/** Written when it was 5: the demo with a weighing, a price, a pressing, a name and an eater more, an own rule, an answer; a version, and a bench from it. */
const WRITTEN_5 = resolve("tests/fixtures/data/schema-5.tar.gz");

function openWritten(archive: string): void {
  let folder: string;
  beforeAll(async () => {
    folder = newFolder();
    execFileSync("tar", ["xzf", archive, "-C", folder]);
    vi.stubEnv("THREPSIS_DATA", folder);
    vi.stubEnv("THREPSIS_SEED", "");
    await getDatabase();
  });
  afterAll(async () => {
    await closeDatabase();
    removeFolder(folder);
    vi.unstubAllEnvs();
  });
}

async function laid(id: string) {
  const { recipe } = await requireRecipe(id);
  const { table, bench } = await getAdaptation(id, recipe);
  const kitchen = kitchenOf(USUAL_SOURCES);
  const read = openRecipe(recipe, kitchen);
  return { read, table: table.document, bench: openBench(bench.document, read, table.document, kitchen) };
}

describe("data of schema 4", () => {
  openWritten(WRITTEN_4);
  it("lie on the bench as they were left, by the lines' own ids", async () => {
    const { read, bench } = await laid("demo-1");
    const sugar = bench?.state.version.rows.find(({ food }) => food?.id === "sugar");
    expect(sugar).toMatchObject({ line: read.readings[2]?.line.id, grams: 77, change: "amount" });
    expect(bench?.state.version.rows.find(({ food }) => food?.id === "coconut-oil")).toMatchObject({ line: read.readings[1]?.line.id, change: "replaced" });
  });
  it("keep a version with its figures, its pressed milk and its lines", async () => {
    const [summary] = await versionsOf(null);
    const version = await getVersion(summary?.id ?? "");
    const snapshot = version?.snapshot;
    expect(snapshot?.rows.map(({ line, food }) => [line, food?.id])).toEqual([
      ["l1", "pressed-l1"],
      ["l3", "jaggery"],
      ["l4", "rice-flour"],
    ]);
    expect(snapshot?.madeOn).toBeNull();
    expect(snapshot?.forThisTable.figures.yield.value).toBeGreaterThan(300);
    expect(snapshot?.steps.map(({ from }) => from)).toContain("s2");
    const { versions } = await lineageOf(version?.recipeId ?? "");
    expect(versions[0]?.changes.join(" ")).toMatch(/jaggery/);
    const { recipeId } = await workOnFrom(version?.id ?? "");
    const { bench } = await laid(recipeId);
    expect(bench?.state.version.rows.map(({ food }) => food?.id)).toContain("pressed-l1");
  });
  it("go into a backup and come back from it", async () => {
    const { text } = await makeBackup();
    await restoreBackup(text);
    const { bench } = await laid("demo-1");
    expect(bench?.state.version.rows.find(({ food }) => food?.id === "sugar")?.grams).toBe(77);
    expect((await getVersion((await versionsOf(null))[0]?.id ?? ""))?.snapshot?.rows.length).toBe(3);
  });
});

describe("data of schema 5", () => {
  openWritten(WRITTEN_5);
  const counts = async () => {
    const [{ document: pantry, revision }, { document: eaters }, { document: rules }] = await Promise.all([getPantry(), getEaters(), getHouseRules()]);
    return { pantry, revision, eaters, rules };
  };
  it("has its pantry, eaters and rules, thing by thing and in their order", async () => {
    const { pantry, revision, eaters, rules } = await counts();
    expect(pantry.foods.map(({ id }) => id)).toEqual(DEMO_PANTRY.foods.map(({ id }) => id));
    expect(pantry.weighings.at(-1)).toMatchObject({ foodId: "semolina", unit: "cup", grams: 171 });
    expect(pantry.prices).toEqual([
      ...DEMO_PANTRY.prices.filter(({ foodId }) => foodId !== "semolina"),
      expect.objectContaining({ foodId: "semolina", price: 62 }),
    ]);
    expect(pantry.pressings.at(-1)).toMatchObject({ material: "almond", holds: 1.4 });
    expect(pantry.names.at(-1)).toMatchObject({ words: "grandmother's grain" });
    expect(revision).toBe(2);
    expect(eaters.eaters.map(({ name }) => name).at(-1)).toBe("An aunt from far");
    expect(rules).toMatchObject({ own: [{ id: "own-winter" }], answers: [{ rule: "vegan", food: "sugar", verdict: "allowed" }] });
    expect((await getKitchen()).reference.foods.get("semolina")?.synonyms).toContain("grandmother's grain");
  });
  it("saves one of them, and the others stay as they were written", async () => {
    const { pantry, revision } = await counts();
    await savePantry({ document: { ...pantry, prices: pantry.prices.slice(1) }, revision });
    const after = await counts();
    expect(after.pantry).toEqual({ ...pantry, prices: pantry.prices.slice(1) });
    const written = await (await getDatabase()).query("SELECT DISTINCT written_at FROM own_food UNION SELECT written_at FROM price");
    expect(written).toEqual([{ written_at: null }]);
  });
  it("has its bench and version, whose rows and steps now have ids", async () => {
    const { bench } = await laid("demo-1");
    const rows = bench?.state.version.rows ?? [];
    expect(rows.filter(({ line }) => line === null).map(({ id, food, grams }) => [id, food?.id, grams])).toEqual([
      ["added-1", "date-paste", 40],
      ["added-2", "rice-flour", 12],
    ]);
    expect(rows.filter(({ line }) => line !== null).every(({ id, line }) => id === line)).toBe(true);
    expect(rows.find(({ food }) => food?.id === "coconut-oil")?.grams).toBe(21);
    const [summary] = await versionsOf("demo-1");
    const { snapshot } = (await getVersion(summary?.id ?? "")) ?? {};
    expect(snapshot?.method).toBeNull();
    expect(snapshot?.rows.map(({ id }) => id)).toEqual(rows.map(({ id }) => id));
    expect(snapshot?.steps.map(({ step, from }) => [step, from])).toEqual([["new-1", null], ...["s1", "s2", "s3", "s4", "s5"].map((id) => [id, id])]);
    const { recipe } = await requireRecipe("demo-1");
    const { bench: stored } = await getAdaptation("demo-1", recipe);
    if (!stored.document) throw new Error("no bench");
    const asBefore = { ...stored.document, schema: 2, rows: stored.document.rows.map(({ id: _, ...row }) => row) };
    expect(await saveBench("demo-1", { document: asBefore, revision: stored.revision })).toBe(stored.revision + 1);
    expect((await getAdaptation("demo-1", recipe)).bench.document).toEqual(stored.document);
    // A word after the comma is read as done once the food is measured now: what lies there is laid anew before it is kept.
    const kitchen = await getKitchen();
    const { table } = await laid("demo-1");
    const read = openRecipe(recipe, kitchen);
    const now = openBench(stored.document, read, table, kitchen);
    const anew = now && storedBench(now.state, read, table);
    const kept = await keepVersion("demo-1", anew ?? stored.document, true);
    expect((await getVersion(kept))?.snapshot?.method?.steps.map(({ id }) => id)).toEqual(["prepares-added-1", "s1", "s2", "s3", "adds-added-2", "s4", "s5"]);
  });
  it("calls other sweets of a table as they are called now, in the database and where a window still sends them", async () => {
    const { recipe } = await requireRecipe("demo-2");
    const { table } = await getAdaptation("demo-2", recipe);
    const others = [{ recipe: "demo-1", servings: 1 }];
    const revision = await saveTable("demo-2", { document: { ...table.document, besides: others }, revision: table.revision });
    expect((await getAdaptation("demo-2", recipe)).table).toMatchObject({ document: { otherSweets: others }, revision });
    const row = (of: object) => JSON.stringify(of);
    const before: Dump = {
      schema: 5,
      made: "2026-11-20T08:00:00.000Z",
      rows: [
        { table: "recipe", row: row({ id: "a", title: "A", document: recipe, revision: 1, created_at: "2026-11-20", updated_at: "2026-11-20" }) },
        {
          table: "adaptation",
          row: row({ recipe_id: "a", dining_table: { servings: 4, besides: others }, table_revision: 1, bench_revision: 0, updated_at: "2026-11-20" }),
        },
      ],
    };
    const after = await upgradeDump(before, before.made);
    const [adaptation] = after.rows.filter(({ table: of }) => of === "adaptation");
    expect(JSON.parse(adaptation?.row ?? "{}")).toMatchObject({ dining_table: { servings: 4, otherSweets: others } });
    expect(adaptation?.row).not.toContain("besides");
  });
  it("leaves a row that cannot be shown where it is, whatever is saved beside it", async () => {
    const database = await getDatabase();
    await database.query('INSERT INTO price (id, place, document) VALUES (\'strange\', 99, \'{"foodId": "strange", "price": "dear"}\'::jsonb)');
    const { pantry, revision } = await counts();
    expect(pantry.prices.map(({ foodId }) => foodId)).not.toContain("strange");
    await savePantry({ document: { ...pantry, names: [] }, revision });
    expect((await counts()).pantry).toEqual({ ...pantry, names: [] });
    expect(await database.query("SELECT id FROM price WHERE id = 'strange'")).toHaveLength(1);
    await database.query("DELETE FROM price WHERE id = 'strange'");
  });
  it("goes into a backup and comes back from it whole", async () => {
    const before = await counts();
    await restoreBackup((await makeBackup()).text);
    const after = await counts();
    expect({ ...after, revision: 0 }).toEqual({ ...before, revision: 0 });
  });
});
