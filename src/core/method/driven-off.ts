import type { ReadRecipe, ReadStepWithTakes, StepId, StepReading } from "../recipe";
import type { Constants, Food } from "../food";
import { rateHere } from "../process";
import { fraction } from "../units";
import type { Version } from "../substitution";
import type { MethodStep, StepCooking } from "./step";

/** Off by less than this share, or by less than some spoonfuls, the recipe's own minutes are kept; g. */
const KEPT_SHARE = 0.1;
const LITTLE = 15;
/** Minutes are made at most so many times as long. */
const LONGEST = 3;

export interface DrivenGround {
  readonly ledger: ReadRecipe["ledger"];
  /** The recipe's steps, by which its ledger goes. */
  readonly recipe: readonly ReadStepWithTakes[];
  /** The steps as they are in the version, by id. */
  readonly readings: ReadonlyMap<StepId, StepReading>;
  /** Minutes that a step has to cook so that what is raw in it is done. */
  readonly atLeast: ReadonlyMap<StepId, number>;
  /** Water that the recipe drives off, and what it was read to in its own servings, g. */
  readonly evaporation: number;
  readonly ownEvaporation: number;
  readonly constants: Pick<Constants, "process" | "evaporationFlux">;
}

/** What only boils down: all else needs its time, as grain, pulses, egg, roots and fruit do. */
const ONLY_BOILS: readonly Food["family"][] = ["dairy", "drink", "water", "sweetener", "fat", "spice", "essence", "salt"];
/** Whether something in the pot has to cook as long as the recipe says: then it goes on, under a lid. */
function needsTime(step: Pick<MethodStep, "takes">, before: readonly Pick<MethodStep, "takes">[], version: Version): boolean {
  const taken = [...before, step].flatMap(({ takes }) => takes);
  const inPot = new Set(taken.map(({ of }) => of.id));
  return taken.some(({ of }) => of.kind === "part") || version.rows.some(({ id, food }) => food !== null && inPot.has(id) && !ONLY_BOILS.includes(food.family));
}

/** Whether the minutes of a step can be set: it cooks open for a time that it tells once, to no end by mass. */
const isAdjustable = (read: StepReading): boolean =>
  read.timed && read.open.length === 1 && read.coveredMinutes === 0 && (read.end === null || read.end.end.kind === "body");

/**
 * What the steps have to do so that as much is driven off as a version is worked out with: the open cooking of its steps is made
 * shorter, longer, or goes on under a lid where grain needs the time. Empty where the recipe's own minutes do.
 */
