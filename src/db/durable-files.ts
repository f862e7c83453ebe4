import { closeSync, fsyncSync, openSync, readdirSync, renameSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";

/** By the codes of the system and of PostgreSQL, and by what PGlite says. */
export const isFullDisk = (error: unknown): boolean =>
  error instanceof Error && (("code" in error && ["ENOSPC", "EDQUOT", "53100"].includes(String(error.code))) || /no space left/i.test(error.message));

function sync(path: string): void {
  const file = openSync(path, "r");
  try {
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
}

/** Makes new names in a folder durable. Where a folder cannot be opened (Windows), its names are durable by themselves. */
export function syncFolder(folder: string): void {
  try {
    sync(folder);
  } catch (error) {
    if (!["EPERM", "EISDIR", "EACCES", "EINVAL"].includes((error as NodeJS.ErrnoException).code ?? "")) throw error;
  }
}

/** Puts every file of a folder, and the folders themselves, on the disk. */
export function syncTree(folder: string): void {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    if (entry.isDirectory()) syncTree(join(folder, entry.name));
    else if (entry.isFile()) sync(join(folder, entry.name));
  }
  syncFolder(folder);
}

/** Writes a whole file so that after a power cut there is either all of it under its name, or what was there before. */
export function writeDurably(path: string, text: string): void {
  const part = `${path}.part`;
  const file = openSync(part, "w", 0o600);
  try {
    writeFileSync(file, text);
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
  renameSync(part, path);
  syncFolder(dirname(path));
}
