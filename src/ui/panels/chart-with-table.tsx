"use client";

import { lazy, Suspense } from "react";
import { ColumnHead, RowHead } from "../parts/table-heads";
import { told, type ChartOf } from "./logged";

const PointsChart = lazy(() => import("./points-chart"));

/** A chart of points from the first to the last, and the same as a table. */
export function ChartWithTable({ chart, of }: { readonly chart: ChartOf; readonly of: string }) {
  const { name, unit, points, places } = chart;
  const some = (which: "planned" | "low" | "said") => points.some((point) => point[which] !== null);
  return (
    <>
      <div className="h-[260px] mt-2 bg-sheet border border-line" role="img" aria-label={`${name}, ${points.length} points; the table below has the figures`}>
        <Suspense fallback={null}>
          <PointsChart of={chart} />
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
              <ColumnHead>{of}</ColumnHead>
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
                  {point.day}
                  {point.name === "" ? "" : `, ${point.name}`}
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
    </>
  );
}
