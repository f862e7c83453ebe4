import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync } from "node:fs";
import { join } from "node:path";
import type { ValidateFunction } from "ajv";
import { MOVE_REASONS, STOCK_KINDS, STOCK_LIMITS, STOCK_PLACES } from "../../core/stock";
import { SERVING_TEMPERATURES } from "../../core/food";
import { MOST_TESTS } from "../../core/sensory";
import { COOK_LIMITS } from "../../core/cook";
import * as db from "../../db";
import { dataFolder, getDatabase } from "./database";
import { ajv, schemaErrors } from "../http/ajv";
import { MOST_REVISION } from "../http/checked";
import { Refusal } from "../http/problems";
import { HOUSEHOLD_KEY } from "../kitchen/sources";
import { COOK_EVENT, COOK_GROUND, COOK_PLAN, PHOTO } from "../http/schemas/cook";
import { ANY_BENCH, TABLE, VERSION_LIMITS } from "../http/schemas/documents";
import { EATER_LISTS, RULE_LISTS, validateHousehold } from "../http/schemas/household";
import { PANTRY_LISTS } from "../http/schemas/pantry";
import { STORED_RECIPE } from "../http/schemas/recipe";
import { ANSWERS, RUN_RESULT } from "../http/schemas/practice";
import { TASTING_ANSWER, TRIANGLE } from "../http/schemas/taste";
import { SNAPSHOT_SCHEMA } from "../http/schemas/snapshot";

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

/** How far a restore is, for whoever waits for it. */
export interface RestoreProgress {
  readonly stage: "reading" | "checking" | "laying beside" | "none";
  /** Rows, of so many. */
  readonly done: number;
  readonly of: number;
}
const NO_RESTORE: RestoreProgress = { stage: "none", done: 0, of: 0 };
const shared = globalThis as { threpsisRestore?: RestoreProgress };
export const restoreProgress = (): RestoreProgress => shared.threpsisRestore ?? NO_RESTORE;

/** Puts a backup in the place of all that is there; refused whole where it does not fit. What was there is kept beside, to go back to. One at a time. */
export async function restoreBackup(text: string): Promise<Restored> {
  if (shared.threpsisRestore) throw new Refusal(409, "A copy is being put in place already. Wait until it is.");
  const told = (progress: RestoreProgress) => (shared.threpsisRestore = progress);
  told({ stage: "reading", done: 0, of: 0 });
  try {
    return await putInPlace(await getDatabase(), await readBackup(text, told), dataFolder(), told);
  } finally {
    delete shared.threpsisRestore;
  }
}

/** How many states from before a restore are kept. */
const MOST_KEPT = 5;
const keptFolder = (folder: string): string => join(folder, "before-restore");
const numberOf = (name: string): number => Number(/^before-(\d{1,9})-/.exec(name)?.[1] ?? 0);
/** The states from before a restore, by their number; those of earlier versions, by time, before them. */
const keptIn = (folder: string): string[] =>
  (existsSync(keptFolder(folder)) ? readdirSync(keptFolder(folder)).filter((name) => name.endsWith(".jsonl")) : []).sort(
    (a, b) => numberOf(a) - numberOf(b) || (a < b ? -1 : 1),
  );
const lastKept = (): string | undefined => keptIn(dataFolder()).at(-1);

/** Whether there is something from before a restore to go back to. */
export const canUndoRestore = (): boolean => lastKept() !== undefined;

/** Goes back to what was there before the last restore. */
export async function undoRestore(): Promise<Restored> {
  const last = lastKept();
  if (!last) throw new Refusal(404, "There is nothing from before a restore to go back to.");
  return restoreBackup(readFileSync(join(keptFolder(dataFolder()), last), "utf8"));
}

/** Between so many rows others come in. */
const CHECKED_AT_ONCE = 50;

/** Reads a backup, brings it up to this schema, and checks every row. Throws a Refusal that says where it does not fit. */
export async function readBackup(text: string, told: (progress: RestoreProgress) => unknown = () => undefined): Promise<db.Dump> {
  const read = db.decodeDump(text);
  if (!read.ok)
    throw new Refusal(422, `This file cannot be put in place. Line ${read.error.line}: ${read.error.why}`, [
      { pointer: `line ${read.error.line}`, detail: read.error.why },
    ]);
  const dump = read.value;
  if (dump.schema > db.latestSchema())
    throw new Refusal(422, `The backup is of a newer Threpsis (schema ${dump.schema}, this one has ${db.latestSchema()}). Update Threpsis first.`);
  const current = dump.schema === db.latestSchema() ? dump : await db.upgradeDump(dump, dump.made).catch(refuseRows);
  const refuse = (i: number, table: string, pointer: string, detail: string): never => {
    throw new Refusal(422, `A ${table} of the backup does not fit. Nothing was changed.`, [{ pointer: `line ${i + 2} ${pointer}`.trim(), detail }]);
  };
  for (const [i, { table, row }] of current.rows.entries()) {
    if (i % CHECKED_AT_ONCE === 0) {
      told({ stage: "checking", done: i, of: current.rows.length });
      await new Promise((resolve) => setImmediate(resolve));
    }
    const validate = ROWS[table];
    const read: unknown = JSON.parse(row);
    if (!validate(read)) {
      const [error] = schemaErrors(validate, read);
      refuse(i, table, error?.pointer ?? "", error?.detail ?? "It does not fit.");
    }
  }
  return current;
}

