"use client";

import { formatGrams } from "../../../core/units";
import type { RecipeView, ToldEntry } from "../../../core/views";
import { ColumnHead, RowHead } from "../../parts/table-heads";

const BAR = 160;

/** The mass balance step by step: what goes in, what is driven off or leaves otherwise, what the pot holds after, of it water and fat. */
export function MassLedger({ view: { ledger, thread, evaporation } }: { readonly view: RecipeView }) {
  if (thread.lines === 0) return null;
  const most = Math.max(1, ...ledger.entries.map(({ after }) => after.mass));
  const { finished } = ledger;
  return (
    <section className="mt-6 no-print" aria-label="Mass, step by step">
      <h2 className="t-h2">Mass, step by step</h2>
      <p className="t-small text-ink2">Driven off in all: {evaporation.how}.</p>
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Ledger of mass">
        <table className="w-full t-ledger mt-1 rule-t sm:min-w-[560px]">
          <thead className="t-small text-ink2">
            <tr className="border-b border-ink">
              <ColumnHead className="py-1 pr-2">step</ColumnHead>
              <ColumnHead>goes in</ColumnHead>
              <ColumnHead right className="pl-3">
                driven off
              </ColumnHead>
              <ColumnHead className="pl-4 max-sm:hidden">in the pot after</ColumnHead>
              <ColumnHead right className="pl-3">
                weighs
              </ColumnHead>
              <ColumnHead right className="pl-3">
                water
              </ColumnHead>
              <ColumnHead right className="pl-3 max-sm:hidden">
                fat
              </ColumnHead>
            </tr>
          </thead>
          <tbody>
            {ledger.entries.map((entry, i) => (
              <Row key={i} entry={entry} most={most} />
            ))}
          </tbody>
          <tfoot>
            <tr className="rule-double">
              <th scope="row" colSpan={4} className="text-left font-[560] py-1.5">
                The sweet, done
                {ledger.apart.length > 0 && (
                  <span className="font-[430] text-ink2">
                    ; beside it {ledger.apart.map(({ name, grams }) => `${name.toLowerCase()}, ${formatGrams(grams)} g`).join("; ")}
                  </span>
                )}
              </th>
              <td colSpan={3} className="text-right t-figure font-[560] whitespace-nowrap">
                {formatGrams(finished.value)} g{" "}
                <span className="t-small text-ink2 font-[430]">
                  {formatGrams(finished.low)} to {formatGrams(finished.high)}
                </span>
              </td>
            </tr>
          </tfoot>
        </table>
      </div>
      <p className="t-small text-ink2 mt-1 flex flex-wrap gap-x-4 items-center">
        <Key fill="fill-silver-dark" name="water" />
        <Key fill="fill-pan" name="fat" />
        <Key fill="fill-ink" name="all else" />
        <span>Rates, uptake and losses are rules of thumb; a weighed pot goes before them.</span>
      </p>
    </section>
  );
}

function Row({ entry, most }: { readonly entry: ToldEntry; readonly most: number }) {
  const { mass, water, fat } = entry.after;
  const width = (grams: number) => Math.max(0, (BAR * grams) / most);
  const rest = Math.max(0, mass - water - fat);
  return (
    <tr className="border-b border-line align-top">
      <RowHead className="py-1.5 pr-3 whitespace-nowrap">
        {entry.name}
        {entry.part && <span className="block t-small text-ink2">{entry.part}</span>}
      </RowHead>
      <td className="py-1.5">
        {entry.went.map(({ name: food, grams }) => `${food.toLowerCase()} ${formatGrams(grams)} g`).join(", ") || <span className="text-ink3">nothing</span>}
        {entry.away.map(({ name: what, grams }) => (
          <span key={what} className="block t-small text-ink2">
            less {formatGrams(grams)} g: {what}
          </span>
        ))}
        {entry.how && <span className="block t-small text-ink2">{entry.how}</span>}
      </td>
      <td className="text-right t-figure pl-3 py-1.5 whitespace-nowrap">
        {Math.abs(entry.driven) < 0.5 ? "" : entry.driven > 0 ? `${formatGrams(entry.driven)} g` : <span>+{formatGrams(-entry.driven)} g</span>}
      </td>
      <td className="pl-4 py-2 max-sm:hidden">
        <svg viewBox={`0 0 ${BAR} 12`} width={BAR} height="12" className="block max-w-full" aria-hidden="true">
          <rect x="0" y="0" width={width(rest)} height="12" className="fill-ink" />
          <rect x={width(rest)} y="0.500" width={width(fat)} height="11" className="fill-pan stroke-brass-line" strokeWidth={fat > 0.5 ? 1 : 0} />
          <rect x={width(rest + fat)} y="0" width={width(water)} height="12" className="fill-silver-dark" />
        </svg>
      </td>
      <td className="text-right t-figure font-[560] pl-3 py-1.5 whitespace-nowrap">{formatGrams(mass)} g</td>
      <td className="text-right t-figure pl-3 py-1.5 whitespace-nowrap">{formatGrams(Math.max(0, water))} g</td>
      <td className="text-right t-figure pl-3 py-1.5 whitespace-nowrap max-sm:hidden">{formatGrams(fat)} g</td>
    </tr>
  );
}

function Key({ fill, name }: { readonly fill: string; readonly name: string }) {
  return (
    <span className="inline-flex items-center gap-1.5">
      <svg width="12" height="12" aria-hidden="true">
        <rect width="12" height="12" className={`${fill} stroke-ink`} />
      </svg>
      {name}
    </span>
  );
}
