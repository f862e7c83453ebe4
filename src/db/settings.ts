import type { Connection } from "./database";

export interface StoredSetting {
  readonly value: unknown;
  /** 0 where it was never saved. */
  readonly revision: number;
}

export async function readSetting(db: Connection, key: string): Promise<StoredSetting> {
  const [row] = await db.query<StoredSetting>("SELECT value, revision FROM setting WHERE key = $1", [key]);
  return row ?? { value: null, revision: 0 };
}

/** Saves over the revision that was read; null where another save came between, and nothing is written. */
export async function writeSetting(db: Connection, key: string, value: unknown, revision: number): Promise<number | null> {
  const [row] = await db.query<{ revision: number }>(
    `INSERT INTO setting (key, value, revision) VALUES ($1, $2::jsonb, 1)
     ON CONFLICT (key) DO UPDATE SET value = excluded.value, revision = setting.revision + 1 WHERE setting.revision = $3::int
     RETURNING revision`,
    [key, JSON.stringify(value), revision],
  );
  return row?.revision ?? null;
}
