import type { DiningTable } from "../../core/substitution";

/** The latest table that this window has set for each recipe: going back must not show an older one. */
const memory = new Map<string, DiningTable>();

export const rememberTable = (id: string, table: DiningTable): void => void memory.set(id, table);
export const latestTable = (id: string): DiningTable | null => memory.get(id) ?? null;
