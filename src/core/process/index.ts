export { BODY_SUMS, bodyIndexOf, bodyPerGram, bodyWithSlopes, NO_BODY, type BodyConstants, type BodyIndex, type BodySums } from "./body";
export { boilingPoint, boilingPointsAt, percentAtBoiling, type BoilingPoints } from "./boiling";
export { COOLING_WAYS, coolingMinutes, FRIDGE, TRAY_DEPTH, type CoolingPlace } from "./cooling";
export { burnerCap, evaporationRate, kitchenConstants, powerOf, rateHere, type Heat } from "./evaporation";
export { pressOut } from "./extraction";
export { gelatinisedShare } from "./gelatinisation";
export { bodyOfIndex, indexOfBody, bodyFamilyOf, thickeningPerGram, type Cooled } from "./thickening";
