import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import fc from "fast-check";
import { afterAll, beforeAll, describe, expect, it, vi } from "vitest";
import { benchOf } from "../support/bench";
import { RECIPE_LIMITS, type Recipe } from "../../src/core/recipe";
import * as db from "../../src/db";
import { canUndoRestore, makeBackup, readBackup, restoreBackup, undoRestore } from "../../src/server/data/backup";
import { closeDatabase, getDatabase } from "../../src/server/data/database";
import { getOnTheGo } from "../../src/server/recipes/on-the-go";
import { lineageOf } from "../../src/server/versions/lineage";
import { Refusal } from "../../src/server/http/problems";
import { readFileText, readPastedText } from "../../src/server/recipes/read-file";
import { addRecipes, saveBench, saveRecipe, saveTable } from "../../src/server/recipes/recipes";
import { describeVersion, keepVersion, workOnFrom } from "../../src/server/versions/versions";
import { newFolder, removeFolder } from "../support/app";
import { tableOf } from "../support/kitchen";

let folder: string;
beforeAll(async () => {
  folder = newFolder();
  vi.stubEnv("THREPSIS_DATA", folder);
  vi.stubEnv("THREPSIS_SEED", "");
  await getDatabase();
});
afterAll(async () => {
  await closeDatabase();
  removeFolder(folder);
  vi.unstubAllEnvs();
});

/** What was refused, or null where it was taken. */
const refusal = async (work: () => Promise<unknown>): Promise<Refusal | null> => {
  try {
    await work();
    return null;
  } catch (error) {
    if (error instanceof Refusal) return error;
    throw error;
  }
};
/** Rows without their counters, which a restore moves on, each in one order of its members. */
async function rows(): Promise<string[]> {
  const { rows: all } = await (await getDatabase()).transaction((connection) => db.dumpRows(connection, ""));
  return all
    .map(({ table, row }) => `${table} ${JSON.stringify({ ...(JSON.parse(row) as object), revision: 0, table_revision: 0, bench_revision: 0 })}`)
    .sort();
}
const PLAIN: Recipe = {
  title: "Plain halwa",
  servings: 4,
  lines: ["1 cup semolina", "½ cup ghee", "1 cup sugar", "2 cups water"].map((text, i) => ({ id: `l${i + 1}`, text, choice: {} })),
  steps: [{ id: "s1", text: "Roast, pour, stir for 10 minutes.", choice: {} }],
  notes: "",
  evaporation: null,
  archetype: null,
};
const BENCH = benchOf([{ line: "l3", foodId: "jaggery", grams: 200, role: "sweetener", change: "replaced" }], 4);

