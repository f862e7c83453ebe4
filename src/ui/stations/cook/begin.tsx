"use client";

import { useState } from "react";
import type { CookPlan, StoveSetUp } from "../../../core/cook";
import { buttonClass } from "../../parts/button";
import { spanText } from "../../parts/span-text";
import { useHousehold } from "../../shell/household";

interface BeginProps {
  readonly plan: CookPlan;
  readonly onBegin: (setUp: StoveSetUp) => void;
}

/** Before it begins: for how long, in which pan and on what, whether anybody may taste, and what has to be known of alarms. */
export function Begin({ plan, onBegin }: BeginProps) {
  const { pans, burners } = useHousehold().equipment ?? { pans: [], burners: [] };
  const [pan, setPan] = useState(pans[0]?.id ?? "");
  const [burner, setBurner] = useState(burners[0]?.id ?? "");
  const [tasting, setTasting] = useState(true);
  const minutes = plan.steps.reduce((sum, { minutes: { usual }, isBefore }) => sum + (isBefore ? 0 : usual), 0);
  const before = plan.steps.filter(({ isBefore }) => isBefore);
  const begin = () => {
    const inPan = pans.find(({ id }) => id === pan);
    const on = burners.find(({ id }) => id === burner);
    onBegin({
      pan: inPan ? { name: inPan.name, diameter: inPan.diameter, grams: inPan.mass } : null,
      burner: on ? { name: on.name, kind: on.kind, power: on.power } : null,
      tasting,
    });
  };
  return (
    <section aria-label="Begin">
      <p className="text-[22px] leading-[1.3] max-w-[40ch]">
        {plan.steps.length} {plan.steps.length === 1 ? "step" : "steps"}, about {spanText(minutes)}. Get everything ready first; what is ticked stays ticked.
      </p>
      {plan.tools.length > 0 && <p className="mt-3 max-w-[60ch]">Within reach: {plan.tools.join(", ")}.</p>}
      {before.length > 0 && <p className="mt-3 max-w-[60ch]">Hours before: {before.map(({ text }) => text).join(" ")}</p>}
      <div className="grid sm:grid-cols-2 gap-4 mt-5 max-w-[560px]">
        <Choose label="The pan" value={pan} options={pans.map(({ id, name, diameter }) => [id, `${name}, ${diameter} cm`])} none="not said" onChange={setPan} />
        <Choose
          label="The burner"
          value={burner}
          options={burners.map(({ id, name, power }) => [id, `${name}, ${power} kW`])}
          none="not said"
          onChange={setBurner}
        />
      </div>
      {pans.length === 0 && <p className="t-ledger text-ink2 mt-1">No pan is told at Household: what boils away is worked out for a usual one.</p>}
      <label className="flex items-start gap-3 mt-4 cursor-pointer max-w-[60ch]">
        <input type="checkbox" className="size-6 mt-0.5" checked={!tasting} onChange={() => setTasting(!tasting)} />
        <span>
          Nobody tastes it while it is cooked
          <span className="block t-ledger text-ink2">
            An offering, a fast, an allergy: weighed amounts, smell, spoon and colour instead; a first portion is set aside.
          </span>
        </span>
      </label>
      <p className="mt-4 t-ledger text-ink2 max-w-[64ch]">
        Timers run by the clock. While the screen sleeps no alarm can ring; what was missed is said first of all when it wakes.
      </p>
      <button type="button" className={buttonClass("primary", "mt-5 min-h-14 px-10 text-[20px]")} onClick={begin}>
        Begin
      </button>
    </section>
  );
}

interface ChooseProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [id: string, words: string])[];
  readonly none: string;
  readonly onChange: (id: string) => void;
}
const Choose = ({ label, value, options, none, onChange }: ChooseProps) => (
  <label className="t-ledger">
    {label}
    <select className="block w-full border border-edge bg-sheet px-2 min-h-14 text-[16px]" value={value} onChange={(event) => onChange(event.target.value)}>
      {options.map(([id, words]) => (
        <option key={id} value={id}>
          {words}
        </option>
      ))}
      <option value="">{none}</option>
    </select>
  </label>
);
