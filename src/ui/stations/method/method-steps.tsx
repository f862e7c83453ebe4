import type { MethodStepView, MethodView } from "../../../core/views";
import { CueCard } from "../../parts/cue-card";
import { HazardNote } from "../../parts/hazard-note";
import { spanText } from "../../parts/span-text";

const ATTENTION: Readonly<Record<MethodStepView["attention"], string>> = {
  "hands on": "hands on",
  "now and then": "stir now and then",
  unattended: "by itself",
};

interface MethodStepsProps {
  readonly steps: readonly MethodStepView[];
  readonly strip: MethodView["strip"];
  /** The number of the first; null where they have none. */
  readonly from: number | null;
}

/** Steps to cook by: what to do, for how long, how it looks when it is done, and what can go wrong with its mend. */
export function MethodSteps({ steps, strip, from }: MethodStepsProps) {
  const numbers = new Map(steps.map(({ id }, i) => [id, (from ?? 1) + i] as const));
  return (
    <ol className="border-t border-ink mt-2">
      {steps.map(({ id, text, part, minutes, attention, cue, cues, hazards, atOnce }, i) => {
        const piece = strip.find((each) => each.id === id);
        const beside = piece?.beside ? numbers.get(piece.beside) : undefined;
        const sight = cues[0]?.told[0]?.words[1];
        return (
          <li
            key={id}
            className="border-b border-line py-3 print:py-0.5 grid grid-cols-[36px_minmax(0,1fr)] print:grid-cols-[24px_minmax(0,1fr)] break-inside-avoid"
          >
            <span className="t-figure text-[18px] text-ink2">{from === null ? "" : from + i}</span>
            <div className="min-w-0">
              {part && <p className="t-small text-ink2">{part}</p>}
              <p className="text-[18px] leading-[26px] max-w-[64ch] t-frac print:text-[16px] print:leading-[21px] print:max-w-none">{text}</p>
              <p className="t-ledger text-ink2 mt-1 print:mt-0">
                {minutes.usual > 0 && `${spanText(minutes.usual)}${minutes.longest > minutes.usual ? `, at most ${spanText(minutes.longest)}` : ""}, `}
                {ATTENTION[attention]}
                {cue ? <span className="text-ink">; until {cue}</span> : sight && <span className="text-ink hidden print:inline">; until: {sight}</span>}
              </p>
              {beside !== undefined && (
                <p className={`t-ledger mt-1 ${piece?.isClash ? "text-rose" : "text-ink2"}`}>
                  {piece?.isClash
                    ? `Two things in hand: step ${beside} needs you as well. Have somebody at the other pot, or do this one first.`
                    : `Beside step ${beside}, which goes on meanwhile.`}
                </p>
              )}
              {atOnce && <p className="t-ledger mt-1">Both hands at once. {atOnce}</p>}
              {hazards.map(({ what, mend }) => (
                <HazardNote key={what} what={what} mend={mend} className="t-ledger mt-1 print:max-w-none print:mt-0" />
              ))}
              {cues.map((each) => (
                <CueCard key={each.id} cue={each} />
              ))}
            </div>
          </li>
        );
      })}
    </ol>
  );
}
