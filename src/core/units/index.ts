export { MILLILITRES, MASS_GRAMS, MEASURE_SHARE, type MeasureKind } from "./kitchen-units";
export { formatToSpread, formatGrams, formatChange } from "./format";
