import type { StoredBench } from "./bench-state";

/** The latest bench that this window has saved for each recipe. */
const memory = new Map<string, StoredBench>();

export const rememberBench = (id: string, bench: StoredBench): void => void memory.set(id, bench);
export const latestBench = (id: string): StoredBench | null => memory.get(id) ?? null;
