import type { Figure } from "../../numeric";
import { asTreated, INDEX, isNutOrSeed, SUGAR_INDICES, sumOf, type Constants } from "../../food";
import type { BalancedLine } from "../../recipe";

export const KEEPING_KINDS = [
  "wet pudding",
  "fresh coconut",
  "milk solids",
  "milk-bound, uncooked",
  "date or fruit",
  "loose, roasted",
  "ground oily seed",
  "fat-bound, dry sugar",
  "cooked sugar and seed",
] as const;
export type KeepingKind = (typeof KEEPING_KINDS)[number];

/** How long a sweet keeps, covered and clean, at the most. */
export interface Keeping {
  /** Days at up to 30 °C; 0 is no more than 2 hours. */
  readonly roomDays: number;
  readonly fridgeDays: number;
  readonly kind: KeepingKind;
  /** Which of the two says so: what kind of sweet it is, or its water activity. */
  readonly by: "kind" | "water activity";
}

const WET = 45;
/** From so much on, as a share, a food counts by which a sweet spoils; a trace of one does not. */
const A_LITTLE = 0.01;
const MOIST = 30;
const FRESH: readonly string[] = ["vegetable", "root", "fruit", "drink"];
const SHORTEST = { room: 0, fridge: 2 };
const COCONUT = "Cocos nucifera";

/** Which kind of sweet it keeps as: the one that spoils soonest of those it is. */
export function keepingKind(lines: readonly BalancedLine[], finishedMass: number, waterPer100g: number, cookMinutes: number | null): KeepingKind {
  const share = (is: (line: BalancedLine) => boolean) => lines.reduce((sum, line) => sum + (is(line) ? line.grams : 0), 0) / Math.max(1e-9, finishedMass);
  const water = (line: BalancedLine) => line.food.per100g[INDEX.water] ?? 0;
  if (waterPer100g >= WET || share(({ food }) => food.family === "egg") > A_LITTLE) return "wet pudding";
  if (share((line) => line.food.nature?.botanical === COCONUT && water(line) > MOIST) > A_LITTLE) return "fresh coconut";
  if (share(({ food }) => food.family === "dairy" && food.origin === "dairy") > A_LITTLE) return cookMinutes === 0 ? "milk-bound, uncooked" : "milk solids";
  // Fresh fruit, vegetables, roots and plant milks keep no better than milk.
  if (share((line) => FRESH.includes(line.food.family) && water(line) > MOIST) > A_LITTLE) return "milk solids";
  if (share((line) => line.food.family === "fruit") > 0.2) return "date or fruit";
  const isNut = ({ food }: BalancedLine) => isNutOrSeed(food);
  const isGround = (line: BalancedLine) => {
    const { nature, treated } = asTreated(line.food, line.treated);
    return treated?.ground !== undefined || nature?.form === "paste" || nature?.form === "flour" || nature?.binding === "ground seed";
  };
  if (share((line) => isNut(line) && isGround(line)) > 0.15) return "ground oily seed";
  const sugars = lines.reduce((sum, { food, grams }) => sum + (grams * sumOf(food.per100g, SUGAR_INDICES)) / 100, 0) / Math.max(1e-9, finishedMass);
  if (share(isNut) > 0.3 && sugars > 0.2 && lines.some(({ treated }) => treated?.dissolved)) return "cooked sugar and seed";
  const fat = share(({ food }) => food.family === "fat");
  return fat > 0.1 && sugars > 0.1 ? "fat-bound, dry sugar" : "loose, roasted";
}

/**
 * Days that a sweet keeps: by the upper end of its water activity and by its kind, the shorter of the two. Rules of thumb: water
 * activity may shorten what its kind keeps, never lengthen it.
 */
export function keepingOf(kind: KeepingKind, activity: Figure, { keeping: { value } }: Pick<Constants, "keeping">): Keeping {
  const cap = value.kinds[kind] ?? SHORTEST;
  const row = value.byActivity.find(([from]) => activity.high >= from) ?? value.byActivity.at(-1);
  const [, room = 0, fridge = 0] = row ?? [];
  return {
    kind,
    roomDays: Math.min(cap.room, room),
    fridgeDays: Math.min(cap.fridge, fridge),
    by: room < cap.room || fridge < cap.fridge ? "water activity" : "kind",
  };
}
