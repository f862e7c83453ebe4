/** A batch at the running app: how soon an event is on the disk, a press is painted, a long session is open; and what killing the server loses. */
import { newFolder, removeFolder, send, startApp, type RunningApp } from "../tests/support/app";
import { openBrowser } from "../tests/support/browser";

type Row = [what: string, figure: string, aim: string];
const [SINGLE, LONG, PRESSES, UNDER_KILLS] = [200, 2000, 24, 1000];
const SLOWDOWN = 4;
const HOURS = 8;

let count = 0;
const note = () => ({ id: `n${count++}`, at: 1_790_000_000_000 + count, kind: "note", text: `note ${count}`, step: null });
const started = () => ({ id: `s${count++}`, at: 1_790_000_000_000, kind: "started" });
const begin = async ({ address }: RunningApp): Promise<string> =>
  ((await send(address, "POST", "/api/batches", { recipeId: "demo-1", versionId: null })).json as { readonly id: string }).id;
const add = async ({ address }: RunningApp, batch: string, ...events: readonly object[]): Promise<number> =>
  (await send(address, "POST", `/api/batches/${batch}/events`, { events })).status;

export async function atTheStove(rows: Row[], spread: (values: readonly number[], digits?: number) => string): Promise<void> {
  const folder = newFolder();
  let app = await startApp(folder);
  try {
    const batch = await begin(app);
    await add(app, batch, started());
    const disk: number[] = [];
    for (let i = 0; i < SINGLE; i++) {
      const at = performance.now();
      await add(app, batch, note());
      disk.push(performance.now() - at);
    }
    rows.push(["an event sent, on the disk and answered", spread(disk), "p95 50 ms"]);

    const long = await begin(app);
    await add(app, long, started());
    for (let left = LONG; left > 0; left -= 200) await add(app, long, ...Array.from({ length: 200 }, note));
    const pages: number[] = [];
    for (let i = 0; i < 12; i++) {
      const at = performance.now();
      await (await fetch(`${app.address}/batches/${long}`)).text();
      if (i > 1) pages.push(performance.now() - at);
    }
    rows.push([`page of a batch of ${LONG} events, from the server`, spread(pages), "300 ms"]);

    rows.push([`a press (step done, taken back) to the next paint, ${SLOWDOWN}× slowdown`, await presses(app.address, batch, spread), "p95 50 ms"]);
    rows.push([`${HOURS} hours of the page beside a timer: off by, memory and nodes more`, await hoursOn(app.address, batch), "no drift, no leak"]);
    app = await underKills(app, folder, rows);
  } finally {
    await app.stop();
    removeFolder(folder);
  }
}

/** What is under 16 ms is not reported, and counts as 16. */
async function presses(address: string, batch: string, spread: (values: readonly number[], digits?: number) => string): Promise<string> {
  const browser = await openBrowser();
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await page.goto(`${address}/batches/${batch}`, { waitUntil: "networkidle" });
  const client = await page.context().newCDPSession(page);
  await client.send("Emulation.setCPUThrottlingRate", { rate: SLOWDOWN });
  await page.waitForTimeout(2000);
  const pressed = async () => {
    await page.evaluate(() => {
      const seen: number[] = [];
      Object.assign(window, { seen });
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries()) if (entry.name === "keydown") seen.push(entry.duration);
      }).observe({ type: "event", durationThreshold: 16, buffered: false } as PerformanceObserverInit);
    });
    for (let i = 0; i < PRESSES; i++) {
      await page.locator("body").press(i % 2 === 0 ? "Space" : "Backspace");
      await page.waitForTimeout(700);
    }
    const durations = await page.evaluate(() => (window as unknown as { readonly seen: number[] }).seen);
    return [...durations, ...Array<number>(Math.max(0, PRESSES - durations.length)).fill(16)];
  };
  const here = await pressed();
  await page.setContent("<p>0</p><script>let n = 0; addEventListener('keydown', () => (document.querySelector('p').textContent = ++n))</script>");
  const plain = await pressed();
  await browser.close();
  return `${spread(here, 0)}; on a page of one plain number ${spread(plain, 0)}`;
}

/** A page that stays open by a clock that runs fast: whether its timer is still right, and whether it holds more and more. */
async function hoursOn(address: string, batch: string): Promise<string> {
  const browser = await openBrowser();
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  const start = Date.now();
  await page.clock.install({ time: start });
  await page.goto(`${address}/batches/${batch}`);
  await page.getByText(/^Step \d+ of/).waitFor();
  await page.clock.runFor(2000);
  await page.getByRole("button", { name: /^Timer/ }).click();
  await page.getByRole("timer").waitFor();
  for (let i = 0; i < 70; i++) await page.getByRole("button", { name: "+1 min" }).click();
  const client = await page.context().newCDPSession(page);
  await client.send("Performance.enable");
  const held = async () => {
    await client.send("HeapProfiler.collectGarbage");
    const { metrics } = await client.send("Performance.getMetrics");
    const of = (name: string) => metrics.find((metric) => metric.name === name)?.value ?? 0;
    return { megabytes: of("JSHeapUsedSize") / 1e6, nodes: of("Nodes") };
  };
  const left = async () => {
    const parts = ((await page.getByRole("timer").first().textContent()) ?? "").split(":").map(Number);
    return parts.reduce((sum, part) => 60 * sum + part, 0);
  };
  await page.clock.runFor(60_000);
  const [before, first] = [await held(), await left()];
  for (let minutes = 0; minutes < 60; minutes += 5) await page.clock.runFor(300_000);
  const [after, last] = [await held(), await left()];
  // The other hours asleep: a clock that jumps.
  await page.clock.fastForward(3_600_000 * (HOURS - 1));
  await page.clock.runFor(2000);
  const wakes = (await page.getByText(/While the screen slept|time is up/i).count()) > 0;
  await browser.close();
  return `${Math.abs(first - last - 3600)} s in an hour awake, ${(after.megabytes - before.megabytes).toFixed(1)} MB, ${after.nodes - before.nodes} nodes; after ${HOURS - 1} h asleep ${wakes ? "says what was missed" : "says nothing of what was missed"}`;
}

/** Events one after the other while the server is killed at random: each that was answered is there, none twice. */
async function underKills(first: RunningApp, folder: string, rows: Row[]): Promise<RunningApp> {
  let app = first;
  const batch = await begin(app);
  await add(app, batch, started());
  const answered: string[] = [];
  let kills = 0;
  for (let seed = 7; answered.length < UNDER_KILLS;) {
    seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648;
    const running = app;
    const killed = setTimeout(() => void running.stop("SIGKILL"), 1500 + (seed % 5000));
    for (let alive = true; alive && answered.length < UNDER_KILLS;) {
      const event = note();
      alive = await add(running, batch, event).then(
        (status) => status === 200,
        () => false,
      );
      if (alive) answered.push(event.id);
    }
    clearTimeout(killed);
    await running.stop("SIGKILL");
    kills++;
    app = await startApp(folder);
  }
  const file = (await (await fetch(`${app.address}/api/batches/${batch}/export?format=json`)).json()) as {
    readonly events: readonly { readonly id: string }[];
  };
  const there = file.events.map(({ id }) => id);
  const lost = answered.filter((id) => !there.includes(id)).length;
  rows.push([`${answered.length} events under ${kills} kills: lost, there twice`, `${lost}, ${there.length - new Set(there).size}`, "0, 0"]);
  return app;
}
