"use client";

import { formatGrams, gramsBeside, servingsText } from "../../../core/units";
import type { MethodStepView, MethodView } from "../../../core/views";
import { buttonClass } from "../../parts/button";
import { WhyMark } from "../../parts/marks";
import { PageColumns } from "../../parts/page-columns";
import { spanText } from "../../parts/span-text";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";
import { HandsStrip } from "./hands-strip";

interface MethodPageProps {
  readonly id: string;
  readonly title: string;
  readonly view: MethodView;
}

/** What lies on Swap, to cook by: what to get ready, the night before, the steps with their times, and when hands are needed. On paper one page. */
export function MethodPage({ id, title, view }: MethodPageProps) {
  const { label, verdict, unread, servings, grams, ready, tools, before, steps, strip, times } = view;
  const waiting = before.reduce((sum, { minutes }) => sum + minutes.usual, 0);
  return (
    <>
      <PageHead
        title={title}
        line={`${label === null ? "As handed down" : `“${label}”`}, ${servingsText(servings)}, about ${formatGrams(Math.round(grams))} g finished`}
      >
        <span className="flex flex-wrap gap-3 items-center no-print">
          <Go href={`/recipes/${id}/swap`} className="underline min-h-11 inline-flex items-center">
            Back to Swap
          </Go>
          <button type="button" className={buttonClass("plain")} onClick={() => window.print()}>
            Print
          </button>
        </span>
      </PageHead>
      <PageColumns>
        <div className="p-4 md:p-5 min-w-0">
          <Verdict verdict={verdict} unread={unread} />
          {steps.length === 0 ? (
            <p>
              This recipe has no steps.{" "}
              <Go href={`/recipes/${id}/recipe`} className="underline">
                Add them at the Recipe station
              </Go>
              .
            </p>
          ) : (
            <>
              {before.length > 0 && (
                <section aria-label="Hours before" className="mb-6">
                  <h2 className="t-h2">Hours before, or the night before</h2>
                  <p className="t-ledger text-ink2">About {spanText(waiting)} of waiting, by itself.</p>
                  <Steps steps={before} from={null} />
                </section>
              )}
              <section aria-label="Steps">
                <h2 className="t-h2">The steps</h2>
                <p className="t-ledger text-ink2">
                  About {spanText(times.all - waiting)}, {spanText(times.handsOn)} of it at the stove or the board, one step after the other.
                </p>
                <HandsStrip strip={strip} />
                <Steps steps={steps} from={1} />
              </section>
            </>
          )}
        </div>
        <aside className="lg:crease-l p-4 md:p-5 lg:row-span-2" aria-label="To get ready">
          <h2 className="t-h2">To get ready</h2>
          <ul className="border-t border-ink mt-1">
            {ready.map(({ name, grams: amount, measure }, i) => (
              <li key={`${name} ${i}`} className="border-b border-line flex justify-between gap-3 py-1">
                <span>{name}</span>
                <span className="whitespace-nowrap">
                  <span className="t-frac text-ink2">{measure}</span> <span className="t-figure">{gramsBeside(amount, measure)}</span>
                </span>
              </li>
            ))}
          </ul>
          {tools.length > 0 && (
            <>
              <h2 className="t-h2 mt-5">Tools</h2>
              <ul className="border-t border-ink mt-1">
                {tools.map(({ name, instead }) => (
                  <li key={name} className="border-b border-line py-1 first-letter:uppercase">
                    {name}
                    <span className="block t-small text-ink2">without one: {instead}</span>
                  </li>
                ))}
              </ul>
            </>
          )}
          <p className="mt-4 no-print">
            <Go className="underline t-ledger inline-flex items-center min-h-11 md:min-h-8" href={`/recipes/${id}/rescue`}>
              It went wrong in the pot: what mends it
            </Go>
          </p>
        </aside>
      </PageColumns>
    </>
  );
}

/** What has to be known before anybody cooks by it; on paper too. */
const Verdict = ({ verdict, unread }: Pick<MethodView, "verdict" | "unread">) =>
  verdict.kind === "fits" && unread === 0 ? null : (
    <section
      aria-label="At this table"
      className={`mb-5 px-3 py-2 border ${verdict.kind === "not for" ? "border-rose bg-rose-wash" : "border-edge bg-saffron-wash"}`}
    >
      {verdict.kind === "not for" && <h2 className="t-h2 text-rose">Not for {verdict.notFor.join(", ")}</h2>}
      <ul className="t-ledger">
        {verdict.breaches.map((text) => (
          <li key={text} className="flex gap-2">
            <WhyMark kind="conflict" />
            {text}
          </li>
        ))}
        {verdict.questions.map((text) => (
          <li key={text} className="flex gap-2">
            <WhyMark kind="ask" />
            {text}
          </li>
        ))}
        {unread > 0 && (
          <li className="flex gap-2">
            <WhyMark kind="ask" />
            {unread} {unread === 1 ? "line of the recipe is" : "lines of the recipe are"} not read: {unread === 1 ? "it is" : "they are"} not in what is got
            ready here.
          </li>
        )}
        {(verdict.parted ?? []).map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </section>
  );

const ATTENTION: Readonly<Record<MethodStepView["attention"], string>> = {
  "hands on": "hands on",
  "now and then": "stir now and then",
  unattended: "by itself",
};

/** `from`: the number of the first; null where they have none. */
const Steps = ({ steps, from }: { readonly steps: readonly MethodStepView[]; readonly from: number | null }) => (
  <ol className="border-t border-ink mt-2">
    {steps.map(({ id, text, part, minutes, attention, cue, hazards }, i) => (
      <li key={id} className="border-b border-line py-3 grid grid-cols-[36px_minmax(0,1fr)] break-inside-avoid">
        <span className="t-figure text-[18px] text-ink2">{from === null ? "" : from + i}</span>
        <div>
          {part && <p className="t-small text-ink2">{part}</p>}
          <p className="text-[18px] leading-[26px] max-w-[64ch] t-frac">{text}</p>
          <p className="t-ledger text-ink2 mt-1">
            {minutes.usual > 0 && `${spanText(minutes.usual)}${minutes.longest > minutes.usual ? `, at most ${spanText(minutes.longest)}` : ""}, `}
            {ATTENTION[attention]}
            {cue && <span className="text-ink">; until {cue}</span>}
          </p>
          {hazards.map(({ what, mend }) => (
            <p key={what} className="t-ledger mt-1 flex gap-2 max-w-[70ch]">
              <WhyMark kind="ask" />
              <span>
                {what} {mend}
              </span>
            </p>
          ))}
        </div>
      </li>
    ))}
  </ol>
);
