import { spawn } from "node:child_process";
import fs, { appendFileSync, readdirSync, readFileSync, statSync, truncateSync, writeFileSync } from "node:fs";
import { syncBuiltinESMExports } from "node:module";
import { join } from "node:path";
import fc from "fast-check";
import { afterEach, describe, expect, it } from "vitest";
import { plainSteps } from "../../src/core/recipe";
import * as db from "../../src/db";
import { openJournal, readJournal } from "../../src/db/journal";
import { putInPlace } from "../../src/server/data/backup";
import { openPglite } from "../../src/db/backends/pglite";
import { newFolder, removeFolder } from "../support/app";

const AT = "2026-11-25T10:00:00.123Z";
const recipe = (title: string, steps: readonly string[] = []) => ({
  title,
  servings: 1,
  lines: [],
  steps: plainSteps(steps),
  evaporation: null,
  archetype: null,
});
const folders: string[] = [];
const fresh = () => {
  const folder = newFolder();
  folders.push(folder);
  return folder;
};
afterEach(() => folders.splice(0).forEach(removeFolder));
const using = async <T>(folder: string, work: (database: db.ReplaceableDatabase) => Promise<T>, mostJournalBytes = 16 * 1024 ** 2): Promise<T> => {
  const database = await db.openDatabase(folder, { mostJournalBytes });
  try {
    return await work(database);
  } finally {
    await database.close();
  }
};
const rowsOf = async (database: db.Database) => (await db.dumpRows(database, AT)).rows;
const fileOf = (folder: string, kind: "journal" | "checkpoint") =>
  join(
    folder,
    readdirSync(folder)
      .filter((name) => name.startsWith(`${kind}-`))
      .sort((a, b) => Number(/\d+/.exec(a)?.[0]) - Number(/\d+/.exec(b)?.[0]))
      .at(-1) ?? "none",
  );

/** Writes pairs (a recipe with its table, in one transaction) and says each once it is acknowledged, until it is killed. */
const WRITER = (folder: string) => `import * as db from "./src/db/index.ts";
  const database = await db.openDatabase(${JSON.stringify(folder)}, { mostJournalBytes: 20_000 });
  console.log("open");
  for (let i = 0; ; i++) {
    const id = process.pid + "-" + i;
    await database.transaction(async (connection) => {
      await db.insertRecipe(connection, id, { title: id, servings: 1, lines: [], steps: [{ id: "s1", text: id, choice: {} }], evaporation: null, archetype: null }, new Date().toISOString());
      await db.saveAdaptation(connection, id, "table", { of: id }, 0, new Date().toISOString());
    });
    console.log(id);
  }`;

/** Runs the writer and kills it outright a random moment after so many acknowledged writes; what it acknowledged. */
async function writeUntilKilled(folder: string, writes: number, afterMs: number): Promise<string[]> {
  const child = spawn(process.execPath, ["--import", "tsx", "--input-type=module", "-e", WRITER(folder)], { stdio: ["ignore", "pipe", "inherit"] });
  let seen = "";
  let planned = false;
  await new Promise<void>((resolve) => {
    child.stdout.on("data", (chunk: Buffer) => {
      seen += chunk.toString();
      if (planned || seen.split("\n").length <= writes) return;
      planned = true;
      setTimeout(() => child.kill("SIGKILL"), afterMs);
    });
    child.once("close", () => resolve());
  });
  if (seen.split("\n").length <= writes) throw new Error(`The writer ended by itself: ${seen}`);
  return seen.split("\n").slice(1, -1);
}

const halves = (database: db.Database) =>
  database.query("SELECT id FROM recipe LEFT JOIN adaptation ON recipe_id = id WHERE dining_table->>'of' IS DISTINCT FROM id");

