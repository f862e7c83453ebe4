export { completeHousehold, USUAL_HOUSEHOLD, type Household, type LearningWish, type StoredHousehold } from "./household";
export type { Place } from "./place";
export { BURNER_KINDS, NO_EQUIPMENT, panVolume, USUAL_JAR, type Burner, type Equipment, type Pan } from "./equipment";
export type { AboutPeople } from "./about-people";
