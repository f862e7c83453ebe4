"use client";

import { useEffect, useState } from "react";
import type { CookHappening, CookSession } from "../../../core/cook";
import { formatGrams, lowerFirst } from "../../../core/units";
import { send } from "../../parts/send";
import { Go } from "../../shell/go";

interface Amount {
  readonly name: string;
  readonly grams: number;
}
interface BatchStock {
  readonly taken: readonly Amount[];
  readonly missing: readonly Amount[];
}

interface OffStockProps {
  readonly batch: string;
  readonly session: CookSession;
  /** Presses that are not on the disk yet: the stock follows what is. */
  readonly waiting: number;
  readonly act: (happening: CookHappening) => boolean;
}

/** What the batch took off the stock, and what of it was not there; or that the stock is left as it is. */
export function OffStock({ batch, session: { isStockTaken, events }, waiting, act }: OffStockProps) {
  const [stock, setStock] = useState<BatchStock | null>(null);
  const [isAway, setAway] = useState(false);
  useEffect(() => {
    if (waiting > 0) return;
    let here = true;
    send("GET", `/api/batches/${batch}/stock`)
      .then((read) => here && (setStock(read as BatchStock), setAway(false)))
      .catch(() => here && setAway(true));
    return () => {
      here = false;
    };
  }, [batch, waiting, events.length]);
  return (
    <section aria-label="Off the stock" className="mt-6">
      <h2 className="t-h2">Off your stock</h2>
      <label className="t-ledger flex items-center gap-2 min-h-11 cursor-pointer no-print">
        <input
          type="checkbox"
          className="size-5 accent-ink"
          checked={isStockTaken}
          onChange={(event) => act({ kind: "stock", isTaken: event.target.checked })}
        />
        Take off what went in
      </label>
      {isAway && <p className="t-ledger text-ink2">What was taken off cannot be shown: Threpsis does not answer.</p>}
      {isStockTaken && stock && stock.taken.length > 0 && (
        <ul className="border-t border-ink">
          {stock.taken.map(({ name, grams }, i) => (
            <li key={i} className="border-b border-line flex justify-between gap-3 py-1 t-ledger">
              <span>{name}</span>
              <span className="t-figure">−{formatGrams(grams)} g</span>
            </li>
          ))}
        </ul>
      )}
      {isStockTaken && stock && stock.missing.length > 0 && (
        <p className="t-ledger text-ink2 mt-1">
          {stock.taken.length === 0
            ? "Nothing that went in is noted in stock."
            : `Not in stock, or not so much: ${stock.missing.map(({ name, grams }) => `${formatGrams(grams)} g ${lowerFirst(name)}`).join(", ")}.`}{" "}
          <Go href="/pantry/stock" className="underline no-print">
            What is in stock
          </Go>
        </p>
      )}
    </section>
  );
}
