import { sessionOf, stoveState, type CookSession } from "../../core/cook";
import { baseOf } from "../../core/models/diet";
import { ALLERGIES, onDay, type Eater } from "../../core/table";
import { mayTaste, nextTime, nextTimeBench, stoveView, type MayTaste, type NextTime } from "../../core/views";
import * as db from "../../db";
import { getBatch } from "../cook/batches";
import { getDatabase } from "../data/database";
import { checked } from "../http/checked";
import { Refusal } from "../http/problems";
import { validateGuests, validateNextTime, validateTasting } from "../http/schemas/taste";
import { dayAtPlace } from "../kitchen/calendar";
import { dayHere } from "../kitchen/day";
import { getKitchen } from "../kitchen/kitchen";
import { getEaters, getHousehold } from "../kitchen/sources";
import { layOn, type LaidOn } from "../versions/versions";

/** So many tastings of one batch are kept. */
const MOST = 500;

/** A batch that is done, and what it came to; 409 while it is on the stove. */
async function requireDone(id: string): Promise<{ readonly batch: db.StoredBatch; readonly session: CookSession }> {
  const { batch, events } = await getBatch(id);
  const session = sessionOf(
    batch.plan,
    events.map(({ event }) => event),
  );
  if (session.endedAt === null) throw new Refusal(409, "It is still on the stove. It is tasted once it is done.");
  return { batch, session };
}

/** Whether each of them may taste a batch, today. */
async function mayEach(batch: db.StoredBatch, session: CookSession, eaters: readonly Eater[]): Promise<readonly MayTaste[]> {
  const [kitchen, dayOf, { document }] = await Promise.all([getKitchen(), dayHere(), getHousehold()]);
  const day = dayOf(Date.now());
  // Without a place it is not known which fasts fall today: all are kept.
  const falls = document.place ? (await dayAtPlace(day)).fasts.flatMap(({ rule }) => (rule === null ? [] : [baseOf(rule)])) : null;
  const { recipe, table, bench } = batch.ground;
  const today = onDay(table, day, falls && [...new Set(falls)].sort());
  return mayTaste({ recipe, table: today, bench, stove: stoveState(session), pan: session.setUp?.pan?.name ?? null, eaters }, kitchen);
}

interface Guest {
  readonly name: string;
  readonly rules: readonly string[];
  /** What else makes them ill, in their words. */
  readonly other: string;
}
/** A guest as somebody at the table: what they keep was asked. */
const asEater = ({ name, rules }: Guest, day: string): Eater => ({
  id: `guest ${name}`,
  name,
  rules,
  limits: [],
  note: "",
  asked: day,
  traces: "avoided",
});

/** What the Taste station shows of a batch: who may taste it, who has. What they said is asked for apart. */
export async function getTasting(id: string): Promise<{
  readonly batch: db.StoredBatch;
  readonly session: CookSession;
  /** Shaped, and asked how it holds rather than how thick it is. */
  readonly isBound: boolean;
  readonly may: readonly MayTaste[];
  readonly tastings: readonly db.StoredTasting[];
}> {
  const { batch, session } = await requireDone(id);
  const [{ document }, tastings] = await Promise.all([getEaters(), getDatabase().then((database) => db.tastingsOf(database, id))]);
  const { figures } = stoveView({ ...batch.ground, stove: stoveState(session) }, await getKitchen());
  return {
    batch,
    session,
    isBound: figures.some(({ id: figure }) => figure === "binding"),
    may: await mayEach(batch, session, document.eaters),
    tastings,
  };
}

/** What a guest is asked about: what makes ill, by name, with the rule that goes with it. */
export async function guestAllergies(): Promise<typeof ALLERGIES> {
  const { rules } = await getKitchen();
  return ALLERGIES.filter(({ rule }) => rules.has(rule));
}

/** Whether guests may taste a batch, each by what they said they keep. */
export async function mayGuests(id: string, body: unknown): Promise<readonly MayTaste[]> {
  const { guests } = checked(validateGuests, body);
  await checkGuests(guests);
  const { batch, session } = await requireDone(id);
  const day = (await dayHere())(Date.now());
  const may = await mayEach(
    batch,
    session,
    guests.map((guest) => asEater(guest, day)),
  );
  return may.map((each, i) => withOther(each, guests[i]?.other ?? "", session));
}

