"use client";

import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from "@headlessui/react";
import { useMemo, useState } from "react";
import type { Food } from "../../core/food";
import type { ReadingContext } from "../../core/recipe";

export interface FoodPickerProps {
  readonly label: string;
  readonly context: ReadingContext;
  readonly onPick: (food: Food) => void;
  readonly note?: (food: Food) => string | null;
}

const MOST_OPTIONS = 8;

/** Finds a food of the tables by name, synonym or the beginning of a word. */
export default function FoodPickerBox({ label, context, onPick, note }: FoodPickerProps) {
  const [query, setQuery] = useState("");
  const found = useMemo(() => (query.trim() ? context.matcher.search(query, MOST_OPTIONS).flatMap((id) => context.foods.get(id) ?? []) : []), [query, context]);
  return (
    <Combobox<Food | null>
      value={null}
      onChange={(food) => {
        if (food) {
          onPick(food);
          setQuery("");
        }
      }}
      immediate
    >
      <div className="relative">
        <ComboboxInput
          aria-label={label}
          placeholder={label}
          className="w-full border border-edge bg-sheet px-3 min-h-11 t-ledger"
          autoComplete="off"
          onChange={(event) => setQuery(event.target.value)}
          displayValue={() => query}
        />
        {query.trim() !== "" && (
          <ComboboxOptions anchor="bottom start" className="z-50 w-[var(--input-width)] min-w-72 bg-sheet border border-ink mt-0.5 empty:hidden">
            {found.map((food) => {
              const said = note?.(food) ?? null;
              return (
                <ComboboxOption key={food.id} value={food} className="px-3 py-2 t-ledger border-b border-line data-focus:bg-pressed">
                  <span className="font-[550]">{food.name}</span> <span className="t-small text-ink2">{food.source}</span>
                  {said && <span className="block t-small text-rose">{said}</span>}
                </ComboboxOption>
              );
            })}
            {found.length === 0 && (
              <div className="px-3 py-2 t-small text-ink2" role="status">
                No food of the tables is called that.
              </div>
            )}
          </ComboboxOptions>
        )}
      </div>
    </Combobox>
  );
}
