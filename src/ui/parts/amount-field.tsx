"use client";

import { formatNumber } from "../../core/units";
import { useId, useState } from "react";

export const MOST_GRAMS = 100_000;

/** Reads a typed amount: digits with a point or comma. Null with the reason where it is not an amount. */
export function readTyped(text: string, least: number, most = MOST_GRAMS): { readonly value: number } | { readonly why: string } {
  const trimmed = text.trim().replace(",", ".");
  if (trimmed === "") return { why: "Give an amount." };
  const value = Number(trimmed);
  if (!/^[-−]?(?:\d{1,12}(?:\.\d{1,12})?|\.\d{1,12})$/.test(trimmed) || !Number.isFinite(value)) return { why: "Only digits, such as 12.5." };
  if (value < least || (least === 0 && value < 0)) return { why: least > 0 ? `At least ${least}.` : "Not below 0." };
  if (value > most) return { why: `At most ${formatNumber(most)}.` };
  return { value };
}

interface AmountFieldProps {
  readonly label: string;
  readonly value: number;
  readonly unit?: string;
  readonly least?: number;
  readonly most?: number;
  readonly onChange: (value: number) => void;
  readonly className?: string;
  /** How the value is shown while it is not being edited, where that is not its own digits. */
  readonly shownAs?: string;
}

const shown = (value: number) => String(value >= 20 ? Math.round(value) : value >= 3 ? Math.round(value * 10) / 10 : Number(value.toPrecision(2)));

/** A field for an amount. What cannot be read stays as typed, with the reason under it, and changes nothing. */
export function AmountField({ label, value, unit = "g", least = 0, most = MOST_GRAMS, onChange, className = "", shownAs }: AmountFieldProps) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const read = draft === null ? null : readTyped(draft, least, most);
  const why = read && "why" in read ? read.why : null;
  return (
    <span className={`inline-flex flex-col items-end ${className}`}>
      <span className="inline-flex items-baseline gap-1">
        <input
          id={id}
          aria-label={label}
          inputMode="decimal"
          value={draft ?? shownAs ?? shown(value)}
          aria-invalid={why !== null}
          aria-describedby={why ? `${id}-why` : undefined}
          className={`w-[68px] text-right t-figure bg-transparent border-b px-1 min-h-7 ${why ? "border-rose bg-rose-wash" : "border-edge hover:bg-pressed"}`}
          onFocus={(event) => event.target.select()}
          onChange={(event) => {
            setDraft(event.target.value);
            const typed = readTyped(event.target.value, least, most);
            if ("value" in typed) onChange(typed.value);
          }}
          onBlur={() => {
            if (why === null) setDraft(null);
          }}
          onKeyDown={(event) => {
            if (event.key === "Escape") setDraft(null);
            if (event.key !== "ArrowUp" && event.key !== "ArrowDown") return;
            event.preventDefault();
            const step = (value < 3 ? 0.1 : value < 20 ? 1 : value < 100 ? 5 : 10) * (event.key === "ArrowUp" ? 1 : -1);
            setDraft(null);
            onChange(Math.max(least, Math.round((value + step) * 100) / 100));
          }}
        />
        {unit && <span className="t-small text-ink2 w-3">{unit}</span>}
      </span>
      {why && (
        <span id={`${id}-why`} role="alert" className="t-small text-rose whitespace-nowrap">
          {why}
        </span>
      )}
    </span>
  );
}
