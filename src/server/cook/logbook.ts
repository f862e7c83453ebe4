import { saidWords } from "../../core/sensory";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { getEaters } from "../kitchen/sources";

export type { LogbookEntry } from "../../db";

/** Quarters of the year by their months: what is cooked goes by the season. */
export const SEASONS: Readonly<Record<string, { readonly name: string; readonly months: readonly number[] }>> = {
  "dec-feb": { name: "December to February", months: [12, 1, 2] },
  "mar-may": { name: "March to May", months: [3, 4, 5] },
  "jun-aug": { name: "June to August", months: [6, 7, 8] },
  "sep-nov": { name: "September to November", months: [9, 10, 11] },
};
const PAGE = 40;
/** Longer than any food or name. */
const LONGEST = 200;
const MOST_WORDS = 8;

/** What is looked for, as it stands in the address. */
export interface LogbookSearch {
  readonly words: string;
  readonly eater: string | null;
  readonly season: string | null;
}

/** What an address looks for; what it has that nobody can look for is left out. */
export function readLogbookSearch(parameters: Readonly<Record<string, string | string[] | undefined>>): LogbookSearch {
  const one = (name: string) => {
    const value = parameters[name];
    return typeof value === "string" && value.length <= LONGEST ? value : "";
  };
  const season = one("season");
  return { words: one("search").trim(), eater: one("eater") || null, season: Object.hasOwn(SEASONS, season) ? season : null };
}

export interface LogbookPage {
  readonly entries: readonly db.LogbookEntry[];
  readonly total: number;
  readonly pages: number;
  /** Of all that is kept. */
  readonly batches: number;
  readonly tastings: number;
  readonly eaters: readonly { readonly id: string; readonly name: string }[];
}

/** A page of the logbook: what is on the stove first, then the latest. */
export async function getLogbook({ words, eater, season }: LogbookSearch, page: number): Promise<LogbookPage> {
  const database = await getDatabase();
  const query = {
    words: words.toLowerCase().split(/\s+/).filter(Boolean).slice(0, MOST_WORDS),
    eater,
    months: season === null ? [] : (SEASONS[season]?.months ?? []),
    recipe: null,
  };
  const [{ entries, total }, counts, { document }] = await Promise.all([
    db.findLogged(database, query, PAGE, (page - 1) * PAGE),
    db.countBatches(database),
    getEaters(),
  ]);
  return {
    entries,
    total,
    pages: Math.max(1, Math.ceil(total / PAGE)),
    ...counts,
    eaters: document.eaters.map(({ id, name }) => ({ id, name })),
  };
}

/** A batch in the line of its sweet, with what was said of it. */
export interface LineBatch extends db.LogbookEntry {
  readonly said: string;
}

const MOST_IN_LINE = 200;
/** The batches of a recipe and its versions, the latest first. */
export async function batchesOfRecipe(recipeId: string): Promise<readonly LineBatch[]> {
  const database = await getDatabase();
  const [{ entries }, tastings] = await Promise.all([
    db.findLogged(database, { words: [], eater: null, months: [], recipe: recipeId }, MOST_IN_LINE, 0),
    db.tastingsOfRecipe(database, recipeId),
  ]);
  const answers = new Map<string, (typeof tastings)[number]["answer"][]>();
  for (const { batchId, answer } of tastings) answers.set(batchId, [...(answers.get(batchId) ?? []), answer]);
  return entries.map((entry) => ({ ...entry, said: saidWords(answers.get(entry.id) ?? []) }));
}

const MOST_COOKABLE = 500;
/** What can be entered after the fact: recipes and their versions, what was changed last first; `first` before all others. */
export const cookables = async (first: string | null): Promise<Awaited<ReturnType<typeof db.listCookables>>> =>
  db.listCookables(await getDatabase(), first, MOST_COOKABLE);
