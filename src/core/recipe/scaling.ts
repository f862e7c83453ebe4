import type { Food, Role } from "../food";
import { fail, succeed, type Result } from "../numeric";
import { formatGrams, weighable, type HouseholdMeasures } from "../units";
import { balance } from "./balance";
import { kitchenMeasure } from "./kitchen-measure";
import type { ReadRecipe } from "./read-recipe";
import type { LineId } from "./recipe";

/** By what a recipe is made larger or smaller. */
export type ScaleGoal =
  | { readonly kind: "servings"; readonly servings: number }
  /** So many pieces of so many grams each. */
  | { readonly kind: "pieces"; readonly pieces: number; readonly grams: number }
  /** A pan or mould filled to so many millilitres. */
  | { readonly kind: "mould"; readonly millilitres: number }
  /** What there is of one ingredient. */
  | { readonly kind: "ingredient"; readonly line: LineId; readonly grams: number };

export interface ScaledLine {
  readonly id: LineId;
  readonly food: Food;
  readonly before: number;
  /** To the gram that the factor asks for. */
  readonly exact: number;
  /** What a kitchen can weigh out, or count. */
  readonly grams: number;
  /** In the measure one would reach for; empty where it is only weighed. */
  readonly measure: string;
  /** What was chosen where only whole ones will do: "2 of 2.4 eggs". */
  readonly choice: string | null;
}

export interface ScaledAmounts {
  readonly factor: number;
  readonly servings: number;
  readonly lines: readonly ScaledLine[];
  /** Finished mass before and after, g. */
  readonly finished: number;
  readonly finishedBefore: number;
  /** Times that something which is stirred or heated through takes: (m/m₀)^0.8 (rule of thumb). */
  readonly time: number;
}

export type ScaleProblem = { readonly kind: "nothing read" } | { readonly kind: "no such line" } | { readonly kind: "out of bounds"; readonly factor: number };

const LEAST_FACTOR = 0.05;
const MOST_FACTOR = 50;
/** A thick sweet, g per ml (rule of thumb: puddings 1.05 to 1.1, halwas 1.1 to 1.2). */
const SWEET_DENSITY = 1.1;
const TIME_POWER = 0.8;
/** Counted by the piece and hard to halve. */
const WHOLE = /^(egg|egg-white|egg-yolk)$/;
/** A written count of cans or pods. */
const UNITS = /^(\d+(?:\.\d+)?)\s+(cans?|tins?|pods?)\b/i;

const writtenLines = (read: ReadRecipe) =>
  read.readings.flatMap((reading) =>
    reading.kind === "read"
      ? [
          {
            id: reading.line.id,
            food: reading.food,
            role: reading.role,
            measure: reading.measure,
            ratio: reading.line.choice.ratio,
            before: reading.grams.value,
          },
        ]
      : [],
  );

/** How many times as much of a recipe is asked for, and what it comes to finished as written, g. */
export function scaleFactor(read: ReadRecipe, goal: ScaleGoal): Result<{ readonly factor: number; readonly finishedBefore: number }, ScaleProblem> {
  const written = writtenLines(read);
  if (written.length === 0) return fail({ kind: "nothing read" });
  const finishedBefore = balance(read.lines, read.evaporation.grams.value, null).finishedMass;
  const factor = factorOf(written, read.recipe.servings, goal, finishedBefore);
  if (factor === null) return fail({ kind: "no such line" });
  if (!(factor >= LEAST_FACTOR && factor <= MOST_FACTOR)) return fail({ kind: "out of bounds", factor });
  return succeed({ factor, finishedBefore });
}

/**
 * The amounts of a recipe for another quantity. Each is rounded to what a kitchen can weigh (traces to 0.01 g, to 3 g by
 * 0.1, to 20 g by 1, to 200 g by 5, above by 10); eggs come in wholes, with the choice said. Times of heating grow less than the mass.
 */
export function scaleRecipe(
  read: ReadRecipe,
  goal: ScaleGoal,
  measures: HouseholdMeasures,
  neverMore: (line: { readonly food: Food; readonly role: Role }) => boolean = () => false,
): Result<ScaledAmounts, ScaleProblem> {
  const scale = scaleFactor(read, goal);
  if (!scale.ok) return scale;
  const { factor, finishedBefore } = scale.value;
  const written = writtenLines(read);
  const first = written.map(({ id, food, role, measure, before }): ScaledLine => {
    const exact = before * factor;
    const kept = goal.kind === "ingredient" && goal.line === id ? goal.grams : null;
    const whole = kept === null ? wholes(food, measure, before, exact) : null;
    const grams = kept ?? whole?.grams ?? weighable(exact, neverMore({ food, role }));
    return { id, food, before, exact, grams, measure: kitchenMeasure(food, grams, measures)?.text ?? "", choice: whole?.choice ?? null };
  });
  const gramsOf = new Map(written.map(({ id }, i) => [id, first[i]?.grams ?? 0] as const));
  // What is kept in proportion goes by what will be weighed out, not by what was asked for.
  const lines = first.map((line, i) => {
    const { ratio, food, role } = written[i] ?? {};
    if (!ratio || !food || !role || (goal.kind === "ingredient" && goal.line === line.id)) return line;
    const asked = ratio.times * ratio.of.reduce((sum, id) => sum + (gramsOf.get(id) ?? 0), 0);
    const grams = weighable(asked, neverMore({ food, role }));
    return { ...line, grams, measure: kitchenMeasure(food, grams, measures)?.text ?? "", choice: `kept at ${Math.round(ratio.times * 100) / 100} times` };
  });
  return succeed({
    factor,
    servings: goal.kind === "servings" ? goal.servings : goal.kind === "pieces" ? goal.pieces : Math.max(1, Math.round(read.recipe.servings * factor)),
    lines,
    finished: finishedBefore * factor,
    finishedBefore,
    time: factor ** TIME_POWER,
  });
}

function factorOf(written: readonly { readonly id: LineId; readonly before: number }[], servings: number, goal: ScaleGoal, finished: number): number | null {
  switch (goal.kind) {
    case "servings":
      return goal.servings / servings;
    case "pieces":
      return (goal.pieces * goal.grams) / finished;
    case "mould":
      return (goal.millilitres * SWEET_DENSITY) / finished;
    case "ingredient": {
      const line = written.find(({ id }) => id === goal.line);
      return line && line.before > 0 ? goal.grams / line.before : null;
    }
  }
}

/** Eggs and pods go in whole; of a can what is asked for, with what is left of it. */
function wholes(food: Food, measure: string, before: number, exact: number): { readonly grams: number; readonly choice: string | null } | null {
  const piece = WHOLE.test(food.id) ? food.counted.find(({ unit }) => unit === "piece") : undefined;
  const [, written = "", unit = ""] = UNITS.exec(measure) ?? [];
  const one = piece?.grams ?? (Number(written) > 0 ? before / Number(written) : 0);
  if (one <= 0) return null;
  const asked = exact / one;
  if (/^(?:can|tin)/.test(unit) && !piece) {
    const opened = Math.max(1, Math.ceil(asked - 0.03));
    const left = opened * one - exact;
    const grams = left < 0.06 * one ? opened * one : weighable(exact);
    return { grams, choice: left < 0.06 * one ? null : `${opened} ${opened === 1 ? "can" : "cans"} opened, ${formatGrams(left)} g left over` };
  }
  const count = Math.max(1, Math.round(asked));
  const off = Math.abs(count - asked);
  return { grams: count * one, choice: off < 0.05 ? null : `${count} for ${asked.toFixed(1)}: ${formatGrams(off * one)} g ${count > asked ? "more" : "less"}` };
}
