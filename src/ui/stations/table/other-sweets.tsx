"use client";

import { useMemo } from "react";
import type { Recipe } from "../../../core/recipe";
import { LIMIT_NAMES, type DiningTable, type Limit } from "../../../core/table";
import { formatNumber } from "../../../core/units";
import type { Serving, ToldSweet } from "../../../core/views";
import { FindRecipe } from "../../panels/find-recipe";
import { AmountField } from "../../parts/amount-field";
import { send, why as whyOf } from "../../parts/send";
import { Go } from "../../shell/go";
import { failed } from "../../shell/messages";

/** A recipe of the library, as it stands. */
export interface OtherRecipe {
  readonly id: string;
  readonly recipe: Recipe;
}

interface OtherSweetsProps {
  readonly here: string;
  readonly table: DiningTable;
  readonly known: readonly OtherRecipe[];
  /** What is computed of them; of one that was just added it may not be there yet. */
  readonly told: readonly ToldSweet[];
  /** What a serving of this sweet comes to, by limit, as handed down. */
  readonly serving: Serving;
  readonly onKnown: (found: OtherRecipe) => void;
  readonly onTable: (part: Partial<DiningTable>, key?: string) => void;
}

/** Other sweets of the occasion: what each breaks at this table, and what all come to for somebody who eats of every one. */
export function OtherSweets({ here, table, known, told, serving, onKnown, onTable }: OtherSweetsProps) {
  const otherSweets = useMemo(() => table.otherSweets ?? [], [table.otherSweets]);
  const counted: readonly Limit[] = useMemo(
    () => (table.limits.length > 0 ? table.limits : [{ id: "freeSugars", most: Infinity, school: "uk" }]),
    [table.limits],
  );
  const rows = otherSweets.map(({ recipe: id, servings }) => {
    const computed = told.find((each) => each.id === id);
    return {
      id,
      servings,
      title: known.find((each) => each.id === id)?.recipe.title ?? null,
      breaks: computed?.breaks ?? [],
      serving: computed?.serving ?? null,
    };
  });
  const add = async (id: string) => {
    try {
      if (!known.some((each) => each.id === id)) {
        onKnown((await send("GET", `/api/recipes/${id}`)) as OtherRecipe);
      }
      onTable({ otherSweets: [...otherSweets, { recipe: id, servings: 1 }] });
    } catch (error) {
      failed(whyOf(error, "The recipe could not be opened."));
    }
  };
  return (
    <section aria-labelledby="other-sweets-title">
      <h3 id="other-sweets-title" className="t-h2 text-[15px]">
        Other sweets of the occasion
      </h3>
      <p className="t-small text-ink2">As handed down. A limit is a serving’s; here stands what somebody comes to who eats of all.</p>
      <ul className="border-t border-ink mt-1">
        {rows.map(({ id, title, servings, breaks }) => (
          <li key={id} className="border-b border-line flex flex-wrap gap-x-4 items-center min-h-11 py-1">
            <span className="t-ledger flex-1 min-w-40">
              {title === null ? (
                "A recipe that is gone"
              ) : (
                <Go href={`/recipes/${id}/table`} className="underline">
                  {title}
                </Go>
              )}
              {breaks.length > 0 && <span className="block t-small text-rose">not for this table as it is: {breaks.join(", ")}</span>}
            </span>
            <span className="flex gap-4 items-center ml-auto">
              <span className="t-small text-ink2">servings</span>
              <AmountField
                label={`Servings of ${title ?? "it"} somebody eats`}
                unit=""
                value={servings}
                least={0.25}
                most={20}
                onChange={(next) =>
                  onTable({ otherSweets: otherSweets.map((each) => (each.recipe === id ? { ...each, servings: next } : each)) }, `beside ${id}`)
                }
              />
              <button
                type="button"
                className="underline t-small min-h-11 md:min-h-8"
                onClick={() => onTable({ otherSweets: otherSweets.filter((each) => each.recipe !== id) })}
              >
                Take it out<span className="sr-only">: {title}</span>
              </button>
            </span>
          </li>
        ))}
        <li>
          <FindRecipe leave={[here, ...otherSweets.map(({ recipe }) => recipe)]} onPick={(id) => void add(id)} />
        </li>
      </ul>
      {rows.length > 0 && (
        <dl className="t-ledger mt-2">
          {counted.map((limit) => {
            const parts = rows.map(({ serving: own, servings: each }) => (own ? own[limit.id] * each : null));
            const sum = serving[limit.id] + parts.reduce((all: number, each) => all + (each ?? 0), 0);
            const { name, unit } = LIMIT_NAMES[limit.id];
            const unread = parts.includes(null);
            return (
              <div key={limit.id} className={`flex flex-wrap justify-between gap-x-4 border-b border-line py-1.5 ${sum > limit.most ? "text-rose" : ""}`}>
                <dt>
                  {name.charAt(0).toUpperCase() + name.slice(1)} of all together
                  {Number.isFinite(limit.most) && sum > limit.most && `: over the ${formatNumber(limit.most)} ${unit} of one serving`}
                </dt>
                <dd className="t-figure">
                  {unread ? "at least " : ""}
                  {sum < 10 ? sum.toFixed(1) : Math.round(sum)} {unit}
                </dd>
              </div>
            );
          })}
        </dl>
      )}
    </section>
  );
}
