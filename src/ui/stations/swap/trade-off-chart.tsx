"use client";

import { ScatterChart } from "echarts/charts";
import { AriaComponent, GridComponent, MarkLineComponent, TooltipComponent } from "echarts/components";
import * as echarts from "echarts/core";
import { useCallback } from "react";
import type { TradeOffView } from "../../../core/views";
import { Chart, type ChartOption } from "../../parts/chart";

echarts.use([ScatterChart, GridComponent, TooltipComponent, MarkLineComponent, AriaComponent]);

/** Told apart by shape first. */
const SERIES = [
  { name: "foods of a kitchen", symbol: "diamond", colour: "--color-cloth", isolated: false },
  { name: "with polyols, allulose or stevia", symbol: "rect", colour: "--color-brass", isolated: true },
] as const;

function optionOf({ points, recipe }: TradeOffView, colour: (name: string) => string): echarts.EChartsCoreOption {
  const text = { color: colour("--color-ink"), fontFamily: "inherit", fontSize: 13 };
  const line = { lineStyle: { color: colour("--color-line") } };
  const told = (of: { readonly freeSugars: number; readonly sweetness: number }) =>
    `${of.freeSugars.toFixed(1)} g of free sugars, as sweet as ${of.sweetness.toFixed(0)} g of sugar`;
  const label = { show: true, position: "right", formatter: ({ value }: { readonly value: readonly number[] }) => `${(value[2] ?? 0).toFixed(0)} g`, ...text };
  return {
    animation: false,
    aria: { enabled: true },
    textStyle: text,
    grid: { left: 52, right: 46, top: 30, bottom: 48 },
    tooltip: {
      trigger: "item",
      backgroundColor: colour("--color-sheet"),
      borderColor: colour("--color-ink"),
      borderRadius: 0,
      textStyle: text,
      formatter: ({ value }: { readonly value: readonly number[] }) => {
        const point = points[value[3] ?? -1];
        return point ? `${told(point)}<br>${point.exchanges}` : `as handed down: ${told(recipe)}`;
      },
    },
    xAxis: {
      type: "value",
      min: 0,
      name: "free sugars, g a serving",
      nameLocation: "middle",
      nameGap: 26,
      nameTextStyle: text,
      axisLabel: text,
      splitLine: line,
    },
    yAxis: {
      type: "value",
      min: 0,
      name: "off the recipe, steps",
      nameLocation: "end",
      nameTextStyle: { ...text, align: "left", padding: [0, 0, 0, -44] },
      axisLabel: text,
      splitLine: line,
    },
    series: [
      ...SERIES.map(({ name, symbol, colour: of, isolated }) => ({
        type: "scatter",
        name,
        symbol,
        symbolSize: 14,
        label,
        labelLayout: { hideOverlap: true },
        itemStyle: { color: colour(of), borderColor: colour("--color-sheet"), borderWidth: 1 },
        data: points.flatMap((point, i) => (point.isolates.length > 0 === isolated ? [[point.freeSugars, point.distance, point.sweetness, i]] : [])),
      })),
      {
        type: "scatter",
        name: "as handed down",
        symbol: "triangle",
        symbolSize: 15,
        label,
        itemStyle: { color: colour("--color-sheet"), borderColor: colour("--color-ink"), borderWidth: 2 },
        data: [[recipe.freeSugars, 0, recipe.sweetness, -1]],
        markLine: {
          silent: true,
          symbol: "none",
          label: { show: false },
          lineStyle: { color: colour("--color-ink"), type: "dashed" },
          data: [{ yAxis: 1 }],
        },
      },
    ],
  };
}

/** Versions by free sugars and how far they are from the recipe; the figure beside each is its sweetness. */
export default function TradeOffChart({ view }: { readonly view: TradeOffView }) {
  const option = useCallback<ChartOption>((colour) => optionOf(view, colour), [view]);
  return (
    <>
      <div className="h-[300px]">
        <Chart option={option} />
      </div>
      <ul className="flex flex-wrap gap-x-5 t-small pl-1">
        <li className="flex items-center gap-1.5">
          <Shape path="M7 1 13 7 7 13 1 7Z" className="fill-cloth" /> foods of a kitchen
        </li>
        <li className="flex items-center gap-1.5">
          <Shape path="M1 1h12v12H1Z" className="fill-brass" /> with polyols, allulose or stevia
        </li>
        <li className="flex items-center gap-1.5">
          <Shape path="M7 2 13 12.5H1Z" className="fill-sheet stroke-ink" /> as handed down
        </li>
        <li>the figure beside each: its sweetness; above the dashes most would notice</li>
      </ul>
    </>
  );
}

const Shape = ({ path, className }: { readonly path: string; readonly className: string }) => (
  <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden="true" className={`shrink-0 ${className}`} strokeWidth="1.5">
    <path d={path} />
  </svg>
);
