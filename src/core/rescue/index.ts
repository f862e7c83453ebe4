export { FAULTS, type Fault } from "./faults";
export { rescue, targetWords, type Rescue } from "./rescue";
export type { Mender, WayOut } from "./way";