describe("what is accepted can be restored", () => {
  const text = (most: number) =>
    fc.oneof(
      { weight: 5, arbitrary: fc.string({ unit: "grapheme", maxLength: 60 }) },
      { weight: 1, arbitrary: fc.integer({ min: 0, max: most + 5 }).map((n) => "y".repeat(n)) },
    );
  const sized = <T>(item: fc.Arbitrary<T>, most: number) =>
    fc.oneof(
      { weight: 5, arbitrary: fc.array(item, { maxLength: 6 }) },
      { weight: 1, arbitrary: fc.tuple(item, fc.integer({ min: most - 1, max: most + 2 })).map(([one, n]) => Array<T>(n).fill(one)) },
    );
  const recipes: fc.Arbitrary<Recipe> = fc
    .record({
      title: text(RECIPE_LIMITS.titleCharacters).map((title) => title || "x"),
      servings: fc.oneof(fc.integer({ min: 1, max: 1005 }), fc.double({ min: 1e-6, max: 1000, noNaN: true })),
      lines: sized(text(RECIPE_LIMITS.lineCharacters), RECIPE_LIMITS.lines),
      steps: sized(text(RECIPE_LIMITS.stepCharacters), RECIPE_LIMITS.steps),
      notes: text(RECIPE_LIMITS.notesCharacters),
      parts: sized(text(RECIPE_LIMITS.componentCharacters), RECIPE_LIMITS.components),
      tags: fc.uniqueArray(
        text(RECIPE_LIMITS.tagCharacters).map((tag) => tag || "x"),
        { maxLength: 32 },
      ),
    })
    .map(({ title, servings, lines, steps, notes, parts, tags }) => ({
      title,
      servings,
      lines: lines.map((line, i) => ({ id: `l${i + 1}`, text: line, choice: {} })),
      steps: steps.map((step, i) => ({ id: `s${i + 1}`, text: step, choice: {} })),
      components: parts.map((name, i) => ({ id: `c${i + 1}`, name: name || "x", use: { kind: "whole" as const } })),
      tags,
      notes,
      evaporation: null,
      archetype: null,
    }));
  // Pasted and opened, the same limits hold.
  const written = fc.oneof(
    fc.constantFrom(
      () => readPastedText("Sweet\nServes 5000\n1 cup sugar"),
      () => readPastedText(`Sweet\n1 cup sugar\nNote: ${"n".repeat(4900)}`),
      () => readPastedText(`Sweet\n1 cup sugar\n${Array.from({ length: 5 }, () => `Note: ${"n".repeat(4900)}`).join("\n")}`),
      () =>
        readPastedText(
          `Sweet\n${Array.from({ length: 40 }, (_, i) => `For the part ${"abcdefgh"[i % 8]}${"ijklmnop"[Math.floor(i / 8)]}:\n1 cup sugar`).join("\n")}`,
        ),
      () => readPastedText(`${"T".repeat(300)}\n1 cup sugar`),
      () => readFileText("recipe,servings,kind,text\nA,2000,line,1 cup sugar", "x.csv").recipes[0] ?? PLAIN,
      () => readFileText(JSON.stringify({ "@type": "Recipe", name: "J", recipeYield: 4000, recipeIngredient: ["1 cup sugar"] }), "x").recipes[0] ?? PLAIN,
      () =>
        readFileText(JSON.stringify({ format: "threpsis-recipes", version: 2, recipes: [{ title: "Own", servings: 1, lines: [], steps: [] }] }), "x")
          .recipes[0] ?? PLAIN,
    ),
    recipes.map((recipe) => () => recipe),
  );
  it("any recipe, however it comes in: backed up and restored it is the same", async () => {
    let taken = 0;
    let refused = 0;
    await fc.assert(
      fc.asyncProperty(written, async (make) => {
        const why = await refusal(async () => addRecipes([make()]));
        if (why) {
          refused++;
          expect([why.status, why.errors[0]?.detail ?? why.title]).toEqual([422, expect.stringMatching(/\w/)]);
        } else taken++;
      }),
      { numRuns: 150 },
    );
    expect(Math.min(taken, refused)).toBeGreaterThan(5);
    const before = await rows();
    const { text: copy } = await makeBackup();
    await restoreBackup(copy);
    expect(await rows()).toEqual(before);
  });

  it("a version worked on from one that the clock has after it, and what is told of both", async () => {
    const [id = ""] = await addRecipes([PLAIN]);
    await saveTable(id, { document: tableOf({ rules: ["vegan"], servings: 4 }), revision: 0 });
    const bench = { ...BENCH, madeFor: { ...BENCH.madeFor, rules: ["vegan"] } };
    const parent = await keepVersion(id, bench, false);
    const { revisions } = await workOnFrom(parent);
    vi.useFakeTimers({ now: Date.now() - 400 * 86_400_000, toFake: ["Date"] });
    try {
      await saveBench(id, { document: { ...bench, from: parent }, revision: revisions.bench });
      const child = await keepVersion(id, { ...bench, from: parent }, false);
      await describeVersion(child, { label: "x".repeat(100), why: "w".repeat(1000), whom: "v".repeat(2000) });
      const before = await rows();
      const { text: copy } = await makeBackup();
      await restoreBackup(copy);
      expect(await rows()).toEqual(before);
      // Going back survives the clock too.
      await addRecipes([{ ...PLAIN, title: "After the clock was set back" }]);
      await undoRestore();
      expect(await rows()).toEqual(before);
    } finally {
      vi.useRealTimers();
    }
    expect((await lineageOf(id)).versions.map(({ parentId }) => parentId).sort()).toEqual([parent, null].sort());
  });

  it("forty times over: counters go up by one each, and no window of before may save", async () => {
    const [id = ""] = await addRecipes([PLAIN]);
    const { text: copy } = await makeBackup();
    const start = (await db.findRecipe(await getDatabase(), id))?.revision ?? 0;
    for (let i = 0; i < 40; i++) await restoreBackup(copy);
    const now = (await db.findRecipe(await getDatabase(), id))?.revision ?? 0;
    expect(now).toBeLessThanOrEqual(start + 60);
    expect((await refusal(() => saveRecipe(id, { document: { ...PLAIN, title: "Over it" }, revision: start })))?.status).toBe(409);
    expect(await saveRecipe(id, { document: { ...PLAIN, title: "On it" }, revision: now })).toBe(now + 1);
  });
});

