import { randomUUID } from "node:crypto";
import { AFTER_THE_END, problemOf, sessionOf, stoveState, transition, type CookEvent, type CookHappening, type CookPlan } from "../../core/cook";
import { onDay, seatedAnew } from "../../core/table";
import { asLastTime, cookPlan, methodView, type CookGround } from "../../core/views";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { schemaErrors } from "../http/ajv";
import { checked } from "../http/checked";
import { Refusal } from "../http/problems";
import { validateAfterwards, validateGround, validatePlan } from "../http/schemas/cook";
import { fastsToday } from "../kitchen/day";
import { getKitchen } from "../kitchen/kitchen";
import { getEaters } from "../kitchen/sources";
import { getAdaptation, requireRecipe } from "../recipes/recipes";
import { benchOfVersion } from "../versions/versions";
import { checkLeftOver, layStock, stockGround } from "./batch-stock";
import { told } from "./listeners";

/** An event with its place among those of its batch. */
export interface PlacedEvent {
  readonly place: number;
  readonly event: CookEvent;
}

/** Begins a batch of a kept version, or of the recipe as handed down; its id. What lies on the bench is kept first. */
export async function startBatch(recipeId: string, versionId: string | null, at = new Date()): Promise<string> {
  const { ground, plan } = await planOf(recipeId, versionId);
  requireSteps(plan);
  return insert(await getDatabase(), { recipeId, versionId, ground, plan, at });
}

/** What is cooked of a kept version, or of the recipe as handed down. */
async function planOf(recipeId: string, versionId: string | null): Promise<{ readonly ground: CookGround; readonly plan: CookPlan }> {
  const { recipe } = await requireRecipe(recipeId);
  const kept = versionId === null ? null : await benchOfVersion(versionId);
  if (kept && kept.recipeId !== recipeId)
    throw new Refusal(422, "The version is of another recipe.", [
      { pointer: "/versionId", detail: "Name a version of this recipe, or null for it as handed down." },
    ]);
  const table = kept?.table ?? (await getAdaptation(recipeId, recipe)).table.document;
  return planned({ recipe: kept?.recipe ?? recipe, table, bench: kept?.bench ?? null });
}

/** From that ground, with who sits at its table as they are now: what somebody leaves out since it was set is kept too. */
async function planned({ table, ...of }: CookGround): Promise<{ readonly ground: CookGround; readonly plan: CookPlan }> {
  const ground = { ...of, table: seatedAnew(table, (await getEaters()).document.eaters) };
  const plan = cookPlan(ground.recipe, ground.table, methodView(ground, await getKitchen()));
  if (!validatePlan(plan)) throw new Refusal(422, "It is too long to be taken to the stove.", schemaErrors(validatePlan, plan));
  if (!validateGround(ground)) throw new Refusal(422, "It cannot be taken to the stove as it is.", schemaErrors(validateGround, ground));
  return { ground, plan };
}

function requireSteps({ steps }: CookPlan): void {
  if (steps.length === 0) throw new Refusal(422, "It has no steps to cook by. Add them at the Recipe station first.", []);
}

interface NewBatch {
  readonly recipeId: string | null;
  readonly versionId: string | null;
  readonly ground: CookGround;
  readonly plan: CookPlan;
  readonly at: Date;
}
async function insert(connection: db.Connection, { recipeId, versionId, ground, plan, at }: NewBatch, id: string = randomUUID()): Promise<string> {
  await db.insertBatch(connection, { id, recipeId, versionId, title: plan.title, label: plan.label, plan, ground, begunAt: at.toISOString() });
  return id;
}

/** Begins a batch as another was cooked: what went in then, and how far it was cooked down; its id, and what cannot be in its plan, by name. */
export async function startAsLastTime(like: string, at = new Date()): Promise<{ readonly id: string; readonly without: readonly string[] }> {
  const { batch, events } = await getBatch(like);
  const session = sessionOf(
    batch.plan,
    events.map(({ event }) => event),
  );
  if (session.endedAt === null) throw new Refusal(409, "It is still on the stove: go on with it, or end it first.");
  const { ground, without } = asLastTime({ ...batch.ground, stove: stoveState(session) }, batch.label, batch.versionId, await getKitchen());
  const { day, falls } = await fastsToday();
  const today = await planned({ ...ground, table: onDay(ground.table, day, falls) });
  requireSteps(today.plan);
  const { recipeId, versionId } = batch;
  return { id: await insert(await getDatabase(), { recipeId, versionId, ...today, at }), without };
}