export function cookingOf(
  steps: readonly MethodStep[],
  added: readonly MethodStep[],
  version: Version,
  ground: DrivenGround,
): ReadonlyMap<StepId, StepCooking> {
  const { ledger, recipe, readings, atLeast, evaporation, ownEvaporation, constants } = ground;
  const scale = Math.abs(ownEvaporation) > 1 ? evaporation / ownEvaporation : 1;
  const drivenAt = new Map(
    ledger.entries.flatMap(({ step, driven }) => {
      const id = step === null ? undefined : recipe[step]?.step.id;
      return id === undefined ? [] : [[id, driven * scale] as const];
    }),
  );
  const level = toldByLevel(steps, added, version, ground, drivenAt, scale);
  if (level) return new Map([level, ...withLonger(new Map([level]), steps, ground, new Map([level]))]);
  const adjustable = steps.filter(({ id, part }) => {
    const own = readings.get(id);
    return part === null && own !== undefined && isAdjustable(own) && (drivenAt.get(id) ?? 0) > 0;
  });
  // What fell away with its step is driven off no more.
  const kept = steps.reduce((sum, { id }) => sum + (drivenAt.get(id) ?? 0), 0) + added.reduce((sum, step) => sum + drivenBy(step, constants), 0);
  const off = version.evaporation - kept;
  if (adjustable.length === 0)
    return new Map([...underLids(added, -off, constants), ...withLonger(toldByMass(steps, version, ground), steps, ground, new Map())]);
  const all = adjustable.reduce((sum, { id }) => sum + (drivenAt.get(id) ?? 0), 0);
  const isEnough = Math.abs(off) < LITTLE || Math.abs(off) < KEPT_SHARE * all;
  if (isEnough && atLeast.size === 0) return new Map();
  const { set, ratio } = isEnough ? { set: adjustable, ratio: 1 } : fewest(adjustable, off, drivenAt);
  const ratioOf = (step: MethodStep) => (set.includes(step) ? ratio : 1);

  const cooking = new Map<StepId, StepCooking>();
  let tooMuch = isEnough ? 0 : -off;
  const { covered: underLid } = constants.process.value;
  const amount = off < 0 ? LESS : MORE;
  let [mass, put, isKnown, endsBefore] = [0, 0, true, false];
  for (const [i, step] of steps.entries()) {
    if (step.part !== null) continue;
    for (const { of, share } of step.takes) {
      if (of.kind === "part") isKnown = false;
      else {
        const grams = share * (version.rows.find(({ id }) => id === of.id)?.grams ?? 0);
        mass += grams;
        put += grams;
      }
    }
    const driven = drivenAt.get(step.id) ?? 0;
    mass -= driven * ratioOf(step);
    const endedBefore = endsBefore;
    endsBefore ||= readings.get(step.id)?.end != null;
    const isSet = adjustable.includes(step) && (set.includes(step) || atLeast.has(step.id)) && !(isEnough && !atLeast.has(step.id));
    if (!isSet) continue;
    const own = readings.get(step.id)?.open[0]?.minutes ?? 0;
    const needed = Math.max(needsTime(step, steps.slice(0, i), version) ? own : 0, atLeast.get(step.id) ?? 0);
    const open = own * ratioOf(step);
    const why = [...(needed > own + 1 ? [UNTIL_DONE] : []), ...(isEnough ? [] : [amount])].join(", ");
    const isLast = adjustable.at(-1) === step || set.at(-1) === step;
    // Where it was boiled to an end before, what was driven off there goes by what went in: all that is driven off less what later steps do.
    const later = steps.slice(i + 1).reduce((sum, { id }) => sum + (drivenAt.get(id) ?? 0), 0);
    const then = endedBefore ? put - (version.evaporation - later) : mass;
    const left = isKnown && isLast && then > 0 && !isEnough ? then : null;
    if (open >= needed - 1) {
      tooMuch -= driven * (1 - ratioOf(step));
      cooking.set(step.id, { open: Math.max(1, Math.round(open)), covered: 0, left, why });
    } else {
      // So much open, the rest of the time under a lid: open + lid·(time − open) drives off as much.
      const shut = Math.min(needed, Math.max(0, (needed - open) / (1 - underLid)));
      tooMuch -= driven * (1 - (needed - shut + underLid * shut) / Math.max(1, own));
      cooking.set(step.id, { open: Math.round(needed) - Math.max(1, Math.round(shut)), covered: Math.max(1, Math.round(shut)), left, why });
    }
  }
  return new Map([...underLids(added, tooMuch, constants), ...withLonger(cooking, steps, ground, cooking)]);
}

/** Steps that foods bring, of which as many cook under a lid as is needed so that no more than so much less is driven off, g. */
function underLids(added: readonly MethodStep[], grams: number, constants: DrivenGround["constants"]): [StepId, StepCooking][] {
  let tooMuch = grams;
  return added.flatMap((step): [StepId, StepCooking][] => {
    if (tooMuch < LITTLE || step.heat === null || step.minutes.usual < LONG_ENOUGH) return [];
    tooMuch -= drivenBy(step, constants) * (1 - constants.process.value.covered);
    return [[step.id, { open: 0, covered: step.minutes.usual, left: null, why: LESS }]];
  });
}
/** Shorter than this no lid is put on, minutes. */
const LONG_ENOUGH = 8;
const UNTIL_DONE = "until it is done";

/** The fewest steps, those that drive off most first, that can be made to drive off so much more or less, and by what factor. */
function fewest(
  adjustable: readonly MethodStep[],
  off: number,
  drivenAt: ReadonlyMap<StepId, number>,
): { readonly set: readonly MethodStep[]; readonly ratio: number } {
  const byDriven = [...adjustable].sort((a, b) => (drivenAt.get(b.id) ?? 0) - (drivenAt.get(a.id) ?? 0));
  let there = 0;
  for (const [i, { id }] of byDriven.entries()) {
    there += drivenAt.get(id) ?? 0;
    const ratio = (there + off) / there;
    if (i === byDriven.length - 1 || (ratio >= LEAST_OF_ONE && ratio <= LONGEST))
      return { set: adjustable.filter((step) => byDriven.indexOf(step) <= i), ratio: Math.min(LONGEST, Math.max(0, ratio)) };
  }
  return { set: adjustable, ratio: 1 };
}
/** One step alone is made to drive off no less than this share of what it did. */
const LEAST_OF_ONE = 0.35;

