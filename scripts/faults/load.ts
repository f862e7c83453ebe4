/** Many clients at once; how the memory is after them; how long a start takes with many writes behind it. */
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import * as db from "../../src/db";
import { newFolder, removeFolder, send, startApp, type RunningApp } from "../../tests/support/app";

const quantile = (values: readonly number[], q: number) => [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(q * values.length))] ?? 0;
const PAGES = ["/", "/recipes", "/recipes/demo-2/table", "/recipes/demo-2/recipe", "/recipes/demo-2/swap", "/pantry", "/household"];

/** Resident memory of a process, MB. */
const resident = (pid: number) => Number(/VmRSS:\s+(\d{1,12})/.exec(readFileSync(`/proc/${pid}/status`, "utf8"))?.[1] ?? 0) / 1024;

async function hammer(app: RunningApp, clients: number, seconds: number): Promise<{ readonly times: readonly number[]; readonly errors: number }> {
  const times: number[] = [];
  let errors = 0;
  const end = performance.now() + seconds * 1000;
  await Promise.all(
    Array.from({ length: clients }, async (_, client) => {
      for (let i = client; performance.now() < end; i++) {
        const start = performance.now();
        try {
          const response = await fetch(`${app.address}${PAGES[i % PAGES.length]}`);
          await response.text();
          if (response.status !== 200) errors++;
        } catch {
          errors++;
        }
        times.push(performance.now() - start);
      }
    }),
  );
  return { times, errors };
}

export async function load(rows: [string, string, string][]): Promise<void> {
  const folder = newFolder();
  const app = await startApp(folder);
  await hammer(app, 2, 4);
  const before = resident(app.pid);
  for (const [clients, seconds, aim] of [
    [10, 15, "aim 50 to 66 pages a second"],
    [50, 30, "p50 under 1.9 s, no errors"],
  ] as const) {
    const { times, errors } = await hammer(app, clients, seconds);
    rows.push([
      `${clients} clients for ${seconds} s, pages by turns`,
      `${(times.length / seconds).toFixed(0)} pages a second; p50 ${quantile(times, 0.5).toFixed(0)} ms, p95 ${quantile(times, 0.95).toFixed(0)} ms, p99 ${quantile(times, 0.99).toFixed(0)} ms; ${errors} errors`,
      aim,
    ]);
  }
  await new Promise((resolve) => setTimeout(resolve, 3000));
  rows.push(["memory of the server: warm, and after all clients", `${before.toFixed(0)} MB, ${resident(app.pid).toFixed(0)} MB`, "at most 500 MB"]);
  await app.stop();
  removeFolder(folder);
}

const WRITES = 10_000;

export async function restart(rows: [string, string, string][]): Promise<void> {
  const folder = newFolder();
  const database = await db.openDatabase(folder);
  for (let i = 0; i < WRITES; i++) {
    const id = `r${i % 2000}`;
    const recipe = { title: `Sweet ${i}`, servings: 4, lines: [{ id: "l1", text: "1 cup sugar", choice: {} }], steps: [], evaporation: null, archetype: null };
    if (i < 2000) await db.insertRecipe(database, id, recipe, new Date(1.7e12 + i).toISOString());
    else await db.updateRecipe(database, id, recipe, Math.floor(i / 2000), new Date(1.7e12 + i).toISOString());
  }
  const opened = readFileSync(join(folder, "opened"), "utf8");
  // As after a kill: the lock is stale, the mark is of this start of the machine.
  await database.close();
  writeFileSync(join(folder, "opened"), opened);
  const starts = async (): Promise<string> => {
    const start = performance.now();
    await (await db.openDatabase(folder)).close();
    return `${((performance.now() - start) / 1000).toFixed(1)} s`;
  };
  rows.push([`opening the data after a kill, ${WRITES} writes behind it`, await starts(), "at most 3 s"]);
  writeFileSync(join(folder, "opened"), "an earlier start");
  rows.push([
    `opening the data after a power cut, ${WRITES} writes behind it (${readdirSync(folder).filter((name) => name.startsWith("journal-")).length} journals)`,
    await starts(),
    "at most 8 s",
  ]);
  removeFolder(folder);
}

/** Reads go on while a large backup is put in place. */
export async function restoring(rows: [string, string, string][]): Promise<void> {
  const folder = newFolder();
  const app = await startApp(folder, { environment: { THREPSIS_SEED: "" } });
  const recipe = { title: "x", servings: 4, lines: [{ id: "l1", text: "1 cup sugar", choice: {} }], steps: [], evaporation: null, archetype: null };
  for (let i = 0; i < 25; i++)
    await send(app.address, "POST", "/api/recipes/import", { recipes: Array.from({ length: 200 }, (_, n) => ({ ...recipe, title: `Sweet ${i * 200 + n}` })) });
  const backup = await (await fetch(`${app.address}/api/backup`)).text();
  const waits: number[] = [];
  let done = false;
  const reads = (async () => {
    while (!done) {
      const start = performance.now();
      await (await fetch(`${app.address}/api/recipes?search=Sweet`)).text();
      waits.push(performance.now() - start);
    }
  })();
  const start = performance.now();
  const response = await fetch(`${app.address}/api/backup`, { method: "PUT", body: backup, headers: { "content-type": "application/jsonl" } });
  const took = performance.now() - start;
  done = true;
  await reads;
  rows.push([
    "putting a backup of 5,000 recipes in place, with one reader beside it",
    `${(took / 1000).toFixed(1)} s (${response.status}); ${waits.length} reads meanwhile, the longest ${(Math.max(...waits) / 1000).toFixed(1)} s, median ${quantile(waits, 0.5).toFixed(0)} ms`,
    "reads go on",
  ]);
  await app.stop();
  removeFolder(folder);
}
