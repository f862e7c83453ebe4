"use client";

import { useState, type SubmitEvent } from "react";
import type { CookHappening, CookSession } from "../../../core/cook";
import { dayOf, dayWords } from "../../../core/calendar";
import { keepingProblem, lastDay, PLACE_WORDS, STOCK_PLACES, type StockPlace } from "../../../core/stock";
import { formatGrams } from "../../../core/units";
import type { StoveView } from "../../../core/views";
import { readTyped } from "../../parts/amount-field";
import { buttonClass } from "../../parts/button";
import { Go } from "../../shell/go";
import { useHousehold } from "../../shell/household";

interface LeftOverProps {
  readonly session: CookSession;
  readonly keeps: StoveView["keeps"];
  readonly act: (happening: CookHappening) => boolean;
}

const field = "border border-edge bg-sheet px-2 min-h-11 text-[16px] min-w-0";

/** What is not eaten, put by with its last day: no later than it keeps. */
export function LeftOver({ session: { leftOver, setAside, got, plan, endedAt }, keeps, act }: LeftOverProps) {
  const { place: home } = useHousehold();
  const madeOn = dayOf(endedAt ?? 0, home ?? { timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone });
  const left = Math.max(0, Math.round((got ?? plan.grams) - [...setAside, ...leftOver].reduce((sum, { grams }) => sum + (grams ?? 0), 0)));
  const [grams, setGrams] = useState<string | null>(null);
  const [place, setPlace] = useState<StockPlace>("fridge");
  const [day, setDay] = useState<string | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const last = lastDay(keeps, place, madeOn);
  const shown = grams ?? String(left);
  const useBy = day ?? last ?? "";
  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    const read = readTyped(shown, 0.1);
    if ("why" in read) return setWhy(read.why);
    const until = useBy === "" ? null : useBy;
    const problem = keepingProblem(keeps, place, madeOn, until);
    setWhy(problem);
    if (problem === null && act({ kind: "left over", grams: read.value, place, useBy: until })) {
      setGrams(null);
      setDay(null);
    }
  };
  return (
    <section aria-label="Left over" className="mt-6">
      <h2 className="t-h2">Left over</h2>
      <p className="t-ledger text-ink2">
        {typeof keeps === "string"
          ? `How long it keeps is ${keeps}.`
          : `Covered, it keeps ${keeps.fridgeDays === 1 ? "a day" : `${keeps.fridgeDays} days`} in the fridge at the most, ${keeps.roomDays === 0 ? "no more than 2 hours" : keeps.roomDays === 1 ? "a day" : `${keeps.roomDays} days`} out of it up to 30 °C (a rule of thumb, by ${keeps.by === "kind" ? "what kind of sweet it is" : "its water activity"}).`}
      </p>
      {leftOver.length > 0 && (
        <ul className="border-t border-ink mt-1">
          {leftOver.map((each) => (
            <li key={each.event} className="border-b border-line flex justify-between gap-3 py-1.5 t-ledger">
              <span>
                {PLACE_WORDS[each.place]}
                {each.useBy === null ? "" : `, until ${dayWords(each.useBy)}`}
              </span>
              <span className="flex gap-3">
                <span className="t-figure">{formatGrams(each.grams)} g</span>
                <button type="button" className="underline no-print" onClick={() => act({ kind: "taken back", event: each.event })}>
                  Take back<span className="sr-only"> {formatGrams(each.grams)} g left over</span>
                </button>
              </span>
            </li>
          ))}
        </ul>
      )}
      {left > 0 && (
        <form className="flex gap-2 mt-2 flex-wrap items-end no-print" noValidate onSubmit={submit}>
          <label className="t-small text-ink2">
            g
            <input inputMode="decimal" className={`${field} block w-20 t-figure`} value={shown} onChange={(event) => setGrams(event.target.value)} />
          </label>
          <label className="t-small text-ink2">
            where
            <select
              className={`${field} block`}
              value={place}
              onChange={(event) => {
                setPlace(STOCK_PLACES.find((each) => each === event.target.value) ?? "fridge");
                setDay(null);
              }}
            >
              {STOCK_PLACES.map((each) => (
                <option key={each} value={each} disabled={each === "cupboard" && typeof keeps !== "string" && keeps.roomDays === 0}>
                  {PLACE_WORDS[each]}
                </option>
              ))}
            </select>
          </label>
          <label className="t-small text-ink2">
            last day
            <input
              type="date"
              className={`${field} block`}
              min={madeOn}
              max={last ?? undefined}
              value={useBy}
              onChange={(event) => setDay(event.target.value)}
            />
          </label>
          <button type="submit" className={buttonClass("plain")}>
            Put by
          </button>
        </form>
      )}
      {why && (
        <p role="alert" className="t-ledger text-rose mt-1">
          {why}
        </p>
      )}
      {leftOver.length > 0 && (
        <Go href="/pantry/stock" className="underline t-ledger inline-flex items-center min-h-11 no-print">
          What is in stock
        </Go>
      )}
    </section>
  );
}
