"use client";

import { BarChart, ScatterChart } from "echarts/charts";
import { AriaComponent, GridComponent, LegendComponent, MarkLineComponent, TooltipComponent } from "echarts/components";
import * as echarts from "echarts/core";
import { useCallback } from "react";
import { Chart, type ChartOption } from "../../parts/chart";

echarts.use([BarChart, ScatterChart, GridComponent, LegendComponent, TooltipComponent, MarkLineComponent, AriaComponent]);

/** One property: how far each of the others lies from the first, per cent; null where the first has none of it. */
export interface DeviationRow {
  readonly name: string;
  /** Half-width of what nobody would notice, per cent; null where any difference is free. */
  readonly unnoticed: number | null;
  readonly away: readonly (number | null)[];
  /** As told beside it: "12 g". */
  readonly told: readonly string[];
}

/** Told apart by shape first. */
const SHAPES = ["diamond", "rect", "triangle"] as const;
const COLOURS = ["--color-cloth", "--color-brass", "--color-rose"] as const;
const MOST = 120;

function optionOf(rows: readonly DeviationRow[], names: readonly string[], colour: (name: string) => string): echarts.EChartsCoreOption {
  const text = { color: colour("--color-ink"), fontFamily: "inherit", fontSize: 13 };
  const cut = (percent: number) => Math.max(-100, Math.min(MOST, percent));
  return {
    animation: false,
    aria: { enabled: true },
    textStyle: text,
    grid: { left: 172, right: 18, top: 8, bottom: 58 },
    legend: { bottom: 0, left: 0, itemGap: 14, itemWidth: 13, data: [...names], type: "scroll", textStyle: text, selectedMode: false },
    tooltip: {
      trigger: "item",
      backgroundColor: colour("--color-sheet"),
      borderColor: colour("--color-ink"),
      borderRadius: 0,
      textStyle: text,
      formatter: ({ seriesIndex, dataIndex }: { readonly seriesIndex: number; readonly dataIndex: number }) => {
        const row = rows[dataIndex];
        return row ? `${row.name}: ${row.told[seriesIndex] ?? ""}` : "";
      },
    },
    xAxis: {
      type: "value",
      min: -100,
      max: MOST,
      axisLabel: { ...text, hideOverlap: true, formatter: (percent: number) => (percent === 0 ? "same" : `${percent > 0 ? "+" : "−"}${Math.abs(percent)} %`) },
      splitLine: { lineStyle: { color: colour("--color-line") } },
      interval: 50,
    },
    yAxis: {
      type: "category",
      data: rows.map(({ name }) => name),
      inverse: true,
      axisLabel: { ...text, width: 164, overflow: "truncate" },
      axisTick: { show: false },
      axisLine: { lineStyle: { color: colour("--color-line") } },
    },
    series: [
      ...names.map((name, i) => ({
        type: "scatter",
        name,
        z: 3,
        symbol: SHAPES[i % SHAPES.length],
        symbolSize: 13,
        itemStyle: { color: colour(COLOURS[i % COLOURS.length] ?? "--color-ink"), borderColor: colour("--color-sheet"), borderWidth: 1, opacity: 1 },
        data: rows.map(({ away }, row) => [away[i] === null || away[i] === undefined ? null : cut(away[i]), row]),
        ...(i === 0 && {
          markLine: { silent: true, symbol: "none", label: { show: false }, lineStyle: { color: colour("--color-ink"), type: "solid" }, data: [{ xAxis: 0 }] },
        }),
      })),
      // What nobody would notice, to both sides of the first.
      ...[1, -1].map((side) => ({
        type: "bar",
        name: `unnoticed ${side}`,
        silent: true,
        z: 1,
        barGap: "-100%",
        barWidth: "76%",
        tooltip: { show: false },
        itemStyle: { color: colour("--color-silver") },
        data: rows.map(({ unnoticed }) => (unnoticed === null ? null : side * unnoticed)),
      })),
    ],
  };
}

/** How far the others lie from the first, property by property; grey is what nobody would notice. */
export default function DeviationChart({ rows, names }: { readonly rows: readonly DeviationRow[]; readonly names: readonly string[] }) {
  return <Chart option={useCallback<ChartOption>((colour) => optionOf(rows, names, colour), [rows, names])} />;
}
