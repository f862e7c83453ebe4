/** An amount that brings a figure where it is wanted, and between what it lies: from where the fault is no longer noticed to as far beyond. */
export interface Dose {
  readonly amount: number;
  readonly low: number;
  readonly high: number;
}

const ROUNDS = 40;
/** Tried first: where a figure turns back (a thin syrup before it is a thick one), the least amount is meant. */
const STEPS = 12;

/** The least amount from 0 to `most` at which a figure comes to a target; null where none does. */
function least(at: (amount: number) => number, target: number, most: number): number | null {
  const from = at(0);
  const sign = Math.sign(target - from);
  if (sign === 0) return 0;
  const reached = (amount: number) => sign * (at(amount) - target) >= 0;
  // Evenly by the logarithm: doses of a gel are a hundredth of those of a liquid.
  const tried = Array.from({ length: STEPS }, (_, i) => most * 2 ** (i + 1 - STEPS));
  const first = tried.findIndex(reached);
  if (first < 0) return null;
  let [low, high] = [tried[first - 1] ?? 0, tried[first] ?? most];
  for (let i = 0; i < ROUNDS; i++) {
    const middle = (low + high) / 2;
    if (reached(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/**
 * The dose that brings a figure from what it is to what is wanted, at most `most`; its bounds are where the fault is just no longer
 * noticed, and as far past it. Null where no such amount brings it there.
 */
export function dose(at: (amount: number) => number, wanted: number, noticed: number, most: number): Dose | null {
  const amount = least(at, wanted, most);
  if (amount === null || amount <= 0) return null;
  const sign = Math.sign(wanted - at(0));
  const low = least(at, wanted - (sign * noticed) / 2, most) ?? 0;
  const high = least(at, wanted + (sign * noticed) / 2, most) ?? most;
  return { amount, low: sign * (wanted - (sign * noticed) / 2 - at(0)) > 0 ? Math.min(low, amount) : 0, high: Math.max(high, amount) };
}
