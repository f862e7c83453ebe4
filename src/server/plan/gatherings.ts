import { sessionOf } from "../../core/cook";
import type { Equipment } from "../../core/household";
import { momentOfMinute, readyAt, taskId, type Gathering, type GatheringPlan } from "../../core/plan";
import { gatheringSweetView, peopleAt, shoppingView, type CookGround, type GatheringShopping, type GatheringSweetView } from "../../core/views";
import type { DayAtPlace } from "../../core/calendar";
import { baseOf } from "../../core/models/diet";
import { onDay, type Eater } from "../../core/table";
import * as db from "../../db";
import { getBatch, listBatches } from "../cook/batches";
import { getDatabase } from "../data/database";
import { checked, checkedRevised } from "../http/checked";
import { Refusal } from "../http/problems";
import { saveRevised, type Revised } from "../http/revised";
import { validateGathering, validateNewGathering, validatePlan, validateTicks } from "../http/schemas/gathering";
import { dayAtPlace } from "../kitchen/calendar";
import { checkRules } from "../kitchen/house-rules";
import { getKitchen } from "../kitchen/kitchen";
import { getEaters, getPantry } from "../kitchen/sources";
import { getAdaptation, getRecipe } from "../recipes/recipes";
import { benchOfVersion } from "../versions/versions";

const DAY = 24 * 3_600_000;

/** Keeps a new gathering, once however often it is sent; its id. */
export async function createGathering(body: unknown, now = new Date()): Promise<string> {
  const { id, document } = checked(validateNewGathering, body);
  await check(document, "/document");
  await db.insertGathering(await getDatabase(), written(id, document), now.toISOString());
  return id;
}

/** Saves a gathering over the revision that was read: 404 where it is gone, 409 where another window saved between. */
export async function saveGathering(id: string, body: unknown, now = new Date()): Promise<number> {
  const sent = checkedRevised(validateGathering, body);
  await check(sent.document, "/document");
  const database = await getDatabase();
  await requireGathering(id);
  return saveRevised(
    sent,
    "gathering",
    ({ document, revision }) => db.updateGathering(database, written(id, document), revision, now.toISOString()),
    async () => {
      const { document, revision } = await requireGathering(id);
      return { document, revision };
    },
  );
}

const written = (id: string, document: Gathering) => ({ id, title: document.title, readyAt: new Date(readyAt(document)).toISOString(), document });

async function check({ day, timeZone, guests, sweets, eaters }: Gathering, at: string): Promise<void> {
  const noon = Date.parse(`${day}T12:00:00Z`);
  const year = Number(day.slice(0, 4));
  if (Number.isNaN(noon) || !new Date(noon).toISOString().startsWith(day) || year < 1970 || year > 2100)
    throw new Refusal(422, "There is no such day.", [{ pointer: `${at}/day`, detail: "Give year, month and day: 2026-12-05." }]);
  try {
    new Intl.DateTimeFormat("en-GB", { timeZone });
  } catch {
    throw new Refusal(422, `“${timeZone}” is no time zone.`, [{ pointer: `${at}/timeZone`, detail: "Give one such as Asia/Kolkata or Europe/London." }]);
  }
  for (const [name, ids] of [
    ["sweets", sweets.map(({ id }) => id)],
    ["guests", guests.map(({ id }) => id)],
  ] as const)
    if (new Set(ids).size < ids.length)
      throw new Refusal(422, "Something is there twice.", [{ pointer: `${at}/${name}`, detail: "Each needs an id of its own." }]);
  if (guests.some(({ id }) => eaters.includes(id)))
    throw new Refusal(422, "A guest has the id of an eater.", [{ pointer: `${at}/guests`, detail: "Each needs an id of its own." }]);
  await checkRules(guests.map(({ rules }, i) => ({ pointer: `${at}/guests/${i}/rules`, rules })));
}

export async function requireGathering(id: string): Promise<Revised<Gathering> & { readonly plan: GatheringPlan | null; readonly createdAt: string }> {
  const stored = await db.findGathering(await getDatabase(), id);
  if (!stored) throw new Refusal(404, "There is no such gathering. It may have been deleted.");
  const { document, revision, plan, createdAt } = stored;
  if (!validateGathering(document)) throw new Refusal(409, "What is stored of this gathering cannot be read.");
  return { document, revision, plan: validatePlan(plan) ? plan : null, createdAt };
}

/** Keeps what it was solved to; the latest counts. */
export async function savePlan(id: string, body: unknown): Promise<void> {
  if (!(await db.writePlan(await getDatabase(), id, checked(validatePlan, body))))
    throw new Refusal(404, "There is no such gathering. It may have been deleted.");
}

/** Ticks off what is bought or done; what was said later stays. All that is ticked by now. */
export async function tick(id: string, body: unknown, now = Date.now()): Promise<readonly db.StoredTick[]> {
  const { ticks } = checked(validateTicks, body);
  await requireGathering(id);
  return (await getDatabase()).transaction(async (connection) => {
    // A device whose clock goes ahead must not have the last word for ever.
    for (const { what, isDone, at } of ticks) await db.writeTick(connection, id, { what, isDone, at: new Date(Math.min(at, now)).toISOString() });
    return db.ticksOf(connection, id);
  });
}

