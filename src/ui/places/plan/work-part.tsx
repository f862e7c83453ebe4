"use client";

import { GATHERING_LIMITS } from "../../../core/plan";
import { buttonClass } from "../../parts/button";
import { Go } from "../../shell/go";
import { Amount, DayField, HourField, Problems, Section } from "./fields";
import type { SetUpProps } from "./set-up-props";

/** By whom a gathering is cooked, on how many burners, and when nobody can. */
export function Work({ gathering, problems, burners, set }: SetUpProps) {
  const { quiet, away, begin } = gathering;
  const time = (label: string, value: string, onChange: (value: string) => void) => <HourField label={label} value={value} onChange={onChange} />;
  return (
    <Section id="work-title" title="By whom, with what, and when not">
      <Problems of={problems} fields={["burners", "begin"]} />
      <div className="flex flex-wrap gap-x-6 gap-y-3 mt-2 items-end">
        <Amount
          label="who cook"
          of="this gathering"
          value={gathering.cooks}
          least={1}
          most={8}
          onChange={(value) => set({ cooks: Math.round(value) }, "cooks")}
        />
        <Amount
          label={`burners, ${burners} in the house`}
          of="this gathering"
          value={gathering.burners ?? burners}
          least={0}
          most={12}
          onChange={(value) => set({ burners: Math.round(value) }, "burners")}
        />
        <Go href="/household#equipment" className="underline t-small min-h-11 inline-flex items-center">
          Pans and fridge
        </Go>
      </div>
      <div className="mt-4 flex flex-wrap gap-x-6 gap-y-3 items-end">
        <label className="flex gap-3 items-center t-ledger min-h-11 cursor-pointer">
          <input type="checkbox" className="size-5" checked={quiet !== null} onChange={() => set({ quiet: quiet ? null : { from: "22:00", to: "06:00" } })} />
          Nobody is up at night
        </label>
        {quiet && time("from", quiet.from, (from) => set({ quiet: { ...quiet, from } }, "quiet"))}
        {quiet && time("to", quiet.to, (to) => set({ quiet: { ...quiet, to } }, "quiet"))}
      </div>
      <div className="mt-2 flex flex-wrap gap-x-6 gap-y-3 items-end">
        <label className="flex gap-3 items-center t-ledger min-h-11 cursor-pointer">
          <input
            type="checkbox"
            className="size-5"
            checked={gathering.noTasteBefore !== null}
            onChange={() => set({ noTasteBefore: gathering.noTasteBefore === null ? gathering.hour : null })}
          />
          On the day nobody tastes before
        </label>
        {gathering.noTasteBefore !== null && time("hour", gathering.noTasteBefore, (noTasteBefore) => set({ noTasteBefore }, "taste"))}
      </div>
      <div className="mt-2 flex flex-wrap gap-x-6 gap-y-3 items-end">
        <label className="flex gap-3 items-center t-ledger min-h-11 cursor-pointer">
          <input
            type="checkbox"
            className="size-5"
            checked={begin !== null}
            onChange={() => set({ begin: begin ? null : { day: gathering.day, hour: "08:00" } })}
          />
          Cooking begins no sooner than
        </label>
        {begin && <DayField label="day" value={begin.day} max={gathering.day} onChange={(day) => set({ begin: { ...begin, day } }, "begin")} />}
        {begin && time("hour", begin.hour, (hour) => set({ begin: { ...begin, hour } }, "begin"))}
      </div>
      <ul className="mt-2">
        {away.map((window) => {
          const change = (part: Partial<typeof window>) =>
            set({ away: away.map((each) => (each.id === window.id ? { ...each, ...part } : each)) }, `away ${window.id}`);
          return (
            <li key={window.id} className="flex flex-wrap gap-x-4 gap-y-2 items-end border-t border-line py-2">
              <span className="t-ledger self-center">Out of the house</span>
              <DayField label="day" value={window.day} max={gathering.day} onChange={(day) => change({ day })} />
              {time("from", window.from, (from) => change({ from }))}
              {time("to", window.to, (to) => change({ to }))}
              <button type="button" className="underline t-small min-h-11" onClick={() => set({ away: away.filter(({ id }) => id !== window.id) })}>
                Take out<span className="sr-only">: hours away on {window.day}</span>
              </button>
            </li>
          );
        })}
      </ul>
      {away.length < GATHERING_LIMITS.away && (
        <button
          type="button"
          className={buttonClass("plain", "mt-2")}
          onClick={() => set({ away: [...away, { id: crypto.randomUUID().slice(0, 8), day: gathering.day, from: "09:00", to: "17:00" }] })}
        >
          Hours out of the house
        </button>
      )}
    </Section>
  );
}
