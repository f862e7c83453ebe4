export type { Reading, Simulation } from "./device";
export { DEVICES, type DeviceId } from "./devices";
