import { join } from "node:path";
import { DEMO_CURRENCY, DEMO_EATERS, DEMO_EQUIPMENT, DEMO_PANTRY, DEMO_PLACE, DEMO_RECIPES } from "../../data";
import { readRecipeText } from "../../core/recipe";
import { USUAL_HOUSEHOLD } from "../../core/household";
import { keyed } from "../../core/merge";
import { PANTRY_KEYS } from "../../core/pantry";
import { EATER_KEYS } from "../../core/table";
import {
  countRecipes,
  forgetDeleted,
  forgetSetAside,
  insertRecipe,
  openDatabase,
  openPostgres,
  readSetting,
  writeCollection,
  writeSetting,
  type Database,
  type ReplaceableDatabase,
} from "../../db";

/** Where the data live: THREPSIS_DATA, else a folder beside the code. */
export const dataFolder = (): string => process.env.THREPSIS_DATA ?? join(process.cwd(), ".data");

/** How long what was deleted can be put back. */
export const DAYS_DELETED = 30;

// The framework can bundle this module more than once, so the one instance hangs on the process.
const shared = globalThis as typeof globalThis & { threpsisDatabase?: Promise<ReplaceableDatabase> };

/** The one database of this process, opened (and migrated, and seeded when asked to) on first use. */
export function getDatabase(): Promise<ReplaceableDatabase> {
  shared.threpsisDatabase ??= open().catch((error: unknown) => {
    shared.threpsisDatabase = undefined;
    throw error;
  });
  return shared.threpsisDatabase;
}

/** THREPSIS_JOURNAL_BYTES: a journal longer than this is followed by a new checkpoint. */
function journalBytes(): { readonly mostJournalBytes?: number } {
  const bytes = Number(process.env.THREPSIS_JOURNAL_BYTES);
  return Number.isInteger(bytes) && bytes > 0 ? { mostJournalBytes: bytes } : {};
}

/** DATABASE_URL: a PostgreSQL server in place of the folder's own database. */
export const databaseUrl = (): string | null => process.env.DATABASE_URL || null;

async function open(): Promise<ReplaceableDatabase> {
  const prepare = async (database: Omit<Database, "close">) => {
    await forgetOld(database);
    const seed = process.env.THREPSIS_SEED;
    if (seed === "demo" || seed === "demo at work") await seedOnce(database, seed === "demo at work");
  };
  const url = databaseUrl();
  if (url !== null) return openPostgres(url, prepare);
  const database = await openDatabase(dataFolder(), journalBytes());
  await prepare(database);
  return database;
}

/**
 * Forgets what was deleted, and what was set aside, long ago: by the clock, and by the days on which the app was seen to
 * run since. A clock that jumps ahead is one such day more, and empties nothing.
 */
async function forgetOld(database: Omit<Database, "close">): Promise<void> {
  const now = new Date();
  const today = now.toISOString().slice(0, 10);
  await database.transaction(async (connection) => {
    const { value, revision } = await readSetting(connection, "days seen");
    const seen = Array.isArray(value) ? value.filter((day): day is string => typeof day === "string") : [];
    const days = seen.at(-1) === today ? seen : [...seen, today].slice(-MOST_DAYS_SEEN);
    if (days !== seen) await writeSetting(connection, "days seen", days, revision);
    const since = (count: number) => days.filter((day) => day !== today).at(-count);
    const longAgo = since(DAYS_DELETED);
    if (longAgo !== undefined) await forgetDeleted(connection, new Date(Math.min(now.getTime() - DAYS_DELETED * DAY_MS, Date.parse(longAgo))).toISOString());
    const weekAgo = since(DAYS_SET_ASIDE);
    if (weekAgo !== undefined && databaseUrl() === null) forgetSetAside(dataFolder(), Math.min(now.getTime() - DAYS_SET_ASIDE * DAY_MS, Date.parse(weekAgo)));
  });
}
const DAYS_SET_ASIDE = 7;
const MOST_DAYS_SEEN = 60;

/** The setting that says that the demo's work under way is still to be laid. */
export const WORK_DUE = "demo work due";
const MINUTE_MS = 60_000;
const DAY_MS = 86_400_000;
const DEMO_LATEST = 6;
const DEMO_DAYS_APART = 9;

/** Puts the demo's recipes and pantry in, once in the life of a data folder: what was deleted stays deleted. */
async function seedOnce(database: Omit<Database, "close">, atWork: boolean): Promise<void> {
  const now = Date.now();
  await database.transaction(async (connection) => {
    if ((await readSetting(connection, "seeded")).value) return;
    // Data of somebody's own are left alone, marked or not.
    if ((await countRecipes(connection)) > 0 || (await readSetting(connection, "household")).value) return;
    for (const [i, { text, tags }] of [...DEMO_RECIPES].reverse().entries()) {
      const number = DEMO_RECIPES.length - i;
      const read = readRecipeText(text);
      if (!read.ok) throw new Error(`The demo's recipe ${i} cannot be read.`);
      // A few were written down these days, the others in the months before.
      const writtenAt = number <= DEMO_LATEST ? now - MINUTE_MS * number : now - DAY_MS * DEMO_DAYS_APART * number;
      await insertRecipe(connection, `demo-${number}`, { ...read.value, tags }, new Date(writtenAt).toISOString());
    }
    const at = new Date(now).toISOString();
    await writeCollection(connection, "pantry", keyed(PANTRY_KEYS, DEMO_PANTRY), 0, at);
    await writeSetting(
      connection,
      "household",
      { ...USUAL_HOUSEHOLD, setUp: true, equipment: DEMO_EQUIPMENT, place: DEMO_PLACE, units: { ...USUAL_HOUSEHOLD.units, currency: DEMO_CURRENCY } },
      0,
    );
    await writeCollection(connection, "eaters", keyed(EATER_KEYS, DEMO_EATERS), 0, at);
    await writeSetting(connection, "seeded", true, 0);
    if (atWork) await writeSetting(connection, WORK_DUE, true, 0);
  });
}

export async function closeDatabase(): Promise<void> {
  const open = shared.threpsisDatabase;
  shared.threpsisDatabase = undefined;
  if (open) await (await open).close();
}
