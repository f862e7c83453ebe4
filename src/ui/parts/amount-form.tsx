"use client";

import { useState } from "react";
import { readTyped } from "./amount-field";
import { buttonClass } from "./button";

interface AmountFormProps {
  /** What is asked for; said aloud, and shown where there is no placeholder. */
  readonly label: string;
  readonly placeholder?: string;
  /** What the button says. */
  readonly words: string;
  readonly least: number;
  readonly most?: number;
  /** Whether it was taken: then the field is empty again. */
  readonly onTake: (value: number) => boolean;
}

/** One amount, typed and taken by a button or Enter. What cannot be read stays as typed, with the reason under it. */
export function AmountForm({ label, placeholder, words, least, most, onTake }: AmountFormProps) {
  const [text, setText] = useState("");
  const [why, setWhy] = useState<string | null>(null);
  return (
    <form
      className="mt-2 no-print"
      onSubmit={(event) => {
        event.preventDefault();
        const read = readTyped(text, least, most);
        setWhy("why" in read ? read.why : null);
        if ("value" in read && onTake(read.value)) setText("");
      }}
    >
      <div className="flex gap-2 items-center">
        <label className="t-ledger flex items-center gap-2 flex-1 min-w-0">
          <span className={placeholder === undefined ? "" : "sr-only"}>{label}</span>
          <input
            inputMode="decimal"
            autoComplete="off"
            placeholder={placeholder}
            className={`border border-edge bg-sheet px-2 min-h-11 t-figure text-[16px] min-w-0 ${placeholder === undefined ? "w-24" : "flex-1"}`}
            value={text}
            aria-invalid={why !== null}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <button type="submit" className={buttonClass("plain")}>
          {words}
        </button>
      </div>
      {why && (
        <p role="alert" className="t-ledger text-rose">
          {why}
        </p>
      )}
    </form>
  );
}
