import { Z80 } from "../numeric";
import { asTreated, INDEX, SUGAR_INDICES, sumOf, type Constants, type Food } from "../food";
import { BODY_SUMS, bodyPerGram, bodyWithSlopes, percentAtBoiling, rateHere } from "../process";
import type { MakingTables } from "../making";
import { celsius, formatGrams, fraction } from "../units";
import type { CookingEnd } from "./cooking-end";
import type { Pot, Told } from "./pot";
import type { StepReading } from "./read-step";

/** Halves of the 80 % interval: of open cooking by the minute, of a pot boiled to a mark. */
const OPEN_SHARE = 0.3;
const MARK_SHARE = 0.15;
/** At most this share of the water goes where only minutes are known. */
const MOST_SHARE = 0.6;
const MINUTES_OF_SLICE = 5;
/** How far a syrup is at its stages, and what it boils at. */
type SyrupTables = Pick<MakingTables, "boiling" | "syrupStages">;

export interface Cooked {
  readonly told: Told;
  readonly minutes: number;
  /** Whether it says how much goes. */
  readonly known: boolean;
  /** Water that would have to go, and what there is, where there is not as much. */
  readonly tooMuch: { readonly asked: number; readonly there: number } | null;
  /** What would go to the end that is told, and by the minutes that are told beside it, where the two are far apart; g. */
  readonly apart: { readonly byEnd: number; readonly byMinutes: number } | null;
  /** The end cannot be come to from what is in the pot: there is less already, or nothing that thickens so far. */
  readonly unreached: string | null;
}

/** What heat did to a pot so far. */
interface Driven {
  readonly grams: number;
  /** Standard deviation. */
  readonly sd: number;
  readonly asked: number;
}

/** By the minute in a pan, at most 60 % of the water. */
function byMinutes(pot: Pot, { open, coveredMinutes, pan: told }: StepReading, { process, evaporationFlux }: Constants): Driven & { readonly minutes: number } {
  const { covered, rate } = process.value;
  const there = Math.max(0, pot.water);
  const parts = [
    ...open.map((part) => ({ ...part, factor: 1 })),
    ...(coveredMinutes > 0 ? [{ heat: "simmer" as const, minutes: coveredMinutes, factor: covered }] : []),
  ];
  let [asked, gone] = [0, 0];
  for (const { heat, minutes: all, factor } of parts) {
    const slices = Math.max(1, Math.min(12, Math.ceil(all / MINUTES_OF_SLICE)));
    for (let i = 0; i < slices; i++) {
      const [mass, water] = [pot.mass - gone, pot.water - gone];
      const solids = fraction(mass > 0 ? Math.min(1, Math.max(0, mass - water - pot.fat) / mass) : 0);
      const lost = (rateHere(heat, solids, { process, evaporationFlux }, told) * factor * all) / slices;
      asked += lost;
      gone += Math.min(lost, Math.max(0, water - there * (1 - MOST_SHARE)));
    }
  }
  return {
    grams: gone,
    sd: gone * Math.min(OPEN_SHARE / Z80, (told === null ? rate?.sd : null) ?? Infinity),
    asked,
    minutes: open.reduce((sum, part) => sum + part.minutes, 0),
  };
}

/** Water that dry foods hold when nothing runs free, g per g of them; fresh ones hold most of their own; a syrup its own (rules of thumb). */
const HELD = { ground: 3.2, whole: 2.2, fresh: 0.75, syrup: 0.3, nut: 0.4 } as const;
const GROUND: readonly unknown[] = ["flour", "grits"];
const HELD_SHARE = 0.3;
const GRAINS: readonly Food["family"][] = ["cereal", "pseudo-cereal", "pulse", "starch"];
const FRESH: readonly Food["family"][] = ["fruit", "vegetable", "root"];

