"use client";

import { costOf, type Cost } from "../../core/models/cost";
import type { EvaluationInput } from "../../core/evaluate";
import { moneyText } from "../../core/units";
import { useHousehold } from "../shell/household";

const range = ({ total }: Cost, by: number, currency: string) => `${moneyText(total.low * by, "")} to ${moneyText(total.high * by, currency)}`;
const atLeast = ({ unpriced }: Cost) => (unpriced.length > 0 ? "at least " : "");

/** What a sweet costs, where its foods have prices: whole and by serving, with where it comes from. */
export function CostSection({ input }: { readonly input: EvaluationInput }) {
  const { currency } = useHousehold().units;
  const cost = costOf(input.lines);
  if (!cost) return null;
  return (
    <section aria-label="Cost">
      <h2 className="t-h2 mt-5">Cost</h2>
      <dl className="mt-1 rule-t">
        {(
          [
            ["A serving", 1 / input.servings],
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
export function CostCompared({ before, after }: { readonly before: EvaluationInput; readonly after: EvaluationInput }) {
  const { currency } = useHousehold().units;
  const [old, fresh] = [costOf(before.lines), costOf(after.lines)];
  if (!old || !fresh) return null;
  return (
    <p className="flex flex-wrap justify-between gap-x-3 border-b border-line py-1.5 t-ledger">
      <span>Cost of a serving</span>
      <span>
        <span className="t-small text-ink2">as handed down {atLeast(old)}</span>
        <span className="t-figure">{moneyText(old.total.value / before.servings, "")}</span>
        <span className="t-small text-ink2 ml-3">for this table {atLeast(fresh)}</span>
        <span className="t-figure font-[560]">{moneyText(fresh.total.value / after.servings, currency)}</span>
      </span>
    </p>
  );
}
