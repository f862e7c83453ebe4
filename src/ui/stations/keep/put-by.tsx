"use client";

import { useState, type SubmitEvent } from "react";
import type { CookHappening, CookSession } from "../../../core/cook";
import { dayWords } from "../../../core/calendar";
import { keepingProblem, lastDay, timeWords, type Storage } from "../../../core/keep";
import { PLACE_WORDS, STOCK_PLACES, type StockPlace } from "../../../core/stock";
import { formatGrams } from "../../../core/units";
import type { ByProduct } from "../../../core/views";
import { readTyped } from "../../parts/amount-field";
import { buttonClass } from "../../parts/button";
import { Go } from "../../shell/go";

interface PutByProps {
  readonly session: CookSession;
  readonly storage: Storage;
  readonly byProducts: readonly ByProduct[];
  readonly madeOn: string;
  readonly act: (happening: CookHappening) => boolean;
}

/** What is not eaten, and what its making left over, put into the stock with its last day: no later than it keeps. */
export function PutBy({ session, storage, byProducts, madeOn, act }: PutByProps) {
  const { leftOver, setAside, got, plan } = session;
  const given = [...setAside, ...leftOver.filter(({ what }) => what === undefined)].reduce((sum, { grams }) => sum + (grams ?? 0), 0);
  const left = Math.max(0, Math.round((got ?? plan.grams) - given));
  return (
    <section aria-labelledby="put-by" className="mt-8">
      <h2 id="put-by" className="t-h2">
        Put by
      </h2>
      {leftOver.length > 0 && (
        <ul className="border-t border-ink mt-1" aria-label="In stock">
          {leftOver.map((each) => (
            <li key={each.event} className="border-b border-line flex flex-wrap justify-between gap-x-4 py-1.5 t-ledger items-baseline">
              <span>
                {each.what === undefined ? "" : `${each.what}, `}
                {PLACE_WORDS[each.place]}
                {each.useBy === null ? "" : `, until ${dayWords(each.useBy)}`}
              </span>
              <span className="flex gap-4 items-baseline">
                <span className="t-figure">{formatGrams(each.grams)} g</span>
                <button type="button" className="underline no-print min-h-11 md:min-h-8" onClick={() => act({ kind: "taken back", event: each.event })}>
                  Take back<span className="sr-only"> {formatGrams(each.grams)} g put by</span>
                </button>
              </span>
            </li>
          ))}
        </ul>
      )}
      {left > 0 && (
        <PutByForm key={left} of="What is left" grams={left} storage={storage} madeOn={madeOn} onPut={(put) => act({ kind: "left over", ...put })} />
      )}
      {byProducts.map((each) => (
        <div key={each.id} className="mt-4 border-t border-line pt-2">
          <p className="t-ledger">
            <b className="font-[550]">{each.name}</b>, about {formatGrams(each.grams)} g wet, is left over of the making; {timeWords(each.storage, "fridge")} in
            the fridge, {timeWords(each.storage, "freezer")} in the freezer (rules of thumb).
            {each.uses.length > 0 && ` Good for it: ${each.uses.join("; ")}.`}
          </p>
          {!leftOver.some(({ what }) => what === each.name) && (
            <PutByForm
              of={each.name}
              grams={each.grams}
              storage={each.storage}
              madeOn={madeOn}
              onPut={(put) => act({ kind: "left over", ...put, what: each.name })}
            />
          )}
        </div>
      ))}
      {leftOver.length > 0 && (
        <Go href="/pantry/stock" className="underline t-ledger inline-flex items-center min-h-11 no-print">
          What is in stock
        </Go>
      )}
    </section>
  );
}

const field = "border border-edge bg-sheet px-2 min-h-11 md:min-h-9 text-[16px] min-w-0 text-ink";

interface PutByFormProps {
  readonly of: string;
  /** g that there is. */
  readonly grams: number;
  readonly storage: Pick<Storage, "times" | "thaw" | "unknown">;
  readonly madeOn: string;
  readonly onPut: (put: { readonly grams: number; readonly place: StockPlace; readonly useBy: string | null }) => boolean;
}

function PutByForm({ of, grams: left, storage, madeOn, onPut }: PutByFormProps) {
  const [grams, setGrams] = useState(String(left));
  const [place, setPlace] = useState<StockPlace>("fridge");
  const [day, setDay] = useState<string | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const last = lastDay(storage, place, madeOn);
  const useBy = day ?? last ?? "";
  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    const read = readTyped(grams, 0.1);
    if ("why" in read) return setWhy(read.why);
    const problem = keepingProblem(storage, place, madeOn, useBy === "" ? null : useBy);
    setWhy(problem);
    if (problem === null) onPut({ grams: read.value, place, useBy: useBy === "" ? null : useBy });
  };
  return (
    <form aria-label={`Put by: ${of}`} className="flex gap-3 mt-2 flex-wrap items-end no-print" noValidate onSubmit={submit}>
      <label className="t-small text-ink2">
        g
        <input inputMode="decimal" className={`${field} block w-20 t-figure`} value={grams} onChange={(event) => setGrams(event.target.value)} />
      </label>
      <label className="t-small text-ink2">
        where
        <select
          className={`${field} block`}
          value={place}
          onChange={(event) => {
            setPlace(STOCK_PLACES.find((each) => each === event.target.value) ?? "fridge");
            setDay(null);
            setWhy(null);
          }}
        >
          {STOCK_PLACES.map((each) => (
            <option key={each} value={each} disabled={lastDay(storage, each, madeOn) === null}>
              {PLACE_WORDS[each]}
            </option>
          ))}
        </select>
      </label>
      <label className="t-small text-ink2">
        last day
        <input type="date" className={`${field} block`} min={madeOn} max={last ?? undefined} value={useBy} onChange={(event) => setDay(event.target.value)} />
      </label>
      <button type="submit" className={buttonClass("plain")}>
        Put by<span className="sr-only"> {of}</span>
      </button>
      {why && (
        <p role="alert" className="t-ledger text-rose basis-full">
          {why}
        </p>
      )}
    </form>
  );
}
