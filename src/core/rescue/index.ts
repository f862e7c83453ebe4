export { FAULTS, type Fault } from "./faults";
export { ALL_IN, partOf, waterIn, withMore, type PotState } from "./pot";
export { rescue, targetWords, type Rescue } from "./rescue";
export { dose } from "./solve";
export type { Addition, Mender, WayOut } from "./way";
