"use client";

import { useState, type SubmitEvent } from "react";
import { DEEDS, NOTHING_DONE, type Deed, type Exercise, type Mended } from "../../../core/practice";
import { formatGrams, lowerFirst } from "../../../core/units";
import { readTyped } from "../../parts/amount-field";
import { buttonClass } from "../../parts/button";
import { WhyNote } from "../../parts/why-note";
import { Outcome } from "./exercise-frame";
import { useTry } from "./use-try";

interface WentWrongProps {
  readonly exercise: Extract<Exercise, { kind: "what went wrong" }>;
  readonly eater: string | null;
  readonly onAgain: () => void;
}

/** A pot's story by what is seen and tasted: what goes in, and how much? */
export function WentWrong({ exercise: { kind, seed, pot, grams, meant, now }, eater, onAgain }: WentWrongProps) {
  const { told, why: refused, isSending, attempt } = useTry<Mended & { readonly cause: string }>(kind, seed, eater);
  const [typed, setTyped] = useState<Readonly<Partial<Record<Deed, string>>>>({});
  const [why, setWhy] = useState<string | null>(null);
  const names: Readonly<Record<Deed, string>> = {
    liquid: `More ${lowerFirst(pot.liquid)}`,
    thickener: `More ${lowerFirst(pot.thickener)}, slaked in twice as much of the liquid`,
    sweetener: `More ${lowerFirst(pot.sweetener)}`,
    "boil off": "Boil off water",
  };
  const submit = async (event: SubmitEvent) => {
    event.preventDefault();
    const doses: Record<Deed, number> = { ...NOTHING_DONE };
    for (const deed of DEEDS) {
      const text = typed[deed]?.trim() ?? "";
      if (text === "") continue;
      const read = readTyped(text, 0, 5000);
      if ("why" in read) return setWhy(`${names[deed]}: ${read.why}`);
      doses[deed] = read.value;
    }
    setWhy(null);
    await attempt(doses);
  };
  const sweeter = Math.round(100 * (now.sweetness / meant.sweetness - 1));
  return (
    <>
      <p className="text-[20px] max-w-[56ch]">
        {pot.liquid} {formatGrams(grams.liquid)} g, {lowerFirst(pot.thickener)} {formatGrams(grams.thickener)} g and {lowerFirst(pot.sweetener)}{" "}
        {formatGrams(grams.sweetener)} g were to come to {formatGrams(Math.round(meant.grams))} g: hot, it was to be “{meant.words}”.
      </p>
      <p className="text-[20px] mt-3 max-w-[56ch]">
        Now the pot holds {formatGrams(Math.round(now.grams))} g. Hot, it is “{now.words}”
        {Math.abs(sweeter) < 5 ? ", and as sweet as it should be" : `, and ${Math.abs(sweeter)} % ${sweeter > 0 ? "sweeter" : "less sweet"} than it should be`}.
      </p>
      {told === null && (
        <form noValidate onSubmit={(event) => void submit(event)} className="mt-5">
          <fieldset>
            <legend className="font-[600] text-[18px]">What do you do?</legend>
            {DEEDS.map((deed) => (
              <label key={deed} className="flex flex-wrap gap-x-4 items-center border-b border-line py-2 max-w-[640px]">
                <span className="flex-1 basis-60">{names[deed]}</span>
                <span className="flex items-baseline gap-1">
                  <input
                    inputMode="decimal"
                    className="border border-edge bg-sheet px-2 min-h-11 w-24 text-right text-[18px]"
                    value={typed[deed] ?? ""}
                    placeholder="0"
                    onChange={(event) => setTyped({ ...typed, [deed]: event.target.value })}
                  />
                  g
                </span>
              </label>
            ))}
          </fieldset>
          <WhyNote why={why ?? refused} />
          <p className="mt-4">
            <button type="submit" aria-busy={isSending} className={buttonClass("primary", "min-h-14")}>
              Do it
            </button>
          </p>
        </form>
      )}
      {told && (
        <Outcome onAgain={onAgain}>
          <p className="text-[20px]">
            {told.miss < 1 ? "Nobody would notice that anything was wrong." : `It is still off by ${told.miss.toFixed(1)} of what is just noticed.`}
          </p>
          <p className="mt-1">
            {formatGrams(Math.round(told.after.grams))} g in the pot, “{told.after.words}” (body {told.after.body.toFixed(1)}; {meant.body.toFixed(1)} was
            meant), sweetness {told.after.sweetness.toFixed(1)} g as sugar in 100 g ({meant.sweetness.toFixed(1)} was meant).
          </p>
          <p className="mt-2">{told.cause}</p>
          <p className="mt-1">
            {told.best === null
              ? "No one thing alone makes it better."
              : `One thing alone does most: ${lowerFirst(names[told.best.deed])}, ${formatGrams(told.best.grams)} g; it leaves ${told.best.miss < 1 ? "nothing to notice" : `${told.best.miss.toFixed(1)} of what is just noticed`}.`}
          </p>
        </Outcome>
      )}
    </>
  );
}
