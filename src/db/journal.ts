import { createHash } from "node:crypto";
import { closeSync, existsSync, fsyncSync, ftruncateSync, openSync, readFileSync, writeSync } from "node:fs";
import { dirname } from "node:path";
import type { Parameter } from "./database";
import { syncFolder } from "./durable-files";

export type Statement = readonly [sql: string, parameters: readonly Parameter[]];

/** One committed transaction: its number, one up from the last, and the statements that wrote. Void: its commit failed. */
export interface JournalEntry {
  readonly number: number;
  readonly statements: readonly Statement[];
  readonly void?: true;
}

export class JournalDamaged extends Error {}

export interface Journal {
  readonly bytes: () => number;
  /** Returns once the entry is on the disk. */
  readonly append: (entry: JournalEntry) => void;
  readonly close: () => void;
}

const checksum = (json: string) => createHash("sha256").update(json).digest("hex").slice(0, 16);

/**
 * Reads a journal: one entry a line, each after its checksum. A last line that is cut off was never acknowledged and is
 * left out; damage before that is no work of a power cut, and throws JournalDamaged rather than losing what follows.
 */
export function readJournal(path: string): { readonly entries: readonly JournalEntry[]; readonly goodBytes: number } {
  if (!existsSync(path)) return { entries: [], goodBytes: 0 };
  const lines = readFileSync(path, "utf8").split("\n");
  const read: JournalEntry[] = [];
  let goodBytes = 0;
  for (const [i, line] of lines.entries()) {
    const last = i === lines.length - 1;
    if (last && line === "") break;
    const json = line.slice(17);
    if (line.slice(0, 16) !== checksum(json) || last) {
      if (i >= lines.length - 2) break;
      throw new JournalDamaged(`The journal ${path} is damaged at line ${i + 1} of ${lines.length}.`);
    }
    read.push(JSON.parse(json) as JournalEntry);
    goodBytes += Buffer.byteLength(line) + 1;
  }
  const voided = new Set(read.filter((entry) => entry.void).map((entry) => entry.number));
  return { entries: read.filter((entry) => !voided.has(entry.number)), goodBytes };
}

/** Opens a journal for writing behind its last good entry. */
export function openJournal(path: string): Journal {
  const { goodBytes } = readJournal(path);
  const file = openSync(path, "a", 0o600);
  ftruncateSync(file, goodBytes);
  fsyncSync(file);
  syncFolder(dirname(path));
  let bytes = goodBytes;
  return {
    bytes: () => bytes,
    append(entry) {
      const json = JSON.stringify(entry);
      const line = Buffer.from(`${checksum(json)} ${json}\n`);
      try {
        for (let written = 0; written < line.length;) written += writeSync(file, line, written);
        fsyncSync(file);
      } catch (error) {
        // A part of a line (a full disk) would spoil the one after it.
        ftruncateSync(file, bytes);
        throw error;
      }
      bytes += line.length;
    },
    close: () => closeSync(file),
  };
}
