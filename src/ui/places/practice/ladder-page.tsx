"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { LADDER_BASE, LADDER_STEPS, ladderPair, sugarFor, type NoticedDifference } from "../../../core/practice";
import type { MayClimb } from "../../../core/views";
import { buttonClass } from "../../parts/button";
import { send, why as whyOf } from "../../parts/send";
import { ColumnHead, RowHead } from "../../parts/table-heads";
import { failed, toast } from "../../shell/messages";
import { WhyNote } from "../../parts/why-note";
import { ExerciseFrame } from "./exercise-frame";
import { useTry } from "./use-try";

interface LadderPageProps {
  readonly climbers: readonly MayClimb[];
  /** Who tastes; null: not chosen yet. */
  readonly climber: MayClimb | null;
  readonly seed: number;
  readonly step: number;
  readonly noticed: NoticedDifference;
}

/** Glasses are weighed so large, g. */
const GLASS = 250;
const glassName = (step: number): string => (step === 0 ? "Plain" : `+${Math.round(100 * step)} %`);

/** The palate ladder: who tastes, what is weighed, and pair after pair, poured by one and tasted by the other. */
export function LadderPage({ climbers, climber, seed, step, noticed }: LadderPageProps) {
  const router = useRouter();
  const [isReady, setReady] = useState(false);
  const choose = (eater: string) => router.push(`/practice/ladder?eater=${encodeURIComponent(eater)}`);
  const offered = climbers.filter(({ may }) => may);
  const barred = climbers.filter(({ may }) => !may);
  const anew = async () => {
    if (!climber) return;
    try {
      await send("DELETE", "/api/practice", { kind: "palate ladder", eater: climber.eater });
      toast(`${climber.name} begins anew.`);
      router.refresh();
    } catch (error) {
      failed(whyOf(error, "It could not be forgotten."));
    }
  };
  if (!climber?.may)
    return (
      <ExerciseFrame kind="palate ladder" eater={null}>
        <h2 className="text-[26px] font-[600]">Who tastes?</h2>
        {climber && (
          <p role="alert" className="bg-rose-wash text-rose px-3 py-2 mt-2">
            It is not for {climber.name}: {climber.why}.
          </p>
        )}
        {offered.length === 0 && <p className="mt-2 max-w-[60ch]">There is nobody here who may: name who eats with you under Household, and what they mind.</p>}
        <ul className="border-t border-ink mt-2">
          {offered.map(({ eater, name }) => (
            <li key={eater} className="border-b border-line">
              <button type="button" className="w-full text-left min-h-14 px-1 text-[22px] font-[550] hover:bg-pressed" onClick={() => choose(eater)}>
                {name}
              </button>
            </li>
          ))}
        </ul>
        {barred.length > 0 && <p className="t-ledger text-ink2 mt-3">It is not offered to {barred.map(({ name, why }) => `${name} (${why})`).join(", ")}.</p>}
        <p className="t-small text-ink2 mt-3 max-w-[64ch]">
          It is sugar water, to sip and to spit. Whoever minds sugar, is small or fasts today is left out of it.
        </p>
      </ExerciseFrame>
    );
  return (
    <ExerciseFrame kind="palate ladder" eater={climber.eater}>
      {isReady ? (
        <Pair
          key={seed}
          seed={seed}
          step={step}
          climber={climber}
          noticed={noticed}
          onNext={() => router.push(`/practice/ladder?eater=${encodeURIComponent(climber.eater)}&pair=${Math.floor(Math.random() * 2 ** 31)}`)}
        />
      ) : (
        <>
          <p className="text-[20px] max-w-[56ch]">
            Somebody else pours, {climber.name} tastes. Weigh these glasses, name them underneath, and keep them out of sight.
          </p>
          <table className="mt-4 w-full max-w-[520px]">
            <caption className="sr-only">What is weighed for each glass</caption>
            <thead>
              <tr className="border-b border-ink t-small text-ink2">
                <ColumnHead>Glass</ColumnHead>
                <ColumnHead right>Sugar</ColumnHead>
                <ColumnHead right>Water</ColumnHead>
              </tr>
            </thead>
            <tbody>
              {[0, ...LADDER_STEPS].map((each) => {
                const { sugar, water } = sugarFor(each, GLASS);
                return (
                  <tr key={each} className="border-b border-line">
                    <RowHead className="py-1.5">{glassName(each)}</RowHead>
                    <td className="t-figure text-right">{sugar.toFixed(1)} g</td>
                    <td className="t-figure text-right">{water.toFixed(0)} g</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          <p className="t-small text-ink2 mt-2 max-w-[64ch]">
            Plain has {LADDER_BASE} g of sugar in 100 g; a scale that shows tenths of a gram does. All at the same warmth. Ten pairs or so at a time: sip, spit,
            and rinse with water between.
          </p>
          <p className="mt-3 max-w-[60ch]">{noticed.words}</p>
          <p className="mt-4 flex flex-wrap gap-3">
            <button type="button" className={buttonClass("primary", "min-h-14")} onClick={() => setReady(true)}>
              The glasses are ready
            </button>
            {noticed.trials > 0 && (
              <button type="button" className={buttonClass("quiet", "min-h-11")} onClick={() => void anew()}>
                Forget the {noticed.trials} pairs of {climber.name}
              </button>
            )}
          </p>
        </>
      )}
    </ExerciseFrame>
  );
}

interface PairProps {
  readonly seed: number;
  readonly step: number;
  readonly climber: MayClimb;
  readonly noticed: NoticedDifference;
  readonly onNext: () => void;
}

/** One pair: what is poured into which cup, for who pours alone; then which is sweeter. Whether that was right is not told. */
function Pair({ seed, step, climber, noticed, onNext }: PairProps) {
  const { why, isSending, attempt } = useTry<{ readonly isRight: boolean }>("palate ladder", seed, climber.eater);
  const [isPoured, setPoured] = useState(false);
  const { cups, sweeter } = ladderPair(step, seed);
  const say = async (code: string) => {
    if (await attempt({ step, code })) onNext();
  };
  if (!isPoured)
    return (
      <>
        <p className="t-small text-ink2">For who pours. {climber.name} looks away.</p>
        <ul className="border-t border-ink mt-2 max-w-[520px]">
          {cups.map((cup) => (
            <li key={cup} className="border-b border-line py-3 text-[22px] flex gap-4">
              <span className="t-figure font-[600]">{cup}</span>
              <span>from {glassName(cup === sweeter ? step : 0)}</span>
            </li>
          ))}
        </ul>
        <p className="mt-5">
          <button type="button" className={buttonClass("primary", "min-h-14")} onClick={() => setPoured(true)}>
            Poured: hand it to {climber.name}
          </button>
        </p>
        <p className="mt-4 t-ledger">{noticed.words}</p>
      </>
    );
  return (
    <>
      <h2 className="text-[26px] font-[600]">Which is sweeter?</h2>
      <p className="t-ledger text-ink2">Sip both from left to right, and spit. Who cannot tell guesses.</p>
      <div className="grid grid-cols-2 gap-3 mt-4 max-w-[480px]">
        {cups.map((cup) => (
          <button
            key={cup}
            type="button"
            aria-busy={isSending}
            className="min-h-[120px] border-[1.5px] border-edge bg-sheet hover:bg-pressed t-figure text-[34px] font-[600]"
            onClick={() => void say(cup)}
          >
            {cup}
          </button>
        ))}
      </div>
      <WhyNote why={why} />
    </>
  );
}
