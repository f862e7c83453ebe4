"use client";

import { useEffect, useRef, useState } from "react";
import { oddWeight, type CookHappening, type CookSession } from "../../../core/cook";
import type { StoveView } from "../../../core/views";
import { buttonClass } from "../../parts/button";
import { usePot } from "../../devices/use-pot";

interface PotDevicesProps {
  readonly session: CookSession;
  readonly view: StoveView;
  readonly act: (happening: CookHappening) => boolean;
}

const FLAMES = [
  [0, "off"],
  [0.25, "low"],
  [0.45, "medium"],
  [0.8, "high"],
] as const;
const LIDS = [
  [0, "no lid"],
  [0.5, "half on"],
  [1, "lid on"],
] as const;
/** A pot that nobody told the pan or burner of, cm and kW. */
const USUAL = { diameter: 24, power: 2.2 } as const;
const WARM = 60;
const EVERY_MS = 60_000;

/** Scale and probe at a pot that is simulated until real ones stand in their place: what they show becomes events, what is odd does not. */
export default function PotDevices({ session, view, act }: PotDevicesProps) {
  const { setUp, pan } = session;
  const [{ scale, probe }, set, lift] = usePot({
    holds: view.holds,
    grams: session.weighings.at(-1)?.grams ?? view.cookDown?.start ?? null,
    diameter: setUp?.pan?.diameter ?? USUAL.diameter,
    power: setUp?.burner?.power ?? USUAL.power,
    pan,
    celsius: WARM,
  });
  const [flame, setFlame] = useState<number>(0.45);
  const [lid, setLid] = useState<number>(0);
  const [isLifted, setLifted] = useState(false);
  const [isByItself, setByItself] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  const weight = scale.reading;
  const warmth = probe.reading;
  const take = (): boolean => {
    const odd = weight.stable ? oddWeight(session, weight.measured - pan, Date.now()) : "The scale does not stand still yet.";
    setWhy(odd);
    return odd === null && act({ kind: "weighed", grams: weight.measured, pan });
  };
  const latest = useRef(take);
  useEffect(() => void (latest.current = take));
  useEffect(() => {
    if (!isByItself) return;
    const timer = setInterval(() => latest.current(), EVERY_MS);
    return () => clearInterval(timer);
  }, [isByItself]);
  return (
    <div className="border border-edge bg-sheet p-3 mt-2">
      <p className="t-small text-ink2">A simulated pot with a scale and a probe, in a little world of its own. Real ones can stand in their place.</p>
      <div className="flex flex-wrap gap-x-6 gap-y-2 mt-2">
        <p>
          <span className="t-small text-ink2 block">
            {weight.isOver ? "more than it can tell" : weight.stable ? "the scale stands still" : "the scale settles"}
          </span>
          <output aria-label="The scale shows" className="t-figure text-[26px] leading-tight">
            {weight.value.toFixed(weight.digits)} {weight.unit}
          </output>
        </p>
        <p>
          <span className="t-small text-ink2 block">{warmth.stable ? "the probe stands still" : "the probe follows"}</span>
          <output aria-label="The probe shows" className="t-figure text-[26px] leading-tight">
            {warmth.value.toFixed(warmth.digits)} {warmth.unit}
          </output>
        </p>
      </div>
      <div className="flex flex-wrap gap-2 mt-2">
        <button type="button" className={buttonClass("primary")} disabled={!weight.stable} onClick={take}>
          Take the weight
        </button>
        <button type="button" className={buttonClass("plain")} disabled={!warmth.stable} onClick={() => act({ kind: "temperature", celsius: warmth.measured })}>
          Take the warmth
        </button>
      </div>
      {why && (
        <p role="alert" className="t-ledger text-rose mt-1">
          {why} It is not taken.
        </p>
      )}
      <label className="flex items-center gap-2 min-h-11 t-ledger cursor-pointer">
        <input type="checkbox" className="size-5" checked={isByItself} onChange={() => setByItself(!isByItself)} />
        weigh by itself, each minute
      </label>
      <div className="grid grid-cols-2 gap-2">
        <Set
          label="The flame"
          value={flame}
          options={FLAMES}
          onChange={(value) => {
            setFlame(value);
            set({ flame: value });
          }}
        />
        <Set
          label="The lid"
          value={lid}
          options={LIDS}
          onChange={(value) => {
            setLid(value);
            set({ lid: value });
          }}
        />
      </div>
      <label className="flex items-center gap-2 min-h-11 t-ledger cursor-pointer">
        <input
          type="checkbox"
          className="size-5"
          checked={isLifted}
          onChange={() => {
            lift(!isLifted);
            setLifted(!isLifted);
          }}
        />
        lifted off the scale
      </label>
    </div>
  );
}

interface SetProps {
  readonly label: string;
  readonly value: number;
  readonly options: readonly (readonly [value: number, words: string])[];
  readonly onChange: (value: number) => void;
}
const Set = ({ label, value, options, onChange }: SetProps) => (
  <label className="t-small text-ink2">
    {label}
    <select
      className="block w-full border border-edge bg-sheet px-2 min-h-11 text-ink text-[16px]"
      value={value}
      onChange={(event) => onChange(Number(event.target.value))}
    >
      {options.map(([each, words]) => (
        <option key={each} value={each}>
          {words}
        </option>
      ))}
    </select>
  </label>
);
