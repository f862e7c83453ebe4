import type { Device } from "./device";
import { PROBE } from "./probe";
import { REFRACTOMETER } from "./refractometer";
import { SCALE } from "./scale";

export type DeviceId = "scale" | "probe" | "refractometer";

/** The devices that can stand beside the pot: the one list of them. A real one is one more file, behind the same face. */
export const DEVICES: Readonly<Record<DeviceId, Device>> = { scale: SCALE, probe: PROBE, refractometer: REFRACTOMETER };
