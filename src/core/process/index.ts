export { evaporationRate } from "./evaporation";
export { statedCooking } from "./cooking-time";
export { gelatinisedShare } from "./gelatinisation";
