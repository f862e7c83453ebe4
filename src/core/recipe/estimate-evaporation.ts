import type { Estimate } from "../numeric";
import { Z80 } from "../numeric";
import { INDEX, type Constants } from "../food";
import { evaporationRate, statedCooking } from "../process";
import type { Archetype, BalancedLine } from "./recipe";

export interface EvaporationEstimate {
  readonly grams: Estimate;
  readonly how: string;
}

/** Share of the water driven off where the steps state no time (rules of thumb). */
const USUAL_SHARE: Readonly<Record<Archetype, number>> = {
  pudding: 0.15,
  "flour halwa": 0.08,
  "vegetable halwa": 0.5,
  ladoo: 0.05,
  "set pudding": 0.05,
  "fruit-bound": 0.05,
};
const USUAL_PAN_CM = 24;
const MOST_SHARE = 0.6;

/**
 * Water driven off while the sweet cooks, g: from the minutes of open cooking in the steps by the evaporation rate of a
 * 24 cm pan (± 30 %), else a usual share of the water for its kind (± 50 %). Never more than 60 % of the water.
 */
export function estimateEvaporation(
  lines: readonly BalancedLine[],
  steps: readonly string[],
  archetype: Archetype,
  flux: Constants["evaporationFlux"]["value"],
): EvaporationEstimate {
  let water = 0,
    total = 0,
    fat = 0;
  for (const { food, grams } of lines) {
    water += (grams * (food.per100g[INDEX.water] ?? 0)) / 100;
    fat += (grams * (food.per100g[INDEX.fat] ?? 0)) / 100;
    total += grams;
  }
  const solids = total > 0 ? Math.max(0, total - water - fat) / total : 0;
  const { open } = statedCooking(steps);
  const minutes = open.reduce((sum, part) => sum + part.minutes, 0);
  if (minutes > 0) {
    const driven = open.reduce((sum, part) => sum + part.minutes * evaporationRate(part.heat, USUAL_PAN_CM, solids, flux), 0);
    const value = Math.min(driven, water * MOST_SHARE);
    return {
      grams: { value, sd: (value * 0.3) / Z80 },
      how: `${Math.round(minutes)} min of open cooking in the steps, in a ${USUAL_PAN_CM} cm pan (rule of thumb, ± 30 %)`,
    };
  }
  const value = water * USUAL_SHARE[archetype];
  return {
    grams: { value, sd: (value * 0.5) / Z80 },
    how: `no cooking time is stated: ${Math.round(USUAL_SHARE[archetype] * 100)} % of the water, usual for a ${archetype} (rule of thumb, ± 50 %)`,
  };
}
