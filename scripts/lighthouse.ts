/** Lighthouse over every view, desktop and mobile, on the running app. */
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import lighthouse, { desktopConfig, type Config, type Flags, type RunnerResult } from "lighthouse";
import { chromium } from "playwright-core";
import { CHROMIUM_ARGUMENTS, chromiumPath } from "../tests/support/browser";
import { freePort } from "../tests/support/app";

const RUNS = 5;
const ATTEMPTS = 3;
const CATEGORIES = ["performance", "accessibility", "best-practices"];
/**
 * Lighthouse reckons a phone by slowing down, 4 times, what it measured on a desktop of benchmark index 1,600 or so; what a
 * slower machine measured is slowed less, to the same phone.
 */
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
    for (const view of views)
      for (const device of ["desktop", "mobile"] as const) {
        const results = await measured(`${address}${view}`, port, device);
        const runs = results.map(({ lhr: { categories, audits: found, configSettings } }) => ({
          scores: CATEGORIES.map((name) => Math.round((categories[name]?.score ?? 0) * 100)),
          lcp: found["largest-contentful-paint"]?.numericValue ?? NaN,
          tbt: found["total-blocking-time"]?.numericValue ?? NaN,
          cls: found["cumulative-layout-shift"]?.numericValue ?? NaN,
          slowdown: device === "desktop" ? 1 : configSettings.throttling.cpuSlowdownMultiplier,
        }));
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

interface Gathered {
  readonly folder: string;
  readonly file: string;
  readonly artifacts: { readonly BenchmarkIndex: number; readonly settings: object; readonly PageLoadError?: { readonly message: string } | null };
}

/** Loads the view once; anew where the browser failed to show anything, which a busy machine makes it do now and then. */
async function gather(url: string, folder: string, flags: Flags, config: Config | undefined): Promise<Gathered> {
  const file = join(folder, "artifacts.json");
  for (let attempt = 1; ; attempt++) {
    await lighthouse(url, { ...flags, gatherMode: folder }, config);
    const artifacts = JSON.parse(readFileSync(file, "utf8")) as Gathered["artifacts"];
    if (!artifacts.PageLoadError) return { folder, file, artifacts };
    if (attempt === ATTEMPTS) throw new Error(`${url}: ${artifacts.PageLoadError.message}`);
  }
}

/** Gathers a view some times, and audits what was gathered as on one phone: by the median benchmark index of those times. */
async function measured(url: string, port: number, device: "desktop" | "mobile"): Promise<RunnerResult[]> {
  const folders = Array.from({ length: RUNS }, () => mkdtempSync(join(tmpdir(), "lighthouse-")));
  const flags: Flags = { port, output: "json", logLevel: "silent", onlyCategories: CATEGORIES, ...(device === "mobile" ? { throttling: SLOW_4G } : {}) };
  const config = device === "desktop" ? desktopConfig : undefined;
  try {
    const gathered = [];
    for (const folder of folders) gathered.push(await gather(url, folder, flags, config));
    const cpuSlowdownMultiplier = Math.max(1, Math.min(4, median(gathered.map(({ artifacts }) => artifacts.BenchmarkIndex)) / PHONE_INDEX));
    const throttling = { ...SLOW_4G, cpuSlowdownMultiplier };
    const results: RunnerResult[] = [];
    for (const { folder, file, artifacts } of gathered) {
      if (device === "mobile") writeFileSync(file, JSON.stringify({ ...artifacts, settings: { ...artifacts.settings, throttling } }));
      const result = await lighthouse(url, { ...flags, ...(device === "mobile" ? { throttling } : {}), auditMode: folder }, config);
      if (!result) throw new Error(`Lighthouse gave nothing for ${url}`);
      results.push(result);
    }
    return results;
  } finally {
    for (const folder of folders) rmSync(folder, { recursive: true, force: true });
  }
}