/** Steps that tell no minutes of their own, and have to cook until something is done. */
function withLonger(
  cooking: ReadonlyMap<StepId, StepCooking>,
  steps: readonly MethodStep[],
  { atLeast, readings }: DrivenGround,
  set: ReadonlyMap<StepId, StepCooking>,
): ReadonlyMap<StepId, StepCooking> {
  const more = steps.flatMap(({ id }): [StepId, StepCooking][] => {
    const minutes = atLeast.get(id);
    if (minutes === undefined || set.has(id)) return [];
    const own = readings.get(id)?.open.reduce((sum, each) => sum + each.minutes, 0) ?? 0;
    return [[id, { open: Math.min(own, minutes), covered: minutes - Math.min(own, minutes), left: cooking.get(id)?.left ?? null, why: UNTIL_DONE }]];
  });
  return new Map([...cooking, ...more]);
}

/** Solids of a pot that nothing is known of. */
const USUAL_SOLIDS = fraction(0.2);
/** What is roasted or fried apart takes nothing from the pot. */
const drivesWater = ({ heat, operations }: Pick<MethodStep, "heat" | "operations">): boolean =>
  heat !== null && !operations.some((operation) => operation === "roast" || operation === "fry");
/** What a step of its own drives off, in the usual pan, g. */
const drivenBy = ({ heat, minutes, operations }: MethodStep, constants: DrivenGround["constants"]): number =>
  !drivesWater({ heat, operations }) || heat === null ? 0 : rateHere(heat, USUAL_SOLIDS, constants) * minutes.usual;

/**
 * Where the pot is boiled down to a level that the recipe tells ("to half"), and the version is worked out to another: the last
 * such step is told by what is left. Null where its own words do, or what is in the pot by then is not known.
 */
function toldByLevel(
  steps: readonly MethodStep[],
  added: readonly MethodStep[],
  version: Version,
  { readings, atLeast, constants }: DrivenGround,
  drivenAt: ReadonlyMap<StepId, number>,
  scale: number,
): [StepId, StepCooking] | null {
  const at = steps.findLastIndex(({ id, part }) => part === null && ["share", "mass"].includes(readings.get(id)?.end?.end.kind ?? ""));
  const step = steps[at];
  const end = step && readings.get(step.id)?.end?.end;
  const upTo = steps.slice(0, at + 1);
  if (!step || !end || atLeast.has(step.id)) return null;
  if (upTo.some(({ part, takes }) => part !== null || takes.some(({ of }) => of.kind === "part"))) return null;
  const grams = (of: readonly MethodStep[]) =>
    of.flatMap(({ takes }) => takes).reduce((sum, { of: { id }, share }) => sum + share * (version.rows.find((row) => row.id === id)?.grams ?? 0), 0);
  const driven = (of: readonly MethodStep[]) => of.reduce((sum, { id }) => sum + (drivenAt.get(id) ?? 0), 0);
  const put = grams(upTo);
  // What foods bring of their own is cooked in it afterwards.
  const later = driven(steps.slice(at + 1)) + added.reduce((sum, each) => sum + drivenBy(each, constants), 0);
  const left = put - (version.evaporation - later);
  const before = put - driven(steps.slice(0, at));
  const told = end.kind === "share" ? end.of * before : end.kind === "mass" ? end.grams * scale : left;
  if (left <= 0 || left >= before || Math.abs(told - left) < Math.max(LITTLE, KEPT_SHARE * (before - left))) return null;
  return [step.id, { open: 0, covered: 0, left, level: end.words, why: told < left ? LESS : MORE }];
}
const LESS = "less is to boil away";
const MORE = "more is to boil away";

/** Where no step tells minutes of open cooking, the last that cooks in the sweet's own pot is told by what is left in it. */
function toldByMass(steps: readonly MethodStep[], version: Version, { readings, evaporation }: DrivenGround): ReadonlyMap<StepId, StepCooking> {
  if (Math.abs(version.evaporation - evaporation) < LITTLE) return new Map();
  const last = steps.findLast(({ id, part, operations }) => {
    return part === null && readings.get(id)?.end == null && operations.some((operation) => operation === "simmer" || operation === "reduce");
  });
  const all = version.rows.reduce((sum, { grams, food }) => sum + (food ? grams : 0), 0);
  if (!last || steps.some(({ part, takes }) => part !== null || takes.some(({ of }) => of.kind === "part"))) return new Map();
  const later = steps
    .slice(steps.indexOf(last) + 1)
    .reduce((sum, { takes }) => sum + takes.reduce((more, { of, share }) => more + share * (version.rows.find(({ id }) => id === of.id)?.grams ?? 0), 0), 0);
  const left = all - later - version.evaporation;
  return left > 0 ? new Map([[last.id, { open: 0, covered: 0, left, why: version.evaporation < evaporation ? LESS : MORE }]]) : new Map();
}
