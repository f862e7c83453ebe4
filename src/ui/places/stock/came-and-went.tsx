"use client";

import { useState } from "react";
import { formatGrams } from "../../../core/units";
import { send } from "../../parts/send";
import { Go } from "../../shell/go";
import type { Change, MoveData } from "./stock-data";

/** What came and went last, each taken back by a press where somebody did it here; what a batch took is changed there. */
export function CameAndWent({ moves, change }: { readonly moves: readonly MoveData[]; readonly change: Change }) {
  const [why, setWhy] = useState<string | null>(null);
  return (
    <section aria-labelledby="moves-head" className="mt-8">
      <h2 id="moves-head" className="t-h2">
        What came and went
      </h2>
      {why && (
        <p role="alert" className="bg-rose-wash text-rose px-3 py-2 my-2">
          {why}
        </p>
      )}
      <ul className="border-t border-ink mt-1.5">
        {moves.map((move) => (
          <li
            key={move.id}
            className="border-b border-line grid gap-x-5 items-center grid-cols-[minmax(0,1fr)_auto_auto] md:grid-cols-[170px_minmax(0,1fr)_100px_90px] min-h-11"
          >
            <span className="t-small text-ink2 max-md:col-span-3">{move.when}</span>
            <span className="t-ledger min-w-0">
              {move.name}, {move.batch && move.why === "put in" ? "left over" : move.why}
              {move.batch && (
                <>
                  {move.why === "cooked" ? " in " : " from "}
                  <Go href={`/batches/${move.batch.id}`} className="underline">
                    {move.batch.title}
                  </Go>
                </>
              )}
            </span>
            <span className="t-figure text-right">
              {move.grams > 0 ? "+" : "−"}
              {formatGrams(Math.abs(move.grams))} g
            </span>
            <span className="text-right no-print">
              {move.batch === null && (
                <button
                  type="button"
                  className="underline min-h-11 px-1"
                  onClick={() => void change(() => send("DELETE", `/api/stock/moves/${encodeURIComponent(move.id)}`)).then(setWhy)}
                >
                  Undo
                  <span className="sr-only">
                    {" "}
                    {move.name}, {move.why}, {formatGrams(Math.abs(move.grams))} g
                  </span>
                </button>
              )}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