/** Water in a pot that grain, pulp and sugar hold, g. */
const heldIn = ({ items }: Pot): number =>
  items.reduce((sum, { food, grams }) => {
    const own = ((food.per100g[INDEX.water] ?? 0) / 100) * grams;
    if (GRAINS.includes(food.family)) return sum + (GROUND.includes(food.nature?.form) ? HELD.ground : HELD.whole) * grams;
    if (FRESH.includes(food.family)) return sum + HELD.fresh * own;
    if (food.family === "nut" || food.family === "oilseed") return sum + HELD.nut * grams;
    return sum + (food.family === "sweetener" ? HELD.syrup * grams : 0);
  }, 0);

/** Body hot, 0 to 10, of what is in a pot with so much water. */
function bodyWith(pot: Pot, water: number, cookMinutes: number, constants: Constants): number {
  const sums = Object.fromEntries(BODY_SUMS.map((sum) => [sum, 0])) as Record<(typeof BODY_SUMS)[number], number>;
  for (const { food: plain, treated, grams } of pot.items) {
    const food = asTreated(plain, treated);
    const per = bodyPerGram(food, food.per100g, "hot", cookMinutes, constants);
    for (const sum of BODY_SUMS) sums[sum] += per[sum] * grams;
  }
  const own = pot.items.reduce((sum, { food, grams }) => sum + (grams * (food.per100g[INDEX.water] ?? 0)) / 100, 0);
  return bodyWithSlopes({ ...sums, serum: sums.serum - own + water, mass: sums.mass - own + water }, "hot", constants).step;
}

/** Water that has to go until a pot is as thick; null where that is more than may go. */
function toBody(pot: Pot, step: number, cookMinutes: number, constants: Constants): number | null {
  const there = Math.max(0, pot.water);
  const least = there * LEAST_LEFT;
  if (bodyWith(pot, there, cookMinutes, constants) >= step) return 0;
  if (bodyWith(pot, least, cookMinutes, constants) < step) return null;
  let [low, high] = [least, there];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (bodyWith(pot, middle, cookMinutes, constants) >= step) low = middle;
    else high = middle;
  }
  return there - (low + high) / 2;
}

/** Of the water at least so much stays, however long one cooks to a look. */
const LEAST_LEFT = 0.08;
/** Ends and minutes further apart than this are asked about, where it is more than some spoonfuls; g. */
const APART_SHARE = 0.3;
const APART_GRAMS = 40;
/** Where a step says only when, it cooks as long as grain takes. */
const COOKED_THROUGH = 30;

/** Whole grain thickens as it falls apart, and so do nuts and pulp, which the model of body does not follow yet: a look says nothing of such a pot. */
const UNFOLLOWED: readonly Food["family"][] = ["nut", "oilseed", "vegetable", "fruit", "root"];
const isUnfollowed = ({ items }: Pot): boolean =>
  items.some(({ food, grams }) => {
    const { starch } = food.thickening;
    return grams > 0 && ((starch !== undefined && starch.grain !== "ground") || UNFOLLOWED.includes(food.family));
  });

/** Of the solids at least so much is sugar in a syrup. */
const SYRUP_SHARE = 0.7;
const sugarsIn = ({ items }: Pot): number => items.reduce((sum, { food, grams }) => sum + (grams * sumOf(food.per100g, SUGAR_INDICES)) / 100, 0);

