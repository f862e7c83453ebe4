"use client";

import { lazy, Suspense, useMemo, useState } from "react";
import { forecast, gramsByStick, heatNow, oddWeight, weightsNow, type CookHappening, type CookSession } from "../../../core/cook";
import { HEATS } from "../../../core/recipe";
import { formatGrams } from "../../../core/units";
import type { StoveView } from "../../../core/views";
import { readTyped } from "../../parts/amount-field";
import { AmountForm } from "../../parts/amount-form";
import { buttonClass } from "../../parts/button";
import { spanText } from "../../parts/span-text";

const CookDownChart = lazy(() => import("./cook-down-chart"));

type Act = (happening: CookHappening) => boolean;

/** What the masses are off before the pot was weighed, as a share of it: a rule of thumb. */
const UNWEIGHED = 0.04;
const HEAT_WORDS: Readonly<Record<(typeof HEATS)[number], string>> = {
  steaming: "it only steams",
  simmer: "it simmers",
  brisk: "it boils briskly",
  rolling: "it boils hard",
};

/** How the pot boils down: where to stop, how long that takes, and its curve. */
export function CookDownPanel({
  session,
  of,
  now,
  act,
}: {
  readonly session: CookSession;
  readonly of: NonNullable<StoveView["cookDown"]>;
  readonly now: number;
  readonly act: Act;
}) {
  const { changedAt, pan, steps } = session;
  const weights = useMemo(() => weightsNow(session), [session]);
  const began = steps.find(({ id }) => id === session.now)?.began ?? changedAt;
  // To the half minute: what is drawn does not have to follow each second.
  const at = Math.max(Math.floor(now / 30_000) * 30_000, weights.at(-1)?.at ?? 0, began);
  const told = useMemo(
    () =>
      forecast({
        prior: of.prior,
        weights,
        start: { at: Math.max(began, changedAt), grams: of.start, sd: UNWEIGHED * of.start },
        solids: of.solids,
        target: of.stop.value,
        now: at,
      }),
    [of, weights, began, changedAt, at],
  );
  const { minutes, grams } = told;
  const stop = Math.round(of.stop.value);
  const isThere = grams.value <= of.stop.value;
  return (
    <section aria-label="Cook down" className="mb-6">
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <h2 className="t-h2">Cook down</h2>
        <p className="t-ledger text-ink2">
          {isThere
            ? "it should be there"
            : `${formatGrams(Math.round(grams.value - of.stop.value))} g to lose${minutes === null ? "" : `, about ${spanText(Math.max(1, Math.round(minutes.value)))}`}`}
        </p>
      </div>
      <div className="grid grid-cols-2 gap-4 border-t border-ink mt-1 pt-1.5">
        <p>
          <span className="t-small text-ink2 block">stop at</span>
          <span className="text-[34px] leading-none font-[560] [font-stretch:85%] tabular-nums">{formatGrams(stop)} g</span>
          <span className="t-small text-ink2 block mt-1">
            {pan > 0 ? `${formatGrams(stop + pan)} g with the pan` : "without the pan"}
            {of.stop.high - of.stop.low > 2 && `; ${formatGrams(Math.round(of.stop.low))} to ${formatGrams(Math.round(of.stop.high))} is not told apart`}
          </span>
        </p>
        <p>
          <span className="t-small text-ink2 block">{weights.length > 0 ? "now, by weight" : "now, by the masses"}</span>
          <span className="text-[34px] leading-none font-[560] [font-stretch:85%] tabular-nums">{formatGrams(Math.round(grams.value))} g</span>
          <span className="t-small text-ink2 block mt-1">
            {formatGrams(Math.round(grams.low))} to {formatGrams(Math.round(grams.high))} g
          </span>
        </p>
      </div>
      {of.words && (
        <p className="mt-1.5">
          {of.isSet && "By your own weight. "}
          {of.words}
        </p>
      )}
      <p className="t-ledger text-ink2">
        {minutes === null
          ? "With so much dry in it the pot does not come down so far."
          : isThere
            ? "Weigh it, or look at the cue."
            : `${spanText(Math.max(1, Math.round(minutes.low)))} to ${spanText(Math.max(1, Math.round(minutes.high)))}; it loses ${told.rate.value.toFixed(1)} g a minute (${told.rate.low.toFixed(1)} to ${told.rate.high.toFixed(1)}), ${
                weights.length >= 2 ? `by ${weights.length} weights` : rateBy(of.prior.batches)
              }.`}
      </p>
      <Suspense fallback={<div className="h-[190px]" />}>
        <CookDownChart forecast={told} weights={weights} stop={of.stop.value} now={at} />
      </Suspense>
      <Measure session={session} density={of.density} act={act} />
      <label className="t-ledger flex items-center gap-2 mt-2">
        The flame
        <select
          className="border border-edge bg-sheet px-2 min-h-11 text-[16px]"
          value={heatNow(session) ?? "simmer"}
          onChange={(event) => {
            const heat = HEATS.find((each) => each === event.target.value);
            if (heat) act({ kind: "heat", heat });
          }}
        >
          {HEATS.map((each) => (
            <option key={each} value={each}>
              {HEAT_WORDS[each]}
            </option>
          ))}
        </select>
      </label>
      <OwnStop of={of} act={act} />
    </section>
  );
}

