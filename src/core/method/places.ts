import type { Food } from "../food";
import type { LineId, Operation, ReadStepWithTakes, StepId } from "../recipe";
import type { Version, VersionRow } from "../substitution";
import { handlingKindOf, holdsFor } from "./kinds";
import type { GoesIn, HandlingStep, HandlingTables, MethodStep } from "./step";

/** The step in which a food goes in beside what is handled as it is; none where none is, or it brings a step of its own. */
export function stepBeside<Step extends MethodStep>(
  row: VersionRow,
  how: HandlingStep,
  steps: readonly Step[],
  kept: readonly ReadStepWithTakes[],
  rowOf: ReadonlyMap<LineId, VersionRow>,
  moved: ReadonlySet<LineId>,
  { foods }: HandlingTables,
  version: Version,
): Step | undefined {
  const { food } = row;
  if (!food) return undefined;
  const hasOwn = foods.get(food.id)?.add !== undefined && (how.goesIn === "once it simmers" || how.goesIn === "off the heat");
  const beside = hasOwn || row.change !== "added" ? -1 : besideAt(kept, food, rowOf, moved);
  if (beside >= 0) return steps[beside];
  if (how.goesIn === "with the liquid") return steps[pouredAt(steps, version)];
  if (how.goesIn === "with the sweetener") return steps[sweetenedAt(steps, version)];
  return undefined;
}

/** The recipe's steps with those that foods bring, each where it goes in. */
export function inTheirPlaces(
  steps: readonly MethodStep[],
  added: readonly MethodStep[],
  goesIn: ReadonlyMap<StepId, GoesIn>,
  version: Version,
): readonly MethodStep[] {
  const own = steps.map((step, at) => ({ step, at })).filter(({ step }) => step.part === null);
  const poured = Math.max(0, pouredAt(steps, version));
  // What sets leaves the stove to be baked, steamed or chilled: what has to simmer goes in before.
  const leaves = own.find(({ step, at }) => at > poured && step.operations.some((operation) => LEAVES.includes(operation)))?.at ?? Infinity;
  const before = (at: number | undefined): number | undefined =>
    at === undefined && leaves < Infinity ? leaves - 1 : at === undefined ? undefined : Math.min(at, leaves - 1);
  const simmers = before(own.find(({ step, at }) => at >= poured && isWet(step))?.at);
  const last = before(own.findLast(({ step }) => isWet(step))?.at);
  const usual = steps.length === 0 ? 0 : Math.min(steps.length, Math.max(1, sweetenedAt(steps, version)));
  const placeOf = (step: MethodStep): number => {
    switch (goesIn.get(step.id)) {
      case "once it simmers":
        return simmers === undefined ? usual : simmers + 1;
      case "off the heat":
        return last === undefined ? usual : last + 1;
      case "with the liquid":
        return steps.length === 0 ? 0 : poured + 1;
      case "with the sweetener":
      case undefined:
        return usual;
    }
  };
  const places = added.map((step) => ({ step, place: placeOf(step) })).sort((a, b) => ranked(goesIn.get(a.step.id)) - ranked(goesIn.get(b.step.id)));
  return Array.from({ length: steps.length + 1 }, (_, at) => [
    ...places.filter(({ place }) => place === at).map(({ step }) => step),
    ...steps.slice(at, at + 1),
  ]).flat();
}
export const isWet = ({ operations, heat }: MethodStep): boolean => heat !== null || operations.some((operation) => WET.includes(operation));
const LEAVES: readonly Operation[] = ["bake", "steam", "chill"];
const WET: readonly Operation[] = ["simmer", "reduce", "pressure", "steam", "bake"];
/** What goes in at one place goes in in this order. */
const ORDER: readonly (GoesIn | undefined)[] = ["with the liquid", "once it simmers", undefined, "with the sweetener", "off the heat"];
const ranked = (goesIn: GoesIn | undefined): number => ORDER.indexOf(goesIn);

/** The step at which most of what is handled as a food goes in, by grams, and is named; -1 where nothing of the kind does. */
function besideAt(steps: readonly ReadStepWithTakes[], food: Food, rowOf: ReadonlyMap<LineId, VersionRow>, moved: ReadonlySet<LineId>): number {
  const kind = handlingKindOf(food);
  let [best, most] = [-1, 0];
  for (const [at, { takes }] of steps.entries())
    for (const { of, share, why } of takes) {
      const row = of.kind === "line" && why !== "not named" && !moved.has(of.id) ? rowOf.get(of.id) : undefined;
      const other = row?.food ? handlingKindOf(row.food) : null;
      const grams = row && kind !== null && other !== null && holdsFor(other, kind, ["mix"]) ? share * Math.max(row.grams, 1) : 0;
      if (grams > most) [best, most] = [at, grams];
    }
  return best;
}

/** The first step at which a sweetener goes in; -1 where none does. */
function sweetenedAt(steps: readonly MethodStep[], { rows }: Version): number {
  const sweet = new Set(rows.flatMap(({ id, role }) => (role === "sweetener" ? [id] : [])));
  return steps.findIndex(({ takes }) => takes.some(({ of }) => of.kind === "line" && sweet.has(of.id)));
}

/** The first step of the sweet itself at which most of its liquid goes in; -1 where none does. */
function pouredAt(steps: readonly MethodStep[], { rows }: Version): number {
  const grams = new Map(rows.flatMap(({ id, role, food, grams: all }) => (food && (role === "liquid" || food.id === "water") ? [[id, all] as const] : [])));
  const inAt = steps.map(({ part, takes }) => (part === null ? takes.reduce((sum, { of, share }) => sum + share * (grams.get(of.id) ?? 0), 0) : 0));
  const most = Math.max(0, ...inAt);
  return most > 0 ? inAt.indexOf(most) : -1;
}
