"use client";

import { useState } from "react";
import type { CookHappening, CookSession } from "../../../core/cook";
import { COOLING_WAYS } from "../../../core/process";
import type { StoveView, ToldCooling } from "../../../core/views";
import { AmountForm } from "../../parts/amount-form";
import { WhyMark } from "../../parts/marks";
import { spanText } from "../../parts/span-text";

interface CoolingProps {
  readonly cooling: StoveView["cooling"];
  readonly endedAt: number;
  readonly now: number;
  readonly temperatures: CookSession["temperatures"];
  readonly act: (happening: CookHappening) => boolean;
}

const TIME = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" });
const MINUTE = 60_000;
const JUDGED: Readonly<Record<ToldCooling["isInTime"], string>> = { yes: "in time", perhaps: "perhaps in time: measure it", no: "too slow" };
const between = ({ low, high }: { readonly low: number; readonly high: number }): string => `${spanText(Math.round(low))} to ${spanText(Math.round(high))}`;

/** The clock of what cools: by when it has to be cold, and how long that takes by where it stands. */
export function Cooling({ cooling, endedAt, now, temperatures, act }: CoolingProps) {
  // Before the clock is known nothing is said; days later it is long eaten, or gone.
  if (cooling.length === 0 || now < endedAt || now > endedAt + 12 * 60 * MINUTE) return null;
  const [first, second] = [endedAt + 120 * MINUTE, endedAt + 360 * MINUTE];
  const temperature = temperatures.at(-1) ?? null;
  const isCool = temperature !== null && temperature.at >= endedAt && temperature.celsius <= 21;
  const isCold = temperature !== null && temperature.at >= endedAt && temperature.celsius <= 5;
  const isLate = (!isCool && now > first) || (!isCold && now > second);
  const left = Math.round(((isCool ? second : first) - now) / MINUTE);
  return (
    <section aria-label="Cooling" className="mt-6 max-w-[720px] no-print">
      <h2 className="t-h2">Cooling</h2>
      {isCold ? (
        <p className="t-ledger">Cold through: keep it at or below 5 °C.</p>
      ) : (
        <p className={`flex gap-2 mt-1 px-3 py-2 ${isLate ? "bg-rose-wash text-rose" : "bg-saffron-wash"}`} role={isLate ? "alert" : undefined}>
          <WhyMark kind={isLate ? "conflict" : "ask"} />
          <span suppressHydrationWarning>
            {isLate
              ? "It is past the time by which it should have been cold. If nobody measured it, what holds milk, egg or cooked grain is thrown away."
              : isCool
                ? `At 21 °C: now to 5 °C in the fridge, by ${TIME.format(second)} (${spanText(Math.max(1, left))} left).`
                : `What is not eaten hot: to 21 °C by ${TIME.format(first)} (${spanText(Math.max(1, left))} left), and to 5 °C by ${TIME.format(second)}.`}
          </span>
        </p>
      )}
      <table className="w-full t-ledger mt-2 border-t border-ink">
        <thead>
          <tr className="text-left text-ink2">
            <th scope="col" className="font-normal">
              until it goes into the fridge
            </th>
            <th scope="col" className="font-normal">
              to 21 °C
            </th>
            <th scope="col" className="font-normal">
              then to 5 °C
            </th>
            <th scope="col" className="font-normal">
              <span className="sr-only">Judged</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {cooling.map(({ place: where, to21, to5, batches, isInTime }) => (
            <tr key={where} className="border-t border-line align-top">
              <th scope="row" className="font-normal text-left py-1 pr-2 first-letter:uppercase">
                {where}
                {batches > 0 && <span className="block t-small text-ink2">by {batches === 1 ? "a batch" : `${batches} batches`} here</span>}
              </th>
              <td className="py-1 pr-2">{between(to21)}</td>
              <td className="py-1 pr-2">{between(to5)}</td>
              <td className={`py-1 ${isInTime === "no" ? "text-rose" : isInTime === "yes" ? "text-pistachio" : ""}`}>{JUDGED[isInTime]}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="t-small text-ink2 mt-1">
        By Newton’s law of cooling, its mass and the pan, in a room of 20 °C; how much heat air and water take off are rules of thumb, so a probe is surer. In a
        warmer room only cold water and the fridge do it. The limits: 21 °C within 2 hours, 5 °C within 4 more (US FDA Food Code).
      </p>
      <Measured said={temperatures.at(-1)?.place ?? ""} act={act} />
    </section>
  );
}

/** How warm it is where it stands: what the next batch's times are told by. */
function Measured({ said, act }: { readonly said: string; readonly act: (happening: CookHappening) => boolean }) {
  const [place, setPlace] = useState(said);
  return (
    <>
      <div className="flex flex-wrap gap-x-4 gap-y-1 items-end mt-2">
        <label className="t-ledger">
          Where it stands
          <select
            className="block border border-edge bg-sheet px-2 min-h-11 text-[16px] max-w-full"
            value={place}
            onChange={(event) => setPlace(event.target.value)}
          >
            <option value="">not said</option>
            {COOLING_WAYS.map(({ words }) => (
              <option key={words} value={words}>
                {words}
              </option>
            ))}
          </select>
        </label>
        <AmountForm
          label="Its middle is at, °C"
          words="Measured"
          least={-30}
          most={220}
          onTake={(celsius) => act({ kind: "temperature", celsius, ...(place === "" ? {} : { place }) })}
        />
      </div>
      <p className="t-small text-ink2 mt-1">Where it stands and two measurements, some minutes apart, teach how long it takes here.</p>
    </>
  );
}
