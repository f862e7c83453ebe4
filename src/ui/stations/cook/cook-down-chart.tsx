"use client";

import { LineChart, ScatterChart } from "echarts/charts";
import { AriaComponent, GridComponent, MarkLineComponent } from "echarts/components";
import * as echarts from "echarts/core";
import { useCallback } from "react";
import type { Forecast, PotWeight } from "../../../core/cook";
import { formatGrams } from "../../../core/units";
import { Chart, type ChartOption } from "../../parts/chart";

echarts.use([LineChart, ScatterChart, GridComponent, MarkLineComponent, AriaComponent]);

interface CookDownChartProps {
  readonly forecast: Forecast;
  readonly weights: readonly PotWeight[];
  readonly stop: number;
  /** By the clock, ms. */
  readonly now: number;
}

/** The pot by its weights and its forecast, dashed, with the 80 % interval; and the weight at which to stop. */
export default function CookDownChart({ forecast, weights, stop, now }: CookDownChartProps) {
  const option = useCallback<ChartOption>((colour) => optionOf({ forecast, weights, stop, now }, colour), [forecast, weights, stop, now]);
  return (
    <div className="h-[190px]">
      <Chart option={option} />
    </div>
  );
}

function optionOf({ forecast: { curve }, weights, stop, now }: CookDownChartProps, colour: (name: string) => string): echarts.EChartsCoreOption {
  const text = { color: colour("--color-ink"), fontFamily: "inherit", fontSize: 13 };
  const shown = curve.filter(({ grams }) => grams.value >= stop - 0.15 * Math.max(20, (curve[0]?.grams.value ?? stop) - stop));
  const round = (value: number) => Math.round(10 * value) / 10;
  const line = (of: (grams: (typeof curve)[number]["grams"]) => number) => shown.map(({ minutes, grams }) => [round(minutes), round(of(grams))]);
  const from = Math.min(0, shown[0]?.minutes ?? 0);
  return {
    animation: false,
    aria: { enabled: true },
    textStyle: text,
    grid: { left: 56, right: 16, top: 12, bottom: 34 },
    xAxis: {
      type: "value",
      min: Math.floor(from),
      max: Math.ceil(shown.at(-1)?.minutes ?? 1),
      axisLabel: { ...text, formatter: (value: number) => (value === 0 ? "now" : `${value} min`), hideOverlap: true, margin: 10 },
      splitLine: { show: false },
    },
    yAxis: {
      type: "value",
      scale: true,
      axisLabel: { ...text, formatter: (value: number) => `${value} g` },
      splitNumber: 3,
      splitLine: { lineStyle: { color: colour("--color-line") } },
    },
    series: [
      { type: "line", data: line(({ low }) => low), stack: "band", symbol: "none", lineStyle: { opacity: 0 }, silent: true },
      {
        type: "line",
        data: shown.map(({ minutes, grams }) => [round(minutes), round(grams.high - grams.low)]),
        stack: "band",
        symbol: "none",
        lineStyle: { opacity: 0 },
        areaStyle: { color: colour("--color-line"), opacity: 0.6 },
        silent: true,
      },
      {
        type: "line",
        data: line(({ value }) => value),
        symbol: "none",
        lineStyle: { color: colour("--color-ink"), type: "dashed", width: 2 },
        markLine: {
          silent: true,
          symbol: "none",
          label: {
            show: true,
            position: "insideEndBottom",
            formatter: `stop at ${formatGrams(Math.round(stop))} g`,
            ...text,
            color: colour("--color-pistachio"),
          },
          lineStyle: { color: colour("--color-pistachio"), type: "solid", width: 2 },
          data: [{ yAxis: Math.round(stop) }],
        },
      },
      {
        type: "scatter",
        data: weights.map(({ at, grams }) => [round((at - now) / 60_000), Math.round(grams)]),
        symbol: "circle",
        symbolSize: 9,
        itemStyle: { color: colour("--color-saffron-fill"), borderColor: colour("--color-ink"), borderWidth: 1.5 },
      },
    ],
  };
}
