import type { Equipment } from "./equipment";
import type { Place } from "./place";

/** In which words a kitchen measures: cups and spoons, katori and spoons, or a jug in millilitres. */
export const MEASURE_WORDS = ["cups", "katori", "millilitres"] as const;
type MeasureWords = (typeof MEASURE_WORDS)[number];
export const ENERGY_UNITS = ["kcal", "kJ"] as const;
export const TEMPERATURE_UNITS = ["celsius", "fahrenheit"] as const;

/** A household's own vessels, ml each, and the words it measures in. */
export interface HouseholdMeasures {
  readonly cup: number;
  readonly katori: number;
  readonly tablespoon: number;
  readonly teaspoon: number;
  readonly words: MeasureWords;
}

export interface HouseholdUnits {
  readonly energy: (typeof ENERGY_UNITS)[number];
  readonly temperature: (typeof TEMPERATURE_UNITS)[number];
  /** As it is written beside a price; may be empty. */
  readonly currency: string;
}

export interface Household {
  readonly measures: HouseholdMeasures;
  readonly units: HouseholdUnits;
  /** Where it lives: by it fasting days, sun and moon are reckoned. Absent until it is said. */
  readonly place?: Place | null;
  /** What it cooks with. Absent until it is said. */
  readonly equipment?: Equipment;
  /** The school that it usually holds to, a rule's id by the part before its stroke; of free sugars "who" or "uk". */
  readonly schools?: Readonly<Record<string, string>>;
  /** Whether the first steps were taken or skipped. */
  readonly setUp?: boolean;
}

/**
 * What holds until a household says otherwise. Cup 240 ml and spoons of 15 and 5 ml are the usual sizes of measuring
 * sets; a katori of 150 ml is a rule of thumb: they run from about 100 to 200 ml.
 */
export const USUAL_HOUSEHOLD: Household = {
  measures: { cup: 240, katori: 150, tablespoon: 15, teaspoon: 5, words: "cups" },
  units: { energy: "kcal", temperature: "celsius", currency: "" },
};

/** A household as it was stored, with the usual where an earlier one says nothing. */
export const completeHousehold = (stored: Household): Household => ({ ...stored, units: { ...USUAL_HOUSEHOLD.units, ...stored.units } });

/** Kilojoules of a kilocalorie (the thermochemical calorie, by definition). */
export const KILOJOULES_PER_KILOCALORIE = 4.184;

/** Energy given in kJ, in the household's unit. */
export const inEnergyUnit = (kilojoules: number, unit: HouseholdUnits["energy"]): number =>
  unit === "kJ" ? kilojoules : kilojoules / KILOJOULES_PER_KILOCALORIE;

/** A temperature given in °C as text: "60 °C", or "140 °F". */
export const temperatureText = (celsius: number, unit: HouseholdUnits["temperature"]): string =>
  unit === "celsius" ? `${Math.round(celsius)} °C` : `${Math.round(celsius * 1.8 + 32)} °F`;

/** A price as text, with its currency where the household has named one: "1.20 crowns". */
export const moneyText = (value: number, currency: string): string => `${value.toFixed(value > 0 && value < 0.1 ? 3 : 2)}${currency ? ` ${currency}` : ""}`;
