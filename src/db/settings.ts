import type { Connection } from "./database";
import { json, many, maybeOne, number, text } from "./rows";

export interface StoredSetting {
  readonly value: unknown;
  /** 0 where it was never saved. */
  readonly revision: number;
}

export const NEVER_SAVED: StoredSetting = { value: null, revision: 0 };

const SETTING = { value: json, revision: number };

/** All settings by key. */
export async function readSettings(db: Connection): Promise<ReadonlyMap<string, StoredSetting>> {
  const rows = await many(db, { key: text, ...SETTING }, "SELECT key, value, revision FROM setting");
  return new Map(rows.map(({ key, value, revision }) => [key, { value, revision }] as const));
}

export async function readSetting(db: Connection, key: string): Promise<StoredSetting> {
  return (await maybeOne(db, SETTING, "SELECT value, revision FROM setting WHERE key = $1", [key])) ?? NEVER_SAVED;
}

/** Saves over the revision that was read; null where another save came between, and nothing is written. */
export async function writeSetting(db: Connection, key: string, value: unknown, revision: number): Promise<number | null> {
  const row = await maybeOne(
    db,
    { revision: number },
    `INSERT INTO setting (key, value, revision) VALUES ($1, $2::jsonb, 1)
     ON CONFLICT (key) DO UPDATE SET value = excluded.value, revision = setting.revision + 1 WHERE setting.revision = $3::int
     RETURNING revision`,
    [key, JSON.stringify(value), revision],
  );
  return row?.revision ?? null;
}
