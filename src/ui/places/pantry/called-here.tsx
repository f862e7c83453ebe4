"use client";

import { usePantryDocument } from "../../shell/pantry";

/** What this household calls a food, learned from its answers; each can be forgotten. */
export function CalledHere({ foodId }: { readonly foodId: string }) {
  const { present, set } = usePantryDocument();
  const mine = present.names.filter((name) => name.foodId === foodId);
  return mine.length === 0 ? null : (
    <section aria-label="Called here">
      <h2 className="t-h2 mt-5">Called here</h2>
      <ul className="rule-t mt-1 t-ledger">
        {mine.map(({ words, at }) => (
          <li key={words} className="flex justify-between gap-3 border-b border-line py-1.5">
            <span>
              {words} <span className="t-small text-ink2">since {at}</span>
            </span>
            <button
              type="button"
              className="underline t-small min-h-6 no-print"
              aria-label={`Forget the name ${words}`}
              onClick={() => set((now) => ({ ...now, names: now.names.filter((name) => name.words !== words) }))}
            >
              forget
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
