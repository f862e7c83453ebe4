"use client";

import { useEffect, useState } from "react";
import { formatGrams, lowerFirst } from "../../../core/units";
import type { NextTime as NextTimeData } from "../../../core/views";
import { buttonClass } from "../../parts/button";
import { send, why as whyOf } from "../../parts/send";
import { useLayOn } from "../../shell/use-lay-on";
import { SERVED_WORDS } from "./taste-data";

type Change = NextTimeData["changes"][number];

/** What to change when it is made again: the smallest change that makes it just right for the most. */
export function NextTime({ batch, tastings }: { readonly batch: string; readonly tastings: number }) {
  const [told, setTold] = useState<NextTimeData | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  useEffect(() => {
    let here = true;
    send("GET", `/api/batches/${batch}/next-time`)
      .then((read) => here && (setTold(read as NextTimeData), setWhy(null)))
      .catch((error: unknown) => here && setWhy(whyOf(error, "It could not be worked out.")));
    return () => {
      here = false;
    };
  }, [batch, tastings]);
  return (
    <section aria-labelledby="next-head" aria-busy={told === null && why === null} className="mt-6">
      <h3 id="next-head" className="t-h2">
        Next time
      </h3>
      {why && (
        <p role="alert" className="bg-rose-wash text-rose px-3 py-2 my-2">
          {why}
        </p>
      )}
      {told && (
        <div className="border-t border-ink mt-1 pt-1">
          {told.changes.map((change) => (
            <ChangeTold key={change.attribute} batch={batch} change={change} served={SERVED_WORDS[told.served]} />
          ))}
          {told.left.map((each) => (
            <p key={each} className="py-1 t-ledger">
              {each}
            </p>
          ))}
          {told.changes.length === 0 && told.left.length === 0 && <p className="py-1">Nobody said what to change.</p>}
          {told.changes.length > 0 && (
            <p className="t-small text-ink2 mt-1 max-w-[72ch]">
              Each wants what their answers so far say, give or take what is not noticed and what they leave open; of changes that do as well the smallest. A
              rule of thumb for those who tasted it, no promise for others.
            </p>
          )}
        </div>
      )}
    </section>
  );
}

function ChangeTold({ batch, change, served }: { readonly batch: string; readonly change: Change; readonly served: string }) {
  const { isBusy, lay } = useLayOn(`/api/batches/${batch}/next-time`);
  const { attribute, before, after, unit, share, ways, cookedTo, weighed, apart, rightNow, rightThen, of } = change;
  const percent = Math.abs(Math.round(100 * share));
  const head = attribute === "sweetness" ? `${percent} % ${share > 0 ? "sweeter" : "less sweet"}` : share > 0 ? "Thicker" : "Thinner";
  const digits = (value: number) => value.toFixed(1);
  return (
    <div className="py-2">
      <p className="text-[20px]">
        <span className="font-[600]">{head}</span>
        {": "}
        {[
          ...ways.map(wayWords),
          ...(cookedTo === null ? [] : [`cook it down to ${formatGrams(Math.round(cookedTo))} g in all instead of ${formatGrams(Math.round(weighed))} g`]),
        ].join(", or ")}
        .
      </p>
      <p className="t-ledger text-ink2">
        {attribute === "sweetness" ? "Sweetness" : "Body"}, {served}: {digits(before)} to {digits(after)}
        {unit === "" ? ", step of 10" : ` ${unit}`}. Just right for about {digits(rightThen)} of {of} instead of {digits(rightNow)}, as far as what they said
        tells.
      </p>
      {ways.flatMap(({ name, over }) =>
        over.map((each) => (
          <p key={`${name} ${each}`} className="t-ledger text-rose">
            With {lowerFirst(name)}: {each}.
          </p>
        )),
      )}
      {apart && <p className="t-ledger mt-1">{apart}</p>}
      <p className="mt-2 flex flex-wrap gap-2 no-print">
        {ways.map((way) => (
          <button key={way.food} type="button" disabled={isBusy} className={buttonClass("plain")} onClick={() => void lay({ attribute, food: way.food })}>
            Draft it with {way.grams > 0 ? "more" : "less"} {lowerFirst(way.name)}
          </button>
        ))}
        {cookedTo !== null && (
          <button type="button" disabled={isBusy} className={buttonClass("plain")} onClick={() => void lay({ attribute, food: null })}>
            Draft it, {share > 0 ? "cooked down further" : "cooked down less"}
          </button>
        )}
      </p>
    </div>
  );
}

const wayWords = ({ name, grams, measure, row }: Change["ways"][number]): string =>
  `${formatGrams(Math.abs(grams))} g ${grams > 0 ? (row === null ? "" : "more ") : "less "}${lowerFirst(name)}${measure === "" ? "" : ` (${measure})`}`;
