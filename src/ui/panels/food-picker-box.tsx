"use client";

import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from "@headlessui/react";
import { useEffect, useState } from "react";
import type { DiningTable } from "../../core/table";
import type { FoundFood } from "../../core/views";
import { why as whyOf } from "../parts/send";
import { useCompute } from "../shell/computer";

export interface FoodPickerProps {
  readonly label: string;
  readonly onPick: (food: FoundFood) => void;
  /** What is found is held against its rules. */
  readonly table?: DiningTable;
  /** What is said of a food beside that. */
  readonly note?: (food: FoundFood) => string | null;
}

/** What was found for what was typed. */
interface Found {
  readonly words: string;
  readonly foods: readonly FoundFood[];
  readonly why: string | null;
}

/** Finds a food of the tables by name, synonym or the beginning of a word. */
export default function FoodPickerBox({ label, table, onPick, note }: FoodPickerProps) {
  const [query, setQuery] = useState("");
  const [found, setFound] = useState<Found>({ words: "", foods: [], why: null });
  const compute = useCompute();
  const words = query.trim();
  useEffect(() => {
    if (words === "") return;
    let isLeft = false;
    compute("foods", { words, table: table ?? null })
      .then((foods) => !isLeft && setFound({ words, foods, why: null }))
      .catch((error: unknown) => !isLeft && setFound({ words, foods: [], why: whyOf(error, "The tables could not be searched.") }));
    return () => void (isLeft = true);
  }, [words, table, compute]);
  return (
    <Combobox<FoundFood | null>
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
        {words !== "" && (
          <ComboboxOptions anchor="bottom start" className="z-50 w-[var(--input-width)] min-w-72 bg-sheet border border-ink mt-0.5 empty:hidden">
            {found.foods.map((food) => {
              const said = food.breaks ? `${food.breaks.isAsked ? "to ask" : "breaks"}: ${food.breaks.short}` : (note?.(food) ?? null);
              return (
                <ComboboxOption key={food.id} value={food} className="px-3 py-2 t-ledger border-b border-line data-focus:bg-pressed">
                  <span className="font-[550]">{food.name}</span> <span className="t-small text-ink2">{food.source}</span>
                  {said && <span className="block t-small text-rose">{said}</span>}
                </ComboboxOption>
              );
            })}
            {found.words === words && found.foods.length === 0 && (
              <div className={`px-3 py-2 t-small ${found.why === null ? "text-ink2" : "text-rose"}`} role="status">
                {found.why ?? "No food of the tables is called that."}
              </div>
            )}
          </ComboboxOptions>
        )}
      </div>
    </Combobox>
  );
}