const field = "border border-edge bg-sheet px-2 min-h-11 text-[16px] t-figure min-w-0";

/** The pot on the scale, or how deep it stands. */
export function Measure({ session, density, act }: { readonly session: CookSession; readonly density: number | null; readonly act: Act }) {
  const [weight, setWeight] = useState("");
  const [pan, setPan] = useState<string | null>(null);
  const [depth, setDepth] = useState("");
  const [across, setAcross] = useState<string | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  // An odd weight is asked about once.
  const [asked, setAsked] = useState<string | null>(null);
  const panText = pan ?? (session.pan > 0 ? String(session.pan) : "");
  const acrossText = across ?? (session.setUp?.pan ? String(session.setUp.pan.diameter) : "");
  const read = (text: string, least: number): number | null => {
    const typed = readTyped(text, least);
    setWhy("why" in typed ? typed.why : null);
    return "value" in typed ? typed.value : null;
  };
  return (
    <>
      <form
        className="mt-2 grid grid-cols-[1fr_1fr_auto] gap-2 items-end"
        onSubmit={(event) => {
          event.preventDefault();
          const grams = read(weight, 1);
          const alone = grams === null ? null : panText.trim() === "" ? 0 : read(panText, 0);
          if (grams === null || alone === null) return;
          const odd = oddWeight(session, grams - alone, Date.now());
          if (odd !== null && asked !== weight) {
            setWhy(`${odd} If it is right, press once more.`);
            return setAsked(weight);
          }
          if (act({ kind: "weighed", grams, pan: alone })) setWeight("");
        }}
      >
        <label className="t-small text-ink2">
          The pot on the scale, g
          <input
            id="weigh"
            inputMode="decimal"
            autoComplete="off"
            className={`${field} block w-full`}
            value={weight}
            onChange={(event) => setWeight(event.target.value)}
          />
        </label>
        <label className="t-small text-ink2">
          The pan alone, g
          <input inputMode="decimal" autoComplete="off" className={`${field} block w-full`} value={panText} onChange={(event) => setPan(event.target.value)} />
        </label>
        <button type="submit" className={buttonClass("plain")}>
          Weighed
        </button>
      </form>
      {density !== null && (
        <details className="mt-2 t-ledger">
          <summary className="cursor-pointer min-h-11 flex items-center underline">No scale? By the depth in the pan</summary>
          <form
            className="grid grid-cols-[1fr_1fr_auto] gap-2 items-end"
            onSubmit={(event) => {
              event.preventDefault();
              const centimetres = read(depth, 0.1);
              const diameter = centimetres === null ? null : read(acrossText, 1);
              if (centimetres === null || diameter === null) return;
              if (act({ kind: "depth", centimetres, diameter, ...gramsByStick(centimetres, diameter, density) })) setDepth("");
            }}
          >
            <label className="t-small text-ink2">
              It stands, cm deep
              <input inputMode="decimal" className={`${field} block w-full`} value={depth} onChange={(event) => setDepth(event.target.value)} />
            </label>
            <label className="t-small text-ink2">
              The pan is, cm across
              <input inputMode="decimal" className={`${field} block w-full`} value={acrossText} onChange={(event) => setAcross(event.target.value)} />
            </label>
            <button type="submit" className={buttonClass("plain")}>
              Read
            </button>
          </form>
        </details>
      )}
      {why && (
        <p role="alert" className="t-ledger text-rose">
          {why}
        </p>
      )}
    </>
  );
}

/** A weight of one's own to stop at. */
function OwnStop({ of, act }: { readonly of: NonNullable<StoveView["cookDown"]>; readonly act: Act }) {
  return of.isSet ? (
    <p className="t-ledger mt-1">
      The weight to stop at is your own.{" "}
      <button type="button" className={buttonClass("quiet", "min-h-11")} onClick={() => act({ kind: "stop at", grams: null })}>
        As worked out again
      </button>
    </p>
  ) : (
    <details className="t-ledger">
      <summary className="cursor-pointer min-h-11 flex items-center underline">Stop at another weight</summary>
      <AmountForm
        label="Stop at, g without the pan"
        placeholder="g, without the pan"
        words="Stop there"
        least={1}
        onTake={(grams) => act({ kind: "stop at", grams })}
      />
    </details>
  );
}

/** By what a rate is told before the pot was weighed. */
const rateBy = (batches: number): string =>
  batches === 0
    ? "a rule of practice for this pan and flame: weigh it twice, some minutes apart"
    : `by ${batches === 1 ? "your last batch" : `your ${batches} batches`} in this pan on this burner: weigh it twice, some minutes apart`;
