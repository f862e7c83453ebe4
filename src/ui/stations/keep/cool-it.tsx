"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { VesselCooling } from "../../../core/views";
import { readTyped } from "../../parts/amount-field";
import { spanText } from "../../parts/span-text";
import { ColumnHead, RowHead } from "../../parts/table-heads";

const IN_TIME: Readonly<Record<VesselCooling["isInTime"], string>> = { yes: "in time", perhaps: "perhaps in time", no: "too slow" };
const LEAST = -5;
const MOST = 45;

const fives = (minutes: number) => spanText(Math.max(5, Math.round(minutes / 5) * 5));
/** A time with what it lies between. */
const Span = ({ of }: { readonly of: VesselCooling["to21"] }) =>
  of === null ? (
    <>not in this room</>
  ) : (
    <>
      {fives(of.value)} <span className="t-small text-ink2 whitespace-nowrap">{`${fives(of.low)} to ${fives(of.high)}`}</span>
    </>
  );

/** How long it takes to cool, by vessel and depth: to 21 °C within 2 hours, and to 5 °C within 4 more. */
export function CoolIt({ cooling, room }: { readonly cooling: readonly VesselCooling[]; readonly room: number }) {
  const router = useRouter();
  const [text, setText] = useState(String(room));
  const read = readTyped(text, LEAST, MOST);
  const why = "why" in read ? read.why : null;
  return (
    <section aria-labelledby="cool-it" className="mt-8">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2 id="cool-it" className="t-h2">
          Cool it first
        </h2>
        <form
          className="no-print flex items-end gap-2"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            if ("value" in read) router.replace(`?room=${read.value}`, { scroll: false });
          }}
        >
          <label className="t-small text-ink2 flex items-center gap-2">
            your room
            <input
              inputMode="decimal"
              value={text}
              aria-invalid={why !== null}
              aria-describedby={why ? "room-why" : undefined}
              onChange={(event) => setText(event.target.value)}
              className={`border bg-sheet px-2 min-h-11 md:min-h-9 w-16 t-figure text-ink ${why ? "border-rose" : "border-edge"}`}
            />
            °C
          </label>
          <button type="submit" className="underline min-h-11 md:min-h-9 t-ledger">
            Reckon
          </button>
        </form>
      </div>
      {why && (
        <p id="room-why" role="alert" className="t-ledger text-rose">
          {why} Between {LEAST} and {MOST} °C.
        </p>
      )}
      <p className="t-ledger text-ink2 max-w-[72ch]">
        To 21 °C within 2 hours, and to 5 °C within 4 more (US FDA Food Code 3-501.14): standing out until it is hand-warm, 40 °C, then open in the fridge. What
        is too slow goes into a shallower vessel, or into cold water first.
      </p>
      <table className="w-full mt-1">
        <caption className="sr-only">Minutes to cool, by vessel and depth</caption>
        <thead>
          <tr className="border-y border-ink t-small text-ink2">
            <ColumnHead>in</ColumnHead>
            <ColumnHead>to 21 °C</ColumnHead>
            <ColumnHead>and to 5 °C</ColumnHead>
            <ColumnHead>is it in time?</ColumnHead>
          </tr>
        </thead>
        <tbody>
          {cooling.map(({ vessel, depth, to21, to5, isInTime }) => (
            <tr key={`${vessel} ${depth}`} className="border-b border-line t-ledger align-baseline">
              <RowHead className="py-1.5 pr-3">
                {vessel} <span className="t-small text-ink2 whitespace-nowrap">{depth.toFixed(1)} cm deep</span>
              </RowHead>
              <td className="pr-3">
                <Span of={to21} />
              </td>
              <td className="pr-3">
                <Span of={to5} />
              </td>
              <td className={isInTime === "no" ? "text-rose" : isInTime === "yes" ? "text-pistachio" : ""}>{IN_TIME[isInTime]}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="t-small text-ink2 mt-1">Newton’s law of cooling; how the air moves is a rule of thumb. In small: between what it lies 8 times in 10.</p>
    </section>
  );
}
