import { execFileSync } from "node:child_process";
import { readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { afterEach, describe, expect, it } from "vitest";
import {
  ALL_RECIPES,
  findRecipe,
  FolderInUse,
  insertRecipe,
  insertVersion,
  listOnTheGo,
  listRecipes,
  openDatabase,
  updateRecipe,
  type Database,
} from "../../src/db";
import type { Recipe } from "../../src/core/recipe";
import { newFolder, removeFolder } from "../support/app";

const recipe = (title: string): Recipe => ({
  title,
  servings: 4,
  lines: [{ id: "l1", text: "1 cup milk", choice: {} }],
  steps: [],
  evaporation: null,
  archetype: null,
});
const AT = "2026-11-25T10:00:00.000Z";
const folders: string[] = [];
const fresh = () => {
  const folder = newFolder();
  folders.push(folder);
  return folder;
};
afterEach(() => folders.splice(0).forEach(removeFolder));
const withDatabase = async <T>(folder: string, work: (database: Database) => Promise<T>): Promise<T> => {
  const database = await openDatabase(folder);
  try {
    return await work(database);
  } finally {
    await database.close();
  }
};

describe("the data folder", () => {
  it("keeps what was written, over a close and a second start, and refuses to overwrite a newer revision", async () => {
    const folder = fresh();
    await withDatabase(folder, async (database) => {
      await insertRecipe(database, "a", recipe('It\'s 100 % "ours"; DROP TABLE recipe; --'), AT);
      expect(await updateRecipe(database, "a", recipe("B"), 1, AT)).toBe(2);
      expect(await updateRecipe(database, "a", recipe("C"), 1, AT)).toBeNull();
    });
    await withDatabase(folder, async (database) => {
      expect(await findRecipe(database, "a")).toMatchObject({ revision: 2, recipe: { title: "B" } });
      expect((await listRecipes(database, { ...ALL_RECIPES, words: "b" }, 10, 0)).total).toBe(1);
      expect((await listRecipes(database, { ...ALL_RECIPES, words: "%" }, 10, 0)).total).toBe(0);
    });
  });

  it("writes a transaction all or not at all", async () => {
    await withDatabase(fresh(), async (database) => {
      await expect(
        database.transaction(async (connection) => {
          await insertRecipe(connection, "x", recipe("X"), AT);
          throw new Error("stop");
        }),
      ).rejects.toThrow("stop");
      expect(await findRecipe(database, "x")).toBeNull();
    });
  });

  it("knows what is on the go: worked on of late, and nothing kept since", async () => {
    const [old, since, lately, today] = ["2026-10-01", "2026-11-04", "2026-11-20", "2026-11-25"].map((day) => `${day}T10:00:00.000Z`) as [
      string,
      string,
      string,
      string,
    ];
    await withDatabase(fresh(), async (database) => {
      const going = async () => {
        const { items, total } = await listOnTheGo(database, since, 5);
        expect(total).toBe(items.length);
        return items.map(({ id }) => id);
      };
      await insertRecipe(database, "rests", recipe("A"), old);
      await insertRecipe(database, "new", recipe("B"), lately);
      expect(await going()).toEqual(["new"]);
      await insertVersion(database, { id: "v", recipeId: "new", title: "B", label: "Closest", snapshot: {}, parentId: null, why: "", whom: "" }, today);
      expect(await going()).toEqual([]);
      await updateRecipe(database, "rests", recipe("A again"), 1, lately);
      expect(await going()).toEqual(["rests"]);
    });
  });

  it("belongs to one process: a second is refused by name, a stale lock is taken over", async () => {
    const folder = fresh();
    await withDatabase(folder, async () => {
      const script = `import { openDatabase } from "./src/db/index.ts"; openDatabase(${JSON.stringify(folder)}).then(() => { console.log("opened"); process.exit(0); }, (error) => { console.log(error.constructor.name, error.message); process.exit(0); });`;
      const said = execFileSync(process.execPath, ["--import", "tsx", "--input-type=module", "-e", script], { encoding: "utf8" });
      expect(said).toContain(FolderInUse.name);
      expect(said).toContain(String(process.pid));
      expect(said).toContain(folder);
    });
    writeFileSync(join(folder, "lock"), JSON.stringify({ pid: process.ppid, started: "1" }));
    await withDatabase(folder, async () => expect((JSON.parse(readFileSync(join(folder, "lock"), "utf8")) as { pid: number }).pid).toBe(process.pid));
    writeFileSync(join(folder, "lock"), "not json");
    await withDatabase(folder, async (database) => expect((await listRecipes(database, ALL_RECIPES, 1, 0)).total).toBe(0));
  });

  it("refuses data of a newer schema, and leaves them alone", async () => {
    const folder = fresh();
    await withDatabase(folder, async (database) => {
      await database.query("INSERT INTO migration (number, name) VALUES (9999, 'later')");
    });
    await expect(openDatabase(folder)).rejects.toThrow(/newer version \(schema 9999\)/);
  });
});
