export { MILLILITRES, MASS_GRAMS, MEASURE_SHARE } from "./kitchen-units";
export { formatToSpread, formatGrams, formatChange } from "./format";
