"use client";

import { secondsLeft, type CookHappening, type CookSession } from "../../../core/cook";
import { buttonClass } from "../../parts/button";
import { spanText } from "../../parts/span-text";

interface GoingOnProps {
  readonly session: CookSession;
  readonly now: number;
  readonly act: (happening: CookHappening) => boolean;
}

/** What goes on beside the step that is on: by itself, or in somebody's hands. */
export function GoingOn({ session: { steps, timers }, now, act }: GoingOnProps) {
  const going = steps.map((step, i) => ({ ...step, place: i + 1 })).filter(({ state }) => state === "going");
  if (going.length === 0) return null;
  return (
    <section aria-label="Going on beside" className="mb-4">
      <h2 className="t-ledger font-[590]">Going on beside</h2>
      <ul className="border-t border-ink mt-1">
        {going.map(({ id, text, who, began, place }) => {
          const timer = timers.find(({ step }) => step === id);
          const left = timer ? secondsLeft(timer, now) : null;
          return (
            <li key={id} className="border-b border-line py-1.5 flex flex-wrap gap-x-4 gap-y-1 items-center">
              <span className="flex-1 basis-full md:basis-60 min-w-0">
                <span className="block line-clamp-1">
                  {place}. {text}
                </span>
                <span className={`t-ledger ${left !== null && left <= 0 ? "text-rose font-[590]" : "text-ink2"}`}>
                  {who === null ? "by itself" : who}
                  {began !== null && now > began + 60_000 && `, on for ${spanText(Math.floor((now - began) / 60_000))}`}
                  {left !== null && (left > 0 ? `, ${spanText(Math.max(1, Math.ceil(left / 60)))} left` : ": the time is up")}
                </span>
              </span>
              <button type="button" className={buttonClass("plain", "min-h-14")} onClick={() => act({ kind: "went to", step: id })}>
                Go to it
              </button>
              <button type="button" className={buttonClass("plain", "min-h-14")} onClick={() => act({ kind: "done", step: id })}>
                Done<span className="sr-only">, step {place}</span>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

interface HandsProps {
  /** The step that is on. */
  readonly step: string;
  /** Who may take it. */
  readonly names: readonly string[];
  readonly act: (happening: CookHappening) => boolean;
}
const BY_ITSELF = "by itself";

/** In whose hands the step that is on goes on, so that the next can be begun. */
export const Hands = ({ step, names, act }: HandsProps) => (
  <label className="t-ledger flex items-center gap-2 mt-3 w-fit no-print">
    Let it go on
    <select
      className="border border-edge bg-sheet px-2 min-h-14 text-[16px]"
      value=""
      onChange={(event) => {
        const { value } = event.target;
        if (value !== "") act({ kind: "goes on", step, who: value === BY_ITSELF ? null : value });
      }}
    >
      <option value="">and begin the next …</option>
      <option value={BY_ITSELF}>by itself</option>
      {[...names, "somebody else"].map((name) => (
        <option key={name} value={name}>
          in the hands of {name}
        </option>
      ))}
    </select>
  </label>
);
