import type { Device } from "./device";
import { SCALE } from "./scale";

export type DeviceId = "scale";

/** The devices that can stand beside the pot: the one list of them. */
export const DEVICES: Readonly<Record<DeviceId, Device>> = { scale: SCALE };
