"use client";

import { notComparable, type Cost } from "../../core/models/cost";
import type { ToldFigures } from "../../core/views";
import { moneyText } from "../../core/units";
import { useHousehold } from "../shell/household";

const range = ({ total }: Cost, by: number, currency: string) => `${moneyText(total.low * by, "")} to ${moneyText(total.high * by, currency)}`;
const atLeast = ({ unpriced }: Cost) => (unpriced.length > 0 ? "at least " : "");

/** What a sweet costs, where its foods have prices: whole and by serving, with where it comes from. */
export function CostSection({ cost, servings }: Pick<ToldFigures, "cost" | "servings">) {
  const { currency } = useHousehold().units;
  if (!cost) return null;
  return (
    <section aria-label="Cost">
      <h2 className="t-h2 mt-5">Cost</h2>
      <dl className="mt-1 rule-t">
        {(
          [
            ["A serving", 1 / servings],
            ["The whole", 1],
          ] as const
        ).map(([name, by]) => (
          <div key={name} className="grid grid-cols-[1fr_auto] gap-x-3 items-baseline border-b border-line py-1">
            <dt className="t-ledger">
              {name}
              <span className="block t-small text-ink2">{range(cost, by, currency)}</span>
            </dt>
            <dd className="t-figure font-[560]">
              <span className="t-small text-ink2">{atLeast(cost)}</span>
              {moneyText(cost.total.value * by, currency)}
            </dd>
          </div>
        ))}
      </dl>
      <details className="t-ledger">
        <summary className="underline cursor-pointer py-1">Where it comes from</summary>
        <ul>
          {cost.lines.map((line, i) => (
            <li key={i} className="flex justify-between gap-3 border-b border-line py-1">
              <span>{line.name}</span>
              <span className="t-figure">{line.cost === null ? <span className="t-small text-ink2">no price</span> : moneyText(line.cost, currency)}</span>
            </li>
          ))}
        </ul>
        <p className="t-small text-ink2 mt-1">Grams times what you pay, set on each food’s page. Fuel and time are not in it.</p>
      </details>
    </section>
  );
}

/** On the bench, in one line: a serving as handed down, then for this table. */
export function CostCompared({ before, after }: { readonly before: ToldFigures; readonly after: ToldFigures }) {
  const { currency } = useHousehold().units;
  const [old, fresh] = [before.cost, after.cost];
  if (!old || !fresh) return null;
  const side = (name: string, cost: Cost, beside: Cost, servings: number, strong: boolean) => {
    const lacks = notComparable(cost, beside);
    return (
      <span className="block">
        <span className="t-small text-ink2">{name} </span>
        {lacks.length > 0 ? (
          <span className="t-small text-ink2">not known: no price for {lacks.join(", ").toLowerCase()}</span>
        ) : (
          <>
            <span className="t-small text-ink2">{atLeast(cost)}</span>
            <span className={`t-figure ${strong ? "font-[560]" : ""}`}>{moneyText(cost.total.value / servings, currency)}</span>
          </>
        )}
      </span>
    );
  };
  return (
    <div className="border-b border-line py-1.5 t-ledger">
      Cost of a serving
      {side("as handed down", old, fresh, before.servings, false)}
      {side("for this table", fresh, old, after.servings, true)}
    </div>
  );
}
