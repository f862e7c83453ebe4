import { randomInt } from "node:crypto";
import { triangleServings, triangleTold, type TriangleServing, type TriangleTold } from "../../core/sensory";
import type { MayTaste } from "../../core/views";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { checked } from "../http/checked";
import { Refusal } from "../http/problems";
import { validateSaw, validateTriangle, validateTriangleAnswer } from "../http/schemas/taste";
import { getEaters } from "../kitchen/sources";
import { requireDone, type DoneBatch } from "../cook/done";
import { mayEach, requireTaster } from "./who-may";

export type { SampleName } from "../../db";

/** A serving of a test as who tastes may see it: the codes and no more. */
export interface BlindServing {
  readonly place: number;
  readonly codes: readonly string[];
}

/** What was chosen, once the test is over. */
export interface ShownAnswer extends db.StoredTriangleAnswer {
  readonly isRight: boolean;
}

/** A test as its page shows it: nothing of what is in the cups while answers are taken. */
export interface ShownTriangle {
  readonly test: db.StoredTriangle;
  readonly samples: readonly db.SampleName[];
  readonly answered: readonly { readonly name: string; readonly eaterId: string | null }[];
  /** Who may taste, and the next set of cups; why nobody can, where one of the two is not there to be served; null once it is over. */
  readonly open: { readonly may: readonly MayTaste[]; readonly next: BlindServing | null } | { readonly why: string } | null;
  readonly over: { readonly told: TriangleTold; readonly answers: readonly ShownAnswer[] } | null;
}

async function requireTriangle(id: string): Promise<db.StoredTriangle> {
  const test = await db.findTriangle(await getDatabase(), id);
  if (!test) throw new Refusal(404, "There is no such test. It may have been deleted.");
  return test;
}

async function samplesOf({ batches: [a, b] }: Pick<db.StoredTriangle, "batches">): Promise<readonly [DoneBatch, DoneBatch]> {
  return [await requireDone(a), await requireDone(b)];
}

const plain = (name: string): string => name.trim().toLowerCase();
const serves = ({ server }: db.StoredTriangle, { eaterId, name }: { readonly eaterId: string | null; readonly name: string }): boolean =>
  (eaterId !== null && eaterId === server.eater) || plain(name) === plain(server.name);

/** Begins a test of two batches that are done; 422 where it is none that can be served. Sent again, it is the same test. */
export async function startTriangle(body: unknown, now = new Date()): Promise<db.StoredTriangle> {
  const { server, batches, ...asked } = checked(validateTriangle, body);
  const [a = "", b = ""] = batches;
  await samplesOf({ batches: [a, b] });
  const { document } = await getEaters();
  const known = server.eater === null ? null : document.eaters.find(({ id }) => id === server.eater);
  if (known === undefined)
    throw new Refusal(422, "Say who serves: one of the eaters, or anybody by name.", [{ pointer: "/server", detail: "It is nobody who eats here." }]);
  const database = await getDatabase();
  await db.insertTriangle(database, {
    ...asked,
    batches: [a, b],
    seed: randomInt(2 ** 31),
    server: { eater: known?.id ?? null, name: known?.name ?? server.name.trim() },
    begunAt: now.toISOString(),
    endedAt: null,
  });
  return requireTriangle(asked.id);
}

/** A test as its page shows it. */
export async function getTriangle(id: string): Promise<ShownTriangle> {
  const [test, database] = [await requireTriangle(id), await getDatabase()];
  const [samples, answers] = await Promise.all([db.sampleNames(database, test), db.triangleAnswers(database, id)]);
  const servings = triangleServings(test.planned, test.seed);
  const next = nextPlace(test, answers);
  const judged = answers.map((answer) => ({ ...answer, isRight: servings[answer.place - 1]?.odd === answer.code }));
  return {
    test,
    samples,
    answered: answers.map(({ name, eaterId }) => ({ name, eaterId })),
    open: next === null ? null : await openFor(test, { place: next, codes: servings[next - 1]?.cups.map(({ code }) => code) ?? [] }),
    over: test.endedAt === null ? null : { told: triangleTold(judged, test), answers: judged },
  };
}

