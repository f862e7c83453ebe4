export type { Simulation } from "./device";
export { DEVICES, type DeviceId } from "./devices";
