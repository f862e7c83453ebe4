"use client";

import * as echarts from "echarts/core";
import { CustomChart, ScatterChart } from "echarts/charts";
import { AriaComponent, GridComponent, LegendComponent, TooltipComponent } from "echarts/components";
import { useCallback } from "react";
import { Chart, type ChartOption } from "../parts/chart";
import { told, type ChartOf, type ChartPoint } from "./logged";

echarts.use([ScatterChart, CustomChart, GridComponent, LegendComponent, TooltipComponent, AriaComponent]);

type Item = [at: number, low: number, high: number];
interface Api {
  readonly value: (dimension: number) => number;
  readonly coord: (point: readonly [number, number]) => readonly [number, number];
}

const PLANNED = "planned";
const GOT = "came out";
const SAID = "as it was said";

function optionOf({ points, places, unit }: ChartOf, colour: (name: string) => string): echarts.EChartsCoreOption {
  const text = { color: colour("--color-ink"), fontFamily: "inherit", fontSize: 13 };
  const [ink, sheet] = [colour("--color-ink"), colour("--color-sheet")];
  const at = (of: (point: ChartPoint) => number | null) => points.flatMap((point, i): [number, number][] => (of(point) === null ? [] : [[i, of(point) ?? 0]]));
  const intervals = points.flatMap(({ low, high }, i): Item[] => (low === null || high === null ? [] : [[i, low, high]]));
  const has = (of: (point: ChartPoint) => number | null) => points.some((point) => of(point) !== null);
  const shown = [...(has(({ planned }) => planned) ? [PLANNED] : []), GOT, ...(has(({ said }) => said) ? [SAID] : [])];
  return {
    animation: false,
    aria: { enabled: true },
    textStyle: text,
    grid: { left: 46, right: 12, top: 10, bottom: 58 },
    legend: { bottom: 0, left: 0, itemGap: 14, itemWidth: 13, data: shown, textStyle: text, selectedMode: false },
    tooltip: {
      trigger: "item",
      backgroundColor: sheet,
      borderColor: ink,
      borderRadius: 0,
      textStyle: text,
      formatter: ({ data: [i], seriesName }: { readonly data: readonly [number, number]; readonly seriesName: string }) => {
        const point = points[i];
        if (!point) return "";
        const value = seriesName === PLANNED ? point.planned : seriesName === SAID ? point.said : point.got;
        return `${point.day}${point.name === "" ? "" : `, ${point.name}`}: ${told(value, places)} ${unit} ${seriesName}`;
      },
    },
    xAxis: {
      type: "category",
      data: points.map(({ day }) => day),
      axisLabel: { ...text, hideOverlap: true },
      axisTick: { show: false },
      axisLine: { lineStyle: { color: colour("--color-edge") } },
    },
    yAxis: {
      type: "value",
      scale: true,
      axisLabel: text,
      splitNumber: 4,
      splitLine: { lineStyle: { color: colour("--color-line") } },
    },
    series: [
      {
        type: "custom",
        name: "interval",
        silent: true,
        z: 1,
        tooltip: { show: false },
        data: intervals,
        renderItem: (_: unknown, api: Api) => {
          const [x, top] = api.coord([api.value(0), api.value(2)]);
          const [, bottom] = api.coord([api.value(0), api.value(1)]);
          return { type: "line", shape: { x1: x, y1: top, x2: x, y2: bottom }, style: { stroke: colour("--color-edge"), lineWidth: 5, opacity: 0.5 } };
        },
        encode: { x: 0, y: [1, 2] },
      },
      {
        type: "scatter",
        name: PLANNED,
        z: 2,
        symbol: "rect",
        symbolSize: [16, 3],
        itemStyle: { color: colour("--color-ink2"), opacity: 1 },
        data: at(({ planned }) => planned),
      },
      {
        type: "scatter",
        name: GOT,
        z: 3,
        symbol: "diamond",
        symbolSize: 13,
        itemStyle: { color: ink, borderColor: sheet, borderWidth: 1, opacity: 1 },
        data: at(({ got }) => got),
      },
      {
        type: "scatter",
        name: SAID,
        z: 4,
        symbol: "triangle",
        symbolSize: 11,
        itemStyle: { color: sheet, borderColor: colour("--color-brass"), borderWidth: 2, opacity: 1 },
        data: at(({ said }) => said),
      },
    ],
  };
}

/** Points from the first to the last: what was planned, what came out with its interval, what was said. */
export default function PointsChart({ of }: { readonly of: ChartOf }) {
  return <Chart option={useCallback<ChartOption>((colour) => optionOf(of, colour), [of])} />;
}
