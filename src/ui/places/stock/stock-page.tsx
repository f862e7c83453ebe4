"use client";

import { useRouter } from "next/navigation";
import { useCallback, useState } from "react";
import { dueOf } from "../../../core/stock";
import { why as whyOf } from "../../parts/send";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";
import { useFresh } from "../../shell/use-fresh";
import { CameAndWent } from "./came-and-went";
import type { Change, MoveData, StockRowData } from "./stock-data";
import { PutIn } from "./put-in";
import { StockRow } from "./stock-row";

interface StockPageProps {
  readonly items: readonly StockRowData[];
  readonly moves: readonly MoveData[];
  /** The day where the household is. */
  readonly today: string;
  /** When this was put together, ms. */
  readonly at: number;
}

/** What is in the house: what is to be used first before others, what comes in, what came and went. */
export function StockPage({ items, moves, today, at }: StockPageProps) {
  useFresh(at);
  const router = useRouter();
  const [words, setWords] = useState("");
  const change: Change = useCallback(
    async (work) => {
      try {
        await work();
        router.refresh();
        return null;
      } catch (error) {
        return whyOf(error, "That could not be done.");
      }
    },
    [router],
  );
  const first = items.filter((item) => ["past", "soon"].includes(dueOf(item, today))).length;
  const found = items.filter(({ name, note }) => `${name} ${note}`.toLowerCase().includes(words.trim().toLowerCase()));
  return (
    <>
      <PageHead
        title="In stock"
        line={
          items.length === 0
            ? "Nothing is noted yet"
            : `${items.length === 1 ? "1 thing" : `${items.length} things`}, ${first === 0 ? "nothing" : first} to be used soon`
        }
      >
        {items.length > 0 && (
          <Go href="/pantry/stock/make" className="underline min-h-11 inline-flex items-center no-print">
            What can I make of this?
          </Go>
        )}
        <Go href="/pantry" className="underline min-h-11 inline-flex items-center no-print">
          All foods
        </Go>
      </PageHead>
      <main id="main" className="p-4 md:p-5 max-w-[1100px]">
        <PutIn today={today} change={change} />
        {items.length === 0 ? (
          <p className="mt-6 max-w-[62ch]">
            Put in what is at home, by a line as in a recipe. A batch that is done takes off what went into it, and what is left over of it comes here with its
            last day.
          </p>
        ) : (
          <section aria-labelledby="stock-head" className="mt-7">
            <div className="flex flex-wrap gap-x-6 gap-y-2 items-end justify-between">
              <h2 id="stock-head" className="t-h2">
                What there is, by its last day
              </h2>
              {items.length > MANY && (
                <input
                  aria-label="Find in stock"
                  placeholder="Find: rice"
                  maxLength={100}
                  value={words}
                  onChange={(event) => setWords(event.target.value)}
                  className="border border-edge bg-sheet px-3 min-h-11 w-56 no-print"
                />
              )}
            </div>
            <ul className="border-t border-ink mt-1.5">
              {found.map((item) => (
                <StockRow key={`${item.id} ${item.revision} ${item.grams}`} item={item} today={today} change={change} />
              ))}
            </ul>
            {found.length === 0 && <p className="mt-3">Nothing in stock is called “{words.trim()}”.</p>}
          </section>
        )}
        {moves.length > 0 && <CameAndWent moves={moves} change={change} />}
      </main>
    </>
  );
}
/** From so many on they are looked for by name. */
const MANY = 12;
