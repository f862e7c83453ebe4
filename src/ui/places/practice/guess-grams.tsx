"use client";

import { useState, type SubmitEvent } from "react";
import type { Drawn, Exercise } from "../../../core/practice";
import { formatGrams } from "../../../core/units";
import { readTyped } from "../../parts/amount-field";
import { buttonClass } from "../../parts/button";
import { WhyNote } from "../../parts/why-note";
import { Outcome } from "./exercise-frame";
import { useTry } from "./use-try";

interface GuessGramsProps {
  readonly exercise: Extract<Exercise, { kind: "guess the grams" }>;
  readonly eater: string | null;
  readonly onAgain: () => void;
}

/** A food of the house in a shape, drawn to scale: what does it weigh? */
export function GuessGrams({ exercise: { kind, seed, food, drawn }, eater, onAgain }: GuessGramsProps) {
  const { told, why: refused, isSending, attempt } = useTry<{ readonly grams: number; readonly share: number; readonly miss: number }>(kind, seed, eater);
  const [typed, setTyped] = useState("");
  const [why, setWhy] = useState<string | null>(null);
  const submit = async (event: SubmitEvent) => {
    event.preventDefault();
    const read = readTyped(typed, 0.1, 5000);
    if ("why" in read) return setWhy(read.why);
    setWhy(null);
    await attempt({ grams: read.value });
  };
  const off = told ? Math.round(100 * Math.abs(Math.expm1(told.miss))) : 0;
  return (
    <>
      <p className="text-[22px] font-[600]">
        {food}: {shapeWords(drawn)}
      </p>
      <Shape drawn={drawn} />
      {told === null ? (
        <form noValidate onSubmit={(event) => void submit(event)} className="mt-4">
          <label className="t-small text-ink2">
            Grams, by eye
            <input
              inputMode="decimal"
              autoComplete="off"
              className="block border border-edge bg-sheet px-3 min-h-14 w-36 text-ink text-[22px]"
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
            />
          </label>
          <WhyNote why={why ?? refused} />
          <p className="mt-4">
            <button type="submit" aria-busy={isSending} className={buttonClass("primary", "min-h-14")}>
              Put it on the scale
            </button>
          </p>
        </form>
      ) : (
        <Outcome onAgain={onAgain}>
          <p className="text-[20px]">
            {formatGrams(told.grams)} g{off === 0 ? ": right on it." : `: you said ${off} % too ${told.miss > 0 ? "much" : "little"}.`}
          </p>
          <p className="mt-1">By the room that it takes up: give or take {Math.round(100 * told.share)} % by how it is filled and packed.</p>
        </Outcome>
      )}
    </>
  );
}

const centimetres = (of: number): string => of.toFixed(1);
function shapeWords(drawn: Drawn): string {
  switch (drawn.shape) {
    case "heap":
      return `a heap ${centimetres(drawn.across)} cm across and ${centimetres(drawn.high)} cm high`;
    case "spoon":
      return `${drawn.spoons} ${drawn.filling} ${drawn.of}${drawn.spoons === 1 ? "" : "s"} of ${drawn.millilitres} ml`;
    case "balls":
      return `${drawn.balls === 1 ? "a ball" : `${drawn.balls} balls`} ${centimetres(drawn.across)} cm across`;
  }
}

/** Points of the drawing for a centimetre. */
const SCALE = 20;
const [WIDE, HIGH] = [460, 170];

/** The thing itself, from the side, beside a spoon 15 cm long; said in words above it. */
const Shape = ({ drawn }: { readonly drawn: Drawn }) => (
  <svg
    viewBox={`0 0 ${WIDE} ${HIGH}`}
    className="w-full max-w-[560px] mt-3 bg-sheet border border-line"
    aria-hidden
    fill="none"
    stroke="currentColor"
    strokeWidth="1.5"
  >
    <path d={`M10 ${HIGH - 34}H${WIDE - 10}`} className="stroke-ink" />
    <Body drawn={drawn} />
    <path d={`M14 ${HIGH - 14}h${11 * SCALE}`} strokeWidth="4" className="stroke-brass-line" />
    <ellipse cx={14 + 13 * SCALE} cy={HIGH - 14} rx={2 * SCALE} ry="7" className="stroke-brass-line fill-pan" />
    <text x={14 + 15.6 * SCALE} y={HIGH - 9} className="fill-ink2 text-[13px]" stroke="none">
      15 cm
    </text>
  </svg>
);

function Body({ drawn }: { readonly drawn: Drawn }) {
  const floor = HIGH - 34;
  switch (drawn.shape) {
    case "heap": {
      const [half, high] = [(drawn.across * SCALE) / 2, drawn.high * SCALE];
      return (
        <path
          d={`M${WIDE / 2 - half} ${floor}Q${WIDE / 2 - half * 0.35} ${floor - high * 0.75} ${WIDE / 2} ${floor - high}Q${WIDE / 2 + half * 0.35} ${floor - high * 0.75} ${WIDE / 2 + half} ${floor}Z`}
          className="fill-pan stroke-ink"
        />
      );
    }
    case "balls": {
      const radius = (drawn.across * SCALE) / 2;
      return (
        <>
          {Array.from({ length: drawn.balls }, (_, i) => (
            <circle key={i} cx={WIDE / 2 + (i - (drawn.balls - 1) / 2) * (2 * radius + 8)} cy={floor - radius} r={radius} className="fill-pan stroke-ink" />
          ))}
        </>
      );
    }
    case "spoon": {
      // A bowl twice as long as deep holds what the spoon does.
      const length = 2 * Math.cbrt((3 * drawn.millilitres) / (4 * Math.PI * 0.35)) * SCALE;
      const rise = { level: 0, rounded: 0.16, heaped: 0.34 }[drawn.filling] * length;
      return (
        <>
          {Array.from({ length: drawn.spoons }, (_, i) => {
            const [left, top] = [WIDE / 2 + (i - (drawn.spoons - 1) / 2) * (length + 14) - length / 2, floor - 46];
            return (
              <g key={i}>
                {rise > 0 && (
                  <path d={`M${left + 4} ${top}Q${left + length / 2} ${top - 2 * rise} ${left + length - 4} ${top}Z`} className="fill-pan stroke-ink" />
                )}
                <path d={`M${left} ${top}h${length}q${-length / 2} ${length * 0.62} ${-length} 0Z`} className="fill-silver stroke-ink" />
              </g>
            );
          })}
        </>
      );
    }
  }
}
