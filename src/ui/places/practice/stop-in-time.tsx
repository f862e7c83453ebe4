"use client";

import { useEffect, useState } from "react";
import type { Exercise, Stopped } from "../../../core/practice";
import { formatGrams, lowerFirst } from "../../../core/units";
import { buttonClass } from "../../parts/button";
import { WhyNote } from "../../parts/why-note";
import { Outcome } from "./exercise-frame";
import { useTry } from "./use-try";

interface StopInTimeProps {
  readonly exercise: Extract<Exercise, { kind: "stop in time" }>;
  readonly eater: string | null;
  readonly onAgain: () => void;
}

/** All of it goes by in so many seconds; what stands there changes so often, ms. */
const [LASTS, EVERY] = [60, 100];

/** A pot that cooks down fast: what it weighs and how it looks hot, and one press to stop it. */
export function StopInTime({ exercise: { kind, seed, pot, wantedWords, moments }, eater, onAgain }: StopInTimeProps) {
  const { told, why, isSending, attempt } = useTry<Stopped>(kind, seed, eater);
  const [begunAt, setBegunAt] = useState<number | null>(null);
  const [minutes, setMinutes] = useState(0);
  const [isStopped, setStopped] = useState(false);
  const all = moments.at(-1)?.minutes ?? 0;
  const isOn = begunAt !== null && !isStopped;
  useEffect(() => {
    if (!isOn) return;
    const timer = setInterval(() => setMinutes(Math.min(all, ((performance.now() - begunAt) / 1000) * (all / LASTS))), EVERY);
    return () => clearInterval(timer);
  }, [isOn, begunAt, all]);
  const step = moments.length > 1 ? all / (moments.length - 1) : 1;
  const at = moments[Math.min(moments.length - 1, Math.round(minutes / step))];
  const stop = async () => {
    const now = begunAt === null ? minutes : Math.min(all, ((performance.now() - begunAt) / 1000) * (all / LASTS));
    if (!isStopped) {
      setStopped(true);
      setMinutes(now);
    }
    await attempt({ minutes: isStopped ? minutes : now });
  };
  return (
    <>
      <p className="text-[20px] max-w-[52ch]">
        {pot.liquid}, {lowerFirst(pot.thickener)} and {lowerFirst(pot.sweetener)}. At 8 °C it is to be: <strong className="font-[600]">{wantedWords}</strong>.
      </p>
      <dl className="mt-5 grid grid-cols-3 gap-4 border-y border-line py-4 max-w-[640px]">
        <div>
          <dt className="t-small text-ink2">Since the boil</dt>
          <dd className="t-figure text-[34px] font-[560]">{Math.floor(minutes)} min</dd>
        </div>
        <div>
          <dt className="t-small text-ink2">In the pot</dt>
          <dd className="t-figure text-[34px] font-[560]">{formatGrams(Math.round(at?.grams ?? 0))} g</dd>
        </div>
        <div>
          <dt className="t-small text-ink2">As it is now, hot</dt>
          <dd className="text-[22px] font-[560] leading-tight">{at?.words ?? ""}</dd>
        </div>
      </dl>
      <Pot share={(at?.grams ?? 0) / Math.max(1, moments[0]?.grams ?? 1)} isOn={isOn} />
      {told === null && (
        <p className="mt-5">
          {begunAt === null ? (
            <button type="button" className={buttonClass("primary", "min-h-16 px-8 text-[18px]")} onClick={() => setBegunAt(performance.now())}>
              Light the flame
            </button>
          ) : (
            <button type="button" aria-busy={isSending} className={buttonClass("primary", "min-h-16 px-8 text-[18px]")} onClick={() => void stop()}>
              {isStopped ? "Chill it" : "Stop"}
            </button>
          )}
        </p>
      )}
      {begunAt === null && <p className="t-small text-ink2 mt-2">The whole of it goes by in a minute.</p>}
      <WhyNote why={why} />
      {told && (
        <Outcome onAgain={onAgain}>
          <p className="text-[20px]">
            {Math.abs(told.miss) < 0.8 ? "Nobody would notice: " : ""}
            {Math.abs(told.miss) < 0.05 ? "right on it" : `${Math.abs(told.miss).toFixed(1)} steps too ${told.miss > 0 ? "thick" : "thin"}`}.
          </p>
          <p className="mt-1">
            At 8 °C it is: {told.coldWords} (body {told.at.cold.toFixed(1)} of 10; in the pot it was {told.at.hot.toFixed(1)}). Right was after{" "}
            {Math.round(told.best)} min; in the pot it looked like this then: {told.rightWords}.
          </p>
        </Outcome>
      )}
    </>
  );
}

/** The pot from the side: what is left in it, and the flame under it while it is on. */
const Pot = ({ share, isOn }: { readonly share: number; readonly isOn: boolean }) => {
  const depth = 92 * Math.max(0, Math.min(1, share));
  return (
    <svg viewBox="0 0 300 150" className="w-[300px] max-w-full mt-5 text-ink" aria-hidden fill="none" stroke="currentColor" strokeWidth="2">
      <rect x="61" y={118 - depth} width="178" height={depth} className="fill-pan" stroke="none" />
      <path d={`M61 ${118 - depth}H239`} className="stroke-brass-line" strokeWidth="1.5" />
      <path d="M60 18V119H240V18M60 34H24M240 34H276" strokeWidth="3" />
      <path d="M40 132H260" className="stroke-edge" />
      {isOn && <path d="M96 130q4-9 10 0M146 130q4-9 10 0M196 130q4-9 10 0" className="stroke-saffron-fill" strokeWidth="3" />}
    </svg>
  );
};
