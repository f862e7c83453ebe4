import { newFolder, removeFolder, startApp } from "../../tests/support/app";
import { damageTable } from "./damage";
import { kills } from "./kills";
import { load, restart, restoring } from "./load";
import { hostileRequests } from "./requests";

const REQUESTS = 2000;

/** Kills, damages, hostile requests, load, memory, restarts; bounded, in some minutes. */
export async function faults(rows: [string, string, string][]): Promise<void> {
  const folder = newFolder();
  const app = await startApp(folder);
  const { sent, byStatus, faults: found } = await hostileRequests(app.address, REQUESTS, 17);
  await app.stop();
  removeFolder(folder);
  const counts = Object.entries(byStatus).map(([status, count]) => `${status}: ${count}`);
  rows.push([`${sent} hostile requests over all routes`, `${found.length} answered with 500 or more, or not within 5 s; ${counts.join(", ")}`, "0"]);
  for (const fault of found.slice(0, 10)) rows.push(["  fault", fault, ""]);
  await kills(rows);
  await damageTable(rows);
  await load(rows);
  await restoring(rows);
  await restart(rows);
}
