/**
 * Share of a starch that has gelatinised after `minutes` of wet heat, 0 to 1: 1 − exp(−t/τ).
 * @unit share
 * @range 0 to 1
 * @source first-order kinetics
 */
export function gelatinisedShare(minutes: number, timeConstantMinutes: number): number {
  return 1 - Math.exp(-Math.max(0, minutes) / timeConstantMinutes);
}
