"use client";

import { useState } from "react";
import type { MadeMethod, VersionHazard } from "../../core/adaptation";
import type { HazardGrade } from "../../core/hazards";
import type { StepWords } from "../../core/method";
import { capital } from "../../core/units";
import { WhyMark } from "../parts/marks";

const GRADE_WORDS: Readonly<Record<HazardGrade, string>> = { sure: "Mind", likely: "Likely", sometimes: "Sometimes" };

/** "1 h 40 min". */
function span(minutes: number): string {
  const rounded = Math.round(minutes);
  const [hours, rest] = [Math.floor(rounded / 60), rounded % 60];
  return [hours > 0 ? `${hours} h` : "", rest > 0 || hours === 0 ? `${rest} min` : ""].filter(Boolean).join(" ");
}

/** "52 min in all, 31 min of it with your hands; 12 min less than as handed down." */
function timesWords({ now, recipe }: MadeMethod["times"]): string {
  const more = now.all - recipe.all;
  const compared = Math.abs(more) < 2 ? "as long as handed down" : `${span(Math.abs(more))} ${more > 0 ? "more" : "less"} than as handed down`;
  return `About ${span(now.all)} in all, ${span(now.handsOn)} of it at the stove or the board${now.unattended >= 5 ? `, ${span(now.unattended)} of waiting` : ""}; ${compared}.`;
}

/** The steps with a version's foods written in: what is new is marked, what goes is struck through; and what can go wrong in each. */
export function StepsPanel({
  steps,
  hazards = [],
  times = null,
}: {
  readonly steps: readonly StepWords[];
  readonly hazards?: readonly VersionHazard[];
  readonly times?: MadeMethod["times"] | null;
}) {
  const [isPlain, setPlain] = useState(false);
  if (steps.length === 0) return <p className="t-ledger text-ink2 rule-t pt-2 mt-1">The recipe has no steps. Add them at the Recipe station.</p>;
  const isMarked = steps.some(({ segments }) => segments.some(({ kind }) => kind !== "plain"));
  const shown = isPlain ? steps.filter(({ segments }) => segments.some(({ kind }) => kind !== "removed")) : steps;
  return (
    <>
      <div className="flex flex-wrap gap-x-6 items-center t-ledger text-ink2 min-h-8">
        {times && <p>{timesWords(times)}</p>}
        {isMarked && (
          <label className="flex items-center gap-2 min-h-8 cursor-pointer no-print">
            <input type="checkbox" className="size-5" checked={!isPlain} onChange={() => setPlain(!isPlain)} />
            Show what changed
          </label>
        )}
      </div>
      <ol className="rule-t mt-1">
        {shown.map((step, i) => (
          <li key={step.step} className="grid grid-cols-[28px_minmax(0,1fr)] border-b border-line py-2">
            <span className="t-figure text-ink2">{i + 1}</span>
            <div>
              <p className="max-w-[72ch]">
                {step.segments.map((segment, j) =>
                  segment.kind === "plain" || (isPlain && segment.kind === "changed") ? (
                    <span key={j}>{segment.text}</span>
                  ) : segment.kind === "removed" ? (
                    !isPlain && (
                      <del key={j} className="text-ink3 mr-1">
                        {segment.text}
                      </del>
                    )
                  ) : (
                    <ins key={j} className="no-underline font-[560] bg-saffron-wash t-frac">
                      {segment.text}
                    </ins>
                  ),
                )}
                {step.why && !isPlain && (
                  <span className="t-small text-ink2 block">
                    {step.from === null ? "Added: " : ""}
                    {step.why}
                  </span>
                )}
              </p>
              <StepHazards hazards={hazards.filter((each) => each.step === step.step)} />
            </div>
          </li>
        ))}
      </ol>
    </>
  );
}

/** What can go wrong at a step; what only sometimes does is folded away. */
function StepHazards({ hazards }: { readonly hazards: readonly VersionHazard[] }) {
  const seldom = hazards.filter(({ grade }) => grade === "sometimes");
  return (
    <>
      {hazards.length > seldom.length && (
        <ul className="mt-1 max-w-[72ch]">
          {hazards
            .filter(({ grade }) => grade !== "sometimes")
            .map((hazard) => (
              <HazardLine key={`${hazard.family} ${hazard.what}`} hazard={hazard} />
            ))}
        </ul>
      )}
      {seldom.length > 0 && (
        <details className="mt-1 max-w-[72ch] no-print">
          <summary className="t-small text-ink2 cursor-pointer min-h-6">Good to know ({seldom.length})</summary>
          <ul>
            {seldom.map((hazard) => (
              <HazardLine key={`${hazard.family} ${hazard.what}`} hazard={hazard} />
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

function HazardLine({ hazard: { grade, what, mend, school, change, isOwn } }: { readonly hazard: VersionHazard }) {
  return (
    <li className="flex gap-2 t-small" data-grade={grade}>
      <span className="pt-0.5">{grade === "sure" ? <WhyMark kind="conflict" /> : <WhyMark kind="ask" />}</span>
      <span>
        <b className={grade === "sure" ? "text-rose font-[600]" : "font-[600]"}>{GRADE_WORDS[grade]}:</b> {what}. {capital(mend)}.
        {change && " The step says so now."}
        {school && ` ${capital(school)}.`}
        {isOwn && <span className="text-ink2"> So it is in the recipe as handed down.</span>}
      </span>
    </li>
  );
}
