"use client";

import { useState } from "react";
import type { MadeMethod, VersionHazard } from "../../core/adaptation";
import type { HazardGrade } from "../../core/hazards";
import type { OwnSteps, StepWords } from "../../core/method";
import { capital } from "../../core/units";
import { WhyMark } from "../parts/marks";
import { spanText } from "../parts/span-text";

const GRADE_WORDS: Readonly<Record<HazardGrade, string>> = { sure: "Mind", likely: "Likely", sometimes: "Sometimes" };

/** "52 min in all, 31 min of it with your hands; 12 min less than as handed down." */
function timesWords({ now, recipe }: MadeMethod["times"]): string {
  const more = now.all - recipe.all;
  const compared = Math.abs(more) < 2 ? "as long as handed down" : `${spanText(Math.abs(more))} ${more > 0 ? "more" : "less"} than as handed down`;
  return `About ${spanText(now.all)} in all, ${spanText(now.handsOn)} of it at the stove or the board${now.unattended >= 5 ? `, ${spanText(now.unattended)} of waiting` : ""}; ${compared}.`;
}

interface StepsPanelProps {
  readonly steps: readonly StepWords[];
  readonly hazards?: readonly VersionHazard[];
  readonly times?: MadeMethod["times"] | null;
  /** What the maker has set of them. */
  readonly own?: OwnSteps | undefined;
  /** Where they can be edited and moved. */
  readonly onOwn?: (own: OwnSteps) => void;
}

/** As a step of a recipe may have: its own constant would bring the reading of recipes onto the page. */
const MOST_CHARACTERS = 5000;
const AS_BUILT: OwnSteps = { texts: [], order: null };

/** The steps with a version's foods written in: what is new is marked, what goes is struck through; and what can go wrong in each. */
export function StepsPanel({ steps, hazards = [], times = null, own = AS_BUILT, onOwn }: StepsPanelProps) {
  const [isPlain, setPlain] = useState(false);
  if (steps.length === 0) return <p className="t-ledger text-ink2 rule-t pt-2 mt-1">The recipe has no steps. Add them at the Recipe station.</p>;
  const stands = ({ segments }: StepWords) => segments.some(({ kind }) => kind !== "removed");
  const isMarked = steps.some(({ segments }) => segments.some(({ kind }) => kind !== "plain"));
  const standing = steps.filter(stands).map(({ step }) => step);
  const shown = isPlain ? steps.filter(stands) : steps;
  const move = (step: string, by: -1 | 1) => {
    const at = standing.indexOf(step);
    const order = standing.filter((each) => each !== step);
    order.splice(at + by, 0, step);
    onOwn?.({ ...own, order });
  };
  const write = (step: string, text: string | null) =>
    onOwn?.({ ...own, texts: [...own.texts.filter((each) => each.step !== step), ...(text === null ? [] : [{ step, text }])] });
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
        {onOwn && own.order !== null && (
          <button type="button" className="underline min-h-8 no-print" onClick={() => onOwn({ ...own, order: null })}>
            Back to the order as built
          </button>
        )}
      </div>
      <ol className="rule-t mt-1">
        {shown.map((step, i) => (
          <li key={step.step} className="grid grid-cols-[28px_minmax(0,1fr)] border-b border-line py-2">
            <span className="t-figure text-ink2">{i + 1}</span>
            <StepRow
              step={step}
              number={i + 1}
              isPlain={isPlain}
              hazards={hazards.filter((each) => each.step === step.step)}
              edits={
                onOwn && stands(step)
                  ? {
                      write: (text) => write(step.step, text),
                      up: standing[0] === step.step ? null : () => move(step.step, -1),
                      down: standing.at(-1) === step.step ? null : () => move(step.step, 1),
                    }
                  : null
              }
            />
          </li>
        ))}
      </ol>
    </>
  );
}

interface StepEdits {
  /** Null: as built again. */
  readonly write: (text: string | null) => void;
  readonly up: (() => void) | null;
  readonly down: (() => void) | null;
}
interface StepRowProps {
  readonly step: StepWords;
  readonly number: number;
  readonly isPlain: boolean;
  readonly hazards: readonly VersionHazard[];
  readonly edits: StepEdits | null;
}

function StepRow({ step, number, isPlain, hazards, edits }: StepRowProps) {
  const [draft, setDraft] = useState<string | null>(null);
  const quiet = "underline t-small text-ink2 min-h-11 md:min-h-8 px-1 disabled:no-underline disabled:text-ink3";
  if (draft !== null && edits)
    return (
      <form
        className="max-w-[72ch]"
        onSubmit={(event) => {
          event.preventDefault();
          edits.write(draft.trim() === "" ? null : draft.trim());
          setDraft(null);
        }}
      >
        <textarea
          aria-label={`Step ${number}, in your words`}
          autoFocus
          value={draft}
          maxLength={MOST_CHARACTERS}
          rows={Math.min(8, 2 + Math.floor(draft.length / 70))}
          onChange={(event) => setDraft(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === "Escape") setDraft(null);
          }}
          className="w-full bg-sheet border border-edge px-3 py-2"
        />
        <div className="flex gap-4 items-center flex-wrap">
          <button type="submit" className={quiet}>
            Keep these words
          </button>
          <button type="button" className={quiet} onClick={() => setDraft(null)}>
            Leave it as it was
          </button>
          <span className="t-small text-ink2">They are not built anew when something changes. Figures go by the amounts above, not by these words.</span>
        </div>
      </form>
    );
  return (
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
        {step.isOwn && <span className="t-small text-ink2 block">In your own words, not built anew.</span>}
      </p>
      {(step.conflicts ?? []).map((conflict) => (
        <p key={conflict} className="flex gap-2 t-small max-w-[72ch]">
          <span className="pt-0.5">
            <WhyMark kind="conflict" />
          </span>
          <span>
            <b className="text-rose font-[600]">Against your words:</b> {conflict}.
          </span>
        </p>
      ))}
      <StepHazards hazards={hazards} />
      {edits && (
        <div className="flex gap-3 no-print">
          <button
            type="button"
            className={quiet}
            aria-label={`Edit step ${number}`}
            onClick={() => setDraft(step.segments.flatMap(({ kind, text }) => (kind === "removed" ? [] : [text])).join(""))}
          >
            Edit
          </button>
          <button type="button" className={quiet} aria-label={`Move step ${number} up`} disabled={!edits.up} onClick={() => edits.up?.()}>
            Up
          </button>
          <button type="button" className={quiet} aria-label={`Move step ${number} down`} disabled={!edits.down} onClick={() => edits.down?.()}>
            Down
          </button>
          {step.isOwn && (
            <button type="button" className={quiet} aria-label={`Build it again: step ${number}`} onClick={() => edits.write(null)}>
              Build it again
            </button>
          )}
        </div>
      )}
    </div>
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