/** Who may taste the next set; why nobody can, where a batch was deleted or is on the stove again. */
async function openFor(test: db.StoredTriangle, next: BlindServing): Promise<ShownTriangle["open"]> {
  try {
    const { document } = await getEaters();
    const tasters = document.eaters.filter((eater) => !serves(test, { eaterId: eater.id, name: eater.name }));
    return { may: await mayEach(await samplesOf(test), tasters), next };
  } catch (error) {
    if (error instanceof Refusal) return { why: `One of the two cannot be served. ${error.message}` };
    throw error;
  }
}

/** The first set of cups that nobody has chosen of; null once the test is over. */
function nextPlace({ endedAt, planned }: db.StoredTriangle, answers: readonly db.StoredTriangleAnswer[]): number | null {
  if (endedAt !== null) return null;
  const taken = new Set(answers.map(({ place }) => place));
  for (let place = 1; place <= planned; place++) if (!taken.has(place)) return place;
  return null;
}

/** The sheets of a test: what who serves puts into each cup, and what each taster is given. Who has seen them does not taste. */
export async function triangleSheets(
  id: string,
): Promise<{ readonly test: db.StoredTriangle; readonly samples: readonly db.SampleName[]; readonly servings: readonly TriangleServing[] }> {
  const test = await requireTriangle(id);
  return { test, samples: await db.sampleNames(await getDatabase(), test), servings: triangleServings(test.planned, test.seed) };
}

/** The samples of a test, for who asks whether guests may taste them. */
export const triangleSamples = async (id: string): Promise<readonly DoneBatch[]> => samplesOf(await requireTriangle(id));

/**
 * Keeps what somebody chose of a set of cups, once however often it is sent; the last of those that were planned ends the test. 422
 * where they may not taste both, or serve; 409 where the set is taken or the test is over.
 */
export async function saveTriangleAnswer(id: string, body: unknown, now = new Date()): Promise<void> {
  const { id: answerId, place, code, ...who } = checked(validateTriangleAnswer, body);
  const test = await requireTriangle(id);
  const taster = await requireTaster(await samplesOf(test), who, now);
  if (serves(test, taster))
    throw new Refusal(422, `${taster.name} serves, and knows what is in the cups: somebody else tastes.`, [{ pointer: "/eater", detail: "serves this test" }]);
  const serving = triangleServings(test.planned, test.seed)[place - 1];
  if (!serving?.cups.some((cup) => cup.code === code))
    throw new Refusal(422, "This set has no cup of that code. Choose one of the three.", [{ pointer: "/code", detail: "is of another set" }]);
  await (
    await getDatabase()
  ).transaction(async (connection) => {
    const locked = await db.lockTriangle(connection, id);
    const answers = await db.triangleAnswers(connection, id);
    if (answers.some((answer) => answer.id === answerId)) return;
    if (locked?.endedAt !== null) throw new Refusal(409, "The test is over: no more is taken.");
    if (answers.some((answer) => answer.place === place)) throw new Refusal(409, `Set ${place} is answered already. Take the next.`);
    const answeredAt = now.toISOString();
    await db.insertTriangleAnswer(connection, id, { id: answerId, place, ...taster, code, saw: false, answeredAt });
    if (answers.length + 1 >= test.planned) await db.endTriangle(connection, id, answeredAt);
  });
}

/** Ends a test before all that were planned are answered. */
export async function endTriangle(id: string, now = new Date()): Promise<void> {
  await requireTriangle(id);
  await db.endTriangle(await getDatabase(), id, now.toISOString());
}

/** Notes that somebody saw the codes: their answer does not count. */
export async function saveSaw(id: string, answer: string, body: unknown): Promise<void> {
  const { saw } = checked(validateSaw, body);
  if (!(await db.writeSaw(await getDatabase(), id, answer, saw))) throw new Refusal(404, "There is no such answer.");
}

export async function removeTriangle(id: string): Promise<void> {
  if (!(await db.deleteTriangle(await getDatabase(), id))) throw new Refusal(404, "There is no such test. It may have been deleted.");
}