/** A sweet that cannot be worked out, and why. */
export interface LostSweet {
  readonly id: string;
  readonly why: string;
}
export interface GatheringView extends Revised<Gathering> {
  readonly plan: GatheringPlan | null;
  readonly sweets: readonly GatheringSweetView[];
  readonly lost: readonly LostSweet[];
  readonly shopping: GatheringShopping;
  readonly ticks: readonly db.StoredTick[];
  /** Of sweets that are on the stove: tasks that are done, and when those that are on were begun, ms. */
  readonly live: { readonly done: readonly string[]; readonly begun: Readonly<Record<string, number>>; readonly batches: Readonly<Record<string, string>> };
  readonly equipment: Equipment | null;
  readonly people: readonly Eater[];
  /** Sun, moon and fasts of its day; null while the household has named no place. */
  readonly dayAt: DayAtPlace | null;
}

/** A gathering with all that is worked out for it. */
export async function viewOfGathering(id: string): Promise<GatheringView> {
  const [{ document, revision, plan, createdAt }, database, kitchen, { document: eaters }, { document: pantry }] = await Promise.all([
    requireGathering(id),
    getDatabase(),
    getKitchen(),
    getEaters(),
    getPantry(),
  ]);
  const people = peopleAt(document, eaters.eaters);
  const dayAt = kitchen.household.place ? await dayAtPlace(document.day).catch(() => null) : null;
  // Which fasts are kept goes by the day; where no place is named it is not known, and all are.
  const falls = dayAt ? [...new Set(dayAt.fasts.flatMap(({ rule }) => (rule === null ? [] : [baseOf(rule)])))].sort() : null;
  const found = await Promise.all(document.sweets.map((sweet) => sweetOf(sweet, people, { day: document.day, falls })));
  const sweets = found.flatMap((each) => ("plan" in each ? [each] : []));
  const [stock, ticks] = [await db.listStock(database), await db.ticksOf(database, id)];
  return {
    document,
    revision,
    plan,
    sweets,
    lost: found.flatMap((each) => ("why" in each ? [each] : [])),
    shopping: shoppingView({ needs: sweets.flatMap(({ needs }) => needs), people, stock, day: document.day, prices: pantry.prices }, kitchen),
    ticks,
    live: await liveOf(document, createdAt),
    equipment: kitchen.household.equipment ?? null,
    people,
    dayAt,
  };
}

const known = new WeakMap<object, Map<string, GatheringSweetView>>();
const MOST_KNOWN = 60;

async function sweetOf(
  sweet: Gathering["sweets"][number],
  people: readonly Eater[],
  { day, falls }: { readonly day: string; readonly falls: readonly string[] | null },
): Promise<GatheringSweetView | LostSweet> {
  const { id, version, recipe, servings } = sweet;
  const kitchen = await getKitchen();
  let ground: CookGround;
  try {
    ground = version === null ? await handedDown(recipe) : await benchOfVersion(version);
  } catch (error) {
    if (error instanceof Refusal) return { id, why: error.message };
    throw error;
  }
  const views = known.get(kitchen) ?? new Map<string, GatheringSweetView>();
  known.set(kitchen, views);
  const key = JSON.stringify([id, ground, servings, people, day, falls]);
  const there = views.get(key);
  if (there) return there;
  const { recipe: of, table, bench } = ground;
  const view = gatheringSweetView({ id, ground: { recipe: of, table: onDay(table, day, falls), bench }, servings, people }, kitchen);
  if (views.size >= MOST_KNOWN) views.clear();
  views.set(key, view);
  return view;
}

async function handedDown(id: string): Promise<CookGround> {
  const stored = await getRecipe(id);
  if (!stored) throw new Refusal(404, "Its recipe is gone: put it back, or take the sweet off.");
  return { recipe: stored.recipe, table: (await getAdaptation(id, stored.recipe)).table.document, bench: null };
}

const DAYS_ON_STOVE = 7;
const LATEST = 60;

/** What batches of its sweets that were begun since it was planned have done by now. */
async function liveOf(gathering: Gathering, since: string): Promise<GatheringView["live"]> {
  const ready = readyAt(gathering);
  const batches = (await listBatches(LATEST)).filter(
    ({ begunAt }) => Date.parse(begunAt) > Math.max(Date.parse(since), ready - DAYS_ON_STOVE * DAY) && Date.parse(begunAt) < ready + DAY,
  );
  const done: string[] = [];
  const begun: Record<string, number> = {};
  const of: Record<string, string> = {};
  for (const sweet of gathering.sweets) {
    const batch = batches.find(({ recipeId, versionId }) =>
      sweet.version === null ? versionId === null && recipeId === sweet.recipe : versionId === sweet.version,
    );
    if (!batch) continue;
    of[sweet.id] = batch.id;
    const { batch: whole, events } = await getBatch(batch.id);
    const session = sessionOf(
      whole.plan,
      events.map(({ event }) => event),
    );
    for (const { id, state } of session.steps) {
      const task = taskId(sweet.id, id);
      if (state === "done" || state === "skipped" || session.endedAt !== null) done.push(task, `${task}+`);
      else if (id === session.now) begun[task] = session.changedAt;
    }
  }
  return { done, begun, batches: of };
}

/** A gathering in a list, and when its cooking begins by plan, ms; null where nothing is planned. */
export interface ListedGathering {
  readonly id: string;
  readonly readyAt: string;
  readonly document: Gathering;
  readonly begins: number | null;
}

/** Gatherings for a list: those to come, then those that are past. */
export async function listGatherings(now: number, limit = 200): Promise<readonly ListedGathering[]> {
  const rows = await db.listGatherings(await getDatabase(), new Date(now).toISOString(), limit);
  return rows.flatMap(({ id, readyAt: at, document, plan }) => {
    if (!validateGathering(document)) return [];
    const starts = validatePlan(plan) ? plan.placed.map(({ start }) => start) : [];
    return [{ id, readyAt: at, document, begins: starts.length > 0 ? momentOfMinute(Math.min(...starts), readyAt(document)) : null }];
  });
}
