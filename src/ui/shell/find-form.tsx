"use client";

import { useRouter, useSearchParams } from "next/navigation";
import { useState, type ReactNode } from "react";
import { buttonClass } from "../parts/button";

/** How a choice beside the field looks. */
export const FIND_SELECT = "border border-edge bg-sheet px-2 min-h-11 t-ledger max-w-full max-sm:flex-1";

/** Puts what is looked for into the address of a list, from its first page on. */
export function useFind(address: string): (name: string, value: string) => void {
  const router = useRouter();
  const parameters = useSearchParams();
  return (name, value) => {
    const next = new URLSearchParams(parameters);
    next.delete("page");
    next.delete(name);
    if (value) next.set(name, value);
    router.push(next.size ? `${address}?${next}` : address);
  };
}

interface FindFormProps {
  readonly label: string;
  readonly placeholder: string;
  readonly words: string;
  readonly onFind: (words: string) => void;
  /** Choices beside the field, and what stands under them. */
  readonly children: ReactNode;
  readonly under: ReactNode;
}

/** A field to find things of a long list by words, with choices beside it. */
export function FindForm({ label, placeholder, words: given, onFind, children, under }: FindFormProps) {
  const [words, setWords] = useState(given);
  return (
    <form
      role="search"
      className="mb-4 no-print"
      onSubmit={(event) => {
        event.preventDefault();
        onFind(words.trim());
      }}
    >
      <div className="flex flex-wrap gap-2">
        <span className="flex gap-2 flex-1 min-w-64">
          <input
            aria-label={label}
            placeholder={placeholder}
            value={words}
            maxLength={200}
            onChange={(event) => setWords(event.target.value)}
            className="border border-edge bg-sheet px-3 min-h-11 flex-1 min-w-0"
          />
          <button className={buttonClass("plain")}>Find</button>
        </span>
        {children}
      </div>
      {under}
    </form>
  );
}
