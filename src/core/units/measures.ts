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
  /** Half the 80 % interval of what is measured by eye here (a handful, a knob), as a share, by food; absent: as it usually is. */
  readonly byEye?: Readonly<Record<string, number>>;
}

export interface HouseholdUnits {
  readonly energy: (typeof ENERGY_UNITS)[number];
  readonly temperature: (typeof TEMPERATURE_UNITS)[number];
  /** As it is written beside a price; may be empty. */
  readonly currency: string;
}

/** Kilojoules of a kilocalorie (the thermochemical calorie, by definition). */
export const KILOJOULES_PER_KILOCALORIE = 4.184;

/**
 * Energy given in kJ, in the household's unit.
 * @unit kJ or kcal
 * @range 0 or more
 * @source 1 kcal = 4.184 kJ
 */
export const inEnergyUnit = (kilojoules: number, unit: HouseholdUnits["energy"]): number =>
  unit === "kJ" ? kilojoules : kilojoules / KILOJOULES_PER_KILOCALORIE;

/** A temperature given in °C as text: "60 °C", or "140 °F". */
export const temperatureText = (celsius: number, unit: HouseholdUnits["temperature"]): string =>
  unit === "celsius" ? `${Math.round(celsius)} °C` : `${Math.round(celsius * 1.8 + 32)} °F`;

/** A price as text, with its currency where the household has named one: "1.20 crowns". */
export const moneyText = (value: number, currency: string): string => `${value.toFixed(value > 0 && value < 0.1 ? 3 : 2)}${currency ? ` ${currency}` : ""}`;
