"use client";

import { useEffect, useState } from "react";
import { DEVICES, type DeviceId, type Simulation } from "../../core/devices";

const TICK_MS = 120;

/** A device on the page: it runs while it is shown. Until a real one is connected it is simulated. */
export function useDevice(id: DeviceId): readonly [device: Simulation, change: (next: (device: Simulation) => Simulation) => void] {
  const [device, change] = useState(() => DEVICES[id].simulate(Date.now()));
  useEffect(() => {
    const timer = setInterval(() => change((now) => now.after(TICK_MS / 1000)), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  return [device, change];
}
