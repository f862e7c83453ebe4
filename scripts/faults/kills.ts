/** Writes through the built server while it is killed again and again, at random moments and within a checkpoint; counts what is missing. */
import { newFolder, removeFolder, send, startApp, type RunningApp } from "../../tests/support/app";
import { existsSync, readdirSync } from "node:fs";
import { chance } from "./requests";

const WRITES = 300;
const KILLS = 12;

export async function kills(rows: [string, string, string][]): Promise<void> {
  const folder = newFolder();
  const random = chance(13);
  // A small journal, so that checkpoints are many.
  const environment = { THREPSIS_SEED: "", THREPSIS_JOURNAL_BYTES: "40000" };
  const acknowledged = new Set<string>();
  let killed = 0;
  let withinCheckpoint = 0;
  let app: RunningApp = await startApp(folder, { environment });
  for (; killed < KILLS; killed++) {
    let stop = false;
    const enough = ((killed + 1) * WRITES) / KILLS;
    const writers = Array.from({ length: 4 }, async () => {
      while (!stop) {
        const name = `W${Math.floor(random() * 1e12)}`;
        try {
          const { status } = await send(app.address, "POST", "/api/recipes", { text: `${name}\n1 cup sugar\n2 cups milk\n\nBoil it for 10 minutes.` });
          if (status === 201) acknowledged.add(name);
        } catch {
          return;
        }
      }
    });
    for (let i = 0; i < 600 && acknowledged.size < enough; i++) await new Promise((resolve) => setTimeout(resolve, 50));
    // Every fourth kill waits for a checkpoint that is just being written.
    if (killed % 4 === 3) {
      for (let i = 0; i < 4000 && !readdirSync(folder).some((name) => name.endsWith(".part")); i++) await new Promise((resolve) => setTimeout(resolve, 2));
      if (readdirSync(folder).some((name) => name.endsWith(".part"))) withinCheckpoint++;
    } else await new Promise((resolve) => setTimeout(resolve, random() * 400));
    await app.stop("SIGKILL");
    stop = true;
    await Promise.all(writers);
    app = await startApp(folder, { environment });
  }
  const backup = await (await fetch(`${app.address}/api/backup`)).text();
  const there = new Set([...backup.matchAll(/"title": ?"(W\d{1,12})"/g)].map(([, name]) => name));
  const lost = [...acknowledged].filter((name) => !there.has(name)).length;
  await app.stop();
  rows.push([
    `${acknowledged.size} acknowledged writes of four writers under ${killed} kills (${withinCheckpoint} within a checkpoint)`,
    `${lost} lost; ${existsSync(`${folder}/notices.json`) ? "notices were made" : "no notice"}`,
    "0 lost",
  ]);
  removeFolder(folder);
}
