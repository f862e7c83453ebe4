/** Share of a starch that has gelatinised after `minutes` of wet heat, 0 to 1: 1 − exp(−t/τ). */
export function gelatinisedShare(minutes: number, timeConstantMinutes: number): number {
  return 1 - Math.exp(-Math.max(0, minutes) / timeConstantMinutes);
}
