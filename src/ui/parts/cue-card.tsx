"use client";

import { useId, useState } from "react";
import type { Cue, Sense } from "../../core/cues";
import { capital } from "../../core/units";
import { CueDrawing } from "./cue-drawing";
import { shadeColour } from "./shades";

const STATES = [
  { name: "Not yet", is: "before" },
  { name: "Now", is: "now" },
  { name: "Too far", is: "past" },
] as const;
const SENSE_WORDS: Readonly<Record<Sense, string>> = {
  sight: "to the eye",
  sound: "to the ear",
  smell: "to the nose",
  touch: "to the hand",
  bite: "to the tooth, once it has cooled",
  test: "tried apart",
};
/** In short, before what it is. */
const SENSE_NAMES: Readonly<Record<Sense, string>> = { sight: "sight", sound: "sound", smell: "smell", touch: "touch", bite: "bite", test: "test" };

/** When something is done: not yet, now, too far, drawn and in words; more of the senses when it is asked for. On a phone only what is looked for, until then. */
export function CueCard({ cue: { of, told, draw, shade, by }, open: isAtFirst = false }: { readonly cue: Cue; readonly open?: boolean }) {
  const [isOpen, setOpen] = useState(isAtFirst);
  const id = useId();
  const [first, ...others] = told;
  const senses = others.map(({ sense }) => SENSE_WORDS[sense]);
  return (
    <div className="mt-2 max-w-[860px] no-print" data-part="cue">
      <ul id={id} className="grid md:grid-cols-3 border border-edge" aria-label={`When ${of} is right`}>
        {STATES.map(({ name, is }, i) => (
          <li
            key={name}
            className={`flex gap-3 p-2 min-w-0 ${is === "now" ? "bg-sheet outline-2 -outline-offset-1 outline-ink relative" : isOpen ? "max-md:border-line max-md:first:border-b max-md:last:border-t" : "max-md:hidden"}`}
          >
            <CueDrawing draw={draw[i] ?? draw[1]} shade={shade?.steps[i] ?? null} />
            <div className="min-w-0 t-ledger">
              <p className="font-[590]">
                {name} <span className="font-[430] text-ink2 md:hidden">{of}</span>
              </p>
              {first && <p>{first.words[i]}</p>}
              {shade && <Shade step={shade.steps[i] ?? 0} words={shade.words[i] ?? ""} />}
              {isOpen &&
                others.map(({ sense, words }) => (
                  <p key={sense} className="mt-1">
                    <span className="text-ink2">{SENSE_NAMES[sense]}: </span>
                    {words[i]}
                  </p>
                ))}
            </div>
          </li>
        ))}
      </ul>
      <p className="t-small text-ink2 flex flex-wrap gap-x-4 items-center">
        <button
          type="button"
          className={`underline min-h-11 md:min-h-8 text-ink ${senses.length === 0 ? "md:hidden" : ""}`}
          aria-expanded={isOpen}
          aria-controls={id}
          onClick={() => setOpen(!isOpen)}
        >
          {isOpen ? "Less" : senses.length === 0 ? "Before and past it" : capital(listed(senses))}
        </button>
        <span>{by === null ? "A rule of practice." : `${capital(by)}.`}</span>
      </p>
    </div>
  );
}

const listed = (words: readonly string[]): string => (words.length < 2 ? (words[0] ?? "") : `${words.slice(0, -1).join(", ")} and ${words.at(-1)}`);

/** Cells of the scale of shades, from white to dark. */
const CELLS = 11;
const CELL = 7;
/** A shade where it lies between white and dark, with its word. */
const Shade = ({ step, words }: { readonly step: number; readonly words: string }) => {
  const here = Math.round((step / 5) * (CELLS - 1));
  return (
    <p className="flex flex-wrap items-center gap-x-2 mt-1">
      <svg
        width={CELLS * 8 + 2}
        height="18"
        viewBox={`-1 -1 ${CELLS * 8 + 2} 18`}
        aria-hidden="true"
        className="shrink-0 text-ink"
        fill="none"
        stroke="currentColor"
      >
        {Array.from({ length: CELLS }, (_, i) => (
          <rect key={i} x={i * CELL} y="4" width={CELL} height="9" fill={shadeColour((5 * i) / (CELLS - 1))} strokeWidth=".4" />
        ))}
        <rect x={here * CELL} y="1" width={CELL} height="14" fill={shadeColour(step)} strokeWidth="1.800" />
      </svg>
      <span className="t-small">{words}</span>
    </p>
  );
};
