import { readFileSync } from "node:fs";
import { uptime } from "node:os";

/** Tells one start of the machine from the next: the system's own mark, else the minute it started in. */
export function bootMark(): string {
  try {
    return readFileSync("/proc/sys/kernel/random/boot_id", "utf8").trim();
  } catch {
    return `minute ${Math.round((Date.now() / 1000 - uptime()) / 60)}`;
  }
}
