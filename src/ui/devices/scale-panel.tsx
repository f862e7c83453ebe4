"use client";

import { useEffect, useState } from "react";
import type { ScaleReading } from "../../core/devices";
import { AmountField } from "../parts/amount-field";
import { Button } from "../parts/button";
import { createSimulatedScale } from "./simulated-scale";

/** A scale on the page: its display, tare, unit, and a button that takes what it shows. Until a real one is connected, the load is set by hand. */
export default function ScalePanel({ onTake }: { readonly onTake: (grams: number) => void }) {
  const [scale] = useState(() => createSimulatedScale(Date.now()));
  const [reading, setReading] = useState<ScaleReading>({ value: 0, unit: "g", stable: false, grams: 0 });
  const [load, setLoad] = useState(0);
  useEffect(() => scale.read(setReading), [scale]);
  const takeable = reading.stable && reading.grams > 0;
  return (
    <div className="border border-edge bg-sheet p-3 mt-2">
      <p className="t-small text-ink2">{scale.name}. A real one can stand in its place.</p>
      <p className="flex items-baseline justify-between gap-3 mt-1">
        <output aria-label="The scale shows" className="t-figure text-[30px] leading-tight">
          {reading.unit === "g" ? reading.value.toFixed(0) : reading.value.toFixed(2)} {reading.unit}
        </output>
        <span className="t-small text-ink2">{reading.stable ? "stands still" : "settling"}</span>
      </p>
      <p className="flex flex-wrap gap-2 mt-2">
        <Button onClick={scale.tare}>Tare</Button>
        <Button onClick={() => scale.setUnit(reading.unit === "g" ? "oz" : "g")}>{reading.unit === "g" ? "Show ounces" : "Show grams"}</Button>
        <Button kind="primary" disabled={!takeable} onClick={() => onTake(reading.grams)}>
          Take it
        </Button>
      </p>
      <p className="t-ledger mt-2 flex items-center gap-2">
        On it lies
        <AmountField
          label="Load on the simulated scale, grams"
          value={load}
          most={5000}
          onChange={(grams) => {
            setLoad(grams);
            scale.put(grams);
          }}
        />
      </p>
    </div>
  );
}
