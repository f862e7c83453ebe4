import { cache } from "react";
import { NOTHING_LEARNED, learnedMark, type Learned } from "../../core/food";
import { USUAL_SOURCES, type Kitchen } from "../../core/kitchen";
import { learn, learningGains, type LearningGain, type Outcome } from "../../core/learning";
import { batchOutcomes, loggedBatch, type FoundBatch, type LoggedBatch } from "../../core/views";
import { kitchenOf, MODEL_VERSION } from "../../data";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { storedSetting } from "../data/settings";
import { log } from "../http/log";
import { validateGround, validatePlan } from "../http/schemas/cook";
import { dayHere } from "../kitchen/day";
import { getHousehold, getPantry } from "../kitchen/sources";

/** What the house's batches have taught, and a mark that is other where that is. */
export interface Taught {
  readonly learned: Learned;
  readonly mark: string;
}

/** So many batches are looked through before a page is shown; more of them behind it. */
const AT_ONCE = 4;
/** Changes with how outcomes are worked out. */
const BASIS = `${MODEL_VERSION} 4`;

// Next's bundles each have modules of their own: they share this.
const shared = globalThis as {
  threpsisTaught?: { readonly key: string; readonly taught: Taught };
  threpsisGains?: { readonly mark: string; readonly gains: ReadonlyMap<string, LearningGain> };
  threpsisLooking?: Promise<void> | undefined;
  threpsisLooked?: number;
};

/** What was learned of this house, as its batches and its own wishes stand; nothing where nothing was. */
export const getTaught = cache(async (): Promise<Taught> => {
  const [{ revision }, { document: household }] = await Promise.all([storedSetting(db.BATCHES_KEY), getHousehold()]);
  // No batch was ever done.
  if (revision === 0) return { learned: NOTHING_LEARNED, mark: "" };
  const keyNow = () => `${revision} ${shared.threpsisLooked ?? 0} ${JSON.stringify(household.learning?.anew ?? null)}`;
  if (shared.threpsisTaught?.key === keyNow()) return shared.threpsisTaught.taught;
  const database = await getDatabase();
  const due = await db.withoutOutcomes(database, BASIS, AT_ONCE + 1);
  if (due.length <= AT_ONCE) for (const each of due) await lookThrough(each.id, each.events);
  else void catchUp();
  const key = keyNow();
  const learned = learn(await db.listOutcomes(database, BASIS), household.learning);
  const taught = { learned, mark: learnedMark(learned) };
  shared.threpsisTaught = { key, taught };
  return taught;
});

/** By how much what was learned improves what is told, quantity by quantity. */
export async function getGains(): Promise<ReadonlyMap<string, LearningGain>> {
  const [{ mark }, { document: household }] = [await getTaught(), await getHousehold()];
  if (shared.threpsisGains?.mark === mark) return shared.threpsisGains.gains;
  const gains = learningGains(await db.listOutcomes(await getDatabase(), BASIS), household.learning);
  shared.threpsisGains = { mark, gains };
  return gains;
}

/** The kitchen of the tables with this house's foods and pans, in which nothing is learned: what outcomes are held against. */
async function tablesKitchen(): Promise<Kitchen> {
  const [{ document: pantry }, { document: household }] = await Promise.all([getPantry(), getHousehold()]);
  return kitchenOf({ ...USUAL_SOURCES, pantry, household });
}

/** Works out what a batch has shown and what the logbook tells of it, and keeps it. One that cannot be read has shown nothing. */
async function lookThrough(id: string, count: number): Promise<void> {
  const database = await getDatabase();
  const [batch, placed, tastings, kitchen, dayOf] = await Promise.all([
    db.findBatch(database, id),
    db.eventsAfter(database, id, 0),
    db.tastingsOf(database, id),
    tablesKitchen(),
    dayHere(),
  ]);
  if (!batch) return;
  let outcomes: readonly Outcome[] = [];
  let found: FoundBatch | null = null;
  try {
    if (validatePlan(batch.plan) && validateGround(batch.ground)) {
      const kept = { plan: batch.plan, ...batch.ground, events: placed.map(({ event }) => event) };
      outcomes = batchOutcomes({ id, ...kept, tastings: tastings.flatMap(byEater) }, kitchen);
      found = loggedBatch(kept, kitchen);
    }
  } catch (error) {
    log.warn({ batch: id, error }, "what a batch has shown could not be worked out");
  }
  const { foundBy = [], ...logged } = found ?? {};
  const words = [batch.title, batch.label ?? "", ...foundBy, ...tastings.flatMap(({ name, answer }) => [name, answer.word])].join(" ").toLowerCase();
  const told = { logged: found && (logged as LoggedBatch), words: [...new Set(words.split(/\s+/))].join(" ").trim() };
  await db.writeOutcomes(database, id, BASIS, count, { outcomes, ...told, madeOn: dayOf(Date.parse(batch.begunAt)) });
}

const byEater = ({ eaterId, served, answer, tastedAt }: db.StoredTasting) =>
  eaterId === null ? [] : [{ eater: eaterId, served, answer, at: Date.parse(tastedAt) }];

/** Looks through all batches that are due, behind the pages; one run at a time. */
function catchUp(): Promise<void> {
  return (shared.threpsisLooking ??= run()
    .catch((error: unknown) => log.error({ error }, "batches could not be looked through"))
    .finally(() => (shared.threpsisLooking = undefined)));
}

async function run(): Promise<void> {
  const database = await getDatabase();
  for (;;) {
    const due = await db.withoutOutcomes(database, BASIS, 25);
    if (due.length === 0) break;
    for (const { id, events } of due) {
      await lookThrough(id, events);
      // Between two batches the pages come first.
      await new Promise((resolve) => setImmediate(resolve));
    }
  }
  shared.threpsisLooked = (shared.threpsisLooked ?? 0) + 1;
}
