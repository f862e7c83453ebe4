import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Recipe } from "../../src/core/recipe";
import * as db from "../../src/db";
import type { ReplaceableDatabase } from "../../src/db";
import { newFolder, removeFolder, save, send, startApp, type RunningApp } from "../support/app";
import { startPostgres, type PostgresServer } from "../support/postgres";

const AT = "2026-11-25T10:00:00.000Z";
const LATER = "2026-11-26T10:00:00.123Z";
const recipe = (title: string, text = "1 cup milk"): Recipe => ({
  title,
  servings: 4,
  lines: [{ id: "l1", text, choice: {} }],
  steps: [],
  evaporation: null,
  archetype: null,
});
const ODD = 'It\'s 100 % "ours"; DROP TABLE recipe; -- „ü“ 🙂 \\ $1';
const all = (words = "") => ({ ...db.ALL_RECIPES, words });

let server: PostgresServer;
const folders: string[] = [];
const folder = () => {
  const made = newFolder();
  folders.push(made);
  return made;
};
beforeAll(async () => {
  server = await startPostgres();
});
afterAll(() => {
  server.stop();
  folders.forEach(removeFolder);
});

const BACKENDS: readonly (readonly [name: string, open: () => Promise<ReplaceableDatabase>])[] = [
  ["PGlite in a folder", () => db.openDatabase(folder())],
  ["a PostgreSQL server", async () => db.openPostgres(await server.database())],
];

