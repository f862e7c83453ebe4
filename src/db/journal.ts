import { createHash } from "node:crypto";
import { closeSync, existsSync, fsyncSync, ftruncateSync, openSync, readFileSync, writeSync } from "node:fs";
import { dirname } from "node:path";
import type { Parameter } from "./database";
import { syncFolder } from "./durable-files";

export type Statement = readonly [sql: string, parameters: readonly Parameter[]];

/** One committed transaction: its number, one up from the last, and the statements that wrote. */
export interface JournalEntry {
  readonly number: number;
  readonly statements: readonly Statement[];
  /** Written by earlier versions: the entry of this number before it was not committed. */
  readonly void?: true;
}

export interface JournalReading {
  /** What can be read, in the order of the file. */
  readonly entries: readonly JournalEntry[];
  /** Up to where the file is whole. */
  readonly goodBytes: number;
  /** Lines, from 1, that are there whole and cannot be read. A last line that was cut off is none: nobody was told that it was written. */
  readonly damaged: readonly number[];
}

export interface Journal {
  readonly bytes: () => number;
  /** Returns once the entry is on the disk. */
  readonly append: (entry: JournalEntry) => void;
  /** Takes the last entry out again: its commit failed. Needs no room on the disk. */
  readonly takeBack: () => void;
  readonly close: () => void;
}

const checksum = (json: string) => createHash("sha256").update(json).digest("hex").slice(0, 16);

/** Reads a journal, one entry a line, each after its checksum; what cannot be read is named, and left out. A file that is not there is an empty one. */
export function readJournal(path: string): JournalReading {
  if (!existsSync(path)) return { entries: [], goodBytes: 0, damaged: [] };
  const lines = readFileSync(path, "utf8").split("\n");
  const entries: JournalEntry[] = [];
  const damaged: number[] = [];
  let goodBytes = 0;
  // What follows the last line break is empty, or was cut off.
  for (const [i, line] of lines.slice(0, -1).entries()) {
    const entry = entryOf(line);
    if (entry === null) damaged.push(i + 1);
    else if (entry.void) {
      const taken = entries.findLastIndex(({ number }) => number === entry.number);
      if (taken >= 0) entries.splice(taken, 1);
    } else entries.push(entry);
    if (damaged.length === 0) goodBytes += Buffer.byteLength(line) + 1;
  }
  return { entries, goodBytes, damaged };
}

function entryOf(line: string): JournalEntry | null {
  const json = line.slice(17);
  if (line.slice(0, 16) !== checksum(json)) return null;
  try {
    return JSON.parse(json) as JournalEntry;
  } catch {
    return null;
  }
}

/** Opens a journal for writing behind its last good entry. Throws where it is damaged before its end. */
export function openJournal(path: string): Journal {
  const { goodBytes, damaged } = readJournal(path);
  if (damaged.length > 0) throw new Error(`The journal ${path} is damaged at line ${damaged[0]}.`);
  const file = openSync(path, "a", 0o600);
  ftruncateSync(file, goodBytes);
  fsyncSync(file);
  syncFolder(dirname(path));
  let bytes = goodBytes;
  let before = goodBytes;
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
      before = bytes;
      bytes += line.length;
    },
    takeBack() {
      ftruncateSync(file, before);
      fsyncSync(file);
      bytes = before;
    },
    close: () => closeSync(file),
  };
}
