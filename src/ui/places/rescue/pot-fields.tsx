"use client";

import { useId, useState } from "react";
import type { Recipe } from "../../../core/recipe";
import { readTyped } from "../../parts/amount-field";

interface PotFieldsProps {
  readonly recipe: Recipe;
  readonly grams: number | null;
  readonly upTo: number | null;
  readonly onGrams: (grams: number | null) => void;
  readonly onUpTo: (step: number | null) => void;
  readonly celsius: number | null;
  readonly onCelsius: (celsius: number | null) => void;
}

const LONGEST = 60;

/** What is in the pot: its weight, where somebody weighs it, and how far the recipe was cooked. */
export function PotFields({ recipe, grams, upTo, celsius, onGrams, onUpTo, onCelsius }: PotFieldsProps) {
  const id = useId();
  const [draft, setDraft] = useState(grams === null ? "" : String(grams));
  const read = draft.trim() === "" ? null : readTyped(draft, 1);
  const why = read && "why" in read ? read.why : null;
  return (
    <div className="mt-5 grid gap-4">
      <div>
        <label htmlFor={id} className="t-h2 text-[15px] block">
          What the pot weighs
        </label>
        <span className="flex items-center gap-2">
          <input
            id={id}
            inputMode="decimal"
            autoComplete="off"
            className="border border-edge bg-sheet px-2 min-h-11 w-28 t-figure"
            value={draft}
            aria-invalid={why !== null}
            aria-describedby={`${id}-why`}
            onChange={(event) => {
              const text = event.target.value;
              setDraft(text);
              const typed = text.trim() === "" ? null : readTyped(text, 1);
              if (typed === null) onGrams(null);
              else if ("value" in typed) onGrams(typed.value);
            }}
          />
          g, without the pan
        </span>
        <p id={`${id}-why`} className={`t-small ${why ? "text-rose" : "text-ink2"}`}>
          {why ?? "Left empty, it is taken to be what it was meant to be."}
        </p>
      </div>
      {recipe.steps.length > 1 && (
        <label className="block">
          <span className="t-h2 text-[15px] block">Cooked so far</span>
          <select
            className="border border-edge bg-sheet px-2 min-h-11 w-full"
            value={upTo ?? ""}
            onChange={(event) => onUpTo(event.target.value === "" ? null : Number(event.target.value))}
          >
            <option value="">all of it is in</option>
            {recipe.steps.map(({ id: step, text }, i) => (
              <option key={step} value={i + 1}>
                up to step {i + 1}: {text.length > LONGEST ? `${text.slice(0, LONGEST).trimEnd()} …` : text}
              </option>
            ))}
          </select>
        </label>
      )}
      <label className="block">
        <span className="t-h2 text-[15px] block">How warm it is</span>
        <select
          className="border border-edge bg-sheet px-2 min-h-11 w-full"
          value={celsius ?? ""}
          onChange={(event) => onCelsius(event.target.value === "" ? null : Number(event.target.value))}
        >
          <option value="">not said</option>
          {WARMTH.map(([degrees, words]) => (
            <option key={degrees} value={degrees}>
              {words}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}

/** °C, in the words of who stands at the pot. */
const WARMTH: readonly (readonly [celsius: number, words: string])[] = [
  [90, "hot, from the fire"],
  [40, "lukewarm"],
  [20, "as cold as the room"],
  [8, "cold from the fridge"],
];
