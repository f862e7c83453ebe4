export { FILLING, fillingIn, FIXED_MILLILITRES, GRAMS_PER_OUNCE, MASS_GRAMS, MEASURE_SHARE, type Filling } from "./kitchen-units";
export { capital, formatToSpread, formatGrams, formatChange, gramsBeside, formatNumber, lowerFirst, servingsText } from "./format";
export {
  ENERGY_UNITS,
  inEnergyUnit,
  KILOJOULES_PER_KILOCALORIE,
  MEASURE_WORDS,
  moneyText,
  TEMPERATURE_UNITS,
  temperatureText,
  type HouseholdMeasures,
  type HouseholdUnits,
} from "./measures";
export { celsius, fraction, grams, minutes, type Celsius, type Fraction, type Grams, type Minutes } from "./quantities";
export { weighable, weighingStep } from "./weighable";
