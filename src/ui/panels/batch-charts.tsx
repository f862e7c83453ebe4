"use client";

import { lazy, Suspense, useState } from "react";
import { Pick } from "../parts/pick";
import { ColumnHead, RowHead } from "../parts/table-heads";
import { chartsOf, told, type Charted, type LoggedRow } from "./logged";

const BatchChart = lazy(() => import("./batch-chart"));

interface BatchChartsProps {
  readonly rows: readonly LoggedRow[];
  readonly isOneSweet: boolean;
  /** Fewer points than this are read in the list. */
  readonly least?: number;
}

/** Batches in a chart, one figure at a time, and as a table. Nothing where there is too little to draw. */
export function BatchCharts({ rows, isOneSweet, least = 2 }: BatchChartsProps) {
  const charts = chartsOf(rows, isOneSweet).filter(({ points }) => points.length >= least);
  const [chosen, setChosen] = useState<Charted | null>(null);
  const chart = charts.find(({ of }) => of === chosen) ?? charts[0];
  if (!chart) return null;
  const { name, unit, points, places } = chart;
  const some = (of: "planned" | "low" | "said") => points.some((point) => point[of] !== null);
  return (
    <div>
      <Pick label="Shown" value={chart.of} options={charts.map((each) => [each.of, `${each.name}, ${each.unit}`] as const)} onChange={setChosen} />
      <div
        className="h-[260px] mt-2 bg-sheet border border-line"
        role="img"
        aria-label={`${name} of ${points.length} batches; the table below has the figures`}
      >
        <Suspense fallback={null}>
          <BatchChart of={chart} />
        </Suspense>
      </div>
      <details className="t-ledger mt-1">
        <summary className="min-h-11 md:min-h-8 flex items-center underline cursor-pointer">As a table</summary>
        <table className="w-full">
          <caption className="sr-only">
            {name}, {unit}
          </caption>
          <thead>
            <tr className="border-b border-ink t-small text-ink2">
              <ColumnHead>Batch</ColumnHead>
              {some("planned") && <ColumnHead right>Planned</ColumnHead>}
              <ColumnHead right>Came out</ColumnHead>
              {some("low") && <ColumnHead right>80 %</ColumnHead>}
              {some("said") && <ColumnHead right>Said</ColumnHead>}
            </tr>
          </thead>
          <tbody>
            {points.toReversed().map((point) => (
              <tr key={point.id} className="border-b border-line">
                <RowHead className="py-1">
                  {point.day}, {point.name}
                </RowHead>
                {some("planned") && <td className="t-figure text-right">{told(point.planned, places)}</td>}
                <td className="t-figure text-right">{point.got === null ? "not weighed" : told(point.got, places)}</td>
                {some("low") && (
                  <td className="t-figure text-right">
                    {told(point.low, places)} to {told(point.high, places)}
                  </td>
                )}
                {some("said") && <td className="t-figure text-right">{told(point.said, places)}</td>}
              </tr>
            ))}
          </tbody>
        </table>
      </details>
      <p className="t-small text-ink2 mt-1">
        {isOneSweet
          ? "By the tables, from what went in and what it weighed: batches of different times by one measure. What the house has learned is not in it."
          : "Of batches that were weighed, or tasted. Figures of one sweet are shown in its line."}
      </p>
    </div>
  );
}