describe("acknowledged writes", () => {
  it("are all there after ten kills and more, and none is half", async () => {
    const folder = fresh();
    const acknowledged: string[] = [];
    let kills = 0;
    for (; kills < 10 || acknowledged.length < 200; kills++) acknowledged.push(...(await writeUntilKilled(folder, 20 + (kills % 4) * 3, (kills * 7) % 23)));
    const before = await using(folder, async (database) => {
      const there = new Set((await database.query("SELECT id FROM recipe")).map(({ id }) => id));
      expect(acknowledged.filter((id) => !there.has(id))).toEqual([]);
      expect(await halves(database)).toEqual([]);
      return rowsOf(database);
    });
    console.log(`${acknowledged.length} acknowledged writes over ${kills} kills: ${before.length / 2} pairs there, none lost, none half`);

    // The same after the power went: PGlite's files are spoiled, and the machine has started anew.
    for (const name of ["base", "pg_wal", "global"])
      for (const file of readdirSync(join(folder, "postgres", name), { recursive: true, withFileTypes: true }))
        if (file.isFile()) writeFileSync(join(file.parentPath, file.name), "");
    writeFileSync(join(folder, "opened"), "an earlier start");
    expect(await using(folder, rowsOf)).toEqual(before);
  }, 300_000);

  it("come back from checkpoint and journal alone: the same rows, times and all, over checkpoints in between", async () => {
    const folder = fresh();
    const before = await using(
      folder,
      async (database) => {
        for (let i = 0; i < 40; i++) await db.insertRecipe(database, `r${i}`, recipe(`R ${i}`, ["x".repeat(200)]), new Date(1.7e12 + i).toISOString());
        expect(await db.updateRecipe(database, "r3", recipe("changed"), 1, AT)).toBe(2);
        expect(await db.saveAdaptation(database, "r3", "bench", { a: 0.1, b: [1e21, null] }, 0, AT)).toBe(1);
        expect(await db.saveAdaptation(database, "r3", "bench", { late: true }, 0, AT)).toBeNull();
        expect(await db.markDeleted(database, "recipe", "r4", AT)).toBe(true);
        await db.writeSetting(database, "household", { cup: 250 }, 0);
        await expect(db.insertRecipe(database, "r5", recipe("twice"), AT)).rejects.toThrow();
        return rowsOf(database);
      },
      4_000,
    );
    expect(Number(/checkpoint-(\d+)/.exec(fileOf(folder, "checkpoint"))?.[1])).toBeGreaterThan(5);
    const copy = await db.openCopy(folder);
    expect(await rowsOf(copy)).toEqual(before);
    await copy.close();
    writeFileSync(join(folder, "opened"), "an earlier start");
    expect(await using(folder, rowsOf)).toEqual(before);
  });

  it("do not include a line that was cut off; damage before that is refused, not skipped", async () => {
    const folder = fresh();
    await using(folder, async (database) => {
      for (let i = 0; i < 4; i++) await db.insertRecipe(database, `r${i}`, recipe(`R ${i}`), AT);
    });
    const journal = fileOf(folder, "journal");
    const whole = readFileSync(journal, "utf8");
    truncateSync(journal, whole.length - 5);
    removeFolder(join(folder, "postgres"));
    await using(folder, async (database) => {
      expect((await db.listRecipes(database, db.ALL_RECIPES, 10, 0)).total).toBe(3);
      await db.insertRecipe(database, "r9", recipe("after"), AT);
    });
    writeFileSync(fileOf(folder, "journal"), whole.replace("R 1", "R x"));
    removeFolder(join(folder, "postgres"));
    for (let start = 0; start < 2; start++)
      await expect(db.openDatabase(folder)).rejects.toThrow(/journal-\d+\.jsonl \(line 2 cannot be read\)[^]*npm run restore/);
  });
});

describe("a backup", () => {
  it("reads back just as it was written, whatever the rows hold, and is refused when a byte has changed", () => {
    const texts = fc.string({ unit: "grapheme", maxLength: 40 });
    fc.assert(
      fc.property(
        fc.array(fc.record({ table: fc.constantFrom(...db.TABLES.map(([name]) => name)), row: fc.dictionary(texts, texts) })),
        fc.nat(),
        (rows, at) => {
          const dump = { schema: 2, made: AT, rows: rows.map(({ table, row }) => ({ table, row: JSON.stringify(row) })) };
          const text = db.encodeDump(dump);
          expect(db.decodeDump(text)).toEqual({ ok: true, value: dump });
          const i = at % text.length;
          const other = `${text.slice(0, i)}${text[i] === "7" ? "8" : "7"}${text.slice(i + 1)}`;
          const read = db.decodeDump(other);
          // Only what the first line says about it may differ unnoticed: its time, and how many rows it counts.
          if (read.ok) expect(read.value.rows).toEqual(dump.rows);
        },
      ),
    );
  });

  it("of an earlier schema is brought up to this one", async () => {
    const made = {
      table: "recipe" as const,
      row: JSON.stringify({ id: "old", title: "Old", document: { ...recipe("Old"), steps: ["Stir it."] }, revision: 3, created_at: AT, updated_at: AT }),
    };
    const table = { table: "adaptation" as const, row: JSON.stringify({ recipe_id: "old", dining_table: { a: 1 }, bench: null, revision: 4, updated_at: AT }) };
    const upgraded = await db.upgradeDump({ schema: 1, made: AT, rows: [made, table] }, AT);
    expect(upgraded.schema).toBe(db.latestSchema());
    const database = await db.openDatabase(fresh());
    await database.transaction((connection) => db.loadRows(connection, upgraded));
    expect(await db.findRecipe(database, "old")).toMatchObject({ revision: 3, recipe: { steps: [{ id: "s1", text: "Stir it.", choice: {} }] } });
    expect(await db.findAdaptation(database, "old")).toMatchObject({ table: { a: 1 }, tableRevision: 4, benchRevision: 0 });
    await database.close();
  });

  it("knows every table of the schema", async () => {
    const database = await db.openDatabase(fresh());
    const tables = await database.query("SELECT table_name AS name FROM information_schema.tables WHERE table_schema = 'public'");
    // The last three are derived: made anew wherever they lack.
    const own = ["migration", "journal_position", "search_index", "proposal_set", "batch_outcome"];
    expect(
      tables
        .map(({ name }) => String(name))
        .filter((name) => !own.includes(name))
        .sort(),
    ).toEqual([...db.TABLES.map(([name]) => name as string)].sort());
    await database.close();
  });
});

