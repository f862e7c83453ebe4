import { heatNow, rateSeen, sessionOf, stoveState, TABLE_RATE_SD, weighedRuns, type CookEvent, type CookPlan, type CookSession, type Holds } from "../cook";
import { bindingShares, bodyShares, spreadOf, type PropertyId } from "../evaluate";
import { learnedKey, type BodyFamily } from "../food";
import type { Kitchen } from "../kitchen";
import type { Outcome } from "../learning";
import { BY_THE_STOVE } from "../method";
import { burnerCap, indexOfBody } from "../process";
import { palateOutcomes, type EaterTasting } from "./palate-outcomes";
import type { Constants } from "./stove-aim";
import { heldIn, tableRate } from "./stove-cook-down";
import { coolsIn, ROOM } from "./stove-cooling";
import { stoveStanding, type CookGround, type StoveStanding } from "./stove-standing";

/** A batch as it is kept: from what it was begun, and all that happened. */
export interface KeptBatch extends CookGround {
  readonly id: string;
  readonly plan: CookPlan;
  readonly events: readonly CookEvent[];
  /** What eaters of the household said of it. */
  readonly tastings: readonly EaterTasting[];
}

type Shown = Pick<Outcome, "of" | "ln" | "sd">;

/**
 * What a batch that is done has shown, beside the tables: how fast its pan boiled away, how thick it became for what was in it, how it
 * held, how long steps took, how it cooled, how its eaters want it. Only by what was weighed, measured or said of it. `kitchen` is that of the tables: nothing
 * learned in it, so that nothing is learned twice. Empty of one that is not done.
 */
export function batchOutcomes({ id, plan, events, tastings, ...begun }: KeptBatch, kitchen: Kitchen): readonly Outcome[] {
  const session = sessionOf(plan, events);
  if (session.endedAt === null) return [];
  const { constants } = kitchen.reference;
  const stands = stoveStanding({ ...begun, stove: stoveState(session) }, kitchen);
  const at = session.endedAt;
  const shown: readonly Shown[] = [
    ...ratesShown(plan, events, stands, constants),
    ...bodiesShown(session, stands, constants),
    ...bindingShown(session, stands, constants),
    ...timesShown(session),
    ...coolingShown(session, stands, constants),
  ];
  return [...shown.map((each) => ({ ...each, at, batch: id })), ...palateOutcomes(tastings, at, stands, constants).map((each) => ({ ...each, batch: id }))];
}

/** What of a burner's power reaches a pot is a rule of thumb: so much more of it may. */
const BEYOND = 1.5;
/** Weights that lie closer together tell little of a rate, minutes; and a pot that loses less than the scale can tell. */
const APART = 3;

/** How fast pans boiled away, one outcome for each: the runs of a batch share its flame. */
function ratesShown(plan: CookPlan, events: readonly CookEvent[], { version }: StoveStanding, constants: Constants): Shown[] {
  const runs = weighedRuns(plan, events).flatMap(({ session, weights }) => {
    const [first, last] = [weights[0], weights.at(-1)];
    const stove = stoveState(session);
    // Under a lid, and in lots, it does not boil away as a pan does.
    const isOne = (session.steps.find(({ id }) => id === session.now)?.planned?.lots ?? 1) === 1;
    if (!first || !last || stove.rateKey === null || !stove.isCookedDown || !isOne || heatNow(session) === null || last.at - first.at < APART * 60_000)
      return [];
    const { sugar, starch, other } = heldIn(stove, version);
    const seen = rateSeen(weights, sugar + starch + other);
    // More than its burner can: some was taken out, or the pot was lifted.
    if (seen && stove.burner && seen.rate > BEYOND * burnerCap(stove.burner)) return [];
    return seen && seen.sd < TABLE_RATE_SD ? [{ key: stove.rateKey, ln: Math.log(seen.rate / tableRate(stove, constants)), sd: seen.sd }] : [];
  });
  return [...new Set(runs.map(({ key }) => key))].map((key): Shown => {
    const of = runs.filter((run) => run.key === key);
    const all = of.reduce((sum, { sd }) => sum + 1 / sd ** 2, 0);
    return { of: { [key]: 1 }, ln: of.reduce((sum, { ln, sd }) => sum + ln / sd ** 2, 0) / all, sd: Math.sqrt(1 / all) };
  });
}

/** Bodies that are told so far at the end of the scale say little, steps of 10. */
const [THINNEST, THICKEST] = [1, 9];

/** With less driven off than this share of all, it does not have to be weighed to know what was in it. */
const AS_IT_IS = 0.03;

/**
 * How thick it was by the house's words, beside what the models say of what was in it. Who stops by the look of it makes up for what its
 * starch is like: where it was not weighed in the end, nothing is told of that.
 */
