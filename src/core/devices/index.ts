export type { Simulation } from "./device";
export { DEVICES, type DeviceId } from "./devices";
export { potWorld, type PotContents, type PotSettings, type PotWorld } from "./pot-world";
