import { newSimulatedScale, putOn, readingOf, tareScale, tick, type Scale, type ScaleReading } from "../../core/devices";

const TICK_MS = 120;

/** The simulated kitchen scale as a device: it runs while something reads it. `put` lays a load on it. */
export function createSimulatedScale(seed: number): Scale & { readonly put: (grams: number) => void } {
  let state = newSimulatedScale(seed);
  const listeners = new Set<(reading: ScaleReading) => void>();
  let timer: ReturnType<typeof setInterval> | null = null;
  return {
    name: "Simulated kitchen scale",
    read: (onReading) => {
      listeners.add(onReading);
      timer ??= setInterval(() => {
        state = tick(state, TICK_MS / 1000);
        for (const listener of listeners) listener(readingOf(state));
      }, TICK_MS);
      return () => {
        listeners.delete(onReading);
        if (listeners.size > 0 || !timer) return;
        clearInterval(timer);
        timer = null;
      };
    },
    tare: () => (state = tareScale(state)),
    setUnit: (unit) => (state = { ...state, unit }),
    put: (grams) => (state = putOn(state, grams)),
  };
}
