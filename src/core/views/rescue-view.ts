import { groundOf } from "../adaptation";
import { openTable, type Kitchen } from "../kitchen";
import { bodyHolds, compareLikeness, propertyOf, type PropertyId } from "../evaluate";
import { rescue, targetWords, type Fault, type WayOut } from "../rescue";
import { kitchenMeasure, type LineId, type ReadRecipe } from "../recipe";
import { linesBefore, versionInput, type Version } from "../substitution";
import type { DiningTable } from "../table";
import { groundOfBench, laidBench, type BenchQuestion } from "./bench-ground";

/** A pot of what lies on a recipe's bench that went wrong. */
export interface PotQuestion extends Pick<BenchQuestion, "recipe" | "table" | "bench"> {
  readonly fault: Fault;
  /** What is in the pot, g; null where it was not weighed. */
  readonly grams: number | null;
  /** The step of the recipe (by place, from 1) up to which it was cooked; null where all of it is in. */
  readonly upTo: number | null;
}

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

export interface ToldWayOut extends Pick<WayOut, "kind" | "words" | "or" | "minutes" | "allergens" | "change"> {
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
      readonly ways: readonly ToldWayOut[];
      /** What would mend it, and this table does not have. */
      readonly gone: readonly { readonly name: string; readonly why: string }[];
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
export function rescueView({ fault, grams, upTo, ...at }: PotQuestion, kitchen: Kitchen): RescueView {
  const ground = groundOfBench(at, kitchen);
  const version = (laidBench(at.bench, ground, at.table, kitchen)?.state ?? ground.handedDown).version;
  const out = upTo === null ? new Set<LineId>() : outAfter(ground.read, upTo);
  return rescueOf(version, ground.read, at.table, { fault, grams, out }, kitchen);
}

/** The lines that no step up to a place takes. */
export const outAfter = (read: ReadRecipe, upTo: number): ReadonlySet<LineId> => {
  const inPot = new Set(linesBefore(read, upTo));
  return new Set(read.lines.flatMap(({ id }) => (inPot.has(id) ? [] : [id])));
};

/** What mends a version of a recipe at its table. */
export function rescueOf(
  version: Version,
  read: ReadRecipe,
  table: DiningTable,
  { fault, grams, out }: Pick<PotQuestion, "fault" | "grams"> & { readonly out: ReadonlySet<LineId> },
  kitchen: Kitchen,
): RescueView {
  const { constants, foods } = kitchen.reference;
  const held = version.rows.filter((row) => row.food !== null && row.grams > 0);
  const answer = rescue({
    meant: versionInput(version, groundOf(read, table)),
    lineIds: held.map(({ line }) => line),
    state: { grams, out },
    fault,
    problem: openTable(read, table, kitchen),
    foods,
    menders: kitchen.menders,
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
    ways: answer.ways.map(({ kind, words, or, minutes, allergens, change, boilOff, adds, after }) => ({
      kind,
      words,
      or,
      minutes,
      allergens: allergens.map((each) => each.replace("-", " ")),
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
    gone: answer.gone.map(({ food, why }) => ({ name: food.name, why })),
  };
}
