import type { EvaluationInput } from "../evaluate";
import type { FreezingKind } from "../food";
import type { BalancedLine } from "../recipe";

/** From so much on, as a share of what goes in, it decides how a sweet freezes. */
const CULTURED = 0.3;
const EGG = 0.04;
const STARCH = 0.012;
const GEL = 0.001;
const WET_KINDS: readonly string[] = ["wet pudding"];
const MOIST_KINDS: readonly string[] = ["fresh coconut", "milk solids", "milk-bound, uncooked"];

/** How a sweet of a keeping kind stands the frost: by what sets it, else by how wet it is. A rule of thumb. */
export function freezingKind(kind: string, { lines, archetype }: EvaluationInput, isEatenFrozen: boolean): FreezingKind {
  if (isEatenFrozen) return "eaten frozen";
  const all = lines.reduce((sum, { grams }) => sum + grams, 0);
  const share = (is: (line: BalancedLine) => boolean) => lines.reduce((sum, line) => sum + (is(line) ? line.grams : 0), 0) / Math.max(1e-9, all);
  if (share(({ food: { thickening } }) => thickening.agar === true || thickening.gelatine === true) > GEL) return "gel";
  const isWet = WET_KINDS.includes(kind);
  if (isWet && archetype === "set pudding" && share(({ food }) => food.thickening.egg !== undefined) > EGG) return "egg";
  if (isWet && share(({ food }) => food.thickening.cultured === true) > CULTURED) return "cultured";
  if (isWet && share(({ food: { thickening } }) => thickening.starch?.form === "isolated" || thickening.starch?.grain === "ground") > STARCH) return "starch";
  return isWet ? "wet" : MOIST_KINDS.includes(kind) ? "moist" : "dry";
}
