import { appendFileSync, chmodSync, cpSync, existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { afterAll, afterEach, describe, expect, it } from "vitest";
import * as db from "../../src/db";
import { checkpointPath, journalPath, lastCheckpoint, numbersOf } from "../../src/db/history";
import { openJournal, readJournal } from "../../src/db/journal";
import { planFor, type Plan, type Survey } from "../../src/db/recovery";
import { newFolder, removeFolder } from "../support/app";

const AT = "2026-11-25T10:00:00.123Z";
const recipe = (title: string) => ({ title, servings: 1, lines: [], steps: [], evaporation: null, archetype: null });
const folders: string[] = [];
afterEach(() => folders.splice(0).forEach(removeFolder));
const fresh = () => {
  const folder = newFolder();
  folders.push(folder);
  return folder;
};

describe("what is done with a folder", () => {
  const survey = (parts: Partial<Survey>): Survey => ({
    database: { kind: "open", position: 10 },
    powerLost: false,
    history: { from: 4, reaches: 10, damage: [], complete: true },
    hasHistory: true,
    hasAside: false,
    salvage: false,
    ...parts,
  });
  const torn = [{ path: "/x/journal-4.jsonl", why: "line 3 cannot be read" }];
  const cases: readonly (readonly [string, Partial<Survey>, Plan["kind"]])[] = [
    ["all is well", {}, "reopen"],
    ["the journal goes further: it is played", { history: { from: 4, reaches: 12, damage: [], complete: true } }, "reopen"],
    ["the journal was emptied", { history: { from: 4, reaches: 4, damage: [], complete: true } }, "reopen"],
    ["a byte in mid-journal, the database whole", { history: { from: 4, reaches: 6, damage: torn, complete: false } }, "reopen"],
    ["the same after a power cut", { powerLost: true, history: { from: 4, reaches: 6, damage: torn, complete: false } }, "reopen"],
    ["every checkpoint damaged, the database whole", { history: { from: null, reaches: 0, damage: torn, complete: false } }, "reopen"],
    ["a power cut", { powerLost: true }, "rebuild"],
    ["a database older than the checkpoint", { database: { kind: "open", position: 2 } }, "rebuild"],
    ["a database that cannot be opened", { database: { kind: "unreadable" } }, "rebuild"],
    ["neither is whole", { database: { kind: "unreadable" }, history: { from: 4, reaches: 6, damage: torn, complete: false } }, "refuse"],
    [
      "neither is whole, and the maker goes on",
      { database: { kind: "unreadable" }, history: { from: 4, reaches: 6, damage: torn, complete: false }, salvage: true },
      "rebuild",
    ],
    ["a journal alone is no new folder", { database: { kind: "none" }, history: { from: null, reaches: 0, damage: [], complete: false } }, "refuse"],
    [
      "nothing but what was set aside is no new folder",
      { database: { kind: "none" }, history: { from: null, reaches: 0, damage: [], complete: false }, hasHistory: false, hasAside: true },
      "refuse",
    ],
    ["a new folder", { database: { kind: "none" }, history: { from: null, reaches: 0, damage: [], complete: false }, hasHistory: false }, "new"],
    ["a database of before there was a journal", { history: { from: null, reaches: 0, damage: [], complete: false }, hasHistory: false }, "reopen"],
  ];
  it.each(cases)("%s", (_, parts, kind) => expect(planFor(survey(parts)).kind).toBe(kind));

  it("never goes back behind the furthest that is whole, and says so wherever something could not be read", () => {
    for (const position of [null, 0, 3, 4, 5, 9, 10, 11])
      for (const reaches of [4, 6, 10])
        for (const damaged of [false, true])
          for (const powerLost of [false, true]) {
            const history = { from: 4, reaches, damage: damaged ? torn : [], complete: !damaged };
            const plan = planFor(survey({ database: position === null ? { kind: "none" } : { kind: "open", position }, history, powerLost }));
            if (plan.kind === "rebuild") expect(position ?? 0, JSON.stringify({ position, reaches, damaged, powerLost })).toBeLessThanOrEqual(reaches);
            if (plan.kind === "rebuild" || plan.kind === "reopen") {
              if (damaged) expect(plan.told.join()).toContain("journal-4.jsonl");
              if ((position ?? 0) > reaches) expect(plan.told.length).toBeGreaterThan(0);
            }
          }
  });
});

/** A folder with two checkpoints and some writes after each, closed in good order; the ids it holds. */
async function filled(folder: string): Promise<readonly string[]> {
  const database = await db.openDatabase(folder, { mostJournalBytes: 2500 });
  const ids: string[] = [];
  for (
    let i = 0;
    ids.length < 8 || numbersOf(folder, "checkpoint").length < 2 || readJournal(journalPath(folder, lastCheckpoint(folder) ?? 0)).entries.length < 3;
    i++
  ) {
    await db.insertRecipe(database, `r${i}`, recipe(`R ${i}`), AT);
    ids.push(`r${i}`);
  }
  await database.close();
  return ids.sort();
}
/** The same folder again: made once, copied for each. */
let made: { readonly folder: string; readonly ids: readonly string[] } | null = null;
async function filledFolder(): Promise<{ readonly folder: string; readonly ids: readonly string[] }> {
  if (!made) {
    const folder = newFolder();
    made = { folder, ids: await filled(folder) };
  }
  const folder = fresh();
  cpSync(made.folder, folder, { recursive: true });
  return { folder, ids: made.ids };
}
afterAll(() => {
  if (made) removeFolder(made.folder);
});
const idsIn = async (database: db.Database) => (await database.query("SELECT id FROM recipe ORDER BY id")).map(({ id }) => id).sort();
const changed = (path: string, at: (length: number) => number) => {
  const bytes = readFileSync(path);
  const place = at(bytes.length);
  bytes[place] = (bytes[place] ?? 0) ^ 1;
  writeFileSync(path, bytes);
};
const last = (folder: string) => lastCheckpoint(folder) ?? 0;

it("a journal or checkpoint that the disk does not give out is damage like another: the whole database counts, and it is told", async () => {
  for (const which of [checkpointPath, journalPath]) {
    const { folder, ids } = await filledFolder();
    const path = which(folder, last(folder));
    rmSync(path);
    mkdirSync(path);
    const database = await db.openDatabase(folder);
    expect(await idsIn(database)).toEqual(ids);
    await database.close();
    expect(
      db
        .listNotices(folder)
        .map(({ text }) => text)
        .join(),
    ).toContain("EISDIR");
    const again = await db.openDatabase(folder);
    expect(await idsIn(again)).toEqual(ids);
    await again.close();
  }
});

describe("how long a start takes", () => {
  it("is bounded by a checkpoint after so many changes, however small", async () => {
    const folder = fresh();
    const database = await db.openDatabase(folder, { mostJournalEntries: 4 });
    for (let i = 0; i < 11; i++) await db.insertRecipe(database, `r${i}`, recipe(`R ${i}`), AT);
    await database.close();
    expect(last(folder)).toBe(8);
    expect(readJournal(journalPath(folder, 8)).entries).toHaveLength(3);
  });

  it("a first start that was cut short leaves nothing that the next one takes for data", async () => {
    const folder = fresh();
    const building = join(folder, "postgres-new");
    mkdirSync(building, { recursive: true });
    writeFileSync(join(building, "PG_VERSION"), "1");
    const database = await db.openDatabase(folder);
    expect(await idsIn(database)).toEqual([]);
    await database.close();
  });
});

const DAMAGE: readonly (readonly [name: string, spoil: (folder: string) => void, ending: "whole" | "told" | "refused"])[] = [
  ["the journal missing", (folder) => rmSync(journalPath(folder, last(folder))), "told"],
  ["the journal emptied", (folder) => writeFileSync(journalPath(folder, last(folder)), ""), "told"],
  ["the journal damaged in its last whole line", (folder) => changed(journalPath(folder, last(folder)), (length) => length - 5), "told"],
  ["a byte changed in mid-journal", (folder) => changed(journalPath(folder, last(folder)), () => 60), "told"],
  ["a line cut off at the journal's end", (folder) => appendFileSync(journalPath(folder, last(folder)), "0123456789abcdef {"), "whole"],
  ["the checkpoint damaged", (folder) => changed(checkpointPath(folder, last(folder)), (length) => length - 20), "told"],
  [
    "both checkpoints damaged",
    (folder) => numbersOf(folder, "checkpoint").forEach((number) => changed(checkpointPath(folder, number), (length) => length - 20)),
    "told",
  ],
  ["the database gone", (folder) => rmSync(join(folder, "postgres"), { recursive: true }), "told"],
  ["the database spoiled", (folder) => writeFileSync(join(folder, "postgres", "global", "pg_control"), "x"), "told"],
  ["a power cut", (folder) => writeFileSync(join(folder, "opened"), "an earlier start"), "whole"],
  [
    "a power cut and an emptied journal",
    (folder) => {
      writeFileSync(join(folder, "opened"), "an earlier start");
      writeFileSync(journalPath(folder, last(folder)), "");
    },
    "told",
  ],
  [
    "the checkpoint damaged and the database gone: the one before it leads there too",
    (folder) => {
      changed(checkpointPath(folder, last(folder)), (length) => length - 20);
      rmSync(join(folder, "postgres"), { recursive: true });
    },
    "told",
  ],
  [
    "only a journal left",
    (folder) => {
      numbersOf(folder, "checkpoint").forEach((number) => rmSync(checkpointPath(folder, number)));
      rmSync(join(folder, "postgres"), { recursive: true });
    },
    "refused",
  ],
  [
    "a byte in mid-journal and the database gone",
    (folder) => {
      changed(journalPath(folder, last(folder)), () => 60);
      rmSync(join(folder, "postgres"), { recursive: true });
    },
    "refused",
  ],
];

describe("damage to a folder", () => {
  it.each(DAMAGE)("%s: the same at the second start as at the first", async (_, spoil, ending) => {
    const { folder, ids } = await filledFolder();
    spoil(folder);
    for (let start = 0; start < 2; start++) {
      if (ending === "refused") {
        const files = () =>
          readdirSync(folder)
            .filter((name) => name !== "opened")
            .sort();
        const before = files();
        await expect(db.openDatabase(folder)).rejects.toThrow(/Nothing in .* was changed[^]*npm run restore -- file\.jsonl/);
        expect(files()).toEqual(before);
        continue;
      }
      const database = await db.openDatabase(folder);
      expect(await idsIn(database)).toEqual(ids);
      await database.close();
    }
    const told = db.listNotices(folder);
    expect(told.length > 0).toBe(ending === "told");
    for (const { id } of told) expect(db.readNotice(folder, id)).toBe(true);
    expect(db.listNotices(folder).every(({ read }) => read)).toBe(true);
  });

  it("that cannot be got over by itself can be salvaged: what can be read is there again, the rest is set aside", async () => {
    const { folder, ids } = await filledFolder();
    changed(journalPath(folder, last(folder)), (length) => length - 5);
    rmSync(join(folder, "postgres"), { recursive: true });
    await expect(db.openDatabase(folder)).rejects.toBeInstanceOf(db.CannotRecover);
    const database = await db.openDatabase(folder, { salvage: true });
    expect(ids.length - (await idsIn(database)).length).toBe(1);
    await database.close();
    expect(readdirSync(join(folder, "set-aside", "1")).some((name) => name.startsWith("journal-"))).toBe(true);
    // What was set aside a week ago is let go of; what was set aside since is not.
    db.forgetSetAside(folder, Date.now() - 3_600_000);
    expect(existsSync(join(folder, "set-aside", "1"))).toBe(true);
    db.forgetSetAside(folder, Date.now() + 3_600_000);
    expect(existsSync(join(folder, "set-aside", "1"))).toBe(false);
  });

  it("does not include a build that was cut short, nor a database that was moved away in the midst of it", async () => {
    const { folder, ids } = await filledFolder();
    mkdirSync(join(folder, "postgres-new"));
    writeFileSync(join(folder, "postgres-new", "PG_VERSION"), "half");
    mkdirSync(join(folder, "set-aside", "1"), { recursive: true });
    renameSync(join(folder, "postgres"), join(folder, "set-aside", "1", "postgres"));
    const database = await db.openDatabase(folder);
    expect(await idsIn(database)).toEqual(ids);
    await database.close();
    expect(existsSync(join(folder, "postgres-new"))).toBe(false);
  });
});

describe("a restore", () => {
  it("with others writing before, beside and after it comes back from checkpoint and journal as it was", async () => {
    const { folder } = await filledFolder();
    const database = await db.openDatabase(folder);
    const dump = await database.transaction((connection) => db.dumpRows(connection, AT));
    const beside: Promise<void>[] = [];
    let number = 0;
    const write = () => beside.push(db.insertRecipe(database, `beside-${number++}`, recipe("Beside"), AT));
    const restored = database.replaceAll(dump, {
      keep: () => {
        write();
        return () => undefined;
      },
      onRows: write,
    });
    for (let i = 0; i < 20; i++) write();
    await restored;
    for (let i = 0; i < 5; i++) write();
    await Promise.all(beside);
    const there = await idsIn(database);
    await database.close();
    // Without the database first: what follows from the files alone must be all.
    for (const spoil of [
      () => rmSync(join(folder, "postgres"), { recursive: true }),
      () => undefined,
      () => writeFileSync(join(folder, "opened"), "an earlier start"),
    ]) {
      spoil();
      const again = await db.openDatabase(folder);
      expect(await idsIn(again)).toEqual(there);
      await again.close();
    }
  });
});

describe("the journal", () => {
  it("keeps what is written under the number of what was taken back, in today's files and in earlier ones", () => {
    const path = join(fresh(), "journal");
    const journal = openJournal(path);
    journal.append({ number: 1, statements: [["A", []]] });
    journal.append({ number: 2, statements: [["refused", []]] });
    journal.takeBack();
    journal.append({ number: 2, statements: [["B", []]] });
    // As earlier versions took an entry back: by a second one, with the next of that number after it.
    journal.append({ number: 3, statements: [["refused", []]] });
    journal.append({ number: 3, statements: [], void: true });
    journal.append({ number: 3, statements: [["C", []]] });
    journal.close();
    expect(readJournal(path).entries.map(({ statements }) => statements[0]?.[0])).toEqual(["A", "B", "C"]);
  });
});

describe("a data folder", () => {
  it("is its owner's alone, and a lock that names no process is none", async () => {
    const folder = fresh();
    chmodSync(folder, 0o755);
    for (const pid of [0, -1, 1.5, "7"]) {
      writeFileSync(join(folder, "lock"), JSON.stringify({ pid, started: null }));
      const release = db.takeFolder(folder);
      expect(statSync(join(folder, "lock")).mode & 0o777).toBe(0o600);
      expect(statSync(folder).mode & 0o777).toBe(0o700);
      release();
    }
  });
  it("that cannot be written to says so", () => {
    const file = join(fresh(), "a-file");
    writeFileSync(file, "");
    expect(() => db.takeFolder(join(file, "data"))).toThrow(db.FolderNotWritable);
  });
});
