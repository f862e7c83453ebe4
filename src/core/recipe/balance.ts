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
  /** Of the evaporation, what lines served apart lose. */
  readonly apart: number;
}

/**
 * Mass balance of one pot: finished mass = Σ lines − evaporation, for total and every nutrient; only water evaporates,
 * and never more than there is (the evaporation is cut to the water present). Below 0 it is water taken up.
 */
export function balance(
  lines: readonly BalancedLine[],
  evaporation: number,
  cookMinutes: number | null,
  compositions: readonly ArrayLike<number>[] = lines.map((line) => line.food.per100g),
  apart = 0,
): Balance {
  const totals = new Float64Array(NUTRIENTS.length);
  let massIn = 0;
  for (const [i, line] of lines.entries()) {
    massIn += line.grams;
    const composition = compositions[i] ?? [];
    const share = line.grams / 100;
    for (let n = 0; n < totals.length; n++) totals[n] = (totals[n] ?? 0) + share * (composition[n] ?? 0);
  }
  const driven = Math.min(evaporation, totals[0] ?? 0);
  totals[0] = (totals[0] ?? 0) - driven;
  return { lines, compositions, totals, massIn, finishedMass: massIn - driven, evaporation: driven, cookMinutes, apart };
}

/** What is in the pot: without the lines that are served beside it. Texture is judged on this. */
export function potOnly(sweet: Balance): Balance {
  if (!sweet.lines.some(({ apart }) => apart)) return sweet;
  const kept = sweet.lines.flatMap((line, i) => (line.apart ? [] : [{ line, composition: sweet.compositions[i] ?? line.food.per100g }]));
  return balance(
    kept.map(({ line }) => line),
    sweet.evaporation - sweet.apart,
    sweet.cookMinutes,
    kept.map(({ composition }) => composition),
  );
}
