import { join } from "node:path";
import { DEMO_CURRENCY, DEMO_EATERS, DEMO_EQUIPMENT, DEMO_PANTRY, DEMO_PLACE, DEMO_RECIPES } from "../data";
import { readRecipeText } from "../core/recipe";
import { USUAL_HOUSEHOLD } from "../core/units";
import { forgetDeleted, insertRecipe, openDatabase, readSetting, writeSetting, type Database } from "../db";

/** Where the data live: THREPSIS_DATA, else a folder beside the code. */
export const dataFolder = (): string => process.env.THREPSIS_DATA ?? join(process.cwd(), ".data");

/** How long what was deleted can be put back. */
export const DAYS_DELETED = 30;

// The framework can bundle this module more than once, so the one instance hangs on the process.
const shared = globalThis as typeof globalThis & { threpsisDatabase?: Promise<Database> };

/** The one database of this process, opened (and migrated, and seeded when asked to) on first use. */
export function getDatabase(): Promise<Database> {
  shared.threpsisDatabase ??= open().catch((error: unknown) => {
    shared.threpsisDatabase = undefined;
    throw error;
  });
  return shared.threpsisDatabase;
}

async function open(): Promise<Database> {
  const database = await openDatabase(dataFolder());
  await forgetDeleted(database, new Date(Date.now() - DAYS_DELETED * DAY_MS).toISOString());
  if (process.env.THREPSIS_SEED === "demo") await seedOnce(database);
  return database;
}

const MINUTE_MS = 60_000;
const DAY_MS = 86_400_000;
const DEMO_LATEST = 6;
const DEMO_DAYS_APART = 9;

/** Puts the demo's recipes and pantry in, once in the life of a data folder: what was deleted stays deleted. */
async function seedOnce(database: Database): Promise<void> {
  const now = Date.now();
  await database.transaction(async (connection) => {
    if ((await readSetting(connection, "seeded")).value) return;
    for (const [i, { text, tags }] of [...DEMO_RECIPES].reverse().entries()) {
      const number = DEMO_RECIPES.length - i;
      const read = readRecipeText(text);
      if (!read.ok) throw new Error(`The demo's recipe ${i} cannot be read.`);
      // A few were written down these days, the others in the months before.
      const writtenAt = number <= DEMO_LATEST ? now - MINUTE_MS * number : now - DAY_MS * DEMO_DAYS_APART * number;
      await insertRecipe(connection, `demo-${number}`, { ...read.value, tags }, new Date(writtenAt).toISOString());
    }
    await writeSetting(connection, "pantry", DEMO_PANTRY, 0);
    await writeSetting(
      connection,
      "household",
      { ...USUAL_HOUSEHOLD, setUp: true, equipment: DEMO_EQUIPMENT, place: DEMO_PLACE, units: { ...USUAL_HOUSEHOLD.units, currency: DEMO_CURRENCY } },
      0,
    );
    await writeSetting(connection, "eaters", DEMO_EATERS, 0);
    await writeSetting(connection, "seeded", true, 0);
  });
}

export async function closeDatabase(): Promise<void> {
  const open = shared.threpsisDatabase;
  shared.threpsisDatabase = undefined;
  if (open) await (await open).close();
}
