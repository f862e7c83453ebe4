import { NUTRIENTS } from "../food";
import type { BalancedLine } from "./recipe";

/** A recipe as it leaves the pot: what went in less the water driven off. */
export interface Balance {
  readonly lines: readonly BalancedLine[];
  /** Composition of each line's food, per 100 g, in the order of NUTRIENTS. */
  readonly compositions: readonly ArrayLike<number>[];
  /** Total of each nutrient in the finished sweet, g (minerals mg). */
  readonly totals: Float64Array;
  /** Mass put in less evaporation, g. */
  readonly finishedMass: number;
  readonly massIn: number;
  readonly evaporation: number;
  /** Minutes of wet heat; null means cooked through. */
  readonly cookMinutes: number | null;
}

/**
 * Mass balance of one pot: finished mass = Σ lines − evaporation, for total and every nutrient; only water evaporates,
 * and never more than there is (the evaporation is cut to the water present).
 */
export function balance(
  lines: readonly BalancedLine[],
  evaporation: number,
  cookMinutes: number | null,
  compositions: readonly ArrayLike<number>[] = lines.map((line) => line.food.per100g),
): Balance {
  const totals = new Float64Array(NUTRIENTS.length);
  let massIn = 0;
  for (const [i, line] of lines.entries()) {
    massIn += line.grams;
    const composition = compositions[i] ?? [];
    const share = line.grams / 100;
    for (let n = 0; n < totals.length; n++) totals[n] = (totals[n] ?? 0) + share * (composition[n] ?? 0);
  }
  const driven = Math.min(Math.max(0, evaporation), totals[0] ?? 0);
  totals[0] = (totals[0] ?? 0) - driven;
  return { lines, compositions, totals, massIn, finishedMass: massIn - driven, evaporation: driven, cookMinutes };
}
