/** Lighthouse over every view, desktop and mobile, on the running app. */
import lighthouse, { desktopConfig, type Flags } from "lighthouse";
import { chromium } from "playwright-core";
import { CHROMIUM_ARGUMENTS, chromiumPath } from "../tests/support/browser";
import { freePort } from "../tests/support/app";

const RUNS = 3;
const CATEGORIES = ["performance", "accessibility", "best-practices"];
/** Lighthouse slows the processor 4 times on a desktop of benchmark index 1,600 or so; a slower machine is slowed less, to the same phone. */
const PHONE_INDEX = 400;
const SLOW_4G = { rttMs: 150, throughputKbps: 1638.4, requestLatencyMs: 562.5, downloadThroughputKbps: 1474.56, uploadThroughputKbps: 675 };

export interface Audit {
  readonly view: string;
  readonly device: "desktop" | "mobile";
  /** Scores of 0 to 100 in the order of CATEGORIES; of performance the median and the best of the runs. */
  readonly performance: { readonly median: number; readonly best: number };
  readonly accessibility: number;
  readonly bestPractices: number;
  readonly detail: string;
}

const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

export async function audit(address: string, views: readonly string[]): Promise<Audit[]> {
  const port = await freePort();
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: [...CHROMIUM_ARGUMENTS, `--remote-debugging-port=${port}`] });
  const audits: Audit[] = [];
  try {
    let index = 800;
    for (const view of views)
      for (const device of ["desktop", "mobile"] as const) {
        const runs: { scores: number[]; lcp: number; tbt: number; cls: number; slowdown: number }[] = [];
        for (let i = 0; i < RUNS; i++) {
          const slowdown = device === "desktop" ? 1 : Math.max(1, Math.min(4, index / PHONE_INDEX));
          const flags: Flags = {
            port,
            output: "json",
            logLevel: "silent",
            onlyCategories: CATEGORIES,
            ...(device === "mobile" ? { throttling: { ...SLOW_4G, cpuSlowdownMultiplier: slowdown } } : {}),
          };
          const result = await lighthouse(`${address}${view}`, flags, device === "desktop" ? desktopConfig : undefined);
          if (!result) throw new Error(`Lighthouse gave nothing for ${view}`);
          const { categories, audits: found, environment } = result.lhr;
          index = environment.benchmarkIndex;
          runs.push({
            scores: CATEGORIES.map((name) => Math.round((categories[name]?.score ?? 0) * 100)),
            lcp: found["largest-contentful-paint"]?.numericValue ?? NaN,
            tbt: found["total-blocking-time"]?.numericValue ?? NaN,
            cls: found["cumulative-layout-shift"]?.numericValue ?? NaN,
            slowdown,
          });
        }
        const of = (at: number) => runs.map(({ scores }) => scores[at] ?? 0);
        audits.push({
          view,
          device,
          performance: { median: median(of(0)), best: Math.max(...of(0)) },
          accessibility: Math.min(...of(1)),
          bestPractices: Math.min(...of(2)),
          detail: `LCP ${(median(runs.map(({ lcp }) => lcp)) / 1000).toFixed(1)} s, TBT ${median(runs.map(({ tbt }) => tbt)).toFixed(0)} ms, CLS ${median(runs.map(({ cls }) => cls)).toFixed(3)}, slowed ${median(runs.map(({ slowdown }) => slowdown)).toFixed(1)}×`,
        });
      }
  } finally {
    await browser.close();
  }
  return audits;
}
