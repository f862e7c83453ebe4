import { INDEX } from "../food";
import type { EvaluationInput } from "../evaluate";

/** What is known of a pot. */
export interface PotState {
  /** g, without the pan; null where it was not weighed. */
  readonly grams: number | null;
  /** How much of each line of what was meant is in it, as shares in their order; null where all of them are in. */
  readonly shares: readonly number[] | null;
  /** Of all that was to boil away, the share that has by then; used where the pot was not weighed. */
  readonly drivenShare: number;
  /** How warm it is, °C; null where nobody says. */
  readonly celsius: number | null;
}
export const ALL_IN: Omit<PotState, "grams" | "celsius"> = { shares: null, drivenShare: 1 };

/** The pot as the models take it, or why it cannot be. */
export type Pot = { readonly kind: "pot"; readonly input: EvaluationInput; readonly grams: number } | { readonly kind: "cannot be"; readonly why: string };

/** Put in and weighed differ by this much without anybody being wrong: a scale, what sticks to the pan. */
const SCALE = 0.02;

/** What is in a pot now: all that went in, less what has boiled away, which is what it was meant to be or what its weight tells. */
export function potNow(meant: EvaluationInput, { grams, shares, drivenShare }: Omit<PotState, "celsius">): Pot {
  const lines = meant.lines.flatMap((line, at) => {
    const share = shares === null ? 1 : (shares[at] ?? 0);
    return share > 0 ? [{ ...line, grams: share * line.grams, sd: share * line.sd }] : [];
  });
  const put = lines.reduce((sum, line) => sum + line.grams, 0);
  if (put <= 0) return { kind: "cannot be", why: "Nothing has gone into the pot yet: say after which step it went wrong." };
  const water = lines.reduce((sum, line) => sum + (line.grams * (line.food.per100g[INDEX.water] ?? 0)) / 100, 0);
  if (grams === null) {
    const driven = Math.min(meant.evaporation.value * drivenShare, 0.98 * water);
    return { kind: "pot", input: { ...meant, lines, evaporation: { ...meant.evaporation, value: driven } }, grams: put - driven };
  }
  const least = put - water;
  // What is soaked or pressure cooked takes up water that no line lists.
  const most = put + Math.max(0, -meant.evaporation.value);
  if (!(grams > 0)) return { kind: "cannot be", why: "A pot of nothing cannot be mended: weigh what is in it, in grams, without the pan." };
  if (grams > most * (1 + SCALE))
    return {
      kind: "cannot be",
      why: `It weighs more than all that went in (${Math.round(most)} g): take off what the pan weighs, or add what went in besides to the recipe.`,
    };
  if (grams < least * (1 - SCALE))
    return {
      kind: "cannot be",
      why: `So little is not even what is dry of it (${Math.round(least)} g): if some was taken out, weigh all of it together, or put in what has not gone in yet.`,
    };
  const driven = Math.min(put - Math.min(grams, most), 0.995 * water);
  return { kind: "pot", input: { ...meant, lines, evaporation: { value: driven, sd: SCALE * grams } }, grams: put - driven };
}

/** So much of a pot, as a share. */
export const partOf = (input: EvaluationInput, share: number): EvaluationInput => ({
  ...input,
  lines: input.lines.map((line) => ({ ...line, grams: share * line.grams, sd: share * line.sd })),
  evaporation: { value: share * input.evaporation.value, sd: share * input.evaporation.sd },
  apart: share * input.apart,
  servings: share * input.servings,
});

/** The same pot with something put in, or more water driven off. */
export const withMore = (input: EvaluationInput, added: EvaluationInput["lines"], boiledOff = 0): EvaluationInput => ({
  ...input,
  lines: [...input.lines, ...added],
  evaporation: { ...input.evaporation, value: input.evaporation.value + boiledOff },
});

/**
 * Water that is left in a pot.
 * @unit g
 * @range 0 or more
 * @source composition of what went in, less what was driven off
 */
export const waterIn = ({ lines, evaporation }: EvaluationInput): number =>
  lines.reduce((sum, line) => sum + (line.grams * (line.food.per100g[INDEX.water] ?? 0)) / 100, 0) - evaporation.value;
