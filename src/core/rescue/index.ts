export { FAULTS, type Fault, type Target } from "./faults";
export { rescue, targetWords, type Rescue, type RescueQuestion } from "./rescue";
export type { Gone, Mender, WayOut } from "./way";