describe("what an earlier version took in", () => {
  it("is backed up and restored though no recipe of that size is taken today, and its versions are shown", async () => {
    const [id = ""] = await addRecipes([{ ...PLAIN, title: "Of an earlier version" }]);
    await saveTable(id, { document: tableOf({ servings: 4 }), revision: 0 });
    const version = await keepVersion(id, BENCH, false);
    const large = {
      servings: 5000,
      notes: "n".repeat(30_000),
      components: Array.from({ length: 40 }, (_, i) => ({ id: `c${i}`, name: `Part ${i}`, use: { kind: "whole" } })),
    };
    const database = await getDatabase();
    await database.query("UPDATE recipe SET document = document || $2::jsonb WHERE id = $1", [id, JSON.stringify(large)]);
    await database.query("UPDATE version SET snapshot = jsonb_set(snapshot, '{recipe}', (snapshot->'recipe') || $2::jsonb) WHERE id = $1", [
      version,
      JSON.stringify(large),
    ]);
    const before = await rows();
    await restoreBackup((await makeBackup()).text);
    expect(await rows()).toEqual(before);
    expect((await getOnTheGo()).kept.find((each) => each.id === version)?.whole?.servings).toBe(4);
    const { recipe, revision } = (await db.findRecipe(await getDatabase(), id)) ?? { recipe: PLAIN, revision: 0 };
    expect((await refusal(() => saveRecipe(id, { document: recipe, revision })))?.status).toBe(422);
    expect(await saveRecipe(id, { document: { ...recipe, servings: 50, notes: "", components: [] }, revision })).toBe(revision + 1);
  });
});

describe("a backup that does not fit", () => {
  const kept = () => readdirSync(join(folder, "before-restore")).sort();
  /** The backup with one row changed, and its checksum made to fit again. */
  async function changed(table: string, change: (row: Record<string, unknown>) => unknown): Promise<string> {
    const { rows: all, ...dump } = await (await getDatabase()).transaction((connection) => db.dumpRows(connection, "2026-11-25T10:00:00.000Z"));
    const at = all.findLastIndex((row) => row.table === table);
    return db.encodeDump({
      ...dump,
      rows: all.map((row, i) => (i === at ? { ...row, row: JSON.stringify(change(JSON.parse(row.row) as Record<string, unknown>)) } : row)),
    });
  }
  const deep: readonly (readonly [string, string, (row: Record<string, unknown>) => unknown])[] = [
    [
      "a snapshot without its figures",
      "version",
      (row) => ({ ...row, snapshot: { ...(row.snapshot as object), forThisTable: { input: { lines: [] }, figures: {} } } }),
    ],
    [
      "a snapshot with a food that is none",
      "version",
      (row) => ({ ...row, snapshot: { ...(row.snapshot as object), rows: [{ line: null, food: {}, grams: 1 }] } }),
    ],
    ["a table that is none", "adaptation", (row) => ({ ...row, dining_table: { rules: "vegan" } })],
    ["a bench that is none", "adaptation", (row) => ({ ...row, bench: { rows: [{}] } })],
    ["a time with something behind it", "recipe", (row) => ({ ...row, created_at: "2026-11-25T10:00:00Z; x" })],
    ["a time that is no day", "recipe", (row) => ({ ...row, created_at: "2026-13-45T10:00:00Z" })],
    ["a counter that can go no further", "recipe", (row) => ({ ...row, revision: 2_147_483_647 })],
    [
      "a recipe that is too large",
      "recipe",
      (row) => ({
        ...row,
        document: {
          ...(row.document as object),
          lines: Array.from({ length: 401 }, (_, i) => ({ id: `l${i}`, text: "x".repeat(2000), choice: {} })),
          notes: "n",
        },
      }),
    ],
    ["a version of a parent that is not there", "version", (row) => ({ ...row, parent_id: "nobody" })],
    ["two versions that come from each other", "version", (row) => ({ ...row, id: "loop", parent_id: "loop2" })],
  ];
  it.each(deep)("%s: refused whole, nothing changed, no state to go back to", async (_, table, change) => {
    const before = await rows();
    const states = kept();
    const file = await changed(table, change);
    const why = await refusal(() => restoreBackup(file));
    expect(why?.status).toBe(422);
    expect(await rows()).toEqual(before);
    expect(kept()).toEqual(states);
  });

  it("is told with its line, and how far a restore is, while another one has to wait", async () => {
    const file = await changed("adaptation", (row) => ({ ...row, bench: 5 }));
    const why = await refusal(() => readBackup(file));
    expect(why?.errors[0]?.pointer).toMatch(/^line \d+ \/bench/);
    const { text: copy } = await makeBackup();
    const running = restoreBackup(copy);
    expect((await refusal(() => restoreBackup(copy)))?.status).toBe(409);
    await running;
    expect(canUndoRestore()).toBe(true);
  });
});

