/** What the three stations weigh and how long they hold a slow machine's browser up, from outside, as a visitor's browser sees it. */
import type { Page } from "playwright-core";
import { newFolder, removeFolder, save, startApp } from "../tests/support/app";
import { openBrowser } from "../tests/support/browser";
import { tableOf } from "../tests/support/kitchen";

const RUNS = 5;
const SLOWDOWN = 4;
/** A task longer than this blocks; what is beyond it counts. */
const SHORT_TASK = 50;
const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

interface Visit {
  readonly kilobytes: number;
  readonly blocked: number;
  readonly interaction: number;
}

interface Seen {
  readonly tasks: readonly number[];
  readonly events: readonly number[];
}

async function visit(page: Page, address: string, act: (page: Page) => Promise<void>): Promise<Visit> {
  await page.addInitScript(() => {
    const tasks: number[] = [];
    const events: number[] = [];
    Object.assign(window, { benchSeen: { tasks, events } });
    new PerformanceObserver((list) => tasks.push(...list.getEntries().map(({ duration }) => duration))).observe({ type: "longtask", buffered: true });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) if ((entry as PerformanceEventTiming & { interactionId?: number }).interactionId) events.push(entry.duration);
    }).observe({ type: "event", durationThreshold: 16, buffered: true } as PerformanceObserverInit);
  });
  const seen = () => page.evaluate(() => (window as unknown as { benchSeen: Seen }).benchSeen);
  const client = await page.context().newCDPSession(page);
  await client.send("Emulation.setCPUThrottlingRate", { rate: SLOWDOWN });
  await page.goto(address, { waitUntil: "networkidle" });
  await page.waitForTimeout(2000);
  const { tasks } = await seen();
  const bytes = await page.evaluate(() =>
    performance
      .getEntriesByType("resource")
      .filter((entry) => /\.js(\?|$)/.test(entry.name))
      .reduce((sum, entry) => sum + (entry as PerformanceResourceTiming).encodedBodySize, 0),
  );
  await act(page);
  await page.waitForTimeout(1500);
  const { events } = await seen();
  return {
    kilobytes: bytes / 1000,
    blocked: tasks.reduce((sum, task) => sum + Math.max(0, task - SHORT_TASK), 0),
    interaction: Math.max(16, ...events),
  };
}

/** Of each station a first deed: what the longest of its events takes to the next paint counts. */
const STATIONS: readonly (readonly [name: string, path: string, act: (page: Page) => Promise<void>])[] = [
  ["Table", "/recipes/demo-2/table", (page) => page.getByText("Gluten-free", { exact: true }).first().click()],
  ["Recipe", "/recipes/demo-2/recipe", (page) => page.getByLabel("Ingredient line, as written").first().press("End+x")],
  ["Swap", "/recipes/demo-2/swap", (page) => page.getByLabel("Grams of Sugar for this table").press("End+1")],
];

export async function stations(rows: [what: string, figure: string, aim: string][]): Promise<void> {
  const folder = newFolder();
  const app = await startApp(folder);
  const browser = await openBrowser();
  try {
    await save(app.address, "/api/recipes/demo-2/table", tableOf({ rules: ["dairy-free"], serve: "chilled" }));
    for (const [name, path, act] of STATIONS) {
      const visits: Visit[] = [];
      for (let run = 0; run < RUNS; run++) {
        const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
        visits.push(await visit(await context.newPage(), `${app.address}${path}`, act));
        await context.close();
      }
      const of = (key: keyof Visit) => median(visits.map((each) => each[key])).toFixed(0);
      rows.push([
        `${name}: JavaScript compressed, blocking time and longest interaction at ${SLOWDOWN}× slowdown, median of ${RUNS}`,
        `${of("kilobytes")} kB, ${of("blocked")} ms, ${of("interaction")} ms`,
        "250 kB, 300 ms, 200 ms",
      ]);
    }
  } finally {
    await browser.close();
    await app.stop();
    removeFolder(folder);
  }
}
