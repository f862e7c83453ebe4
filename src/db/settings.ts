import type { Connection } from "./database";

export async function readSetting(db: Connection, key: string): Promise<unknown> {
  const [row] = await db.query<{ value: unknown }>("SELECT value FROM setting WHERE key = $1", [key]);
  return row?.value ?? null;
}

export async function writeSetting(db: Connection, key: string, value: unknown): Promise<void> {
  await db.query("INSERT INTO setting (key, value) VALUES ($1, $2::jsonb) ON CONFLICT (key) DO UPDATE SET value = excluded.value", [
    key,
    JSON.stringify(value),
  ]);
}
