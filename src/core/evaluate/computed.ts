import type { Constants, ServingTemperature } from "../food";
import { FREEZING_SUMS, iceWithSlopes, type FreezingSums } from "../models/freezing";
import { waterActivityWithSlopes, WATER_ACTIVITY_SUMS, type WaterActivitySums } from "../models/keeping";
import { chilledShare } from "../models/texture";
import { BODY_SUMS, bodyWithSlopes, type BodySums, type Cooled } from "../process";
import type { BalancedLine } from "../recipe";
import type { EvaluationInput } from "./input";
import { AT, type SumId } from "./sums";

interface Sloped<S> {
  readonly value: number;
  readonly slopes: S;
}
interface SlopedBody extends Sloped<BodySums> {
  /** By how much ln X is surer by the house's own batches, as a standard deviation. */
  readonly surer: number;
}

/** The sums of a sweet, with what several properties rest on computed once. */
export interface Computed {
  /** In the order of SUMS, what is driven off taken away. */
  readonly sums: Float64Array;
  readonly lines: readonly BalancedLine[];
  /** g, above 0 */
  readonly mass: number;
  readonly servings: number;
  /** It is eaten frozen. */
  readonly isFrozen: boolean;
  readonly constants: Constants;
  /** Body of what was cooked in the pot, 0 to 10. */
  readonly hot: SlopedBody;
  readonly chilled: SlopedBody;
  readonly activity: Sloped<WaterActivitySums>;
  readonly ice: Sloped<FreezingSums>;
}

export const LEAST_MASS = 1e-9;

/** The same again for each call after the first. */
function once<T>(make: () => T): () => T {
  let made: { readonly value: T } | null = null;
  return () => (made ??= { value: make() }).value;
}

/** Sums made ready for properties: what a property rests on is computed when it is first asked for. */
export function computed(
  sums: Float64Array,
  { lines, servings, archetype }: Pick<EvaluationInput, "lines" | "servings" | "archetype">,
  constants: Constants,
): Computed {
  const bodyOf = (cooled: Cooled): SlopedBody => {
    const pot = {} as { -readonly [K in keyof BodySums]: number };
    for (const sum of BODY_SUMS) pot[sum] = sums[AT[`pot.${cooled}.${sum}`]] ?? 0;
    const { step, slopes, surer } = bodyWithSlopes(pot, cooled, constants);
    return { value: step, slopes, surer };
  };
  const hot = once(() => bodyOf("hot"));
  const chilled = once(() => bodyOf("chilled"));
  const activity = once(() => {
    const held = {} as { -readonly [K in keyof WaterActivitySums]: number };
    for (const sum of WATER_ACTIVITY_SUMS) held[sum] = sums[AT[`activity.${sum}`]] ?? 0;
    return waterActivityWithSlopes(held, constants);
  });
  const ice = once(() => {
    const held = {} as { -readonly [K in keyof FreezingSums]: number };
    for (const sum of FREEZING_SUMS) held[sum] = sums[AT[`activity.${sum}`]] ?? 0;
    return iceWithSlopes(held, constants);
  });
  return {
    sums,
    lines,
    isFrozen: archetype === "frozen",
    mass: Math.max(LEAST_MASS, sums[AT.mass] ?? 0),
    servings,
    constants,
    get hot() {
      return hot();
    },
    get chilled() {
      return chilled();
    },
    get activity() {
      return activity();
    },
    get ice() {
      return ice();
    },
  };
}

/** Takes how a property moves with a sum, per unit of it. */
export type AddSlope = (sum: number, slope: number) => void;

/**
 * A sum of a sweet.
 * @unit of the sum
 * @range any
 * @source what went in, less what is driven off
 */
export const at = (of: Computed, sum: SumId): number => of.sums[AT[sum]] ?? 0;

/** Body at a temperature, and how it moves: the hot and the chilled one by their shares. */
export function addBodySlopes(of: Computed, serve: ServingTemperature, add: AddSlope, by = 1): void {
  const share = chilledShare(serve, of.constants);
  for (const [cooled, weight] of [
    ["hot", 1 - share],
    ["chilled", share],
  ] as const) {
    if (weight === 0) continue;
    for (const sum of BODY_SUMS) if (of[cooled].slopes[sum] !== 0) add(AT[`pot.${cooled}.${sum}`], by * weight * of[cooled].slopes[sum]);
  }
}
