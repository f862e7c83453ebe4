"use client";

import { useState } from "react";
import { DEVICES, type DeviceId } from "../../core/devices";
import { AmountField } from "../parts/amount-field";
import { Button } from "../parts/button";
import { useDevice } from "./use-device";

/** A device on the page: its display, what can be pressed on it, and a button that takes what it shows. Until a real one is connected, what is around it is set by hand. */
export default function DevicePanel({ id, onTake }: { readonly id: DeviceId; readonly onTake: (measured: number) => void }) {
  const { name, unit, surroundings } = DEVICES[id];
  const [{ reading, controls }, change] = useDevice(id);
  const [around, setAround] = useState(0);
  const kind = name.replace(/^Simulated /, "");
  return (
    <div className="border border-edge bg-sheet p-3 mt-2">
      <p className="t-small text-ink2">{name}. A real one can stand in its place.</p>
      <p className="flex items-baseline justify-between gap-3 mt-1">
        <output aria-label={`The ${kind} shows`} className="t-figure text-[30px] leading-tight">
          {reading.value.toFixed(reading.digits)} {reading.unit}
        </output>
        <span className="t-small text-ink2">{reading.isOver ? "more than it can tell" : reading.stable ? "stands still" : "settling"}</span>
      </p>
      <p className="flex flex-wrap gap-2 mt-2">
        {controls.map(({ label }, i) => (
          <Button key={i} onClick={() => change((device) => device.controls[i]?.press() ?? device)}>
            {label}
          </Button>
        ))}
        <Button kind="primary" disabled={!reading.stable || reading.measured <= 0} onClick={() => onTake(reading.measured)}>
          Take it
        </Button>
      </p>
      <p className="t-ledger mt-2 flex items-center gap-2">
        {surroundings.label}
        <AmountField
          label={`${surroundings.label}, ${unit}`}
          unit={unit}
          value={around}
          least={surroundings.least}
          most={surroundings.most}
          onChange={(value) => {
            setAround(value);
            change((device) => device.around(value));
          }}
        />
      </p>
    </div>
  );
}