/** Water that goes until the end that a step tells; words where it cannot be come to, null where that is not known. */
function toEnd(pot: Pot, end: CookingEnd, timed: boolean, constants: Constants, { boiling, syrupStages }: SyrupTables): Driven | string | null {
  const there = Math.max(0, pot.water);
  const upTo = (asked: number, share: number): Driven => {
    const grams = Math.min(Math.max(0, asked), there);
    return { grams, sd: (grams * share) / Z80, asked };
  };
  switch (end.kind) {
    case "share":
      return upTo(pot.mass * (1 - end.of), MARK_SHARE);
    case "mass":
      return end.grams > pot.mass * 1.02 ? `there are ${formatGrams(pot.mass)} g already, less than “${end.words}”` : upTo(pot.mass - end.grams, MARK_SHARE);
    case "syrup":
    case "boils at": {
      const percent = end.kind === "syrup" ? (syrupStages.find(({ name }) => name === end.stage)?.from ?? 0) : percentAtBoiling(celsius(end.celsius), boiling);
      const solids = pot.mass - pot.water - pot.fat;
      // A pot that is no syrup is not told by its stage.
      if (solids <= 0 || sugarsIn(pot) < SYRUP_SHARE * solids || percent <= 0) return null;
      const asked = there - (solids * (100 - percent)) / percent;
      return asked < -0.02 * pot.mass ? `it is thicker than “${end.words}” already` : upTo(asked, MARK_SHARE);
    }
    case "dry":
      // Where grain takes all of it up, nothing is said of what boils away.
      return there > heldIn(pot) ? upTo(there - heldIn(pot), HELD_SHARE) : null;
    case "body": {
      // A look goes beside the minutes that are told: those are followed.
      if (timed || isUnfollowed(pot)) return null;
      const grams = toBody(pot, end.step, COOKED_THROUGH, constants);
      if (grams === null) return null;
      const [sooner, later] = [end.step - end.sd, end.step + end.sd].map((step) => toBody(pot, step, COOKED_THROUGH, constants) ?? grams);
      return { grams, sd: Math.max((grams * MARK_SHARE) / Z80, Math.abs((later ?? grams) - (sooner ?? grams)) / 2), asked: grams };
    }
  }
}

/** Wet cooking: to the end that the step tells, else by the minute in its pan. */
export function cook(pot: Pot, reading: StepReading, constants: Constants, syrups: SyrupTables): Cooked {
  const { open, coveredMinutes, pan } = reading;
  const end = reading.end?.end ?? null;
  const there = Math.max(0, pot.water);
  const timed = open.length > 0 || coveredMinutes > 0 ? byMinutes(pot, reading, constants) : null;
  const minutes = timed?.minutes ?? 0;
  const reached = end && pot.mass > 0 ? toEnd(pot, end, timed !== null, constants, syrups) : null;
  const unreached = typeof reached === "string" ? reached : null;
  const lid = coveredMinutes > 0 ? `${formatGrams(coveredMinutes)} min under a lid` : "";
  const cookedFor = [minutes > 0 ? `${formatGrams(minutes)} min of open cooking` : "", lid].filter(Boolean).join(" and ");
  if (reached !== null && typeof reached !== "string" && end) {
    pot.drive(reached.grams, reached.sd);
    // Where the minutes are of something before it, they say nothing of the end.
    const beside = reading.end?.isTimed ? timed : null;
    const off = beside ? Math.abs(beside.grams - reached.grams) : 0;
    return {
      told: `${endWords(end)}${beside && cookedFor ? `; by ${cookedFor} alone ${formatGrams(beside.grams)} g would go` : ""}`,
      minutes,
      known: true,
      tooMuch: reached.asked > there + 0.5 ? { asked: reached.asked, there } : null,
      apart:
        beside && off > APART_GRAMS && off > APART_SHARE * Math.max(beside.grams, reached.grams) ? { byEnd: reached.grams, byMinutes: beside.grams } : null,
      unreached: null,
    };
  }
  if (!timed) return { told: "", minutes: 0, known: false, tooMuch: null, apart: null, unreached };
  pot.drive(timed.grams, timed.sd, true);
  return {
    told: `${cookedFor}, in a ${pan ?? constants.process.value.pan} cm pan`,
    minutes,
    known: true,
    tooMuch: there > 0 && timed.asked > there ? { asked: timed.asked, there } : null,
    apart: null,
    unreached,
  };
}

/** What an end was, in words. */
function endWords(end: CookingEnd): string {
  switch (end.kind) {
    case "share":
      return `boiled down to ${formatGrams(100 * end.of)} % of it`;
    case "mass":
      return `cooked ${end.words}, about ${formatGrams(end.grams)} g`;
    case "syrup":
      return `boiled to “${end.words}” (rule of thumb)`;
    case "boils at":
      return `boiled to ${formatGrams(end.celsius)} °C`;
    case "dry":
      return `cooked ${end.words}: what grain and pulp hold stays (rule of thumb)`;
    case "body":
      return `cooked until it “${end.words}”: to the body that goes with it (rule of thumb)`;
  }
}
