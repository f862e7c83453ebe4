"use client";

import { useState } from "react";
import { ALLERGENS, type Allergen } from "../../../core/food";
import type { OwnFood } from "../../../core/pantry";
import { AmountField } from "../../parts/amount-field";
import { Choice } from "../../parts/choice";
import { allergenWords } from "./food-words";

/** What is wrong with a field, or doubtful, under it. */
export function Why({ id, grave, why }: { readonly id: string; readonly grave: boolean; readonly why: string }) {
  return (
    <p id={id} role={grave ? "alert" : "status"} className={`t-small ${grave ? "text-rose" : "text-saffron"}`}>
      {why}
    </p>
  );
}

export function UnitChoice<T extends string>({
  value,
  options,
  label,
  onChange,
}: {
  readonly value: T;
  readonly options: readonly T[];
  readonly label: string;
  readonly onChange: (value: T) => void;
}) {
  return (
    <select
      aria-label={label}
      value={value}
      onChange={(event) => onChange(event.target.value as T)}
      className="bg-transparent border-b border-edge min-h-8 w-full"
    >
      {options.map((option) => (
        <option key={option} value={option} className="bg-sheet">
          {option}
        </option>
      ))}
    </select>
  );
}

export function AllergenBoxes({ chosen, onChange }: { readonly chosen: readonly Allergen[]; readonly onChange: (chosen: readonly Allergen[]) => void }) {
  return (
    <div className="grid grid-cols-2 sm:grid-cols-3 border-t border-ink">
      {ALLERGENS.map((allergen) => (
        <label key={allergen} className="flex gap-2 items-center t-ledger min-h-9 border-b border-line">
          <input
            type="checkbox"
            checked={chosen.includes(allergen)}
            onChange={() => onChange(chosen.includes(allergen) ? chosen.filter((each) => each !== allergen) : [...chosen, allergen])}
            className="size-5 accent-ink"
          />
          {allergenWords(allergen)}
        </label>
      ))}
    </div>
  );
}

/** What is known of an own food beside its label: density, other names, a note. */
export function Further({ own, onChange }: { readonly own: OwnFood; readonly onChange: (part: Partial<OwnFood>, key?: string) => void }) {
  // A comma just typed stays while one writes on.
  const [names, setNames] = useState<string | null>(null);
  return (
    <>
      <div>
        <h2 className="t-h2">What a cup of it weighs</h2>
        <p className="t-small text-ink2 rule-t pt-1">Weigh it on its own page once it is saved; or give its density.</p>
        <p className="flex gap-4 items-center t-ledger mt-1">
          <Choice name="density" label="only weighed" checked={own.density === null} onChange={() => onChange({ density: null })} />
          <Choice name="density" label="g per ml" checked={own.density !== null} onChange={() => onChange({ density: own.density ?? 1 })} />
          {own.density !== null && (
            <AmountField
              label="Grams per millilitre"
              unit=""
              value={own.density}
              shownAs={String(own.density)}
              least={0.02}
              most={25}
              onChange={(density) => onChange({ density })}
            />
          )}
        </p>
      </div>
      <label>
        <span className="t-small text-ink2 block">Also called, with commas between</span>
        <input
          value={names ?? own.synonyms.join(", ")}
          onBlur={() => setNames(null)}
          maxLength={400}
          onChange={(event) => {
            setNames(event.target.value);
            const synonyms = event.target.value
              .split(",")
              .map((word) => word.trim())
              .filter(Boolean);
            onChange({ synonyms: synonyms.slice(0, 20) }, "synonyms");
          }}
          className="w-full bg-sheet border border-edge px-3 min-h-11"
        />
      </label>
      <label>
        <span className="t-small text-ink2 block">A note: maker, strength, where bought</span>
        <textarea
          value={own.note}
          maxLength={500}
          rows={3}
          onChange={(event) => onChange({ note: event.target.value }, "note")}
          className="w-full bg-sheet border border-edge p-3"
        />
      </label>
    </>
  );
}