describe("a version that was spoiled where it lies", () => {
  it("is shown as such, and the others beside it as they are", async () => {
    const [id = ""] = await addRecipes([{ ...PLAIN, title: "With a spoiled version" }]);
    await saveTable(id, { document: tableOf({ servings: 4 }), revision: 0 });
    const whole = await keepVersion(id, BENCH, false);
    const spoiled = await keepVersion(id, BENCH, false);
    await (await getDatabase()).query("UPDATE version SET snapshot = '{\"schema\": 1}'::jsonb WHERE id = $1", [spoiled]);
    const { kept } = await getOnTheGo();
    expect(kept.find((each) => each.id === spoiled)?.whole).toBeNull();
    expect(kept.find((each) => each.id === whole)?.whole?.servings).toBe(4);
    const { versions } = await lineageOf(id);
    expect(versions.map(({ servings }) => servings).sort()).toEqual([4, null]);
    expect((await refusal(() => workOnFrom(spoiled)))?.status).toBe(409);
  });
});

describe("a folder with somebody's own data", () => {
  it("is not given the demo's, marked or not", async () => {
    const database = await getDatabase();
    await database.query("DELETE FROM setting WHERE key = 'seeded'");
    const before = await db.countRecipes(database);
    await closeDatabase();
    vi.stubEnv("THREPSIS_SEED", "demo");
    expect(await db.countRecipes(await getDatabase())).toBe(before);
  });
  it("keeps what was deleted when the clock jumps ahead, and forgets it once the days have gone by", async () => {
    const [id = ""] = await addRecipes([PLAIN]);
    await db.markDeleted(await getDatabase(), "recipe", id, new Date().toISOString());
    const there = async () => (await db.listDeleted(await getDatabase())).some((each) => each.id === id);
    const start = Date.now();
    vi.useFakeTimers({ now: start + 400 * 86_400_000, toFake: ["Date"] });
    try {
      await closeDatabase();
      expect(await there()).toBe(true);
      for (let day = 1; day <= 31; day++) {
        vi.setSystemTime(start + (400 + day) * 86_400_000);
        await closeDatabase();
        await getDatabase();
      }
      expect(await there()).toBe(false);
    } finally {
      vi.useRealTimers();
    }
  }, 240_000);
});

describe("the files of a data folder", () => {
  it("hold no recipe in what a failed write logs", async () => {
    const { describeError } = await import("../../src/server/http/log");
    const database = await getDatabase();
    const secret = "the aunt's own cardamom secret";
    const error: unknown = await database
      .query("INSERT INTO recipe (id, title, document) VALUES ($1, $2, $3::jsonb)", ["x", "", JSON.stringify({ secret })])
      .catch((each: unknown) => each);
    expect(error).toBeInstanceOf(Error);
    expect(JSON.stringify({ ...(error as object), logged: describeError(error) })).not.toContain("cardamom");
    const badJson: unknown = await database.query("SELECT $1::jsonb", [`{"secret": "${secret}"`]).catch((each: unknown) => each);
    expect(JSON.stringify(describeError(badJson))).not.toContain("cardamom");
    expect(readFileSync(join(folder, "lock"), "utf8")).toContain(String(process.pid));
  });
});