/** Replaces all rows at once, after writing down what was there. */
export async function putInPlace(
  database: db.ReplaceableDatabase,
  dump: db.Dump,
  folder: string,
  told: (progress: RestoreProgress) => unknown = () => undefined,
): Promise<Restored> {
  const now = new Date().toISOString();
  const kept = await withMarks(database, dump);
  await database
    .replaceAll(kept, {
      keep: (before) => (before.rows.length > 0 ? keep(folder, now, db.encodeDump(before)) : () => undefined),
      onRows: (done) => told({ stage: "laying beside", done, of: kept.rows.length }),
    })
    .catch(refuseRows);
  for (const name of keptIn(folder).slice(0, -MOST_KEPT)) rmSync(join(keptFolder(folder), name), { force: true });
  const count = (table: db.TableName) => dump.rows.filter((row) => row.table === table).length;
  return { recipes: count("recipe"), versions: count("version"), made: dump.made };
}

/** What says of this folder, not of its contents, that the demo was put in once: a backup without it must not bring it on again. */
async function withMarks(database: db.Database, dump: db.Dump): Promise<db.Dump> {
  const seeded = await db.readSetting(database, "seeded");
  const has = dump.rows.some(({ table, row }) => table === "setting" && (JSON.parse(row) as { readonly key: string }).key === "seeded");
  if (!seeded.value || has) return dump;
  return { ...dump, rows: [...dump.rows, { table: "setting", row: JSON.stringify({ key: "seeded", value: true, revision: 1 }) }] };
}

/** Writes down what was there before a restore; what comes back takes it away again, where the restore is refused. */
function keep(folder: string, now: string, text: string): () => void {
  mkdirSync(keptFolder(folder), { recursive: true, mode: 0o700 });
  const number = 1 + Math.max(0, ...keptIn(folder).map(numberOf));
  const path = join(keptFolder(folder), `before-${String(number).padStart(6, "0")}-${now.slice(0, 19).replaceAll(":", "-")}.jsonl`);
  db.writeDurably(path, text);
  return () => rmSync(path, { force: true });
}

function refuseRows(error: unknown): never {
  // The rows contradict each other (a double key, a table of no recipe): the database said so, and took none of them.
  if (error instanceof Error && "code" in error && /^2[23]/.test(String(error.code)))
    throw new Refusal(422, `The rows of the backup contradict each other: ${error.message}. Nothing was changed.`);
  throw error;
}

const text = { type: "string", minLength: 1, maxLength: 200 } as const;
const time = { type: "string", pattern: "^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}(\\.\\d{1,9})?(Z|[+-]\\d{2}(:?\\d{2}){0,2})$" } as const;
const timeOrNull = { anyOf: [time, { type: "null" }] } as const;
const revision = { type: "integer", minimum: 0, maximum: MOST_REVISION } as const;
const counted = { ...revision, minimum: 1 } as const;
const row = (properties: Record<string, object>) => ({ type: "object", additionalProperties: false, required: Object.keys(properties), properties });
const orNull = (schema: unknown) => ({ anyOf: [schema as object, { type: "null" }] });

const person = orNull(text);
const day = { type: "string", pattern: "^\\d{4}-\\d{2}-\\d{2}$" } as const;
const MOST_KEY = 1000;
/** A row of a list, whose things are as the list's own schema has them. */
const listed = ({ items }: { readonly items: object }) =>
  ajv.compile(
    row({ id: { ...text, maxLength: MOST_KEY }, place: { type: "integer", minimum: 0 }, document: items, written_at: timeOrNull, person_id: person }),
  );

