import { existsSync, mkdirSync, readFileSync, readdirSync, renameSync, rmSync, statSync } from "node:fs";
import { basename, join } from "node:path";
import { fail } from "../core/numeric";
import { decodeDump } from "./dump";
import type { Dump } from "./tables";
import { syncFolder } from "./durable-files";
import { readJournal, type JournalEntry } from "./journal";

/**
 * What a database can be built again from: a checkpoint (all rows as of one journal number) and the journal since. The
 * number stands in the files' names, so that a new checkpoint counts from the moment that it has its name. The checkpoint
 * before the last one is kept as well, with its journal.
 */
export const checkpointPath = (folder: string, number: number): string => join(folder, `checkpoint-${number}.jsonl`);
export const journalPath = (folder: string, number: number): string => join(folder, `journal-${number}.jsonl`);
const KINDS = ["checkpoint", "journal"] as const;
type Kind = (typeof KINDS)[number];

export function numbersOf(folder: string, kind: Kind): number[] {
  const name = new RegExp(`^${kind}-(\\d{1,15})\\.jsonl$`);
  return (existsSync(folder) ? readdirSync(folder) : [])
    .flatMap((file) => name.exec(file)?.[1] ?? [])
    .map(Number)
    .sort((a, b) => a - b);
}

export const lastCheckpoint = (folder: string): number | null => numbersOf(folder, "checkpoint").at(-1) ?? null;

const KEPT = 2;

/** Lets go of what is older than the last checkpoints that are kept. */
export function forgetOlder(folder: string): void {
  const oldest = numbersOf(folder, "checkpoint").at(-KEPT);
  if (oldest === undefined) return;
  for (const kind of KINDS)
    for (const number of numbersOf(folder, kind))
      if (number < oldest) rmSync(kind === "checkpoint" ? checkpointPath(folder, number) : journalPath(folder, number), { force: true });
  syncFolder(folder);
}

/** A file that cannot be read whole, and what is wrong with it. */
export interface Damage {
  readonly path: string;
  readonly why: string;
}

/** How far the files reach by themselves. */
export interface History {
  /** The newest checkpoint that can be read; null where there is none. */
  readonly from: number | null;
  readonly dump: Dump | null;
  /** What follows it, one number after the other without a gap. */
  readonly entries: readonly JournalEntry[];
  /** The number that checkpoint and entries lead to; 0 where there is no checkpoint. */
  readonly reaches: number;
  readonly damage: readonly Damage[];
  /** Whether nothing is missing up to the last change, whatever is damaged: a checkpoint can be done without where the one before it leads there. */
  readonly complete: boolean;
}

/** Reads checkpoints and journals of a folder: from the newest checkpoint that is whole, as far as the journals go without a gap. */
export function readHistory(folder: string): History {
  const damage: Damage[] = [];
  let from: number | null = null;
  let dump: Dump | null = null;
  /** The number of the newest checkpoint that was passed over. */
  let passed = 0;
  for (const number of numbersOf(folder, "checkpoint").reverse()) {
    const read = whereReadable(
      () => decodeDump(readFileSync(checkpointPath(folder, number), "utf8")),
      (why) => fail({ line: 1, why }),
    );
    if (read.ok) {
      [from, dump] = [number, read.value];
      break;
    }
    damage.push({ path: checkpointPath(folder, number), why: read.error.why });
    passed = Math.max(passed, number);
  }
  let gaps = false;
  const readable: JournalEntry[] = [];
  for (const number of numbersOf(folder, "journal")) {
    if (from !== null && number < from) continue;
    const path = journalPath(folder, number);
    const { entries, why } = whereReadable<{ readonly entries: readonly JournalEntry[]; readonly why: string | null }>(
      () => {
        const { entries, damaged } = readJournal(path);
        return { entries, why: damaged.length > 0 ? `line ${damaged.join(", ")} cannot be read` : null };
      },
      (why) => ({ entries: [], why }),
    );
    readable.push(...entries);
    if (why !== null) damage.push({ path, why });
    gaps ||= why !== null;
  }
  const entries: JournalEntry[] = [];
  let reaches = from ?? 0;
  for (const entry of readable) {
    if (entry.number !== reaches + 1) continue;
    entries.push(entry);
    reaches = entry.number;
  }
  const beyond = readable.filter(({ number }) => number > reaches);
  if (from !== null && beyond.length > 0 && !gaps)
    damage.push({ path: journalPath(folder, from), why: `change ${reaches + 1} is missing, with ${beyond.length} after it` });
  return { from, dump, entries, reaches, damage, complete: from !== null && !gaps && beyond.length === 0 && reaches >= passed };
}

/** What is read, or, where the disk does not give the file out, what that makes of it. */
function whereReadable<T>(read: () => T, unreadable: (why: string) => T): T {
  try {
    return read();
  } catch (error) {
    const code = error instanceof Error && "code" in error ? String(error.code) : null;
    if (code === null) throw error;
    return unreadable(`the file cannot be read: ${code}`);
  }
}

const asideFolder = (folder: string) => join(folder, "set-aside");
export const hasSetAside = (folder: string): boolean => existsSync(asideFolder(folder)) && readdirSync(asideFolder(folder)).length > 0;

/** Moves files or folders out of use, whole, under a number that counts up; where they went. */
export function setAside(folder: string, paths: readonly string[]): string | null {
  const there = paths.filter((path) => existsSync(path));
  if (there.length === 0) return null;
  mkdirSync(asideFolder(folder), { recursive: true, mode: 0o700 });
  const number = 1 + Math.max(0, ...readdirSync(asideFolder(folder)).map((name) => Number(/^\d{1,9}/.exec(name)?.[0] ?? 0)));
  const into = join(asideFolder(folder), String(number));
  mkdirSync(into, { mode: 0o700 });
  for (const path of there) renameSync(path, join(into, basename(path)));
  syncFolder(into);
  syncFolder(asideFolder(folder));
  syncFolder(folder);
  return into;
}

/** Lets go of what was set aside before `before` (ms). */
export function forgetSetAside(folder: string, before: number): void {
  if (!hasSetAside(folder)) return;
  for (const name of readdirSync(asideFolder(folder))) {
    const path = join(asideFolder(folder), name);
    if (statSync(path).mtimeMs < before) rmSync(path, { recursive: true, force: true });
  }
}
