import { stoveState, type CookSession } from "../../core/cook";
import { nextTime, nextTimeBench, stoveView, type MayTaste, type NextTime } from "../../core/views";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { checked } from "../http/checked";
import { Refusal } from "../http/problems";
import { validateNextTime, validateTasting } from "../http/schemas/taste";
import { getKitchen } from "../kitchen/kitchen";
import { getEaters } from "../kitchen/sources";
import { layOn, type LaidOn } from "../versions/versions";
import { requireDone } from "../cook/done";
import { mayEach, requireTaster } from "./who-may";

/** So many tastings of one batch are kept. */
const MOST = 500;

/** What the Taste station shows of a batch: who may taste it, who has. What they said is asked for apart. */
export async function getTasting(id: string): Promise<{
  readonly batch: db.StoredBatch;
  readonly session: CookSession;
  /** Shaped, and asked how it holds rather than how thick it is. */
  readonly isBound: boolean;
  readonly may: readonly MayTaste[];
  readonly tastings: readonly db.StoredTasting[];
  readonly triangles: readonly db.StoredTriangle[];
}> {
  const done = await requireDone(id);
  const { batch, session } = done;
  const database = await getDatabase();
  const [{ document }, tastings, triangles] = await Promise.all([getEaters(), db.tastingsOf(database, id), db.trianglesOf(database, id)]);
  const { figures } = stoveView({ ...batch.ground, stove: stoveState(session) }, await getKitchen());
  return {
    batch,
    session,
    isBound: figures.some(({ id: figure }) => figure === "binding"),
    may: await mayEach([done], document.eaters),
    tastings,
    triangles,
  };
}

/** Keeps what somebody said of a batch: 422 where they may not taste it, or what had to be asked was not. */
export async function saveTasting(id: string, body: unknown, now = new Date()): Promise<db.StoredTasting> {
  const { id: tasting, served, answer, ...who } = checked(validateTasting, body);
  const sample = await requireDone(id);
  if (Object.keys(answer.steps).length === 0 && answer.liking === null && answer.word.trim() === "")
    throw new Refusal(422, "Nothing was said of it.", [{ pointer: "/answer", detail: "Say at least one thing, or skip it." }]);
  const taster = await requireTaster([sample], who, now);
  const database = await getDatabase();
  if ((await db.tastingsOf(database, id)).length >= MOST)
    throw new Refusal(422, `${MOST} tastings are as many as a batch holds.`, [{ pointer: "", detail: "Take back some." }]);
  const stored = { id: tasting, batchId: id, ...taster, served, answer, tastedAt: now.toISOString() };
  await database.transaction(async (connection) => {
    if (await db.insertTasting(connection, stored)) await db.forgetOutcomes(connection, id);
  });
  return stored;
}

async function nextTimeQuestion(id: string) {
  const [{ batch, session }, tastings] = await Promise.all([requireDone(id), getDatabase().then((database) => db.tastingsOf(database, id))]);
  const question = {
    ...batch.ground,
    stove: stoveState(session),
    endedAt: session.endedAt ?? 0,
    tastings: tastings.map(({ eaterId, name, served, answer, tastedAt }) => ({ eater: eaterId, name, served, answer, at: Date.parse(tastedAt) })),
  };
  return { batch, question };
}

/** What to change when it is made again, by what was said of it. */
export async function getNextTime(id: string): Promise<NextTime> {
  const [{ question }, kitchen] = await Promise.all([nextTimeQuestion(id), getKitchen()]);
  return nextTime(question, kitchen);
}

/** Lays the version as it was cooked on its recipe's bench, with one way of a change: a draft that goes on from the version. 409 where that is no way any more. */
export async function layNextTime(id: string, body: unknown): Promise<LaidOn> {
  const { attribute, food } = checked(validateNextTime, body);
  const [{ batch, question }, kitchen] = await Promise.all([nextTimeQuestion(id), getKitchen()]);
  if (batch.recipeId === null) throw new Refusal(409, "Its recipe is gone: put it back first, or paste it anew.");
  const change = nextTime(question, kitchen).changes.find((each) => each.attribute === attribute);
  const way = change?.ways.find((each) => each.food === food) ?? null;
  if (!change || (food === null ? change.cookedTo === null : way === null))
    throw new Refusal(409, "By what is said of it now, that is no way any more. Look at what was said again.");
  const bench = nextTimeBench(question, { change, way, label: batch.label ?? "As handed down", from: batch.versionId }, kitchen);
  return layOn(batch.recipeId, batch.ground.table, bench);
}

/** Takes back what somebody said; 404 where it is not there. */
export async function removeTasting(id: string, tasting: string): Promise<void> {
  await (
    await getDatabase()
  ).transaction(async (connection) => {
    if (!(await db.deleteTasting(connection, id, tasting))) throw new Refusal(404, "There is nothing of the kind to take back.");
    await db.forgetOutcomes(connection, id);
  });
}
