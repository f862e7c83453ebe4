"use client";

import { useState } from "react";
import { ROLES, type Role } from "../../../core/food";
import type { LineChoice, RecipeComponent, RecipeLine } from "../../../core/recipe";
import { formatGrams } from "../../../core/units";
import type { NamedFood, ToldLine } from "../../../core/views";
import { AmountField } from "../../parts/amount-field";
import { WhyMark } from "../../parts/marks";
import { LineQuestion } from "./line-question";

interface LineRowProps {
  readonly line: RecipeLine;
  /** What it was read as; null in the moment before that is known. */
  readonly reading: ToldLine | null;
  readonly components: readonly RecipeComponent[];
  readonly onFood: (food: NamedFood) => void;
  readonly onPart: (component: string | undefined) => void;
  readonly onApart: (apart: readonly string[]) => void;
  readonly onText: (text: string) => void;
  readonly onChoice: (choice: LineChoice) => void;
  readonly onRemove: () => void;
}

/** One ingredient line: as written, and what it was read as. What could not be read is asked about, below it. */
export function LineRow({ line, reading, components, onText, onChoice, onFood, onApart, onPart, onRemove }: LineRowProps) {
  const [changing, setChanging] = useState(false);
  const choose = (part: LineChoice) => {
    setChanging(false);
    onChoice({ ...line.choice, ...part });
  };
  const take = (food: NamedFood) => {
    setChanging(false);
    onFood(food);
  };
  const kind = reading?.kind ?? null;
  const apart = reading?.apart ?? [];
  const asks = kind === "food unknown" || kind === "amount unknown" || apart.length > 1;
  const { food = null, grams = null, role = null } = reading ?? {};
  return (
    <li
      className={`border-b border-line ${asks ? "border-l-4 border-l-saffron-fill" : ""}`}
      data-line={line.id}
      data-kind={kind ?? undefined}
      data-asked={asks ? "yes" : undefined}
    >
      <div className="grid gap-x-4 gap-y-0.5 px-3 py-1 grid-cols-[minmax(0,1fr)_96px_28px] md:grid-cols-[minmax(0,5fr)_minmax(0,6fr)_92px_112px_28px] items-start md:items-center min-h-[46px]">
        <textarea
          aria-label="Ingredient line, as written"
          value={line.text}
          maxLength={2000}
          rows={1}
          onChange={(event) => onText(event.target.value.replaceAll("\n", " "))}
          onKeyDown={(event) => {
            if (event.key === "Enter") event.preventDefault();
          }}
          className={`max-md:col-span-2 t-ledger field-sizing-content resize-none py-1 bg-transparent border-b border-transparent hover:border-edge focus:border-edge min-h-8 w-full ${kind === "left out" ? "line-through text-ink3" : ""}`}
        />
        <div className={`min-w-0 max-md:row-start-2 max-md:row-span-2 max-md:col-start-1 ${asks ? "max-md:col-span-3" : ""}`}>
          {kind === "read" && food && (
            <button
              type="button"
              className="text-left w-full min-h-8"
              aria-expanded={changing}
              onClick={() => setChanging(!changing)}
              title="Take another food"
            >
              <span className="t-new">{food.name}</span>
              <span className="block t-small text-ink2">{reading?.how.replace(/ ± (\d+) %/, "\u00a0±\u00a0$1\u00a0%")}</span>
            </button>
          )}
          {asks && (
            <span className="t-ledger text-saffron flex items-baseline gap-1.5">
              <WhyMark kind="ask" />
              {reading?.why}
            </span>
          )}
          {kind === "left out" && <span className="t-small text-ink2">Left out of all figures</span>}
        </div>
        <div className="max-md:row-start-2 max-md:col-start-2 max-md:col-span-2 justify-self-end">
          {food && grams !== null && (
            <AmountField
              label={`Grams of ${food.name}`}
              value={line.choice.grams ?? grams}
              shownAs={line.choice.grams === undefined ? formatGrams(grams).replace(",", "") : undefined}
              least={0.001}
              onChange={(set) => onChoice({ ...line.choice, grams: set })}
            />
          )}
        </div>
        <div className={`max-md:col-start-2 max-md:col-span-2 ${asks ? "max-md:row-start-4" : "max-md:row-start-3"}`}>
          {food && role && <RoleSelect food={food} role={line.choice.role ?? role} onRole={(chosen) => choose({ role: chosen })} />}
        </div>
        <button
          type="button"
          aria-label={`Remove the line "${line.text}"`}
          title="Remove the line"
          onClick={onRemove}
          className="max-md:row-start-1 max-md:col-start-3 justify-self-end w-7 h-7 grid place-items-center text-ink2 hover:bg-pressed"
        >
          <svg width="12" height="12" viewBox="0 0 12 12" fill="none" stroke="currentColor" strokeWidth="1.7" aria-hidden="true">
            <path d="m2 2 8 8M10 2l-8 8" />
          </svg>
        </button>
      </div>
      {reading?.heed && <p className="px-3 pb-2 t-small text-saffron">{reading.heed}</p>}
      {line.choice.grams !== undefined && kind === "read" && (
        <p className="px-3 pb-1 t-small">
          <button
            type="button"
            className="underline"
            onClick={() => {
              const { grams: _, ...rest } = line.choice;
              onChoice(rest);
            }}
          >
            Back to the amount as written
          </button>
        </p>
      )}
      {reading && (asks || changing || kind === "left out") && (
        <LineQuestion reading={reading} line={line} onChoose={choose} onFood={take} onApart={onApart} onBack={() => onChoice({})} />
      )}
      {changing && reading?.kind === "read" && (
        <div className="px-3 pb-3 flex flex-wrap gap-x-5 gap-y-1 items-center">
          <Kept choice={line.choice} ratios={reading.ratios} onChoice={onChoice} />
          {components.length > 0 && (
            <label className="t-small text-ink2">
              Belongs to{" "}
              <select
                value={line.component ?? ""}
                onChange={(event) => onPart(event.target.value || undefined)}
                className="t-ledger text-ink bg-transparent border-b border-edge min-h-8"
              >
                <option value="">the sweet itself</option>
                {components.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </select>
            </label>
          )}
        </div>
      )}
    </li>
  );
}

/** A line can be kept in proportion to others, in the recipe and whenever it is scaled. */
function Kept({
  choice,
  ratios,
  onChoice,
}: {
  readonly choice: LineChoice;
  readonly ratios: ToldLine["ratios"];
  readonly onChoice: (choice: LineChoice) => void;
}) {
  const { ratio, ...rest } = choice;
  if (ratio)
    return (
      <span className="inline-flex flex-wrap items-baseline gap-2 t-ledger">
        kept at
        <AmountField
          label="Times the others"
          unit="×"
          value={ratio.times}
          least={0.01}
          most={100}
          onChange={(times) => onChoice({ ...choice, ratio: { ...ratio, times } })}
        />
        <button type="button" className="underline t-small min-h-8 ml-3" onClick={() => onChoice(rest)}>
          no longer
        </button>
      </span>
    );
  return (
    <span className="flex flex-wrap gap-2 items-center">
      {ratios.length > 0 && <span className="t-small text-ink2">Keep it at</span>}
      {ratios.map(({ times, of, words }) => (
        <button
          key={words}
          type="button"
          className="border border-edge px-3 min-h-11 md:min-h-8 t-ledger hover:bg-pressed text-left"
          onClick={() => onChoice({ ...rest, ratio: { times: Math.round(times * 1000) / 1000, of } })}
        >
          {Math.round(times * 100) / 100} × {words}
        </button>
      ))}
    </span>
  );
}

function RoleSelect({ food, role, onRole }: { readonly food: NamedFood; readonly role: Role; readonly onRole: (role: Role) => void }) {
  return (
    <select
      aria-label={`What ${food.name} does in the sweet`}
      value={role}
      onChange={(event) => onRole(event.target.value as Role)}
      className="t-ledger bg-transparent border-b border-edge min-h-8 w-full"
    >
      {ROLES.map((each) => (
        <option key={each} value={each} className="bg-sheet">
          {each}
        </option>
      ))}
    </select>
  );
}
