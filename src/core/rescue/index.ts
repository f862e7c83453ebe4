export { FAULTS, type Fault } from "./faults";
export { ALL_IN, type PotState } from "./pot";
export { rescue, targetWords, type Rescue } from "./rescue";
export type { Mender, WayOut } from "./way";
