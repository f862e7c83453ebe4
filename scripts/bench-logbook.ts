/** The logbook of a house that has cooked a thousand batches, and what a tasting comes to for next time, at the running app. */
import { newFolder, removeFolder, save, send, startApp } from "../tests/support/app";

type Row = [what: string, figure: string, aim: string];
const [BATCHES, TASTED, EACH] = [1000, 150, 2];
const DAY = 86_400_000;

const PAGES = [
  ["the first page", ""],
  ["found by a food", "?search=jaggery"],
  ["found by eater and season", "?eater=ana&season=mar-may"],
  ["the last page", `?page=${BATCHES / 40}`],
] as const;

export async function logbook(rows: Row[], spread: (values: readonly number[], digits?: number) => string): Promise<void> {
  const folder = newFolder();
  const app = await startApp(folder);
  try {
    const { address } = app;
    const eaters = ["ana", "bo"].map((id) => ({ id, name: id, rules: [], limits: [], note: "", asked: "2026-10-01" }));
    if ((await save(address, "/api/eaters", { eaters }, 1)).status !== 200) throw new Error("The eaters could not be named.");
    const ids: string[] = [];
    for (let i = 0; i < BATCHES; i++) {
      const body = {
        recipeId: `demo-${1 + (i % 12)}`,
        versionId: null,
        at: Date.now() - (i + 1) * DAY,
        grams: null,
        body: null,
        holds: null,
        note: `batch ${i}`,
      };
      ids.push(((await send(address, "POST", "/api/batches/afterwards", body)).json as { readonly id: string }).id);
    }
    for (const batch of ids.slice(0, TASTED))
      for (const [i, eater] of ["ana", "bo"].slice(0, EACH).entries())
        await send(address, "POST", `/api/batches/${batch}/tastings`, {
          ...{ id: `${batch}-${i}`, eater, guest: null, served: "hot", isSettled: true },
          answer: { steps: { sweetness: -1, body: 0 }, liking: 7, word: "" },
        });
    // What is looked through behind the pages is done before they are timed: the oldest comes last.
    const isFound = async () => (await (await fetch(`${address}/logbook?search=batch+${BATCHES - 1}`)).text()).includes(ids.at(-1) ?? "none");
    for (let left = 120; left > 0 && !(await isFound()); left--) await new Promise((done) => setTimeout(done, 2000));
    const get = async (path: string): Promise<number> => {
      const at = performance.now();
      await (await fetch(`${address}${path}`)).text();
      return performance.now() - at;
    };
    const timed = async (path: string, times: number): Promise<readonly number[]> => {
      const took: number[] = [];
      for (let i = 0; i < times + 3; i++) took.push(await get(path));
      return took.slice(3);
    };
    for (const [what, query] of PAGES)
      rows.push([`logbook of ${BATCHES} batches, ${what}, from the server`, spread(await timed(`/logbook${query}`, 60), 0), "p95 60 ms"]);
    rows.push([`the line of a sweet with ${Math.ceil(BATCHES / 12)} batches`, spread(await timed("/recipes/demo-1/lineage", 20), 0), ""]);
    const next: number[] = [];
    for (const batch of ids.slice(0, 24)) next.push(await get(`/api/batches/${batch}/next-time`));
    rows.push(["what to change next time, of 24 batches", spread(next, 0), "300 ms"]);
  } finally {
    await app.stop();
    removeFolder(folder);
  }
}
