"use client";

import { useState } from "react";
import { Pick } from "../parts/pick";
import { ChartWithTable } from "./chart-with-table";
import { chartsOf, type Charted, type LoggedRow } from "./logged";

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
  return (
    <div>
      <Pick label="Shown" value={chart.of} options={charts.map((each) => [each.of, `${each.name}, ${each.unit}`] as const)} onChange={setChosen} />
      <ChartWithTable chart={chart} of="Batch" />
      <p className="t-small text-ink2 mt-1">
        {isOneSweet
          ? "By the tables, from what went in and what it weighed: batches of different times by one measure. What the house has learned is not in it."
          : "Of batches that were weighed, or tasted. Figures of one sweet are shown in its line."}
      </p>
    </div>
  );
}
