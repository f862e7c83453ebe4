import { randomUUID } from "node:crypto";
import { accessSync, chmodSync, constants, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { isFullDisk } from "./durable-files";

/** Who holds a data folder. */
interface Holder {
  readonly pid: number;
  /** When that process started, as the system tells it; null where it does not. A number used again is not the holder. */
  readonly started: string | null;
}

/** Nothing can be written to a data folder; why stands in the message. */
export class FolderNotWritable extends Error {}

export class FolderInUse extends Error {
  constructor(
    readonly folder: string,
    readonly pid: number,
  ) {
    super(`The data folder ${folder} is in use by process ${pid}. Stop that one first, or set THREPSIS_DATA to another folder.`);
  }
}

export const fullDisk = (folder: string): FolderNotWritable =>
  new FolderNotWritable(`The disk that holds ${folder} is full. Make room on it, then start again; nothing was changed.`);

const TRIES = 5;

/** Makes the folder, for its owner alone. Throws FolderNotWritable where nothing can be written to it. */
function ownFolder(folder: string): void {
  try {
    // PGlite makes files of its own in it: they too are for the owner alone.
    process.umask(0o077);
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    accessSync(folder, constants.W_OK | constants.X_OK);
    const trial = join(folder, `.writable-${process.pid}`);
    writeFileSync(trial, "", { mode: 0o600 });
    rmSync(trial, { force: true });
  } catch (error) {
    if (isFullDisk(error)) throw fullDisk(folder);
    throw new FolderNotWritable(
      `Nothing can be written to the data folder ${folder} (${(error as NodeJS.ErrnoException).code ?? ""}): it is read-only, or belongs to another user. Make it writable, or set THREPSIS_DATA to another folder.`,
    );
  }
  // What was made by an earlier version may be open to others.
  try {
    chmodSync(folder, 0o700);
  } catch {
    // It belongs to somebody else, who lets us write: their own matter.
  }
}

/**
 * Takes a data folder for this process alone, by a lock file made exclusively. A lock whose process is gone, or whose
 * number belongs to a later process, is stale and taken over. Returns the release. Throws FolderInUse.
 */
export function takeFolder(folder: string): () => void {
  ownFolder(folder);
  const path = join(folder, "lock");
  const own: Holder = { pid: process.pid, started: startOf(process.pid) };
  for (let attempt = 0; attempt < TRIES; attempt++) {
    try {
      writeFileSync(path, JSON.stringify(own), { flag: "wx", mode: 0o600 });
      return () => {
        if (readHolder(path)?.pid === process.pid) rmSync(path, { force: true });
      };
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== "EEXIST") throw error;
    }
    const holder = readHolder(path);
    if (holder && holder.pid !== process.pid && alive(holder)) throw new FolderInUse(folder, holder.pid);
    // Stale: moved aside first, so that of two that find it only one takes it over.
    try {
      const aside = `${path}.${randomUUID()}`;
      renameSync(path, aside);
      rmSync(aside, { force: true });
    } catch {
      continue;
    }
  }
  throw new Error(`The lock of ${folder} could not be taken.`);
}

function readHolder(path: string): Holder | null {
  try {
    const read: unknown = JSON.parse(readFileSync(path, "utf8"));
    return typeof read === "object" && read !== null && "pid" in read && typeof read.pid === "number" && Number.isInteger(read.pid) && read.pid > 0
      ? { pid: read.pid, started: "started" in read && typeof read.started === "string" ? read.started : null }
      : null;
  } catch {
    return null;
  }
}

function alive({ pid, started }: Holder): boolean {
  try {
    process.kill(pid, 0);
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === "EPERM";
  }
  const now = startOf(pid);
  return now === null || started === null || now === started;
}

/** Start time of a process in clock ticks since boot, where /proc tells it. */
function startOf(pid: number): string | null {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, "utf8");
    return stat.slice(stat.lastIndexOf(")") + 2).split(" ")[19] ?? null;
  } catch {
    return null;
  }
}
