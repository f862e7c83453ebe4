import type { Standing } from "../substitution";
import { notAsked, type DiningTable } from "../table";
import type { Palate } from "./palates";

/** How somebody at the table stands to what lies on the bench. */
export interface EaterStanding {
  readonly eater: string;
  readonly name: string;
  /** Content is who nothing is known to be against, and whose taste it meets. */
  readonly state: "content" | "not for them" | "to ask" | "other taste";
  /** In few words; empty where content. */
  readonly why: string;
}

/** Who at the table is content with a sweet, who is not, and why: rules and limits before what is to ask, and that before taste. */
export function eatersRow({ breaches, questions }: Standing, table: DiningTable, palates: readonly Palate[]): readonly EaterStanding[] {
  const { seats = [] } = table;
  const kept = new Set(seats.flatMap(({ rules }) => rules));
  const unasked = new Set(notAsked(table).map(({ eater }) => eater));
  return seats.map(({ eater, name, rules, limits }): EaterStanding => {
    // What the table itself leaves out holds for everybody.
    const concerns = ({ rule, limit }: { readonly rule: string | null; readonly limit: string | null }) =>
      limit !== null
        ? limits.some(({ id }) => id === limit) || seats.every((seat) => seat.limits.every(({ id }) => id !== limit))
        : rule === null || rules.includes(rule) || !kept.has(rule);
    const broken = breaches.filter(concerns);
    if (broken.length > 0)
      return {
        eater,
        name,
        state: "not for them",
        why: broken
          .map(({ short }) => short)
          .filter(isFirst)
          .join(", "),
      };
    const asked = questions.filter(concerns);
    if (asked.length > 0) return { eater, name, state: "to ask", why: asked.length === 1 ? (asked[0]?.text ?? "") : `${asked.length} things, told below` };
    if (unasked.has(eater)) return { eater, name, state: "to ask", why: "nobody has asked about allergies yet" };
    const palate = palates.find((each) => each.eater === eater && each.state !== "level");
    if (palate) return { eater, name, state: "other taste", why: OTHER_TASTE[palate.state] };
    return { eater, name, state: "content", why: "" };
  });
}

const OTHER_TASTE: Readonly<Record<Palate["state"], string>> = {
  level: "",
  "too sweet": "sweeter than they like it",
  "not sweet enough": "less sweet than they like it",
  "too thick": "thicker than they like it",
  "too thin": "thinner than they like it",
};
const isFirst = <T>(each: T, i: number, all: readonly T[]): boolean => all.indexOf(each) === i;
