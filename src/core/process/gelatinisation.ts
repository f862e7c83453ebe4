import { fraction, type Fraction, type Minutes } from "../units";
/**
 * Share of a starch that has gelatinised after `minutes` of wet heat, 0 to 1: 1 − exp(−t/τ).
 * @unit share
 * @range 0 to 1
 * @source first-order kinetics
 */
export function gelatinisedShare(minutes: Minutes, timeConstant: Minutes): Fraction {
  return fraction(1 - Math.exp(-(minutes / timeConstant)));
}