function bodiesShown({ turnedOut, got }: CookSession, { input, figures, isBound, unknown }: StoveStanding, constants: Constants): Shown[] {
  const isAsItIs = Math.abs(input.evaporation.value) < AS_IT_IS * figures.yield.value;
  if (isBound || unknown.length > 0 || (got === null && !isAsItIs)) return [];
  return (["hot", "chilled"] as const).flatMap((cooled): Shown[] => {
    const id: PropertyId = `body.${cooled}`;
    const said = turnedOut.get(cooled)?.body ?? null;
    const told = figures[id].value;
    if (said === null || said <= THINNEST || said >= THICKEST || told <= THINNEST || told >= THICKEST || isGel(input)) return [];
    const shares = Object.entries(bodyShares(input, cooled, constants)) as [BodyFamily, number][];
    if (shares.length === 0) return [];
    const { measures, evaporation, composition } = spreadOf(input, id, constants);
    return [
      {
        of: Object.fromEntries(shares.map(([family, share]) => [learnedKey.body(cooled, family), share])),
        ln: Math.log(indexOfBody(said, constants) / indexOfBody(told, constants)),
        sd: Math.sqrt(measures + evaporation + composition) * lnXPerStep(told, constants),
      },
    ];
  });
}
/** What a gel sets is not as thick as its starch makes it. */
const isGel = ({ lines }: StoveStanding["input"]): boolean =>
  lines.some(({ food: { thickening }, grams }) => grams > 0 && (thickening.agar ?? thickening.gelatine));
/** How far ln X moves with a step of body. */
function lnXPerStep(step: number, constants: Constants): number {
  const { scale } = constants.body.value;
  return scale / (10 - step) / indexOfBody(step, constants);
}

/** Where a shaped sweet that holds like this lies, as binder by what is taken up: from, to. */
const HELD_FROM: Readonly<Record<Holds, readonly [low: number | null, high: number | null]>> = {
  crumbles: [null, 0.85],
  binds: [0.85, 1.15],
  "rich, but holds": [1.15, 1.25],
  greasy: [1.25, null],
};
/** How what was shaped held: a word, between two bounds. */
function bindingShown({ turnedOut }: CookSession, { input, figures, isBound, unknown }: StoveStanding, constants: Constants): Shown[] {
  const holds = turnedOut.get("chilled")?.holds ?? turnedOut.get("hot")?.holds ?? null;
  const told = figures.binding.value;
  if (!isBound || holds === null || unknown.length > 0 || !(told > 0)) return [];
  const [low, high] = HELD_FROM[holds];
  const lnOf = (end: number | null) => (end === null ? null : Math.log(told / end));
  const shares = Object.entries(bindingShares(input, constants));
  // Binder by what is taken up: the more is taken up, the less it is.
  return [{ of: Object.fromEntries(shares.map(([food, share]) => [learnedKey.binding(food), share])), ln: [lnOf(high), lnOf(low)], sd: 0 }];
}

/** What took so much longer or shorter was left on, or pressed late. */
const [SHORT, LONG] = [0.45, 2.2];

/** How long steps took beside the minutes that they were shown with, by what was done. */
function timesShown({ steps }: CookSession): Shown[] {
  const took = steps.flatMap(({ planned, state, took: minutes }) => {
    const usual = planned?.minutes.usual ?? 0;
    if (state !== "done" || minutes === null || !planned?.operation || !BY_THE_STOVE.includes(planned.operation) || usual < 2) return [];
    const ratio = minutes / usual;
    return ratio > SHORT && ratio < LONG ? [{ key: learnedKey.time(planned.operation), ln: Math.log(ratio) + (planned.learned ?? 0) }] : [];
  });
  return [...new Set(took.map(({ key }) => key))].map((key): Shown => {
    const of = took.filter((each) => each.key === key);
    return { of: { [key]: 1 }, ln: of.reduce((sum, { ln }) => sum + ln, 0) / of.length, sd: PRESSED / Math.sqrt(of.length) };
  });
}
/** How late or early a step is pressed done, as a share of it: a rule of thumb. */
const PRESSED = 0.25;

/** A probe and its place, and how warm the room is, leave so much of a time open; nearer to the room than this nothing is told, °C. */
const PROBED = 0.15;
const NEAR = 5;
/** What cooled so much faster or slower than the law was moved, stirred or warmed again. */
const [FAST, SLOW] = [1 / 3, 3];

/** How it cooled where it stood, beside what the law says. */
function coolingShown({ temperatures, endedAt, setUp }: CookSession, { figures, isBound }: StoveStanding, constants: Constants): Shown[] {
  // What is shaped stands as so many pieces, not as one mass.
  if (endedAt === null || isBound) return [];
  const of = { grams: figures.yield.value, diameter: setUp?.pan?.diameter ?? null, water: figures.water.value };
  const measured = temperatures.filter(({ at }) => at >= endedAt);
  const shown = measured.flatMap(({ at, celsius, place }, i) => {
    const before = measured[i - 1];
    if (!before) return [];
    const minutes = (at - before.at) / 60_000;
    if (
      place === null ||
      before.place !== place ||
      minutes < APART ||
      before.celsius - celsius < NEAR ||
      celsius < (place.includes("fridge") ? 9 : ROOM + NEAR)
    )
      return [];
    const told = coolsIn(place, of, before.celsius, celsius, constants);
    const ratio = told && told.value > 0 ? minutes / told.value : null;
    return ratio !== null && ratio > FAST && ratio < SLOW ? [{ key: learnedKey.cooling(place), ln: Math.log(ratio), minutes }] : [];
  });
  return [...new Set(shown.map(({ key }) => key))].map((key): Shown => {
    const each = shown.filter((one) => one.key === key);
    const all = each.reduce((sum, { minutes }) => sum + minutes, 0);
    return { of: { [key]: 1 }, ln: each.reduce((sum, { ln, minutes }) => sum + ln * minutes, 0) / all, sd: PROBED };
  });
}
