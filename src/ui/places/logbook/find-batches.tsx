"use client";

import { useRouter, useSearchParams } from "next/navigation";
import { useState } from "react";
import { formatNumber } from "../../../core/units";
import { buttonClass } from "../../parts/button";
import { Go } from "../../shell/go";

interface FindBatchesProps {
  readonly words: string;
  readonly eater: string | null;
  readonly season: string | null;
  readonly eaters: readonly { readonly id: string; readonly name: string }[];
  readonly seasons: readonly { readonly id: string; readonly name: string }[];
  readonly total: number;
}

/** Finding a batch: by its name, a food or a word in it, by who tasted it or sat at its table, by season. All in the address. */
export function FindBatches({ words: given, eater, season, eaters, seasons, total }: FindBatchesProps) {
  const router = useRouter();
  const parameters = useSearchParams();
  const [words, setWords] = useState(given);
  const go = (name: string, value: string) => {
    const next = new URLSearchParams(parameters);
    next.delete("page");
    next.delete(name);
    if (value) next.set(name, value);
    router.push(next.size ? `/logbook?${next}` : "/logbook");
  };
  const isLooking = given !== "" || eater !== null || season !== null;
  const select = "border border-edge bg-sheet px-2 min-h-11 t-ledger max-w-full max-sm:flex-1";
  return (
    <form
      role="search"
      className="mb-4 no-print"
      onSubmit={(event) => {
        event.preventDefault();
        go("search", words.trim());
      }}
    >
      <div className="flex flex-wrap gap-2">
        <span className="flex gap-2 flex-1 min-w-64">
          <input
            aria-label="Find a batch by its name, a food in it, or a word that was noted"
            placeholder="Name, a food in it, or a word"
            value={words}
            maxLength={200}
            onChange={(event) => setWords(event.target.value)}
            className="border border-edge bg-sheet px-3 min-h-11 flex-1 min-w-0"
          />
          <button className={buttonClass("plain")}>Find</button>
        </span>
        {eaters.length > 0 && (
          <select aria-label="Of whom" value={eater ?? ""} onChange={(event) => go("eater", event.target.value)} className={select}>
            <option value="">of anybody</option>
            {eaters.map(({ id, name }) => (
              <option key={id} value={id}>
                {name} ate or tasted
              </option>
            ))}
          </select>
        )}
        <select aria-label="Of what season" value={season ?? ""} onChange={(event) => go("season", event.target.value)} className={select}>
          <option value="">all year</option>
          {seasons.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </div>
      {isLooking && (
        <p className="t-small text-ink2 mt-2">
          {formatNumber(total)} found.{" "}
          <Go className="underline" href="/logbook">
            Show all
          </Go>
        </p>
      )}
    </form>
  );
}
