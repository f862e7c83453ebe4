"use client";

import { BarChart } from "echarts/charts";
import { AriaComponent, GridComponent, LegendComponent, TooltipComponent } from "echarts/components";
import * as echarts from "echarts/core";
import { useCallback } from "react";
import { formatToSpread } from "../../../core/units";
import { Chart, type ChartOption } from "../../parts/chart";
import type { Bars } from "./contribution-bars";

echarts.use([BarChart, GridComponent, LegendComponent, TooltipComponent, AriaComponent]);

/** The cloth's own colours, in the order of the parts; the pattern tells them apart without colour. */
const FILLS = ["--color-brass", "--color-cloth", "--color-pistachio", "--color-saffron-fill", "--color-silver-dark", "--color-rose"];

const PATTERNS = [
  { symbol: "none" },
  { symbol: "rect", dashArrayX: [1, 0], dashArrayY: [1, 7], rotation: 0.8 },
  { symbol: "rect", dashArrayX: [1, 0], dashArrayY: [2, 4] },
  { symbol: "circle", symbolSize: 0.5, dashArrayX: [5, 5], dashArrayY: [5, 5] },
  { symbol: "rect", dashArrayX: [1, 0], dashArrayY: [1, 4], rotation: -0.8 },
  { symbol: "rect", dashArrayX: [[3, 3]], dashArrayY: [3, 3] },
];

function optionOf(bars: Bars, unit: string, colour: (name: string) => string): echarts.EChartsCoreOption {
  const text = { color: colour("--color-ink"), fontFamily: "inherit", fontSize: 13 };
  return {
    animation: false,
    aria: { enabled: true, decal: { show: true, decals: PATTERNS.map((pattern) => ({ ...pattern, color: colour("--color-sheet") })) } },
    textStyle: text,
    grid: { left: 104, right: 14, top: 4, bottom: 52 },
    legend: {
      bottom: 0,
      left: 0,
      itemWidth: 12,
      itemHeight: 12,
      itemGap: 10,
      type: "scroll",
      textStyle: text,
      pageTextStyle: text,
      pageIconColor: colour("--color-ink"),
      pageIconInactiveColor: colour("--color-line"),
      selectedMode: false,
    },
    tooltip: {
      trigger: "item",
      backgroundColor: colour("--color-sheet"),
      borderColor: colour("--color-ink"),
      borderRadius: 0,
      textStyle: text,
      valueFormatter: (value: unknown) => `${formatToSpread(Number(value), Number(value) / 20)} ${unit}`,
    },
    xAxis: { type: "value", axisLabel: { ...text, hideOverlap: true }, splitLine: { lineStyle: { color: colour("--color-line") } }, splitNumber: 3 },
    yAxis: {
      type: "category",
      data: [...bars.titles],
      inverse: true,
      axisLabel: text,
      axisTick: { show: false },
      axisLine: { lineStyle: { color: colour("--color-ink") } },
    },
    series: bars.parts.map(({ name, amounts }, i) => ({
      type: "bar",
      name,
      stack: "all",
      barWidth: 22,
      data: [...amounts],
      itemStyle: { color: colour(FILLS[i % FILLS.length] ?? "--color-brass"), borderColor: colour("--color-ground"), borderWidth: 1 },
    })),
  };
}

/** The stacked bars, drawn. */
export default function ContributionChart({ bars, unit }: { readonly bars: Bars; readonly unit: string }) {
  return <Chart option={useCallback<ChartOption>((colour) => optionOf(bars, unit, colour), [bars, unit])} />;
}
