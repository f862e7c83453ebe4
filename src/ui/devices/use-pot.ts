"use client";

import { useEffect, useRef, useState } from "react";
import { DEVICES, potWorld, type PotContents, type PotSettings, type PotWorld, type Simulation } from "../../core/devices";

const TICK_MS = 250;

/** A pot that is simulated, on a simulated scale and with a simulated probe in it. */
export interface PotBench {
  readonly world: PotWorld;
  readonly scale: Simulation;
  readonly probe: Simulation;
}

interface PotOf {
  readonly holds: PotContents;
  /** What it weighed last, g, as some has boiled away; null: as it went in. */
  readonly grams: number | null;
  readonly diameter: number;
  readonly power: number;
  /** The empty pan, g. */
  readonly pan: number;
  readonly celsius: number;
}

/** A pot beside the page: what goes into the batch goes into it. It runs by the clock while it is shown. */
export function usePot({
  holds,
  grams,
  diameter,
  power,
  pan,
  celsius,
}: PotOf): readonly [bench: PotBench, set: (change: Partial<PotSettings>) => void, lift: (isLifted: boolean) => void] {
  const [bench, setBench] = useState<PotBench>(() => {
    const seed = Date.now() & 0xffff;
    const all = holds.water + holds.sugar + holds.starch + holds.fat + holds.other;
    const contents = { ...holds, water: Math.max(1, holds.water - (grams === null ? 0 : all - grams)) };
    return {
      world: potWorld({ contents, diameter, power, celsius, seed }),
      scale: DEVICES.scale.simulate(seed),
      probe: DEVICES.probe.simulate(seed + 1),
    };
  });
  const isLifted = useRef(false);
  const before = useRef(holds);
  useEffect(() => {
    const had = before.current;
    before.current = holds;
    const more = Object.fromEntries((Object.keys(holds) as (keyof PotContents)[]).map((name) => [name, holds[name] - had[name]]));
    if (Object.values(more).some((grams) => Math.abs(grams) > 0.01)) setBench((now) => ({ ...now, world: now.world.add(more) }));
  }, [holds]);
  useEffect(() => {
    const timer = setInterval(
      () =>
        setBench(({ world, scale, probe }) => {
          const next = world.after(TICK_MS / 1000);
          const load = isLifted.current ? 0 : next.grams + pan;
          return { world: next, scale: scale.around(load).after(TICK_MS / 1000), probe: probe.around(next.celsius).after(TICK_MS / 1000) };
        }),
      TICK_MS,
    );
    return () => clearInterval(timer);
  }, [pan]);
  return [bench, (change) => setBench((now) => ({ ...now, world: now.world.set(change) })), (to) => void (isLifted.current = to)];
}
