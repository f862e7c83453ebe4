"use client";

import { lazy, Suspense } from "react";
import type { StoredBench } from "../../../core/adaptation";
import type { TradeOffView } from "../../../core/views";
import { ColumnHead, RowHead } from "../../parts/table-heads";
import { useWorkedOut, type Work, type WorkedFor } from "./use-worked-out";
import { WorkedOutSection } from "./worked-out-section";

const TradeOffChart = lazy(() => import("./trade-off-chart"));

interface TradeOffPanelProps extends WorkedFor {
  readonly onTake: (bench: StoredBench) => void;
}

async function points({ at, compute, solver, signal, onProgress }: Work): Promise<TradeOffView> {
  const problem = await compute("bench problem", at);
  return compute("trade-off", { ...at, found: await solver.tradeOff(problem, { signal, onProgress }) });
}

/** How much likeness less sugar costs: versions over sweetness and free sugars, each to be laid on the bench. */
export function TradeOffPanel({ onTake, ...at }: TradeOffPanelProps) {
  const work = useWorkedOut(at, points);
  return (
    <WorkedOutSection
      id="trade-off-title"
      title="What less sugar costs"
      line="versions between as sweet as the recipe and little free sugar, each within this table’s rules and limits, each to be laid on the bench"
      ask="Work them out"
      work={work}
    >
      {(view) => <Points view={view} onTake={onTake} />}
    </WorkedOutSection>
  );
}

function Points({ view, onTake }: { readonly view: TradeOffView; readonly onTake: TradeOffPanelProps["onTake"] }) {
  if (view.points.length === 0)
    return <p className="t-ledger mt-2">None was found: what leaves this sweet cannot be replaced at this table, or nothing of it can be worked out.</p>;
  return (
    <>
      <div className="min-h-[322px] mt-2" aria-hidden="true">
        <Suspense>
          <TradeOffChart view={view} />
        </Suspense>
      </div>
      <div className="overflow-x-auto">
        <table className="w-full t-ledger mt-2 rule-t">
          <caption className="sr-only">Versions by free sugars, sweetness and how far they are from the recipe</caption>
          <thead className="t-small text-ink2">
            <tr className="border-b border-ink">
              <ColumnHead className="py-1">free sugars, g a serving</ColumnHead>
              <ColumnHead right className="pl-3">
                sweet as sugar, g per 100 g
              </ColumnHead>
              <ColumnHead right className="pl-3">
                off, in steps just noticed
              </ColumnHead>
              <ColumnHead className="pl-4">what changes</ColumnHead>
              <ColumnHead>
                <span className="sr-only">take it</span>
              </ColumnHead>
            </tr>
          </thead>
          <tbody>
            {view.points.map((point, i) => (
              <tr key={i} className="border-b border-line">
                <RowHead className="py-1.5 t-figure">{point.freeSugars.toFixed(1)}</RowHead>
                <td className="text-right t-figure pl-3">{point.sweetness.toFixed(1)}</td>
                <td className="text-right t-figure pl-3">{point.distance.toFixed(1)}</td>
                <td className="pl-4 py-1.5 min-w-44">
                  {point.exchanges}
                  {point.isolates.length > 0 && (
                    <span className="block t-small text-ink2">with {point.isolates.map((name) => name.toLowerCase()).join(", ")}</span>
                  )}
                </td>
                <td className="text-right pl-3">
                  <button type="button" className="underline min-h-11 md:min-h-8 whitespace-nowrap" onClick={() => onTake(point.bench)}>
                    Lay it on<span className="sr-only">: {point.freeSugars.toFixed(1)} g of free sugars</span>
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="t-small text-ink2 mt-1">
        As handed down {view.recipe.freeSugars.toFixed(1)} g a serving, as sweet as {view.recipe.sweetness.toFixed(1)} g of sugar per 100 g. “Off” is the mean
        of sweetness, body and richness in steps that are just noticed, a rule of thumb: below 1 most would not notice.
      </p>
    </>
  );
}
