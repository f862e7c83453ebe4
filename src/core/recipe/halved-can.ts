import { INDEX, type Constants } from "../food";
import { formatGrams } from "../units";
import type { LineReading } from "./read-line";

/** A part of a can that has to be stirred before it is taken, and what it would bring unstirred. */
export interface HalvedCan {
  /** Of one can, above 0 and below 1. */
  readonly share: number;
  /** Fat that the line is meant to bring, and would bring taken from below, from above; g. */
  readonly fat: number;
  readonly fromBelow: number;
  readonly fromAbove: number;
}

/**
 * What a line takes of a can whose fat gathers above: by the share of the fat in the upper half of what has stood, even within
 * each half (rule of thumb). Null where whole cans are taken, or what is in them does not part.
 */
export function halvedCan(reading: LineReading, { process }: Pick<Constants, "process">): HalvedCan | null {
  if (reading.kind !== "read" || reading.containers === undefined) return null;
  const above = process.value.fatAbove[reading.food.id];
  const share = reading.containers % 1;
  if (above === undefined || share < 0.02 || share > 0.98) return null;
  // Whole cans beside it bring what they hold.
  const grams = (reading.grams.value * share) / reading.containers;
  const fat = (grams * (reading.food.per100g[INDEX.fat] ?? 0)) / 100;
  /** Share of a can's fat in so much of it, taken from one end; that end's half holds so much. */
  const held = (ofHalf: number) => (share <= 0.5 ? (ofHalf * share) / 0.5 : ofHalf + ((1 - ofHalf) * (share - 0.5)) / 0.5);
  const inCan = fat / share;
  return { share, fat, fromBelow: inCan * held(1 - above), fromAbove: inCan * held(above) };
}

/** The same in words. */
export const halvedCanWords = ({ fat, fromBelow, fromAbove }: HalvedCan): string =>
  `Stir the can through before you take a part of it: its fat lies above, and unstirred this would bring ${formatGrams(fromBelow)} to ${formatGrams(fromAbove)} g of fat instead of ${formatGrams(fat)} g (rule of thumb).`;