const ROWS: Readonly<Record<db.TableName, ValidateFunction>> = {
  recipe: ajv.compile(
    row({
      id: text,
      title: text,
      document: STORED_RECIPE,
      revision: counted,
      created_at: time,
      updated_at: time,
      deleted_at: timeOrNull,
      person_id: person,
    }),
  ),
  adaptation: ajv.compile(
    row({
      recipe_id: text,
      dining_table: orNull(TABLE),
      table_revision: revision,
      bench: orNull(ANY_BENCH),
      bench_revision: revision,
      updated_at: time,
      person_id: person,
    }),
  ),
  version: ajv.compile(
    row({
      id: text,
      recipe_id: orNull(text),
      title: text,
      label: { type: "string", maxLength: 200 },
      snapshot: SNAPSHOT_SCHEMA,
      kept_at: time,
      deleted_at: timeOrNull,
      parent_id: orNull(text),
      why: { type: "string", maxLength: VERSION_LIMITS.why },
      whom: { type: "string", maxLength: VERSION_LIMITS.whom },
      person_id: person,
    }),
  ),
  batch: ajv.compile(
    row({
      id: text,
      recipe_id: orNull(text),
      version_id: orNull(text),
      title: text,
      label: orNull({ type: "string", maxLength: 200 }),
      plan: COOK_PLAN,
      ground: COOK_GROUND,
      begun_at: time,
      ended_at: timeOrNull,
      got: orNull({ type: "number", exclusiveMinimum: 0, maximum: COOK_LIMITS.grams }),
      deleted_at: timeOrNull,
    }),
  ),
  cook_event: ajv.compile(row({ batch_id: text, place: { type: "integer", minimum: 1, maximum: COOK_LIMITS.events }, id: text, event: COOK_EVENT })),
  photo: ajv.compile(row({ batch_id: text, ...PHOTO, width: counted, height: counted, taken_at: time })),
  bench_state: ajv.compile(row({ recipe_id: text, revision: counted, bench: ANY_BENCH, replaced_at: time, person_id: person })),
  recipe_revision: ajv.compile(row({ recipe_id: text, revision: counted, document: STORED_RECIPE, replaced_at: time, person_id: person })),
  setting: ajv.compile({
    ...row({ key: text, value: {}, revision: counted, person_id: person }),
    if: { type: "object", properties: { key: { const: HOUSEHOLD_KEY } } },
    then: { type: "object", properties: { value: validateHousehold.schema as object } },
  }),
  collection: ajv.compile(row({ name: { enum: Object.keys(db.COLLECTIONS) }, revision: counted })),
  eater: listed(EATER_LISTS.eaters),
  own_food: listed(PANTRY_LISTS.foods),
  weighing: listed(PANTRY_LISTS.weighings),
  price: listed(PANTRY_LISTS.prices),
  pressing: listed(PANTRY_LISTS.pressings),
  food_name: listed(PANTRY_LISTS.names),
  own_rule: listed(RULE_LISTS.own),
  rule_answer: listed(RULE_LISTS.answers),
  tasting: ajv.compile(
    row({
      id: text,
      batch_id: text,
      eater_id: orNull(text),
      name: text,
      is_guest: { type: "boolean" },
      served: { enum: SERVING_TEMPERATURES },
      answer: TASTING_ANSWER,
      tasted_at: time,
    }),
  ),
  triangle_test: ajv.compile(
    row({
      id: text,
      batch_a: text,
      batch_b: text,
      ...TRIANGLE,
      seed: { type: "integer", minimum: -(2 ** 31), maximum: 2 ** 31 - 1 },
      server_id: orNull(text),
      server: text,
      begun_at: time,
      ended_at: timeOrNull,
    }),
  ),
  triangle_answer: ajv.compile(
    row({
      id: text,
      test_id: text,
      place: { type: "integer", minimum: 1, maximum: MOST_TESTS },
      eater_id: orNull(text),
      name: text,
      is_guest: { type: "boolean" },
      code: text,
      saw: { type: "boolean" },
      answered_at: time,
    }),
  ),
  practice_run: ajv.compile(
    row({
      id: text,
      kind: { enum: db.PRACTICES },
      eater_id: orNull(text),
      seed: { type: "integer", minimum: 0, maximum: 2 ** 31 - 1 },
      answer: { anyOf: Object.values(ANSWERS) },
      result: RUN_RESULT,
      at: time,
    }),
  ),
  stock: ajv.compile(
    row({
      id: text,
      food_id: orNull(text),
      name: { type: "string", minLength: 1, maxLength: 200 },
      kind: { enum: STOCK_KINDS },
      place: { enum: STOCK_PLACES },
      got_on: day,
      use_by: orNull(day),
      note: { type: "string", maxLength: STOCK_LIMITS.note },
      batch_id: orNull(text),
      revision: counted,
      written_at: time,
      person_id: person,
    }),
  ),
  stock_move: ajv.compile(
    row({
      id: text,
      stock_id: text,
      grams: { type: "number", minimum: -STOCK_LIMITS.grams, maximum: STOCK_LIMITS.grams },
      why: { enum: MOVE_REASONS },
      batch_id: orNull(text),
      at: time,
      person_id: person,
    }),
  ),
};