describe.each(BACKENDS)("%s", (_, open) => {
  let database: ReplaceableDatabase;
  beforeAll(async () => {
    database = await open();
  });
  afterAll(() => database.close());

  it("is of the latest schema, with nothing in it", async () => {
    const [row] = await database.query("SELECT max(number) AS number FROM migration");
    expect(row?.number).toBe(db.latestSchema());
    expect(await db.countRecipes(database)).toBe(0);
  });
  it("keeps a recipe whatever its text, finds it by its words, and saves only over the revision that was read", async () => {
    await db.insertRecipe(database, "a", recipe(ODD, ODD), AT);
    expect(await db.findRecipe(database, "a")).toMatchObject({ revision: 1, recipe: recipe(ODD, ODD) });
    expect(await db.updateRecipe(database, "a", recipe("B"), 1, LATER)).toBe(2);
    expect(await db.updateRecipe(database, "a", recipe("C"), 1, LATER)).toBeNull();
    expect(await db.listRevisions(database, "a", 10)).toMatchObject([{ revision: 1, recipe: { title: ODD }, replacedAt: LATER }]);
    expect((await db.listRecipes(database, all("b"), 10, 0)).total).toBe(1);
    expect((await db.listRecipes(database, all("%"), 10, 0)).recipes).toEqual([]);
  });
  it("keeps table and bench, each by a revision of its own, and what lay on the bench before", async () => {
    expect(await db.saveAdaptation(database, "a", "table", { servings: 0.1, x: [1e21, null] }, 0, AT)).toBe(1);
    for (let revision = 0; revision < 64; revision++) {
      await db.keepBenchState(database, "a", revision, AT);
      expect(await db.saveAdaptation(database, "a", "bench", { at: revision }, revision, AT)).toBe(revision + 1);
    }
    expect(await db.saveAdaptation(database, "a", "bench", { late: true }, 3, AT)).toBeNull();
    expect(await db.findAdaptation(database, "a")).toMatchObject({ table: { servings: 0.1, x: [1e21, null] }, tableRevision: 1, benchRevision: 64 });
    const states = await db.benchStates(database, "a");
    expect(states.length).toBe(60);
    expect(states[0]).toEqual({ revision: 63, bench: { at: 62 }, replacedAt: AT });
  });
  it("counts what is in stock from what came and went, and keeps what was said of a batch, each once", async () => {
    const plan = { title: "Halwa", grams: 900 };
    await database.query("INSERT INTO batch (id, title, plan, ground, begun_at) VALUES ('b', 'Halwa', $1::jsonb, '{}'::jsonb, $2)", [JSON.stringify(plan), AT]);
    const item = { id: "s", foodId: "rice", name: ODD, kind: "bought", place: "fridge", gotOn: "2026-11-25", useBy: null, note: "" } as const;
    expect(await db.insertStock(database, item, AT)).toBe(true);
    expect(await db.insertStock(database, item, AT)).toBe(false);
    for (const [id, grams] of [
      ["one", 500.1],
      ["two", -200.3],
      ["three", -0.1],
      ["three", -0.1],
    ] as const)
      await db.insertMove(database, { id, item: "s", grams, why: grams > 0 ? "put in" : "cooked", at: AT }, { batchId: grams > 0 ? null : "b" });
    expect(await db.listStock(database)).toEqual([{ ...item, batchId: null, revision: 1, grams: 299.7 }]);
    expect((await db.movesOfBatch(database, "b")).map(({ grams, batch }) => [grams, batch?.title])).toEqual([
      [-0.1, "Halwa"],
      [-200.3, "Halwa"],
    ]);
    expect(await db.updateStock(database, { ...item, useBy: "2026-12-01", note: "x" }, 1, LATER)).toBe(2);
    expect(await db.updateStock(database, item, 1, LATER)).toBeNull();
    await db.deleteMovesOfBatch(database, "b");
    expect(await db.findStock(database, "s")).toMatchObject({ grams: 500.1, useBy: "2026-12-01", revision: 2 });
    await db.insertStock(database, { ...item, id: "left", foodId: null }, AT, { batchId: "b" });
    await db.insertStock(database, { ...item, id: "gone", foodId: null }, AT, { batchId: "b" });
    await db.deleteStockOfBatch(database, "b", ["left"]);
    expect((await db.listStock(database)).map(({ id }) => id)).toEqual(["left", "s"]);
    const said = {
      id: "t",
      batchId: "b",
      eaterId: null,
      name: ODD,
      isGuest: true,
      served: "hot",
      answer: { steps: { body: -1 }, liking: 7, word: ODD },
      tastedAt: AT,
    } as const;
    expect(await db.insertTasting(database, said)).toBe(true);
    expect(await db.insertTasting(database, said)).toBe(false);
    expect(await db.tastingsOf(database, "b")).toEqual([said]);
    expect([await db.deleteTasting(database, "other", "t"), await db.deleteTasting(database, "b", "t")]).toEqual([false, true]);
    for (const id of ["left", "s"]) await db.deleteStock(database, id);

    await database.query("INSERT INTO batch (id, title, plan, ground, begun_at) SELECT 'c', title, plan, ground, begun_at FROM batch WHERE id = 'b'");
    const looked = { outcomes: [], logged: { seats: ["ana"] } as never, words: "100% rose_water", madeOn: "2026-02-28" };
    await database.query("UPDATE batch SET ended_at = begun_at WHERE id = 'b'");
    for (const words of ["another", "halwa 100% rose_water"]) await db.writeOutcomes(database, "b", "1", 0, { ...looked, words });
    await db.insertTasting(database, { ...said, id: "u" });
    const any = { words: [], eater: null, months: [], recipe: null };
    const found = async (part: object) => (await db.findLogged(database, { ...any, ...part }, 10, 0)).entries.map(({ id }) => id);
    expect(await db.findLogged(database, any, 1, 1)).toMatchObject({ total: 2, entries: [{ id: "b", planned: 900, tastings: 1, liking: 7, hasPhoto: false }] });
    for (const [part, ids] of [
      [{}, ["c", "b"]],
      [{ words: ["rose_", "100%"] }, ["b"]],
      [{ words: ["rose%"] }, []],
      [{ words: ["halwa", "100%"] }, ["b"]],
      [{ eater: "ana" }, ["b"]],
      [{ months: [2, 3] }, ["b"]],
      [{ months: [1] }, []],
      [{ recipe: "a" }, []],
    ] as const)
      expect(await found(part), JSON.stringify(part)).toEqual(ids);
    expect(await db.countBatches(database)).toEqual({ batches: 2, tastings: 1 });
    expect((await db.listCookables(database, "a", 1)).map(({ recipeId }) => recipeId)).toEqual(["a"]);
    const run = { kind: "guess the grams", eaterId: null, seed: 7, answer: { grams: 3 }, result: { miss: 0.1, food: "rice" } } as const;
    for (const [id, at] of [
      ["one", AT],
      ["two", LATER],
      ["two", AT],
    ] as const)
      await db.insertRun(database, { ...run, id, at });
    expect(await db.practiceRuns(database, "guess the grams", null, 9)).toEqual([
      { ...run, id: "one", at: AT },
      { ...run, id: "two", at: LATER },
    ]);
    expect((await db.practiceRuns(database, "guess the grams", null, 1)).map(({ id }) => id)).toEqual(["two"]);
    expect([await db.forgetRuns(database, "stop in time", null), await db.forgetRuns(database, "guess the grams", null)]).toEqual([0, 2]);
    const test = {
      ...({ id: "x", batches: ["b", "c"], aim: "alike", tell: 0.3, planned: 12, seed: 7, served: "hot" } as const),
      ...{ server: { eater: null, name: ODD }, begunAt: AT, endedAt: null },
    };
    await db.insertTriangle(database, test);
    await db.insertTriangle(database, { ...test, tell: 0.5 });
    expect(await db.findTriangle(database, "x")).toEqual(test);
    expect([(await db.trianglesOf(database, "c")).length, (await db.trianglesOf(database, "x")).length]).toEqual([1, 0]);
    const chosen = { id: "y", place: 2, eaterId: null, name: ODD, isGuest: true, code: "123", saw: false, answeredAt: AT };
    await db.insertTriangleAnswer(database, "x", chosen);
    await expect(db.insertTriangleAnswer(database, "x", { ...chosen, id: "z" })).rejects.toThrow();
    expect([await db.writeSaw(database, "x", "y", true), await db.writeSaw(database, "x", "z", true)]).toEqual([true, false]);
    expect(await db.triangleAnswers(database, "x")).toEqual([{ ...chosen, saw: true }]);
    await db.endTriangle(database, "x", LATER);
    await db.endTriangle(database, "x", AT);
    expect((await db.findTriangle(database, "x"))?.endedAt).toBe(LATER);
    expect([await db.deleteTriangle(database, "x"), await db.deleteTriangle(database, "x")]).toEqual([true, false]);
    await database.query("DELETE FROM batch WHERE id = 'c'");
    await database.query("DELETE FROM batch WHERE id = 'b'");
  });
  it("keeps versions with where they come from; what is deleted comes back, until it is forgotten", async () => {
    const version = (id: string, parentId: string | null) => ({
      id,
      recipeId: "a",
      title: "B",
      label: id,
      snapshot: { table: { rules: ["vegan"] }, rows: [{ foodId: "milk" }] },
      parentId,
      why: "",
      whom: "",
    });
    await db.insertVersion(database, version("v1", null), AT);
    await db.insertVersion(database, version("v2", "v1"), LATER);
    await db.insertVersion(database, version("v3", "gone"), LATER);
    expect((await db.listVersions(database, "a", 10)).map(({ id, parentId }) => [id, parentId])).toEqual([
      ["v2", "v1"],
      ["v3", null],
      ["v1", null],
    ]);
    expect(await db.versionsKeeping(database, ["vegan"], ["milk"], 10)).toHaveLength(3);
    expect(await db.markDeleted(database, "version", "v3", LATER)).toBe(true);
    expect(await db.markDeleted(database, "version", "v3", LATER)).toBe(false);
    expect((await db.listDeleted(database)).map(({ id, deletedAt }) => [id, deletedAt])).toEqual([["v3", LATER]]);
    expect(await db.putBack(database, "version", "v3")).toBe(true);
    await db.markDeleted(database, "version", "v3", AT);
    await db.forgetDeleted(database, LATER);
    expect(await db.findVersion(database, "v3")).toBeNull();
    expect(await db.findVersion(database, "v2")).toMatchObject({ keptAt: LATER, snapshot: { rows: [{ foodId: "milk" }] } });
  });
  it("finds recipes by what was derived from them", async () => {
    await db.writeSearchEntry(database, "a", 2, "basis", { kind: "pudding", foodIds: ["milk", "rice"], diets: ["egg-free"], tags: ["winter"], minutes: 20 });
    expect(await db.listTags(database, 5)).toEqual(["winter"]);
    expect(await db.countRecipesHolding(database, ["rice"])).toBe(1);
    expect(await db.countNotIndexed(database, "basis")).toBe(0);
    expect(await db.countNotIndexed(database, "other")).toBe(1);
  });
  it("does a transaction whole or not at all, and says by code what was refused", async () => {
    await expect(
      database.transaction(async (inside) => {
        await db.writeSetting(inside, "half", 1, 0);
        throw new Error("stop");
      }),
    ).rejects.toThrow("stop");
    expect((await db.readSetting(database, "half")).value).toBeNull();
    await expect(db.insertRecipe(database, "a", recipe("again"), AT)).rejects.toMatchObject({ code: "23505" });
    await expect(database.query("SELECT 1 FROM nowhere")).rejects.toMatchObject({ code: "42P01" });
    expect(await db.writeSetting(database, "whole", { a: 1 }, 0)).toBe(1);
    expect(await db.writeSetting(database, "whole", { a: 2 }, 0)).toBeNull();
  });
  it("writes of a collection only the rows that changed, and says who wrote each", async () => {
    const save = (prices: readonly (readonly [string, number])[], revision: number, at: string, person: string | null) =>
      database.transaction((inside) => {
        const rows = prices.map(([id, price]) => ({ id, document: { foodId: id, price } }));
        return db.writeCollection(inside, "pantry", { prices: rows }, revision, at, { person });
      });
    const eater = { id: "cook", document: { id: "cook", name: "Cook" } };
    expect(await database.transaction((inside) => db.writeCollection(inside, "eaters", { eaters: [eater] }, 0, AT))).toBe(1);
    expect(
      await save(
        [
          ["rice", 1],
          ["milk", 2],
          ["figs", 3],
        ],
        0,
        AT,
        null,
      ),
    ).toBe(1);
    expect(
      await save(
        [
          ["milk", 2],
          ["rice", 5],
        ],
        1,
        LATER,
        "cook",
      ),
    ).toBe(2);
    expect(await save([], 1, LATER, null)).toBeNull();
    const written = await database.query("SELECT id, written_at, person_id FROM price ORDER BY place");
    expect(written.map(({ id, written_at, person_id }) => [id, new Date(written_at as Date | string).toISOString(), person_id])).toEqual([
      ["milk", AT, null],
      ["rice", LATER, "cook"],
    ]);
    const collections = await db.readCollections(database);
    expect(collections.get("pantry")).toEqual({
      revision: 2,
      lists: {
        foods: [],
        weighings: [],
        pressings: [],
        names: [],
        prices: [
          { id: "milk", document: { foodId: "milk", price: 2 } },
          { id: "rice", document: { foodId: "rice", price: 5 } },
        ],
      },
    });
    // Who is no longer there wrote nothing that is lost by it.
    expect(await database.transaction((inside) => db.writeCollection(inside, "eaters", { eaters: [] }, 1, LATER))).toBe(2);
    expect(await database.query("SELECT id FROM price WHERE person_id IS NOT NULL")).toEqual([]);
  });
  it("gives one revision to one of many that save at once", async () => {
    await db.insertRecipe(database, "many", recipe("Many"), AT);
    const saved = await Promise.all(
      Array.from({ length: 12 }, (_each, i) => database.transaction((inside) => db.updateRecipe(inside, "many", recipe(`M${i}`), 1, LATER))),
    );
    expect(saved.filter((revision) => revision !== null)).toEqual([2]);
  });
  it("is replaced whole or not at all, keeps what was there first, and what it held goes into the other and back the same", async () => {
    const dumped = (of: ReplaceableDatabase) => of.transaction((inside) => db.dumpRows(inside, AT));
    const bare = ({ rows }: db.Dump) => rows.map(({ table, row }) => [table, JSON.parse(row) as unknown]);
    const before = await dumped(database);
    const twice = { ...before, rows: [...before.rows, ...before.rows.slice(0, 1)] };
    let taken = 0;
    const keep = () => () => void (taken += 1);
    await expect(database.replaceAll(twice, { keep })).rejects.toMatchObject({ code: "23505" });
    expect(taken).toBe(1);
    expect(bare(await dumped(database))).toEqual(bare(before));
    for (const [, openOther] of BACKENDS) {
      const other = await openOther();
      try {
        await other.transaction((inside) => db.loadRows(inside, before));
        expect(bare(await dumped(other))).toEqual(bare(before));
        const kept: db.Dump[] = [];
        await database.replaceAll(await dumped(other), { keep: (was) => (kept.push(was), () => undefined) });
        expect(bare(kept[0] ?? before)).toEqual(bare(before));
      } finally {
        await other.close();
      }
      // Under revisions that no open window may take for its own; all else is the same.
      const bareOfRevisions = (dump: db.Dump) => JSON.stringify(bare(dump)).replace(/"(?:table_|bench_)?revision":\d+/g, "");
      expect(bareOfRevisions(await dumped(database))).toBe(bareOfRevisions(before));
      await database.transaction((inside) => db.loadRows(inside, before));
    }
  });
});

