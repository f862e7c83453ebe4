"use client";

import { memo } from "react";
import type { Figure } from "../../core/numeric";
import { formatChange } from "../../core/units";
import type { BeamReading } from "../../core/substitution";
import { Beam } from "../parts/beam";
import { amountText, figureText, givenText, isBody, type FigureManner } from "../parts/figure-words";
import { StateMark, stateColour } from "../parts/marks";
import { FigureButton, useWorking } from "./working";

/** One property as a beam, its figures and words beside it, each of which can be asked why. */
export const BeamCard = memo(function BeamCard({
  reading,
  before: old,
  after: now,
  ghost = null,
}: {
  readonly reading: BeamReading;
  readonly before: Figure;
  readonly after: Figure;
  /** Tilt that a change being looked at would give. */
  readonly ghost?: number | null;
}) {
  const { manner } = useWorking();
  const { deviation, id, limit, name } = reading;
  const word = stateWord(reading, old.value, now.value, manner);
  const limitText = limit === null ? null : `limit ${givenText(limit, id, manner)}`;
  const sentence = `${name}: ${figureText(old, id, manner)} as handed down, ${figureText(now, id, manner)} for this table${limitText === null ? "" : `, ${limitText}`}; ${word}.`;
  const middle =
    limitText !== null
      ? limitText
      : isBody(id)
        ? stepWords(now.value - old.value)
        : old.value > 0
          ? formatChange(deviation.relative)
          : now.value > 0
            ? `+${amountText(now.value, now.value / 20, id, manner)}`
            : "same";
  return (
    <article className="border-b border-line pt-1.5 pb-1 isolate [contain:content]" data-beam={id} data-state={deviation.state}>
      <div className="flex justify-between gap-2 items-baseline">
        <h3 className="text-[14px] font-[560] [font-stretch:94%] leading-tight">{name}</h3>
        <span className={`flex items-center gap-1 text-[13px] leading-tight text-right ${stateColour(deviation.state)}`}>
          <StateMark state={deviation.state} />
          {word}
        </span>
      </div>
      <Beam deviation={deviation} label={sentence} ghost={ghost} />
      <div className="grid grid-cols-[minmax(0,1fr)_auto_minmax(0,1fr)] gap-1 items-baseline -mt-0.5">
        <FigureButton figure={old} id={id} of="as handed down" className="text-[13px]! justify-self-start" />
        <span className="t-small text-ink2 whitespace-nowrap">{middle}</span>
        <FigureButton
          figure={now}
          id={id}
          of="for this table"
          className={`justify-self-end text-right! ${isBody(id) ? "text-[13px]! font-[560]!" : "font-[640]!"}`}
        />
      </div>
    </article>
  );
});

function stepWords(change: number): string {
  const size = Math.abs(change);
  return size < 0.15 ? "same" : `${change > 0 ? "+" : "−"}${size.toFixed(1)} step`;
}

/** A specific word for the state: "less sweet", "too thick", "over by 3.3 g". */
function stateWord({ deviation, id }: BeamReading, old: number, now: number, manner: FigureManner): string {
  if (deviation.kind === "limit")
    return deviation.state === "outside" ? `over by ${amountText(deviation.beyond, deviation.beyond / 20, id, manner)}` : deviation.state;
  if (deviation.state === "free") return Math.abs(deviation.relative) < 0.02 ? "same" : now > old ? "more" : "less";
  if (deviation.state === "inside") return Math.abs(deviation.relative) < 0.02 ? "level" : "inside";
  if (deviation.state === "just inside") return "just inside";
  const more = now > old;
  if (id.startsWith("sweetness.")) return more ? "sweeter" : "less sweet";
  if (isBody(id)) return more ? "too thick" : "too thin";
  if (id === "ice") return more ? "too hard" : "too soft";
  return more ? "too rich" : "too lean";
}
