"use client";

import { useState } from "react";
import type { CookHappening, CookSession } from "../../../core/cook";
import { formatGrams } from "../../../core/units";
import { readTyped } from "../../parts/amount-field";
import { buttonClass } from "../../parts/button";

interface AllDoneProps {
  readonly session: CookSession;
  readonly onGo: (step: string) => void;
  readonly act: (happening: CookHappening) => boolean;
}

/** No step comes next: those that were gone past, what all of it weighs, and the end. */
export function AllDone({ session: { plan, steps, setUp, notes }, onGo, act }: AllDoneProps) {
  const going = steps.some(({ state }) => state === "going");
  const past = steps.filter(({ state }) => state === "to come");
  const [text, setText] = useState("");
  const read = text.trim() === "" ? null : readTyped(text, 1);
  const why = read && "why" in read ? read.why : null;
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (why === null) act({ kind: "ended", grams: read && "value" in read ? read.value : null });
      }}
    >
      <p className="text-[30px] font-[600] leading-tight">
        {going ? "What still goes on is to be done." : past.length === 0 ? "No step is left." : "These were gone past:"}
      </p>
      {past.length > 0 && (
        <ul className="mt-2 border-t border-ink">
          {past.map(({ id, text: words }) => (
            <li key={id} className="border-b border-line">
              <button type="button" className="w-full text-left py-2 min-h-11 underline t-frac" onClick={() => onGo(id)}>
                {words}
              </button>
            </li>
          ))}
        </ul>
      )}
      {setUp?.tasting === false && (
        <p className="mt-4">
          {notes.some(({ text: each }) => each === FIRST_PORTION) ? (
            "The first portion is set aside."
          ) : (
            <button type="button" className={buttonClass("plain", "min-h-14")} onClick={() => act({ kind: "note", text: FIRST_PORTION, step: null })}>
              The first portion is set aside
            </button>
          )}
        </p>
      )}
      <label className="block mt-4">
        What all of it weighs, g, without the pan
        <input
          inputMode="decimal"
          className="block border border-edge bg-sheet px-2 min-h-14 w-40 text-[22px] t-figure"
          value={text}
          aria-invalid={why !== null}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <p className={`t-ledger ${why ? "text-rose" : "text-ink2"}`} role={why ? "alert" : undefined}>
        {why ?? `By plan ${formatGrams(plan.grams)} g. Left empty where it was not weighed.`}
      </p>
      <button type="submit" className={buttonClass("primary", "mt-4 min-h-14 px-8")}>
        It is done
      </button>
    </form>
  );
}

/** What nobody tasted is offered first. */
const FIRST_PORTION = "The first portion was set aside.";