describe("the journal", () => {
  const size = (folder: string) => statSync(fileOf(folder, "journal")).size;
  it("does not grow by what only reads, however it is worded", async () => {
    const folder = fresh();
    await using(folder, async (database) => {
      await db.insertRecipe(database, "a", recipe("A"), AT);
      const before = size(folder);
      expect((await db.listOnTheGo(database, "2020-01-01T00:00:00Z", 5)).total).toBe(1);
      await database.transaction(async (connection) => {
        await connection.query("WITH every AS (SELECT id FROM recipe) SELECT id FROM every");
        await connection.query("UPDATE recipe SET title = 'B' WHERE id = 'nobody'");
      });
      expect(size(folder)).toBe(before);
      await database.query("WITH gone AS (UPDATE recipe SET title = 'B' RETURNING id) SELECT id FROM gone");
      expect(size(folder)).toBeGreaterThan(before);
    });
  });

  it("takes a line back that it could not finish, so that the next one stands whole", () => {
    const path = join(fresh(), "journal");
    const journal = openJournal(path);
    journal.append({ number: 1, statements: [["A", []]] });
    // As on a full disk: the line is written in part, and cannot be forced.
    const whole = fs.fsyncSync;
    fs.fsyncSync = () => {
      throw new Error("ENOSPC");
    };
    syncBuiltinESMExports();
    try {
      expect(() => journal.append({ number: 2, statements: [["B", []]] })).toThrow("ENOSPC");
    } finally {
      fs.fsyncSync = whole;
      syncBuiltinESMExports();
    }
    journal.append({ number: 2, statements: [["C", []]] });
    journal.close();
    expect(readJournal(path).entries.map(({ statements }) => statements[0]?.[0])).toEqual(["A", "C"]);
  });
});

describe("a restore", () => {
  it("leaves no revision that an open window could take for its own, and keeps only the last five states", async () => {
    const [folder, other] = [fresh(), fresh()];
    const dump = await using(other, async (database) => {
      await db.insertRecipe(database, "a", recipe("Of the copy"), AT);
      return db.dumpRows(database, AT);
    });
    await using(folder, async (database) => {
      await db.insertRecipe(database, "a", recipe("One"), AT);
      const open = await db.updateRecipe(database, "a", recipe("Two"), 1, AT);
      expect(open).toBe(2);
      for (let i = 0; i < 7; i++) await putInPlace(database, dump, folder);
      expect((await db.findRecipe(database, "a"))?.recipe.title).toBe("Of the copy");
      expect(await db.updateRecipe(database, "a", recipe("Over it unseen"), open ?? 0, AT)).toBeNull();
    });
    expect(readdirSync(join(folder, "before-restore")).length).toBeLessThanOrEqual(5);
  });
});

describe("data of before there was a journal", () => {
  it("are taken over as they stand", async () => {
    const folder = fresh();
    await using(folder, (database) => db.insertRecipe(database, "a", recipe("A"), AT));
    for (const name of readdirSync(folder)) if (/^(checkpoint|journal)-/.test(name)) removeFolder(join(folder, name));
    await using(folder, async (database) => expect((await db.findRecipe(database, "a"))?.recipe.title).toBe("A"));
    expect(fileOf(folder, "checkpoint")).not.toContain("none");
    appendFileSync(join(folder, "opened"), "an earlier start");
    await using(folder, async (database) => expect((await db.findRecipe(database, "a"))?.recipe.title).toBe("A"));
  });
});

describe("PGlite", () => {
  it("by itself acknowledges without a journal, which is why there is one", async () => {
    const folder = fresh();
    const pg = await openPglite(join(folder, "postgres"));
    expect((await pg.query("SHOW fsync"))[0]?.fsync).toBe("off");
    await pg.close();
  });
});
