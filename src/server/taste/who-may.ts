import { stoveState } from "../../core/cook";
import { ALLERGIES, onDay, type Eater } from "../../core/table";
import { mayTaste, type MayTaste } from "../../core/views";
import type { DoneBatch } from "../cook/done";
import { checked } from "../http/checked";
import { Refusal } from "../http/problems";
import { validateGuests } from "../http/schemas/taste";
import { dayHere, fastsToday } from "../kitchen/day";
import { getKitchen } from "../kitchen/kitchen";
import { getEaters } from "../kitchen/sources";

/** Whether each of them may taste a sample, today. */
async function mayEachOf({ batch, session }: DoneBatch, eaters: readonly Eater[]): Promise<readonly MayTaste[]> {
  const [kitchen, { day, falls }] = await Promise.all([getKitchen(), fastsToday()]);
  const { recipe, table, bench } = batch.ground;
  const today = onDay(table, day, falls);
  return mayTaste({ recipe, table: today, bench, stove: stoveState(session), pan: session.setUp?.pan?.name ?? null, eaters }, kitchen);
}

const STRICTER: readonly MayTaste["may"][] = ["yes", "ask", "no"];
/** Of all samples: who may not have one of them may not taste; what has to be asked of one is asked. */
function stricter(one: MayTaste, other: MayTaste): MayTaste {
  const may = STRICTER[Math.max(STRICTER.indexOf(one.may), STRICTER.indexOf(other.may))] ?? "no";
  return { ...one, may, why: [...new Set([one, other].flatMap((each) => (each.may === may ? each.why : [])))] };
}

/** Whether each of them may taste all samples, today. */
export async function mayEach(samples: readonly DoneBatch[], eaters: readonly Eater[]): Promise<readonly MayTaste[]> {
  const of: (readonly MayTaste[])[] = [];
  for (const sample of samples) of.push(await mayEachOf(sample, eaters));
  return (of[0] ?? []).map((first, i) => of.slice(1).reduce((strictest, each) => (each[i] ? stricter(strictest, each[i]) : strictest), first));
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

/** What a guest is asked about: what makes ill, by name, with the rule that goes with it. */
export async function guestAllergies(): Promise<typeof ALLERGIES> {
  const { rules } = await getKitchen();
  return ALLERGIES.filter(({ rule }) => rules.has(rule));
}

/** Whether guests may taste all samples, each by what they said they keep. */
export async function mayGuests(samples: readonly DoneBatch[], body: unknown): Promise<readonly MayTaste[]> {
  const { guests } = checked(validateGuests, body);
  await checkGuests(guests);
  const day = (await dayHere())(Date.now());
  const may = await mayEach(
    samples,
    guests.map((guest) => asEater(guest, day)),
  );
  return may.map((each, i) => withOther(each, guests[i]?.other ?? "", samples));
}

/** What no rule knows is asked about, with what is in it. */
function withOther(may: MayTaste, other: string, samples: readonly DoneBatch[]): MayTaste {
  if (other.trim() === "" || may.may === "no") return may;
  const names = samples.flatMap(({ session: { plan, putIn } }) => [...plan.lines, ...putIn].map(({ name }) => name.toLowerCase()));
  const settled = may.may === "ask" ? may.why : [];
  const holds = `It holds ${[...new Set(names)].join(", ")}, and what those are made of.`;
  return { ...may, may: "ask", why: [...settled, `Whether “${other.trim()}” is in it, no rule tells. ${holds}`] };
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

/** Who tasted something. */
export interface Taster {
  /** Null of a guest. */
  readonly eaterId: string | null;
  readonly name: string;
  readonly isGuest: boolean;
}

interface SaidToBe {
  readonly eater: string | null;
  readonly guest: Guest | null;
  /** Somebody has settled what had to be asked. */
  readonly isSettled: boolean;
}

/** Who tasted, of whom it is said here: 422 where they may not taste one of the samples, or what had to be asked was not. */
export async function requireTaster(samples: readonly DoneBatch[], { eater: eaterId, guest, isSettled }: SaidToBe, now: Date): Promise<Taster> {
  const [{ document }, dayOf] = await Promise.all([getEaters(), dayHere()]);
  if (guest) await checkGuests([guest]);
  const eater = guest ? asEater(guest, dayOf(now.getTime())) : document.eaters.find((each) => each.id === eaterId);
  if (!eater || (guest !== null && eaterId !== null))
    throw new Refusal(422, "Say who tasted it: one of the eaters, or a guest by name.", [{ pointer: "/eater", detail: "It is nobody who eats here." }]);
  const [judged] = await mayEach(samples, [eater]);
  const may = judged && withOther(judged, guest?.other ?? "", samples);
  if (may?.may === "no") throw new Refusal(422, `It is not for ${eater.name}. ${may.why.join(" ")}`, [{ pointer: "/eater", detail: may.why.join(" ") }]);
  if (may?.may === "ask" && !isSettled)
    throw new Refusal(422, `Something is to be settled before ${eater.name} tastes it. ${may.why.join(" ")}`, [
      { pointer: "/isSettled", detail: may.why.join(" ") },
    ]);
  return { eaterId: guest ? null : eater.id, name: eater.name, isGuest: guest !== null };
}
