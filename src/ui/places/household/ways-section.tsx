"use client";

import { useState } from "react";
import type { Household } from "../../../core/household";
import { AS_WRITTEN, type Way } from "../../../core/ways";
import { capital } from "../../../core/units";
import { Pick } from "../../parts/pick";

interface WaysSectionProps {
  readonly held: NonNullable<Household["ways"]>;
  readonly ways: readonly Way[];
  readonly onWays: (held: NonNullable<Household["ways"]>) => void;
}

/** Where cooks part: how this household usually does it. Recipes stay as they are written; their versions on Swap are made so. */
export function WaysSection({ held, ways, onWays }: WaysSectionProps) {
  const pick = (way: string, option: string) => {
    const { [way]: _, ...others } = held;
    onWays(option === AS_WRITTEN ? others : { ...others, [way]: option });
  };
  const [isOpen, setOpen] = useState(false);
  const told = ways.flatMap(({ id, of, options }) => options.flatMap((option) => (option.id === held[id] ? [`${of.toLowerCase()} ${option.name}`] : [])));
  const summary = told.length === 0 ? `${ways.length} of them, all as each recipe has it` : capital(told.join(" · "));
  return (
    <section id="ways" aria-labelledby="ways-title" className="scroll-mt-4">
      <h2 id="ways-title" className="t-h2">
        Ways of cooking
      </h2>
      <p className="t-small text-ink2 max-w-[72ch]">
        What good cooks do in more than one way. Your usual way is followed on Swap wherever the words of a recipe can be written so, and each batch can be made
        another way; the recipe itself stays as it was handed down. The reasons are rules of thumb.
      </p>
      <details className="border-t border-ink mt-1" open={isOpen} onToggle={(event) => setOpen(event.currentTarget.open)}>
        <summary className="t-ledger cursor-pointer py-2.5 md:py-1.5">{summary}</summary>
        <div className="grid sm:grid-cols-2 gap-x-6 gap-y-3 pt-2">
          {ways.map(({ id, of, options }) => {
            const now = options.find((option) => option.id === held[id]);
            return (
              <div key={id}>
                <Pick
                  label={of}
                  value={now?.id ?? AS_WRITTEN}
                  options={[[AS_WRITTEN, "as each recipe has it"], ...options.map((option) => [option.id, option.name] as const)]}
                  onChange={(option) => pick(id, option)}
                />
                {now && <p className="t-small text-ink2">{capital(now.reason)}.</p>}
              </div>
            );
          })}
        </div>
      </details>
    </section>
  );
}
