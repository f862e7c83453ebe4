"use client";

import { buttonClass } from "../parts/button";
import { Arrow } from "../parts/marks";
import { Go } from "../shell/go";
import { nextStep } from "../shell/next-step";
import type { StationId, StationSource } from "../shell/stations";

/** What a sweet waits for next, from one of its stations: one press leads there. */
export function NextUp({ recipeId, here, of }: { readonly recipeId: string; readonly here: StationId; readonly of: StationSource }) {
  const { rules, limits } = of.table;
  const next = nextStep({ asked: of.asked, wishes: [...rules, ...limits.map(({ id }) => id)], servings: of.table.servings, fit: of.bench });
  const words = `Next: ${next.verb.charAt(0).toLowerCase()}${next.verb.slice(1)}`;
  return (
    <p className="no-print mb-4 flex flex-wrap items-center gap-x-4 gap-y-1">
      {next.station === here ? (
        here === "recipe" ? (
          <button type="button" className={buttonClass("primary")} onClick={toFirstAsked}>
            {words} <Arrow />
          </button>
        ) : (
          <span className="t-ledger text-ink2">{words}</span>
        )
      ) : (
        <Go className={buttonClass("primary")} href={`/recipes/${recipeId}/${next.station}`}>
          {words} <Arrow />
        </Go>
      )}
      {here === "table" && next.station === "table" && (
        <Go className="underline t-ledger inline-flex items-center min-h-11 md:min-h-8" href={`/recipes/${recipeId}/swap`}>
          Nothing to leave out: see the versions
        </Go>
      )}
    </p>
  );
}

/** Brings the first line that is asked about into sight, and its first answer under the keys. */
function toFirstAsked(): void {
  const line = document.querySelector('[data-asked="yes"]');
  line?.scrollIntoView({ block: "center" });
  line?.querySelector<HTMLElement>("[data-answer], textarea")?.focus();
}
