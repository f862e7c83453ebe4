import { groundOf, methodFor } from "../adaptation";
import { openTable, type Kitchen } from "../kitchen";
import { bodyHolds, compareLikeness, propertyOf, type PropertyId } from "../evaluate";
import { ALL_IN, rescue, targetWords, type Fault, type PotState, type WayOut } from "../rescue";
import { kitchenMeasure, type LineId, type ReadRecipe } from "../recipe";
import { standingOf, versionInput, type Version } from "../substitution";
import type { DiningTable } from "../table";
import { lowerFirst } from "../units";
import type { StoveQuestion } from "./stove-standing";
import { begunAs, stoveVersion } from "./stove-version";
import { groundOfBench, laidBench, type BenchQuestion } from "./bench-ground";

/** What went wrong, and with how much. */
interface PotFault {
  readonly fault: Fault;
  /** What is in the pot, g; null where it was not weighed. */
  readonly grams: number | null;
  /** The step of the recipe (by place, from 1) up to which it was cooked; null where all of it is in. */
  readonly upTo: number | null;
  /** How warm it is, °C; null where nobody says. */
  readonly celsius: number | null;
  /** Foods that nobody has at hand, by id. */
  readonly notAtHand: readonly string[];
}

/** A pot of what lies on a recipe's bench that went wrong. */
export interface PotQuestion extends Pick<BenchQuestion, "recipe" | "table" | "bench">, PotFault {}

/** A figure before and after a way out. */
export interface Shift {
  readonly id: PropertyId;
  readonly name: string;
  readonly unit: string;
  readonly before: number;
  readonly after: number;
  /** It would be noticed. */
  readonly isNoticed: boolean;
}

export interface ToldWayOut extends Pick<WayOut, "kind" | "words" | "or" | "minutes" | "allergens" | "over" | "change"> {
  readonly adds: readonly {
    readonly food: string;
    readonly name: string;
    readonly grams: number;
    readonly low: number;
    readonly high: number;
    readonly measure: string;
  }[];
  readonly boilOff: WayOut["boilOff"];
  /** g in the pot after it. */
  readonly grams: number;
  readonly shifts: readonly Shift[];
}

/** The ways out of a fault, ready to be shown; or what has to be asked first. */
export type RescueView =
  | {
      readonly kind: "ways out";
      readonly grams: number;
      /** What the figure of the fault is and has to come to; null where no figure tells it. */
      readonly target: string | null;
      readonly question: string | null;
      /** What its warmth does to what is judged. */
      readonly warmth: string | null;
      /** What in the pot this table leaves out: no mend makes it fit. */
      readonly breaks: readonly string[];
      /** What has not gone in yet, g: what was meant is with it. */
      readonly still: readonly { readonly name: string; readonly grams: number }[];
      /** Lines of the recipe that are not read: what of them is in the pot counts for nothing here. */
      readonly unread: number;
      readonly ways: readonly ToldWayOut[];
      /** What would mend it, and this table does not have. */
      readonly gone: readonly { readonly food: string; readonly name: string; readonly why: string }[];
    }
  | { readonly kind: "question"; readonly why: string };

/** What is told of a pot after it: how sweet, how thick or bound, how rich, and what a serving holds. */
const TOLD: readonly PropertyId[] = [
  "sweetness.hot",
  "sweetness.chilled",
  "body.hot",
  "body.chilled",
  "binding",
  "richness",
  "serving.freeSugarsUk",
  "serving.energy",
];

/** What mends what lies on the bench. */
export function rescueView({ fault, grams, upTo, celsius, notAtHand, ...at }: PotQuestion, kitchen: Kitchen): RescueView {
  const ground = groundOfBench(at, kitchen);
  const version = (laidBench(at.bench, ground, at.table, kitchen)?.state ?? ground.handedDown).version;
  return rescueOf(version, ground.read, at.table, { fault, grams, upTo, celsius, notAtHand }, kitchen);
}

/** How much of each row has gone in by a step of the recipe (by place, from 1), and of what was to boil away how much has. */
function potAfter(version: Version, read: ReadRecipe, table: DiningTable, upTo: number, kitchen: Kitchen): Omit<PotState, "grams" | "celsius"> {
  const made = { handling: kitchen.handling, constants: kitchen.reference.constants, equipment: kitchen.household.equipment };
  const { steps } = methodFor(read, version, table, made).method;
  const cooked = new Set(read.steps.slice(0, upTo).map(({ step }) => step.id));
  const last = steps.findLastIndex(({ origin }) => origin.kind === "recipe" && cooked.has(origin.step));
  const shareOf = new Map<LineId, number>();
  for (const { takes } of steps.slice(0, last + 1))
    for (const { of, share } of takes) if (of.kind === "line") shareOf.set(of.id, Math.min(1, (shareOf.get(of.id) ?? 0) + share));
  const driven = (until: number) => read.ledger.entries.reduce((sum, { step, driven: off }) => sum + (step !== null && step < until ? off : 0), 0);
  const all = driven(Infinity);
  return { shares: heldRows(version).map(({ id }) => shareOf.get(id) ?? 0), drivenShare: all > 0 ? driven(upTo) / all : 0 };
}
/** The rows that the models take, in their order. */
const heldRows = ({ rows }: Version) => rows.filter((row) => row.food !== null && row.grams > 0);

