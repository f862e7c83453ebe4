"use client";

import * as echarts from "echarts/core";
import { SVGRenderer } from "echarts/renderers";
import { useEffect, useRef } from "react";

echarts.use([SVGRenderer]);

/** What a chart is drawn by, given the house's colours as the theme has them now. Must be stable while nothing changes. */
export type ChartOption = (colour: (name: string) => string) => echarts.EChartsCoreOption;

/** A chart in its place: follows the theme and its own width. */
export function Chart({ option }: { readonly option: ChartOption }) {
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const element = place.current;
    if (!element) return;
    const chart = echarts.init(element, null, { renderer: "svg" });
    // Light or dark is settled by the browser where a colour is used, not where it is declared.
    const probe = document.createElement("span");
    element.append(probe);
    const draw = () => {
      const colour = (name: string) => {
        probe.style.color = `var(${name})`;
        return getComputedStyle(probe).color;
      };
      chart.setOption(option(colour), true);
    };
    draw();
    const night = matchMedia("(prefers-color-scheme: dark)");
    night.addEventListener("change", draw);
    const observer = new ResizeObserver(() => chart.resize());
    observer.observe(element);
    return () => {
      night.removeEventListener("change", draw);
      observer.disconnect();
      chart.dispose();
    };
  }, [option]);
  return <div ref={place} className="h-full w-full" />;
}