/** Enters a batch that was cooked without Threpsis, after the fact, once however often it is sent; its id. Nothing is taken off the stock for it. */
export async function enterAfterwards(body: unknown, now = new Date()): Promise<string> {
  const { id, recipeId, versionId, at: made, grams, body: said, holds, note } = checked(validateAfterwards, body);
  const detail = "Give the day and hour at which it was made.";
  if (made > now.getTime()) throw new Refusal(422, `That is still to come. ${detail}`, [{ pointer: "/at", detail }]);
  const { ground, plan } = await planOf(recipeId, versionId);
  const when = ground.table.serve === "chilled" || ground.table.serve === "room" ? "chilled" : "hot";
  const happenings: readonly CookHappening[] = [
    { kind: "started" },
    { kind: "stock", isTaken: false },
    { kind: "ended", grams },
    ...(said === null && holds === null ? [] : [{ kind: "turned out", when, body: said, off: "", holds } as const]),
    ...(note.trim() === "" ? [] : [{ kind: "note", text: note.trim(), step: null } as const]),
  ];
  const events = happenings.map((happening, i): CookEvent => ({ ...happening, id: randomUUID(), at: made + i }));
  const { placed, session } = judged(plan, [], events, 0);
  const database = await getDatabase();
  return database.transaction(async (connection) => {
    if (await db.hasBatch(connection, id)) return id;
    await insert(connection, { recipeId, versionId, ground, plan, at: new Date(made) }, id);
    for (const { place, event } of placed) await db.insertEvent(connection, id, place, event);
    await db.settleBatch(connection, id, new Date(session.endedAt ?? made).toISOString(), session.got === 0 ? null : session.got);
    await db.noteTaught(connection);
    return id;
  });
}

/** A batch; 404 where there is none, 409 where what is stored of it cannot be read. */
export async function requireBatch(id: string): Promise<db.StoredBatch> {
  const batch = await db.findBatch(await getDatabase(), id);
  if (!batch) throw new Refusal(404, "There is no such batch. It may have been deleted.");
  if (!validatePlan(batch.plan) || !validateGround(batch.ground))
    throw new Refusal(409, "What is stored of this batch cannot be read. Its recipe and versions are not touched by it.");
  return batch;
}

/** A batch with all its events. */
export const getBatch = async (id: string): Promise<{ readonly batch: db.StoredBatch; readonly events: readonly PlacedEvent[] }> => ({
  batch: await requireBatch(id),
  events: await eventsAfter(id, 0),
});

export const listBatches = async (limit = 200): Promise<readonly db.BatchSummary[]> => db.listBatches(await getDatabase(), limit);

/** Events of a batch behind a place. */
export const eventsAfter = async (id: string, place: number): Promise<readonly PlacedEvent[]> => db.eventsAfter(await getDatabase(), id, place);

/**
 * Adds events to a batch, all or none, each once however often it is sent, one writer after the other; what was added, with its
 * places. 422 where one cannot be, in words for who stands at the stove: those before it are not added either.
 */
export async function addEvents(id: string, events: readonly CookEvent[]): Promise<readonly PlacedEvent[]> {
  const batch = await requireBatch(id);
  const { plan } = batch;
  const database = await getDatabase();
  if (events.some(({ kind }) => kind === "left over")) {
    const there = await db.eventsAfter(database, id, 0);
    await checkLeftOver(
      batch,
      there.map(({ event }) => event),
      events,
    );
  }
  // What can be told of a batch that is done may be of its stock: who else ended it meanwhile is not known before.
  const ground = events.some(({ kind }) => kind === "ended" || AFTER_THE_END.includes(kind)) ? await stockGround(batch) : null;
  const added = await database.transaction(async (connection) => {
    const last = await db.lockBatch(connection, id);
    const before = await db.eventsAfter(connection, id, 0);
    const { placed, session, was } = judged(plan, before, events, last);
    for (const { place, event } of placed) await db.insertEvent(connection, id, place, event);
    if (placed.length > 0) {
      await db.settleBatch(connection, id, session.endedAt === null ? null : new Date(session.endedAt).toISOString(), session.got === 0 ? null : session.got);
      // What is done teaches, and one that is taken up again no more.
      if (session.endedAt !== null || was.endedAt !== null) {
        await db.noteTaught(connection);
        if (ground) await layStock(connection, { id, plan, before: was, after: session }, ground);
      }
    }
    return placed;
  });
  if (added.length > 0) told(id);
  return added;
}

/** The events that are new, each held against the session as it is by then. */
function judged(plan: CookPlan, before: readonly PlacedEvent[], events: readonly CookEvent[], last: number) {
  const known = new Set(before.map(({ event }) => event.id));
  const was = sessionOf(
    plan,
    before.map(({ event }) => event),
  );
  let session = was;
  const placed: PlacedEvent[] = [];
  for (const [i, event] of events.entries()) {
    if (known.has(event.id)) continue;
    known.add(event.id);
    const why = problemOf(event, session);
    if (why !== null) throw new Refusal(422, why, [{ pointer: `/events/${i}`, detail: why }]);
    session = transition(session, event)[0];
    placed.push({ place: last + placed.length + 1, event });
  }
  return { placed, session, was };
}
