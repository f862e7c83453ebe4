export { evaporationRate, type Heat } from "./evaporation";
export { statedCooking, type StatedCooking } from "./cooking-time";
export { gelatinisedShare } from "./gelatinisation";