describe("two processes on one PostgreSQL server", () => {
  let apps: readonly [RunningApp, RunningApp];
  let url: string;
  beforeAll(async () => {
    url = await server.database();
    const start = () => startApp(folder(), { environment: { DATABASE_URL: url } });
    apps = await Promise.all([start(), start()]);
  });
  afterAll(() => Promise.all(apps.map((app) => app.stop())));
  const copy = (task: string, file: string, environment: Readonly<Record<string, string>>) =>
    execFileSync(process.execPath, ["--import", "tsx", "scripts/backup.ts", task, file], { env: { ...process.env, ...environment }, encoding: "utf8" });

  it("put the demo in once, see what the other saves, and refuse what is over it", async () => {
    const [first, second] = apps;
    const pages = await Promise.all(apps.map(async ({ address }) => (await fetch(`${address}/recipes`)).text()));
    for (const page of pages) expect(new Set([...page.matchAll(/href="\/recipes\/(demo-\d+)\/recipe"/g)].map((match) => match[1])).size).toBe(15);
    const { id } = (await send(first.address, "POST", "/api/recipes", { text: "Shared pudding\n1 litre milk\n80 g sugar" })).json as { id: string };
    expect(await (await fetch(`${second.address}/recipes/${id}/recipe`)).text()).toContain("Shared pudding");
    expect((await save(second.address, `/api/recipes/${id}`, recipe("From the second"), 1)).json).toEqual({ revision: 2 });
    expect(await save(first.address, `/api/recipes/${id}`, recipe("From the first"), 1)).toMatchObject({
      status: 409,
      json: { current: { document: { title: "From the second" } } },
    });
    const both = await Promise.all(
      apps.flatMap(({ address }, i) => Array.from({ length: 5 }, (_each, j) => save(address, `/api/recipes/${id}`, recipe(`W${i}${j}`), 2))),
    );
    expect(both.filter(({ status }) => status === 200).length).toBe(1);
    expect(both.filter(({ status }) => status === 409).length).toBe(9);
  });
  it("are backed up into a file that a folder takes, and take a folder's; one goes on when the other is killed", async () => {
    const [first, second] = apps;
    const file = join(folder(), "server.jsonl");
    expect(copy("backup", file, { DATABASE_URL: url })).toMatch(/Backed up the PostgreSQL server/);
    const home = folder();
    expect(copy("restore", file, { DATABASE_URL: "", THREPSIS_DATA: home })).toMatch(/Restored 16 recipes/);
    const back = join(folder(), "folder.jsonl");
    copy("backup", back, { DATABASE_URL: "", THREPSIS_DATA: home });
    const rows = (path: string) => readFileSync(path, "utf8").split("\n").slice(1).sort();
    expect(rows(back).length).toBe(rows(file).length);
    await first.stop("SIGKILL");
    expect(copy("restore", back, { DATABASE_URL: url, THREPSIS_DATA: folder() })).toMatch(/Restored 16 recipes .* the PostgreSQL server/);
    const { json } = await send(second.address, "POST", "/api/recipes", { text: "After the other was killed\n1 litre milk" });
    expect(await (await fetch(`${second.address}/recipes/${(json as { id: string }).id}/recipe`)).text()).toContain("After the other was killed");
  }, 90_000);
});