/** What mends a version of a recipe at its table. */
export function rescueOf(
  version: Version,
  read: ReadRecipe,
  table: DiningTable,
  { fault, grams, upTo, celsius, notAtHand }: PotFault,
  kitchen: Kitchen,
): RescueView {
  const by = upTo === null ? ALL_IN : potAfter(version, read, table, upTo, kitchen);
  return mendsOf({ version, wanted: version, by }, read, table, { fault, grams, celsius, notAtHand }, kitchen);
}

/** A pot on the stove that went wrong. */
export interface StoveFault extends StoveQuestion, Pick<PotFault, "fault" | "celsius" | "notAtHand"> {}

/** What mends a batch on the stove, as its events say what is in it and what it weighs. */
export function stoveRescueView({ stove, fault, celsius, notAtHand, ...at }: StoveFault, kitchen: Kitchen): RescueView {
  const ground = groundOfBench(at, kitchen);
  const begun = begunAs(at.bench, ground, kitchen.reference.foods);
  const { version: plan } = begun;
  const { version, shares, unknown } = stoveVersion(begun, stove, kitchen.reference.foods);
  if (unknown.length > 0)
    return {
      kind: "question",
      why: `Nobody knows what ${unknown.join(", ")} holds: nothing can be worked out of a pot with it. Take it back, or say which food it is.`,
    };
  const drivenShare = plan.evaporation > 0 ? Math.min(1, Math.max(0, 1 - stove.drivenLater / plan.evaporation)) : 1;
  return mendsOf({ version, wanted: plan, by: { shares, drivenShare } }, ground.read, at.table, { fault, grams: stove.weighed, celsius, notAtHand }, kitchen);
}

interface Pots {
  readonly version: Version;
  /** What it was meant to be. */
  readonly wanted: Version;
  readonly by: Omit<PotState, "grams" | "celsius">;
}
function mendsOf(
  { version, wanted, by }: Pots,
  read: ReadRecipe,
  table: DiningTable,
  { fault, grams, celsius, notAtHand }: Omit<PotFault, "upTo">,
  kitchen: Kitchen,
): RescueView {
  const { constants, foods } = kitchen.reference;
  const problem = openTable(read, table, kitchen);
  const held = heldRows(version).map((row, at) => ({ ...row, share: by.shares?.[at] ?? 1 }));
  // What has not gone in breaks nothing yet.
  const waits = new Set(held.flatMap(({ line, share }) => (line !== null && share === 0 ? [line] : [])));
  const answer = rescue({
    meant: versionInput(version, groundOf(read, table)),
    wanted: versionInput(wanted, groundOf(read, table)),
    state: { grams, celsius, ...by },
    fault,
    problem,
    foods,
    menders: kitchen.menders,
    notAtHand,
  });
  if (answer.kind === "question") return answer;
  const { pot } = answer;
  const isBound = !bodyHolds(pot.figures);
  const shiftsOf = ({ figures }: WayOut["after"]): readonly Shift[] =>
    TOLD.flatMap((id): Shift[] => {
      if (id === "binding" ? !isBound : isBound && id.startsWith("body.")) return [];
      const { name, unit, noticed } = propertyOf(id);
      const [before, after] = [pot.figures[id].value, figures[id].value];
      const { state } = compareLikeness(pot.figures[id], figures[id], noticed?.(before, constants.noticeable.value) ?? null);
      const isNoticed = state === "outside" || (state === "free" && Math.abs(after - before) > 0.05 * Math.max(Math.abs(before), 1e-9));
      return [{ id, name, unit, before, after, isNoticed: isNoticed || id === answer.target?.property }];
    });
  return {
    kind: "ways out",
    grams: pot.grams,
    target: answer.target && targetWords(answer.target),
    question: answer.question,
    warmth: answer.warmth,
    breaks: [
      ...new Set(
        standingOf(problem, version).breaches.flatMap(({ limit, line, short, reason }) =>
          limit === null && (line === null || !waits.has(line)) ? [`${short}: ${lowerFirst(reason)}`] : [],
        ),
      ),
    ],
    still: held.flatMap(({ food, grams: all, share }) => (food && share < 1 ? [{ name: food.name, grams: (1 - share) * all }] : [])),
    unread: read.unresolved.length,
    ways: answer.ways.map(({ kind, words, or, minutes, allergens, over, change, boilOff, adds, after }) => ({
      kind,
      words,
      or,
      minutes,
      allergens: allergens.map((each) => each.replace("-", " ")),
      over,
      change,
      boilOff,
      adds: adds.map(({ food, grams: amount, low, high }) => ({
        food: food.id,
        name: food.name,
        grams: amount,
        low,
        high,
        measure: kitchenMeasure(food, amount, read.measures)?.text ?? "",
      })),
      grams: after.figures.yield.value,
      shifts: shiftsOf(after),
    })),
    gone: answer.gone.map(({ food, why }) => ({ food: food.id, name: food.name, why })),
  };
}
