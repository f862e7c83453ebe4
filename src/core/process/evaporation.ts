import type { Constants } from "../food";

export type Heat = "steaming" | "simmer" | "brisk" | "rolling";

/**
 * Water driven off an open pan, g per minute: flux × area × (1 − (solids/0.75)³), with solids the share of the pot that
 * is dissolved or suspended, fat aside (0 to 0.65; beyond that the rate is not known and 0 is returned).
 * Diameter in cm. Rule of thumb fitted on kitchen weighings.
 */
export function evaporationRate(heat: Heat, diameter: number, solids: number, flux: Constants["evaporationFlux"]["value"]): number {
  if (solids > 0.65) return 0;
  const areaSquareDecimetres = (Math.PI * diameter * diameter) / 400;
  return flux[heat] * areaSquareDecimetres * (1 - (Math.max(0, solids) / 0.75) ** 3);
}
