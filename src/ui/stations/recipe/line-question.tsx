"use client";

import { useState } from "react";
import type { LineChoice, RecipeLine } from "../../../core/recipe";
import { formatGrams } from "../../../core/units";
import type { NamedFood, ToldLine } from "../../../core/views";
import { FoodPicker } from "../../panels/food-picker";
import { Go } from "../../shell/go";
import { AmountField } from "../../parts/amount-field";

/** What is asked about a line, with the answers that are likeliest. */
export function LineQuestion({
  reading,
  line,
  onChoose,
  onFood,
  onApart,
  onBack,
}: {
  readonly reading: ToldLine;
  readonly line: RecipeLine;
  readonly onChoose: (part: LineChoice) => void;
  readonly onFood: (food: NamedFood) => void;
  readonly onApart: (apart: readonly string[]) => void;
  readonly onBack: () => void;
}) {
  const chip = "border border-edge px-3 min-h-11 md:min-h-8 t-ledger hover:bg-pressed text-left";
  const { food, proposal } = reading;
  if (reading.kind === "left out")
    return (
      <p className="px-3 pb-2">
        <button type="button" className="underline t-small" onClick={onBack}>
          Count it after all
        </button>
      </p>
    );
  return (
    <div className="px-3 pb-3 grid gap-2">
      {reading.apart.length > 1 && food && (
        <div className="flex flex-wrap gap-2 items-center">
          <button type="button" data-answer className={chip} onClick={() => onApart(reading.apart)}>
            Make it {reading.apart.length} lines: <span className="text-ink2">{reading.apart.join(" · ")}</span>
          </button>
          <button type="button" className={chip} onClick={() => onFood(food)}>
            All of it is {food.name.toLowerCase()}
          </button>
        </div>
      )}
      {reading.kind === "food unknown" && (
        <div className="flex flex-wrap gap-2 items-center">
          <span className="t-small text-ink2">{reading.foods.length > 0 ? "Is it" : "Nothing like it is in the tables."}</span>
          {reading.foods.map((guess) => (
            <button key={guess.id} type="button" data-answer className={chip} onClick={() => onFood(guess)}>
              {guess.name}
              {guess.breaks && (
                <span className="t-small text-rose">
                  {" "}
                  {guess.breaks.isAsked ? "to ask" : "breaks"}: {guess.breaks.short}
                </span>
              )}
            </button>
          ))}
        </div>
      )}
      {food && reading.kind === "amount unknown" && (
        <div className="flex flex-wrap gap-2 items-center">
          <span className="t-small text-ink2">{food.name}: how much is it?</span>
          {proposal && (
            <button type="button" data-answer className={chip} onClick={() => onChoose({ grams: Math.max(0.1, Math.round(proposal.grams * 10) / 10) })}>
              {formatGrams(proposal.grams)} g{" "}
              <span className="t-small text-ink2">
                for the {proposal.by}: {formatGrams(proposal.low)} to {formatGrams(proposal.high)} (inferred, rule of thumb)
              </span>
            </button>
          )}
          {reading.amounts.map((guess) => (
            <button key={guess.label} type="button" data-answer className={chip} onClick={() => onChoose({ grams: guess.grams })}>
              <span className="t-frac">{guess.label}</span>, {formatGrams(guess.grams)} g
            </button>
          ))}
          <OpenAmount food={food} onGrams={(grams) => onChoose({ grams })} />
        </div>
      )}
      <div className="flex flex-wrap gap-2 items-center">
        <div className="w-72 max-w-full">
          <FoodPicker label="Another food" onPick={onFood} />
        </div>
        {reading.kind === "food unknown" && (
          <Go href={`/pantry/new?name=${encodeURIComponent(reading.description.slice(0, 60))}`} className="underline t-small min-h-8 inline-flex items-center">
            Add it from its packet
          </Go>
        )}
        <button type="button" className="underline t-small min-h-8" onClick={() => onChoose({ leftOut: true })}>
          Leave this line out
        </button>
        {line.choice.foodId !== undefined && (
          <button type="button" className="underline t-small min-h-8" onClick={onBack}>
            Back to the line as written
          </button>
        )}
      </div>
    </div>
  );
}

function OpenAmount({ food, onGrams }: { readonly food: NamedFood; readonly onGrams: (grams: number) => void }) {
  const [grams, setGrams] = useState<number | null>(null);
  return (
    <span className="inline-flex items-center gap-2">
      <AmountField label={`Another amount of ${food.name}, grams`} value={grams ?? 0} least={0.001} onChange={setGrams} />
      <button
        type="button"
        className="underline t-small min-h-8 disabled:text-ink3 disabled:no-underline"
        disabled={grams === null}
        onClick={() => {
          if (grams !== null) onGrams(grams);
        }}
      >
        Take it
      </button>
    </span>
  );
}
