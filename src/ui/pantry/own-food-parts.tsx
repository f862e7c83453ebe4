"use client";

import { ALLERGENS, type Allergen } from "../../core/food";
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
