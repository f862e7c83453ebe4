/** Spoils a data folder in every way that is named, starts the built server on it twice, and tells what it led to. */
import { spawnSync } from "node:child_process";
import { appendFileSync, cpSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { listNotices } from "../../src/db";
import { checkpointPath, journalPath, lastCheckpoint, numbersOf } from "../../src/db/history";
import { newFolder, removeFolder, send, startApp } from "../../tests/support/app";

const last = (folder: string) => lastCheckpoint(folder) ?? 0;
function flip(path: string, at: (length: number) => number): void {
  const bytes = readFileSync(path);
  const place = at(bytes.length);
  bytes[place] = (bytes[place] ?? 0) ^ 1;
  writeFileSync(path, bytes);
}
const nearEnd = (length: number) => length - 20;
const journal = (folder: string) => journalPath(folder, last(folder));
const checkpoint = (folder: string) => checkpointPath(folder, last(folder));
const postgres = (folder: string) => join(folder, "postgres");
const powerCut = (folder: string) => writeFileSync(join(folder, "opened"), "an earlier start");

export const DAMAGES: readonly (readonly [name: string, spoil: (folder: string) => void])[] = [
  ["nothing", () => undefined],
  ["journal missing", (folder) => rmSync(journal(folder))],
  ["journal emptied", (folder) => writeFileSync(journal(folder), "")],
  ["journal damaged in its last whole line", (folder) => flip(journal(folder), (length) => length - 5)],
  ["a byte changed in mid-journal", (folder) => flip(journal(folder), () => 60)],
  ["journal's last line cut off", (folder) => appendFileSync(journal(folder), "0123456789abcdef {")],
  ["checkpoint damaged", (folder) => flip(checkpoint(folder), nearEnd)],
  ["both checkpoints damaged", (folder) => numbersOf(folder, "checkpoint").forEach((number) => flip(checkpointPath(folder, number), nearEnd))],
  ["database deleted", (folder) => rmSync(postgres(folder), { recursive: true })],
  ["database spoiled", (folder) => writeFileSync(join(postgres(folder), "global", "pg_control"), "x")],
  ["power cut", powerCut],
  ["power cut, journal emptied", (folder) => (powerCut(folder), writeFileSync(journal(folder), ""))],
  ["checkpoint damaged, database deleted", (folder) => (flip(checkpoint(folder), nearEnd), rmSync(postgres(folder), { recursive: true }))],
  ["mid-journal damaged, database deleted", (folder) => (flip(journal(folder), () => 60), rmSync(postgres(folder), { recursive: true }))],
  [
    "only the journal left",
    (folder) => (numbersOf(folder, "checkpoint").forEach((number) => rmSync(checkpointPath(folder, number))), rmSync(postgres(folder), { recursive: true })),
  ],
  ["lock of process 0", (folder) => writeFileSync(join(folder, "lock"), '{"pid":0,"started":null}')],
  ["lock of process -1", (folder) => writeFileSync(join(folder, "lock"), '{"pid":-1,"started":null}')],
];

/** What a start led to: how many recipes were there, and what was told; or why it was refused. */
async function start(folder: string): Promise<string> {
  let log = "";
  try {
    const app = await startApp(folder, { onLog: (text) => (log += text), environment: { THREPSIS_SEED: "" } });
    const titles = (await send(app.address, "GET", "/api/recipes?search=Kept")).json as readonly unknown[];
    const page = await fetch(`${app.address}/recipes`);
    await app.stop();
    return page.status === 200 ? `${titles.length} of 8 titles` : `page answered ${page.status}`;
  } catch (error) {
    const why = `${error instanceof Error ? error.message : String(error)}${log}`;
    const [, refused = why] = /The app ended: ([^\n]*)/.exec(why) ?? [];
    return `refused: ${refused.slice(0, 110)}`;
  }
}

/** Each damage on a copy of one folder, started twice in a row. */
export async function damageTable(rows: [string, string, string][]): Promise<void> {
  const made = newFolder();
  const app = await startApp(made, { environment: { THREPSIS_SEED: "" } });
  for (let i = 0; i < 8; i++) await send(app.address, "POST", "/api/recipes", { text: `Kept ${"x".repeat(i + 1)} sweet\n1 cup sugar\n1 cup milk` });
  await app.stop();
  // Each restore makes a checkpoint of its own; then some more is written.
  for (const more of [8, 9]) {
    const again = await startApp(made, { environment: { THREPSIS_SEED: "" } });
    const backup = await (await fetch(`${again.address}/api/backup`)).text();
    const { ok } = await fetch(`${again.address}/api/backup`, { method: "PUT", body: backup, headers: { "content-type": "application/jsonl" } });
    if (!ok) throw new Error("The backup could not be put in place.");
    for (let i = 0; i < 4; i++) await send(again.address, "POST", "/api/recipes", { text: `More of it (${more}, ${i})\n1 cup sugar` });
    await again.stop();
  }
  for (const [name, spoil] of DAMAGES) {
    const folder = newFolder();
    cpSync(made, folder, { recursive: true });
    spoil(folder);
    const first = await start(folder);
    const told = listNotices(folder).map(({ text }) => text);
    const second = await start(folder);
    rows.push([
      `damage: ${name}`,
      `${first}${first === second ? ", and again" : `; then ${second}`}; ${told.length > 0 ? `told: ${told.join(" ")}` : "nothing told"}`,
      "never less in silence, twice the same",
    ]);
    removeFolder(folder);
  }
  removeFolder(made);
  rows.push(fullDisk());
}

/** A start on a disk without room, where a small one can be mounted (as root). */
function fullDisk(): [string, string, string] {
  const place = newFolder();
  if (spawnSync("mount", ["-t", "tmpfs", "-o", "size=64k", "tmpfs", place]).status !== 0)
    return ["damage: a full disk", "not tried: no small disk could be mounted here", ""];
  try {
    spawnSync("sh", ["-c", `head -c 200k /dev/zero > ${place}/fill`]);
    const { stderr, status } = spawnSync(process.execPath, ["scripts/serve.mjs"], {
      env: { ...process.env, THREPSIS_DATA: join(place, "data"), PORT: "39871" },
      encoding: "utf8",
      timeout: 60_000,
    });
    return ["damage: a full disk", `start ended with ${String(status)}: ${stderr.split("\n")[0]?.slice(0, 160) ?? ""}`, "a plain word"];
  } finally {
    spawnSync("umount", [place]);
    removeFolder(place);
  }
}
