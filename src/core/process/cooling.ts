/** Where something cools. */
export const COOLING_PLACES = ["in the room", "in cold water, stirred", "in the fridge"] as const;
export type CoolingPlace = (typeof COOLING_PLACES)[number];

/** In what something cools, in words, with where that stands; the last is where it ends. */
export const FRIDGE = "in the fridge";
export const COOLING_WAYS: readonly { readonly words: string; readonly place: CoolingPlace; readonly isSpread: boolean }[] = [
  { words: "in the pan", place: "in the room", isSpread: false },
  { words: "in the pan, stirred in cold water", place: "in cold water, stirred", isSpread: false },
  { words: "spread 2 cm deep in a tray", place: "in the room", isSpread: true },
  { words: FRIDGE, place: "in the fridge", isSpread: false },
];

interface Surroundings {
  /** °C; null: as warm as the room. */
  readonly celsius: number | null;
  /** Heat that the surface gives off, W/m²·K: still air 9 with radiation and steam, moved cold water 200, a fridge's air 9. */
  readonly surface: number;
  /** It is stirred, so that its own thickness does not hold the heat back. */
  readonly isStirred: boolean;
}
const SURROUNDINGS: Readonly<Record<CoolingPlace, Surroundings>> = {
  "in the room": { celsius: null, surface: 11, isStirred: false },
  "in cold water, stirred": { celsius: 12, surface: 200, isStirred: true },
  "in the fridge": { celsius: 4, surface: 9, isStirred: false },
};
/** Conductivity of a pudding, W/m·K, and how deep it is spread in a tray, cm. */
const CONDUCTIVITY = 0.5;
export const TRAY_DEPTH = 2;
/** g per ml. */
const DENSITY = 1.08;

export interface CoolingQuestion {
  /** g */
  readonly grams: number;
  /** cm across, of the pan. */
  readonly diameter: number;
  /** Water in 100 g. */
  readonly water: number;
  readonly place: CoolingPlace;
  /** Spread in a tray, wherever that stands. */
  readonly isSpread: boolean;
  /** °C */
  readonly from: number;
  readonly to: number;
  readonly room: number;
}

/** How sure a time of cooling is: its logarithm is off by so much (80 %), as nobody knows the draught: a rule of thumb. */
const OFF = 0.35;

/**
 * How long something takes to cool, with its 80 % interval; null where its surroundings are not that cold.
 * @unit minutes
 * @range 0 or more
 * @source Newton's law of cooling, t = τ·ln((T₀ − Tₐ)/(T − Tₐ)), τ = m·c/(h·A); c by its water (Siebel 1892); h and what the thickness holds back are rules of thumb
 */
export function coolingMinutes({
  grams,
  diameter,
  water,
  place,
  isSpread,
  from,
  to,
  room,
}: CoolingQuestion): { readonly value: number; readonly low: number; readonly high: number } | null {
  const { celsius, surface, isStirred } = SURROUNDINGS[place];
  const around = celsius ?? room;
  if (from <= to) return { value: 0, low: 0, high: 0 };
  if (to - around < 0.5) return null;
  const volume = grams / DENSITY;
  const across = isSpread ? Math.sqrt((4 * volume) / (Math.PI * TRAY_DEPTH)) : diameter;
  const base = (Math.PI * across * across) / 40_000;
  const depth = volume / (base * 10_000) / 100;
  const sides = (Math.PI * across * depth) / 100;
  // Air takes heat from above and the sides, and half of it from below; water from the sides and below.
  const area = place === "in cold water, stirred" ? base + sides : 1.5 * base + sides;
  // Half its thickness stands between its middle and what cools it.
  const through = isStirred ? 0 : depth / 2 / (3 * CONDUCTIVITY);
  const whole = 1 / (1 / surface + through);
  // kJ/kg·K of a food by its water.
  const heat = 0.837 + 0.0335 * water;
  const value = ((grams * heat) / (whole * area) / 60) * Math.log((from - around) / (to - around));
  return { value, low: value * Math.exp(-OFF), high: value * Math.exp(OFF) };
}
