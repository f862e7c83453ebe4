export { boilingPoint, percentAtBoiling, type BoilingPoints } from "./boiling";
export { burnerCap, evaporationRate, kitchenConstants, type Heat } from "./evaporation";
export { pressOut } from "./extraction";
export { gelatinisedShare } from "./gelatinisation";
export { bodyOfIndex, indexOfBody, serumPerGram, thickeningPerGram, type Cooled, type ThickeningConstants } from "./thickening";
