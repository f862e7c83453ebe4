import { newFolder, removeFolder, startApp } from "../../tests/support/app";
import { damageTable } from "./damage";
import { kills } from "./kills";
import { load, restart, restoring } from "./load";
import { hostileRequests } from "./requests";

const REQUESTS = 2000;

type Row = [string, string, string];

async function requests(rows: Row[]): Promise<void> {
  const folder = newFolder();
  const app = await startApp(folder);
  const { sent, byStatus, faults: found } = await hostileRequests(app.address, REQUESTS, 17);
  await app.stop();
  removeFolder(folder);
  const counts = Object.entries(byStatus).map(([status, count]) => `${status}: ${count}`);
  rows.push([`${sent} hostile requests over all routes`, `${found.length} answered with 500 or more, or not within 5 s; ${counts.join(", ")}`, "0"]);
  for (const fault of found.slice(0, 10)) rows.push(["  fault", fault, ""]);
}

const PARTS = { requests, kills, load, restoring, restart, damage: damageTable };

/** Hostile requests, kills, load, memory, restarts, damages; bounded, in some minutes. FAULTS=load,restart runs those alone. Each figure is also told as it is reached. */
export async function faults(rows: Row[]): Promise<void> {
  const only = process.env.FAULTS?.split(",");
  for (const [name, part] of Object.entries(PARTS)) {
    if (only && !only.includes(name)) continue;
    const before = rows.length;
    await part(rows);
    for (const [what, figure, aim] of rows.slice(before)) console.log(`${what}: ${figure}${aim ? ` (${aim})` : ""}`);
  }
}
