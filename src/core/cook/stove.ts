import { learnedKey } from "../food";
import type { Heat } from "../process";
import type { FruitSweetness } from "./event";
import type { LineShare, PlannedLine } from "./plan";
import { weightsNow, type CookSession } from "./session";

/** A line of the plan as it stands on the stove, g. */
export interface StoveLine extends PlannedLine {
  /** What is meant of it now, all in all, if nothing more of what waits goes in. */
  readonly all: number;
  /** What has gone in of it by now. */
  readonly inNow: number;
  /** What of it still waits: held back, and not closed. */
  readonly waits: number;
  /** Whether it is held back, and not closed: it can still go in bit by bit. */
  readonly isHeld: boolean;
}

/** Lines as they stand: what the steps put in, less what is held back, and what went in besides. */
export function stoveLines({ plan, steps, held, amounts, putIn }: CookSession): readonly StoveLine[] {
  const share = new Map<string, number>();
  // What a step that was left out puts in does not go in.
  const leftOut = new Map<string, number>();
  for (const { planned, state } of steps)
    for (const take of planned?.takes ?? []) {
      const to = state === "done" || state === "now" || state === "going" ? share : state === "skipped" ? leftOut : null;
      to?.set(take.line, Math.min(1, (to.get(take.line) ?? 0) + take.share));
    }
  return plan.lines.map((line): StoveLine => {
    const { grams: kept = 0, isClosed = false } = held.get(line.id) ?? {};
    const put = putIn.reduce((sum, each) => sum + (each.line === line.id ? each.grams : 0), 0);
    const meant = Math.max(0, (amounts.get(line.id) ?? line.grams) - kept);
    const done = share.get(line.id) ?? 0;
    const without = Math.min(1 - done, leftOut.get(line.id) ?? 0);
    return {
      ...line,
      all: meant * (1 - without) + put,
      inNow: meant * done + put,
      waits: isClosed ? 0 : Math.max(0, kept - put),
      isHeld: kept > 0 && !isClosed,
    };
  });
}

/** What is computed of a pot on the stove: what its events come to. Can be cloned. */
export interface StoveState {
  readonly lines: readonly { readonly id: string; readonly name: string; readonly all: number; readonly inNow: number }[];
  /** What went in that is no line of the plan; a food that the tables do not know is null. */
  readonly others: readonly { readonly food: string | null; readonly name: string; readonly grams: number }[];
  readonly fruits: readonly { readonly line: string; readonly sweetness: FruitSweetness }[];
  /** The step that is on, or was last. */
  readonly step: string | null;
  /** What is in its pot, g, by line. */
  readonly pot: readonly { readonly line: string; readonly grams: number }[];
  /** What is to be driven off by steps that are still to come, and in pots of their own, g by plan. */
  readonly drivenLater: number;
  /** The same by the step that is on, or was last. */
  readonly drivenHere: number;
  /** Whether it is cooked down at the step that is on. */
  readonly isCookedDown: boolean;
  readonly heat: Heat | null;
  /** cm; kind and kW of the burner. */
  readonly diameter: number | null;
  readonly burner: { readonly kind: "gas" | "induction" | "electric"; readonly power: number } | null;
  /** By what is remembered how fast this pan boils away on this burner; null where nobody said which. */
  readonly rateKey: string | null;
  readonly stopAt: number | null;
  /** What came of it, g; null where it is not done, or was not weighed. */
  readonly got: number | null;
  /** The pot as it was weighed since something last changed, g without the pan; null where it was not. */
  readonly weighed: number | null;
}

/** Less than this share of the pot, or than some spoonfuls (g), is not cooked down: no scale tells it from where it was. */
const LITTLE_SHARE = 0.1;
const LITTLE = 15;

/** The flame that is on: as it was set by hand, or as the step has it. */
export const heatNow = (session: Pick<CookSession, "heat" | "steps" | "now">): Heat | null =>
  session.heat ?? session.steps.find(({ id }) => id === session.now)?.planned?.heat ?? null;

export function stoveState(session: CookSession): StoveState {
  const lines = stoveLines(session);
  const { steps, putIn, setUp, fruits, stopAt, plan } = session;
  const at = steps.findIndex(({ id }) => id === session.now);
  const here = steps
    .slice(0, at < 0 ? steps.length : at + 1)
    .findLast(({ planned, state }) => planned !== null && (state === "now" || state === "going" || state === "done"));
  const on = steps[at]?.planned ?? null;
  const reached = here ? steps.indexOf(here) : -1;
  const byId = new Map(lines.map((line) => [line.id, line] as const));
  const shares: readonly LineShare[] = here?.planned?.pot ?? [];
  const elsewhere = (part: string | null) => part !== (here?.planned?.part ?? null);
  const pot = shares.flatMap(({ line, share }) => {
    const found = byId.get(line);
    if (!found || found.inNow <= 0) return [];
    const put = putIn.reduce((sum, each) => sum + (each.line === line ? each.grams : 0), 0);
    return [{ line, grams: Math.min(found.inNow, share * Math.max(0, found.inNow - put) + put) }];
  });
  const little = Math.max(LITTLE, LITTLE_SHARE * pot.reduce((sum, { grams }) => sum + grams, 0));
  return {
    lines: lines.map(({ id, name, all, inNow }) => ({ id, name, all, inNow })),
    others: putIn.flatMap(({ line, food, name, grams }) => (line === null ? [{ food, name, grams }] : [])),
    fruits: [...fruits].map(([line, sweetness]) => ({ line, sweetness })),
    step: here?.id ?? null,
    pot,
    drivenLater: plan.steps.reduce((sum, { driven, part }, i) => sum + (i > reached || elsewhere(part) ? driven : 0), 0),
    drivenHere: here?.planned?.driven ?? 0,
    // A step of one's own is cooked down where it is said to what.
    isCookedDown: on === null ? at >= 0 && stopAt !== null : on.heat !== null && on.driven >= little,
    heat: heatNow(session),
    diameter: setUp?.pan?.diameter ?? null,
    burner: setUp?.burner ? { kind: setUp.burner.kind, power: setUp.burner.power } : null,
    rateKey: setUp?.pan ? learnedKey.rate(setUp.pan, setUp.burner) : null,
    stopAt,
    got: session.got,
    weighed: weightsNow(session).at(-1)?.grams ?? null,
  };
}
