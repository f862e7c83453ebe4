import type { ReadRecipe, ReadStepWithTakes, StepId } from "../recipe";
import type { Constants, Food } from "../food";
import { evaporationRate } from "../process";
import { fraction } from "../units";
import type { Version } from "../substitution";
import type { MethodStep, StepCooking } from "./step";

/** Off by less than this share, or by less than some spoonfuls, the recipe's own minutes are kept; g. */
const KEPT_SHARE = 0.1;
const LITTLE = 15;
/** Minutes are made at most so many times as long. */
const LONGEST = 3;

export interface DrivenGround {
  readonly read: Pick<ReadRecipe, "ledger" | "steps">;
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
const isAdjustable = (read: ReadStepWithTakes): boolean =>
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
  const { read, evaporation, ownEvaporation, constants } = ground;
  const scale = Math.abs(ownEvaporation) > 1 ? evaporation / ownEvaporation : 1;
  const drivenAt = new Map(
    read.ledger.entries.flatMap(({ step, driven }) => {
      const id = step === null ? undefined : read.steps[step]?.step.id;
      return id === undefined ? [] : [[id, driven * scale] as const];
    }),
  );
  const readOf = new Map(read.steps.map((each) => [each.step.id, each] as const));
  const adjustable = steps.filter(({ id, part }) => {
    const own = readOf.get(id);
    return part === null && own !== undefined && isAdjustable(own) && (drivenAt.get(id) ?? 0) > 0;
  });
  if (adjustable.length === 0) return toldByMass(steps, version, ground);
  const there = adjustable.reduce((sum, { id }) => sum + (drivenAt.get(id) ?? 0), 0);
  // What fell away with its step is driven off no more.
  const kept = steps.reduce((sum, { id }) => sum + (drivenAt.get(id) ?? 0), 0) + added.reduce((sum, step) => sum + drivenBy(step, constants), 0);
  const off = version.evaporation - kept;
  if (Math.abs(off) < LITTLE || Math.abs(off) < KEPT_SHARE * there) return new Map();
  const ratio = Math.min(LONGEST, Math.max(0, (there + off) / there));

  const cooking = new Map<StepId, StepCooking>();
  const rounded = Math.round;
  const { covered: underLid } = constants.process.value;
  let [mass, isKnown] = [0, true];
  for (const [i, step] of steps.entries()) {
    if (step.part !== null) continue;
    for (const { of, share } of step.takes) {
      if (of.kind === "part") isKnown = false;
      else mass += share * (version.rows.find(({ id }) => id === of.id)?.grams ?? 0);
    }
    const driven = drivenAt.get(step.id) ?? 0;
    if (!adjustable.includes(step)) {
      mass -= driven;
      continue;
    }
    mass -= driven * ratio;
    const own = readOf.get(step.id)?.open[0]?.minutes ?? 0;
    const needed = needsTime(step, steps.slice(0, i), version) ? own : 0;
    const open = own * ratio;
    const isLast = adjustable.at(-1) === step;
    const left = isKnown && isLast && mass > 0 ? mass : null;
    if (open >= needed - 1) cooking.set(step.id, { open: Math.max(1, rounded(open)), covered: 0, left });
    else {
      // So much open, the rest of the time under a lid: open + lid·(time − open) drives off as much.
      const shut = Math.min(needed, Math.max(0, (needed - open) / (1 - underLid)));
      cooking.set(step.id, { open: rounded(needed) - Math.max(1, rounded(shut)), covered: Math.max(1, rounded(shut)), left });
    }
  }
  return cooking;
}

/** Solids of a pot that nothing is known of. */
const USUAL_SOLIDS = fraction(0.2);
/** What a step of its own drives off, in the usual pan, g. */
const drivenBy = ({ heat, minutes }: MethodStep, { process, evaporationFlux }: DrivenGround["constants"]): number =>
  heat === null ? 0 : evaporationRate(heat, process.value.pan, USUAL_SOLIDS, evaporationFlux.value, process.value.cap) * minutes.usual;

/** Where no step tells minutes of open cooking, the last that cooks in the sweet's own pot is told by what is left in it. */
function toldByMass(steps: readonly MethodStep[], version: Version, { read, evaporation }: DrivenGround): ReadonlyMap<StepId, StepCooking> {
  if (Math.abs(version.evaporation - evaporation) < LITTLE) return new Map();
  const last = steps.findLast(({ id, part, operations }) => {
    const own = read.steps.find(({ step }) => step.id === id);
    return part === null && own?.end == null && operations.some((operation) => operation === "simmer" || operation === "reduce");
  });
  const all = version.rows.reduce((sum, { grams, food }) => sum + (food ? grams : 0), 0);
  if (!last || steps.some(({ part, takes }) => part !== null || takes.some(({ of }) => of.kind === "part"))) return new Map();
  const later = steps
    .slice(steps.indexOf(last) + 1)
    .reduce((sum, { takes }) => sum + takes.reduce((more, { of, share }) => more + share * (version.rows.find(({ id }) => id === of.id)?.grams ?? 0), 0), 0);
  const left = all - later - version.evaporation;
  return left > 0 ? new Map([[last.id, { open: 0, covered: 0, left }]]) : new Map();
}
