import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { writeDurably } from "./durable-files";

/** Something about the data that whoever uses them has to know, until they have read it. */
export interface Notice {
  readonly id: number;
  /** ISO time, as the machine's clock had it. */
  readonly at: string;
  readonly text: string;
  readonly read: boolean;
}

const MOST = 50;
const pathOf = (folder: string) => join(folder, "notices.json");

export function listNotices(folder: string): readonly Notice[] {
  if (!existsSync(pathOf(folder))) return [];
  try {
    const read: unknown = JSON.parse(readFileSync(pathOf(folder), "utf8"));
    return Array.isArray(read) ? (read as Notice[]) : [];
  } catch {
    return [];
  }
}

/** Adds what is to be told; what is told already and was not read yet is not told twice. */
export function addNotices(folder: string, texts: readonly string[], at: string): void {
  const there = listNotices(folder);
  const fresh = texts.filter((text) => !there.some((notice) => !notice.read && notice.text === text));
  if (fresh.length === 0) return;
  const next = 1 + Math.max(0, ...there.map(({ id }) => id));
  const all = [...there, ...fresh.map((text, i) => ({ id: next + i, at, text, read: false }))];
  writeDurably(pathOf(folder), JSON.stringify(all.slice(-MOST), null, 1));
}

/** Marks a notice as read; false where there is none of that number. */
export function readNotice(folder: string, id: number): boolean {
  const there = listNotices(folder);
  if (!there.some((notice) => notice.id === id)) return false;
  writeDurably(
    pathOf(folder),
    JSON.stringify(
      there.map((notice) => (notice.id === id ? { ...notice, read: true } : notice)),
      null,
      1,
    ),
  );
  return true;
}
