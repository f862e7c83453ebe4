import { randomUUID } from "node:crypto";
import { sessionOf, stoveState, transition, type CookEvent, type CookHappening, type CookSession } from "../../core/cook";
import { lastDay } from "../../core/keep";
import { stoveView } from "../../core/views";
import { addEvents, getBatch, startBatch } from "../cook/batches";
import { dayHere } from "../kitchen/day";
import { getKitchen } from "../kitchen/kitchen";
import { getHousehold } from "../kitchen/sources";
import { saveTasting } from "../taste/tastings";

const MINUTE = 60_000;
/** The demo's stove drives off a little less than a table of rates says. */
const SLOWER = 0.88;
/** What was got of what was planned, and how long steps took of what was usual. */
const GOT = 0.97;
const LONGER = 1.12;

/** What happens at a stove, written down as a hand would, one thing after the other. */
class Hand {
  readonly events: CookEvent[] = [];
  constructor(
    public session: CookSession,
    public at: number,
  ) {}
  do(...happenings: readonly CookHappening[]): void {
    for (const happening of happenings) {
      const event: CookEvent = { ...happening, id: randomUUID(), at: Math.round(this.at) };
      this.events.push(event);
      this.session = transition(this.session, event)[0];
      this.at += 3000;
    }
  }
  wait(minutes: number): void {
    this.at += minutes * MINUTE;
  }
}

async function handAt(batch: string, at: number): Promise<{ readonly hand: Hand; readonly view: (session: CookSession) => ReturnType<typeof stoveView> }> {
  const [{ batch: stored }, kitchen, { document }] = await Promise.all([getBatch(batch), getKitchen(), getHousehold()]);
  const { pans, burners } = document.equipment ?? { pans: [], burners: [] };
  const [pan, burner] = [pans[0], burners[0]];
  const hand = new Hand(sessionOf(stored.plan, []), at);
  hand.do(
    {
      kind: "set up",
      setUp: {
        pan: pan ? { name: pan.name, diameter: pan.diameter, grams: pan.mass } : null,
        burner: burner ? { name: burner.name, kind: burner.kind, power: burner.power } : null,
        tasting: true,
      },
    },
    ...stored.plan.lines.map(({ id: food }): CookHappening => ({ kind: "ready", food, isReady: true })),
    { kind: "started" },
  );
  return { hand, view: (session) => stoveView({ ...stored.ground, stove: stoveState(session) }, kitchen) };
}

/** Two weights of the pot that is on, some minutes apart, as it boils down. */
function weigh(hand: Hand, { start, prior }: NonNullable<ReturnType<typeof stoveView>["cookDown"]>, apart: number): void {
  const pan = hand.session.pan;
  hand.wait(1);
  hand.do({ kind: "weighed", grams: Math.round(start - SLOWER * prior.rate) + pan, pan });
  hand.wait(apart);
  hand.do({ kind: "weighed", grams: Math.round(start - SLOWER * prior.rate * (1 + apart)) + pan, pan });
}

const usualMinutes = ({ steps, now }: CookSession): number => steps.find(({ id }) => id === now)?.planned?.minutes.usual ?? 3;

/** A batch of a kept version that is on the stove: as far as where its pot boils down most, which was weighed twice. */
export async function layUnderWay(recipe: string, version: string): Promise<void> {
  const began = Date.now() - 30 * MINUTE;
  const id = await startBatch(recipe, version, new Date(began));
  const { hand, view } = await handAt(id, began);
  const [most] = [...hand.session.plan.steps].sort((a, b) => b.driven - a.driven);
  for (let left = hand.session.steps.length; left > 1 && hand.session.now !== null; left--) {
    const { cookDown } = view(hand.session);
    if (cookDown && hand.session.now === most?.id) {
      weigh(hand, cookDown, 4);
      break;
    }
    hand.wait(Math.min(8, LONGER * usualMinutes(hand.session)));
    hand.do({ kind: "done", step: hand.session.now });
  }
  // The last of it was a moment ago.
  const shift = Date.now() - hand.at;
  await addEvents(
    id,
    hand.events.map((event) => ({ ...event, at: Math.round(event.at + shift) })),
  );
}

interface Cooked {
  readonly daysAgo: number;
  /** What of it was left over, and what came of it, as shares. */
  readonly left: number;
  readonly got?: number;
  /** How sweet it was to each of the house's eaters, and how much they liked it. */
  readonly said?: Readonly<Record<string, readonly [sweetness: -2 | -1 | 0 | 1 | 2, liking: number]>>;
}

/** A batch of a kept version that was cooked so many days ago, with what came of it, how it turned out by the nearest of the house's words, a share of it left over, and what was said of it. */
export async function layCooked(recipe: string, version: string | null, { daysAgo, left, got = GOT, said: answers = {} }: Cooked): Promise<void> {
  const began = Date.now() - (24 * daysAgo + 2) * 60 * MINUTE;
  const id = await startBatch(recipe, version, new Date(began));
  const { hand, view } = await handAt(id, began);
  const { plan } = hand.session;
  for (let left = plan.steps.length; left > 0 && hand.session.now !== null; left--) {
    const { blocks, cookDown } = view(hand.session);
    const on = hand.session.steps.find(({ id: step }) => step === hand.session.now)?.planned;
    const sweet = plan.lines.find(({ id: line, role }) => role === "sweetener" && on?.takes.some((take) => take.line === line) === true);
    const block = sweet && blocks[sweet.id];
    if (sweet && block && block.grams < sweet.grams / 2) {
      hand.do({ kind: "held back", line: sweet.id, grams: Math.round(sweet.grams / 3) });
      hand.wait(2);
      hand.do({ kind: "put in", line: sweet.id, food: sweet.food, name: sweet.name.toLowerCase(), grams: block.grams, word: "not sweet enough yet" });
      hand.wait(2);
      hand.do({ kind: "enough", line: sweet.id });
    }
    if (cookDown) weigh(hand, cookDown, 5);
    hand.wait(LONGER * usualMinutes(hand.session));
    hand.do({ kind: "done", step: hand.session.now });
  }
  hand.do({ kind: "note", text: "The front burner runs low: it took longer than it says.", step: null });
  hand.do({ kind: "ended", grams: Math.round(got * plan.grams) });
  hand.wait(24);
  hand.do({ kind: "temperature", celsius: 66, place: "in the pan" });
  hand.wait(30);
  hand.do({ kind: "temperature", celsius: 47, place: "in the pan" });
  const body = view(hand.session).figures.find(({ id }) => id.startsWith("body."));
  const [said] = [...(await getKitchen()).reference.constants.bodyAnchors].sort(
    ([a], [b]) => Math.abs(a - (body?.now.value ?? 0)) - Math.abs(b - (body?.now.value ?? 0)),
  );
  hand.wait(240);
  if (said) hand.do({ kind: "turned out", when: body?.id === "body.chilled" ? "chilled" : "hot", body: said[0], off: "" });
  const { keeps } = view(hand.session);
  const madeOn = (await dayHere())(hand.session.endedAt ?? hand.at);
  if (left > 0) hand.do({ kind: "left over", grams: Math.round(left * got * plan.grams), place: "fridge", useBy: lastDay(keeps, "fridge", madeOn) });
  await addEvents(id, hand.events);
  const served = body?.id === "body.chilled" ? "chilled" : "hot";
  for (const [eater, [sweetness, liking]] of Object.entries(answers)) {
    const answer = { steps: { sweetness, body: 0, aroma: 0 }, liking, word: "" };
    await saveTasting(id, { id: randomUUID(), eater, guest: null, served, isSettled: true, answer }, new Date(hand.at));
  }
}
