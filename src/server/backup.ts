import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync } from "node:fs";
import { join } from "node:path";
import type { Snapshot } from "../core/adaptation";
import type { Recipe } from "../core/recipe";
import * as db from "../db";
import { dataFolder, getDatabase } from "./database";
import { ajv, schemaErrors } from "./door";
import { Refusal } from "./problem-details";
import { validatePantry } from "./pantry-schema";
import { validateEaters, validateHousehold, validateHouseRules } from "./household-schema";
import { validateRecipe } from "./schemas";

/** The largest backup that is taken in by a browser, bytes; `npm run restore` takes any. */
export const MOST_BACKUP_BYTES = 64 * 1024 * 1024;

/** Everything as one file, and the name to save it under. */
export async function makeBackup(): Promise<{ readonly name: string; readonly text: string }> {
  const database = await getDatabase();
  const made = new Date().toISOString();
  // In a transaction, so that all rows are of one moment.
  const dump = await database.transaction((connection) => db.dumpRows(connection, made));
  return { name: backupName(made), text: db.encodeDump(dump) };
}

export const backupName = (made: string): string => `threpsis-${made.slice(0, 10)}.jsonl`;

export interface Restored {
  readonly recipes: number;
  readonly versions: number;
  /** When the backup was made, ISO. */
  readonly made: string;
}

/** Puts a backup in the place of all that is there; refused whole where it does not fit. What was there is kept beside, to go back to. */
export async function restoreBackup(text: string): Promise<Restored> {
  return putInPlace(await getDatabase(), await readBackup(text), dataFolder());
}

/** How many states from before a restore are kept. */
const MOST_KEPT = 5;
const keptFolder = (folder: string): string => join(folder, "before-restore");
/** The states from before a restore, by name, which is by time. */
const keptIn = (folder: string): string[] => (existsSync(keptFolder(folder)) ? readdirSync(keptFolder(folder)).sort() : []);
const lastKept = (): string | undefined => keptIn(dataFolder()).at(-1);

/** Whether there is something from before a restore to go back to. */
export const canUndoRestore = (): boolean => lastKept() !== undefined;

/** Goes back to what was there before the last restore. */
export async function undoRestore(): Promise<Restored> {
  const last = lastKept();
  if (!last) throw new Refusal(404, "There is nothing from before a restore to go back to.");
  return restoreBackup(readFileSync(join(keptFolder(dataFolder()), last), "utf8"));
}

/** Reads a backup, brings it up to this schema, and checks every row. Throws a Refusal that says where it does not fit. */
export async function readBackup(text: string): Promise<db.Dump> {
  const read = db.decodeDump(text);
  if (!read.ok)
    throw new Refusal(422, `This file cannot be put in place. Line ${read.error.line}: ${read.error.why}`, [
      { pointer: `line ${read.error.line}`, detail: read.error.why },
    ]);
  const dump = read.value;
  if (dump.schema > db.latestSchema())
    throw new Refusal(422, `The backup is of a newer Threpsis (schema ${dump.schema}, this one has ${db.latestSchema()}). Update Threpsis first.`);
  const current = dump.schema === db.latestSchema() ? dump : await db.upgradeDump(dump, dump.made).catch(refuseRows);
  for (const [i, { table, row }] of current.rows.entries()) {
    const validate = ROWS[table];
    if (!validate(JSON.parse(row))) {
      const [error] = schemaErrors(validate);
      throw new Refusal(422, `A ${table} of the backup does not fit. Nothing was changed.`, [
        { pointer: `line ${i + 2} ${error?.pointer ?? ""}`.trim(), detail: error?.detail ?? "It does not fit." },
      ]);
    }
  }
  return current;
}

/** Replaces all rows in one transaction, after writing down what was there. */
export async function putInPlace(database: db.Database, dump: db.Dump, folder: string): Promise<Restored> {
  const now = new Date().toISOString();
  await database
    .transaction(async (connection) => {
      const before = await db.dumpRows(connection, now);
      if (before.rows.length > 0) keep(folder, now, db.encodeDump(before));
      const highest = await db.highestRevision(connection);
      await db.loadRows(connection, dump);
      await db.raiseRevisions(connection, highest);
    })
    .catch(refuseRows);
  const count = (table: db.TableName) => dump.rows.filter((row) => row.table === table).length;
  return { recipes: count("recipe"), versions: count("version"), made: dump.made };
}

/** Writes down what was there before a restore, and lets go of the oldest of such files. */
function keep(folder: string, now: string, text: string): void {
  mkdirSync(keptFolder(folder), { recursive: true });
  db.writeDurably(join(keptFolder(folder), backupName(now).replace(now.slice(0, 10), now.replaceAll(":", "-"))), text);
  for (const name of keptIn(folder).slice(0, -MOST_KEPT)) rmSync(join(keptFolder(folder), name), { force: true });
}

function refuseRows(error: unknown): never {
  // The rows contradict each other (a double key, a table of no recipe): the database said so, and took none of them.
  if (error instanceof Error && "code" in error && /^2[23]/.test(String(error.code)))
    throw new Refusal(422, `The rows of the backup contradict each other: ${error.message}. Nothing was changed.`);
  throw error;
}

const text = { type: "string", minLength: 1, maxLength: 200 } as const;
const time = { type: "string", pattern: "^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}" } as const;
const timeOrNull = { anyOf: [time, { type: "null" }] } as const;
const revision = { type: "integer", minimum: 0 } as const;
const row = (properties: Record<string, object>) => ({ type: "object", additionalProperties: false, required: Object.keys(properties), properties });
const side = { type: "object", required: ["input", "figures"], properties: { input: { type: "object", required: ["lines"] }, figures: { type: "object" } } };

const ROWS: Readonly<Record<db.TableName, ReturnType<typeof ajv.compile>>> = {
  recipe: ajv.compile<{ document: Recipe }>(
    row({ id: text, title: text, document: validateRecipe.schema as object, revision, created_at: time, updated_at: time, deleted_at: timeOrNull }),
  ),
  adaptation: ajv.compile(row({ recipe_id: text, dining_table: {}, table_revision: revision, bench: {}, bench_revision: revision, updated_at: time })),
  version: ajv.compile<{ snapshot: Snapshot }>(
    row({
      id: text,
      recipe_id: { anyOf: [text, { type: "null" }] },
      title: text,
      label: { type: "string", maxLength: 200 },
      snapshot: {
        type: "object",
        required: ["schema", "modelVersion", "label", "recipe", "table", "rows", "steps", "notes", "asHandedDown", "forThisTable"],
        properties: {
          schema: { const: 1 },
          rows: { type: "array" },
          steps: { type: "array" },
          notes: { type: "array" },
          asHandedDown: side,
          forThisTable: side,
        },
      },
      kept_at: time,
      deleted_at: timeOrNull,
      parent_id: { anyOf: [text, { type: "null" }] },
      why: { type: "string", maxLength: 1000 },
      whom: { type: "string", maxLength: 300 },
    }),
  ),
  recipe_revision: ajv.compile<{ document: Recipe }>(row({ recipe_id: text, revision, document: validateRecipe.schema as object, replaced_at: time })),
  setting: ajv.compile({
    ...row({ key: text, value: {}, revision }),
    allOf: Object.entries({ household: validateHousehold, pantry: validatePantry, eaters: validateEaters, "house-rules": validateHouseRules }).map(
      ([key, { schema }]) => ({
        if: { type: "object", properties: { key: { const: key } } },
        then: { type: "object", properties: { value: schema as object } },
      }),
    ),
  }),
};
