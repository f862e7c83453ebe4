"use client";

import { askedAt, fastsNotToday, keepAll, notAsked, seat, serveSeat, staleSeats, unkept, unseat, type DiningTable, type Eater } from "../../../core/table";
import type { RuleWords } from "../../../core/views";
import { wordsOf } from "../../panels/eater-words";
import { AmountField } from "../../parts/amount-field";
import { WhyMark } from "../../parts/marks";
import { Go } from "../../shell/go";

/** Who sits at the table, with how many servings each; what they leave out comes with them. */
export function Seats({
  table,
  eaters,
  rules,
  noticedSugar: step,
  wanted,
  today,
  onTable,
}: {
  readonly table: DiningTable;
  readonly eaters: readonly Eater[];
  readonly rules: readonly RuleWords[];
  /** As much sugar in one serving as makes the least difference that is noticed, g. */
  readonly noticedSugar: number;
  /** How those who sit here want it, as their answers to batches say. */
  readonly wanted: readonly { readonly eater: string; readonly words: string }[];
  /** ISO. */
  readonly today: string;
  readonly onTable: (table: DiningTable, key?: string) => void;
}) {
  const seats = table.seats ?? [];
  const stale = staleSeats(table, eaters);
  const tastes = seats.filter(({ eater, taste }) => (taste === "less sweet" || taste === "sweeter") && !wanted.some((each) => each.eater === eater));
  return (
    <fieldset>
      <legend className="t-h2 text-[15px]">Who eats</legend>
      {eaters.length === 0 && seats.length === 0 ? (
        <p className="t-small text-ink2">
          Name who eats with you, once, and seat them here with a tick.{" "}
          <Go className="underline" href="/household">
            Name them in the Household
          </Go>
        </p>
      ) : (
        <ul className="border-t border-ink mt-1">
          {eaters.map((eater) => {
            const seated = seats.find((each) => each.eater === eater.id);
            return (
              <li key={eater.id} className={`border-b border-line flex flex-wrap items-center gap-x-4 ${seated ? "bg-saffron-wash" : ""}`}>
                <label className="flex gap-3 items-start py-2 flex-1 min-w-52 min-h-11 cursor-pointer">
                  <input
                    type="checkbox"
                    className="mt-0.5 ml-1 size-5"
                    checked={seated !== undefined}
                    onChange={() => onTable(seated ? unseat(table, eater.id) : seat(table, eater))}
                  />
                  <span className="t-ledger">
                    <span className={seated ? "font-[550]" : ""}>{eater.name}</span>
                    <span className="block t-small text-ink2">{wordsOf(eater, rules)}</span>
                  </span>
                </label>
                {seated && (
                  <span className="flex items-center gap-2 t-small text-ink2 pr-2">
                    servings
                    <AmountField
                      label={`Servings of ${eater.name}`}
                      unit=""
                      value={seated.servings}
                      least={0.25}
                      most={100}
                      onChange={(servings) => onTable(serveSeat(table, eater.id, servings), `servings ${eater.id}`)}
                    />
                  </span>
                )}
              </li>
            );
          })}
        </ul>
      )}
      {wanted.length > 0 && (
        <div className="t-small text-ink2 mt-2">
          <ul>
            {wanted.map(({ eater, words }) => (
              <li key={eater}>{words}</li>
            ))}
          </ul>
          <Go className="underline inline-flex items-center min-h-6" href="/logbook/learned">
            By what they said of batches
          </Go>
        </div>
      )}
      {tastes.length > 0 && step > 0 && (
        <p className="t-small text-ink2 mt-2">
          {tastes.map(({ name, taste }) => `${name} likes it ${taste ?? ""}`).join(", ")}: {step < 10 ? step.toFixed(1) : Math.round(step)} g of sugar more or
          less in one serving is the least that is noticed (a rule of thumb). Sweeten to the least, and pass sugar or a little syrup at the table.
        </p>
      )}
      {fastsNotToday(table).map(({ name, rules: ids }) => (
        <p key={name} className="t-small text-ink2 mt-2">
          {name}: {wordsOf({ rules: ids, limits: [] }, rules)} falls on another day, and is not kept at this table.
        </p>
      ))}
      {unkept(table).map(({ seat: each, ...left }) => (
        <p key={each.eater} role="status" className="bg-rose-wash text-rose px-3 py-2 t-ledger mt-2 flex flex-wrap gap-x-4">
          Not kept at this table, though {each.name} sits at it: {wordsOf(left, rules)}.
          <button type="button" className="underline min-h-8" onClick={() => onTable(keepAll(table))}>
            Keep it
          </button>
        </p>
      ))}
      {notAsked(table).map(({ eater, name }) => (
        <p key={eater} className="bg-saffron-wash px-3 py-2 t-ledger mt-2 flex flex-wrap gap-x-4 items-center">
          <span className="flex gap-2">
            <WhyMark kind="ask" />
            Nobody has asked {name} about allergies yet: it is not known whether this is safe for them.
          </span>
          <button type="button" className="underline min-h-11 md:min-h-8" onClick={() => onTable(askedAt(table, eater, today))}>
            Asked: {name} has none
          </button>
          <Go className="underline min-h-11 md:min-h-8 inline-flex items-center" href="/household#eaters">
            Enter what {name} may not have
          </Go>
        </p>
      ))}
      {stale.map(({ seat: each, now }) => (
        <p key={each.eater} className="bg-saffron-wash px-3 py-2 t-ledger mt-2 flex flex-wrap gap-x-4">
          {now
            ? now.asked !== undefined && each.asked === undefined
              ? `${each.name} has been asked about allergies by now.`
              : `${each.name} leaves out other things by now.`
            : `${each.name} is no longer in the Household; what they left out still holds here.`}
          <button type="button" className="underline min-h-8" onClick={() => onTable(now ? seat(table, now, each.servings) : unseat(table, each.eater))}>
            {now ? "Take it over" : "Take them from the table"}
          </button>
        </p>
      ))}
    </fieldset>
  );
}