/** What no rule knows is asked about, with what is in it. */
function withOther(may: MayTaste, other: string, { plan, putIn }: CookSession): MayTaste {
  if (other.trim() === "" || may.may === "no") return may;
  const holds = [...new Set([...plan.lines.map(({ name }) => name.toLowerCase()), ...putIn.map(({ name }) => name.toLowerCase())])].join(", ");
  const settled = may.may === "ask" ? may.why : [];
  return { ...may, may: "ask", why: [...settled, `Whether “${other.trim()}” is in it, no rule tells. It holds ${holds}, and what those are made of.`] };
}

async function checkGuests(guests: readonly Guest[]): Promise<void> {
  const [known, { document }] = await Promise.all([guestAllergies(), getEaters()]);
  const rules = new Set(known.map(({ rule }) => rule));
  const strange = guests.flatMap((guest) => guest.rules).find((each) => !rules.has(each));
  if (strange !== undefined) throw new Refusal(422, `No rule is called “${strange}”.`, [{ pointer: "/guest/rules", detail: "Give rules by their ids." }]);
  const plain = (name: string) => name.trim().toLowerCase();
  const eater = document.eaters.find(({ name }) => guests.some((guest) => plain(guest.name) === plain(name)));
  // By another name than a guest's it is known what they leave out.
  if (eater)
    throw new Refusal(422, `${eater.name} eats here: choose ${eater.name} from the list, by what is known of them.`, [
      { pointer: "/guest/name", detail: `choose ${eater.name} from the list` },
    ]);
}

/** Keeps what somebody said of a batch: 422 where they may not taste it, or what had to be asked was not. */
export async function saveTasting(id: string, body: unknown, now = new Date()): Promise<db.StoredTasting> {
  const { id: tasting, eater: eaterId, guest, served, isSettled, answer } = checked(validateTasting, body);
  const [{ batch, session }, { document }, dayOf] = await Promise.all([requireDone(id), getEaters(), dayHere()]);
  if (guest) await checkGuests([guest]);
  const eater = guest ? asEater(guest, dayOf(now.getTime())) : document.eaters.find((each) => each.id === eaterId);
  if (!eater || (guest !== null && eaterId !== null))
    throw new Refusal(422, "Say who tasted it: one of the eaters, or a guest by name.", [{ pointer: "/eater", detail: "It is nobody who eats here." }]);
  if (Object.keys(answer.steps).length === 0 && answer.liking === null && answer.word.trim() === "")
    throw new Refusal(422, "Nothing was said of it.", [{ pointer: "/answer", detail: "Say at least one thing, or skip it." }]);
  const [judged] = await mayEach(batch, session, [eater]);
  const may = judged && withOther(judged, guest?.other ?? "", session);
  if (may?.may === "no") throw new Refusal(422, `It is not for ${eater.name}. ${may.why.join(" ")}`, [{ pointer: "/eater", detail: may.why.join(" ") }]);
  if (may?.may === "ask" && !isSettled)
    throw new Refusal(422, `Something is to be settled before ${eater.name} tastes it. ${may.why.join(" ")}`, [
      { pointer: "/isSettled", detail: may.why.join(" ") },
    ]);
  const database = await getDatabase();
  if ((await db.tastingsOf(database, id)).length >= MOST)
    throw new Refusal(422, `${MOST} tastings are as many as a batch holds.`, [{ pointer: "", detail: "Take back some." }]);
  const stored = {
    id: tasting,
    batchId: id,
    eaterId: guest ? null : eater.id,
    name: eater.name,
    isGuest: guest !== null,
    served,
    answer,
    tastedAt: now.toISOString(),
  };
  await database.transaction(async (connection) => {
    if ((await db.insertTasting(connection, stored)) && stored.eaterId !== null) await db.forgetOutcomes(connection, id);
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
