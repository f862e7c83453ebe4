"use client";

import { useId, useState } from "react";
import type { Food } from "../../../core/food";
import { priceUnitsOf, type Price } from "../../../core/pantry";
import { moneyText } from "../../../core/units";
import { AmountField, readTyped } from "../../parts/amount-field";
import { useHousehold } from "../../shell/household";
import { usePantryDocument } from "../../shell/pantry";

const MOST_PRICE = 10_000_000;

/** What the household pays for a food: a price and what it is for. Empty takes the price away. */
export function PriceField({ food }: { readonly food: Food }) {
  const id = useId();
  const { present, set } = usePantryDocument();
  const { currency } = useHousehold().units;
  const known = present.prices.find(({ foodId }) => foodId === food.id) ?? null;
  const units = priceUnitsOf(food);
  const [text, setText] = useState<string | null>(null);
  const [rest, setRest] = useState<Pick<Price, "amount" | "unit">>({ amount: 1, unit: food.pours && units.includes("l") ? "l" : "kg" });
  const { amount, unit } = known ?? rest;
  const put = (part: Partial<Price>) => {
    const price: Price = { foodId: food.id, price: known?.price ?? 0, amount, unit, at: new Date().toISOString().slice(0, 10), ...part };
    set((now) => ({ ...now, prices: [...now.prices.filter(({ foodId }) => foodId !== food.id), price] }), `price ${food.id}`);
  };
  const shown = text ?? (known ? String(known.price) : "");
  const read = shown.trim() === "" ? null : readTyped(shown, 0, MOST_PRICE);
  const why = read && "why" in read ? read.why : null;
  return (
    <div>
      <div className="flex flex-wrap items-baseline gap-x-2 gap-y-1 t-ledger">
        <input
          aria-label={`Price of ${food.name.toLowerCase()}`}
          aria-invalid={why !== null}
          aria-describedby={why ? `${id}-why` : undefined}
          inputMode="decimal"
          placeholder="price"
          maxLength={12}
          value={shown}
          onChange={(event) => {
            setText(event.target.value);
            const typed = event.target.value.trim();
            if (typed === "") set((now) => ({ ...now, prices: now.prices.filter(({ foodId }) => foodId !== food.id) }), `price ${food.id}`);
            else {
              const value = readTyped(typed, 0, MOST_PRICE);
              if ("value" in value) put({ price: value.value });
            }
          }}
          onBlur={() => {
            if (why === null) setText(null);
          }}
          className={`w-[84px] text-right t-figure bg-sheet border px-2 min-h-9 ${why ? "border-rose" : "border-edge"}`}
        />
        {currency && <span className="t-small text-ink2">{currency}</span>}
        <span>for</span>
        <AmountField
          label={`What the price of ${food.name.toLowerCase()} is for`}
          unit=""
          least={0.001}
          value={amount}
          onChange={(next) => (known ? put({ amount: next }) : setRest({ amount: next, unit }))}
        />
        <select
          aria-label={`Unit of the price of ${food.name.toLowerCase()}`}
          value={unit}
          onChange={(event) => {
            const next = event.target.value as Price["unit"];
            if (known) put({ unit: next });
            else setRest({ amount, unit: next });
          }}
          className="border border-edge bg-sheet px-1 min-h-9"
        >
          {units.map((each) => (
            <option key={each}>{each}</option>
          ))}
        </select>
      </div>
      {why ? (
        <p id={`${id}-why`} role="alert" className="t-small text-rose">
          {why}
        </p>
      ) : (
        food.pricePerGram !== null && (
          <p className="t-small text-ink2">
            {moneyText(food.pricePerGram * 100, currency)} for 100 g{known ? `; as of ${known.at}` : ", in what it is made of"}
          </p>
        )
      )}
    </div>
  );
}
