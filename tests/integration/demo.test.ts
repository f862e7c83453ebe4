import { spawn, type ChildProcess } from "node:child_process";
import { existsSync, mkdirSync, rmSync } from "node:fs";
import { join } from "node:path";
import { afterEach, describe, expect, it } from "vitest";
import { freePort, newFolder, removeFolder, send } from "../support/app";

let child: ChildProcess | null = null;
let folder = "";
const stop = async () => {
  const running = child;
  child = null;
  if (!running || running.exitCode !== null) return;
  const ended = new Promise((resolve) => running.once("exit", resolve));
  running.kill("SIGTERM");
  await ended;
};
afterEach(async () => {
  await stop();
  removeFolder(folder);
});

/** Runs the demo command until it prints its address, or ends; gives all it said. */
async function demo(port: number, ...parts: string[]): Promise<string> {
  const running = spawn(process.execPath, ["scripts/demo.mjs", ...parts], {
    env: { ...process.env, PORT: String(port), THREPSIS_DATA: folder },
    stdio: ["ignore", "pipe", "pipe"],
  });
  child = running;
  let said = "";
  await new Promise<void>((resolve) => {
    const hear = (chunk: Buffer) => {
      said += chunk.toString();
      if (said.includes("Stop with Ctrl+C")) resolve();
    };
    running.stdout.on("data", hear);
    running.stderr.on("data", hear);
    running.once("exit", () => resolve());
  });
  return said;
}
const titles = async (address: string) =>
  [...(await (await fetch(`${address}/recipes`)).text()).matchAll(/>(Semolina halwa|Saffron phirni of ground rice|Our own)</g)].map((match) => match[1]);

describe("npm run demo", () => {
  it("seeds once, keeps what was done over a second start, and starts afresh with --reset", async () => {
    folder = newFolder();
    const port = await freePort();
    const address = `http://127.0.0.1:${port}`;
    expect(await demo(port)).toContain(`Threpsis is ready at ${address}`);
    expect(new Set(await titles(address))).toEqual(new Set(["Semolina halwa", "Saffron phirni of ground rice"]));
    expect((await send(address, "DELETE", "/api/recipes/demo-2")).status).toBe(204);
    expect((await send(address, "POST", "/api/recipes", { text: "Our own\n1 cup milk" })).status).toBe(201);
    await stop();
    await demo(port);
    expect(new Set(await titles(address))).toEqual(new Set(["Semolina halwa", "Our own"]));
    await stop();
    await demo(port, "--reset");
    expect(new Set(await titles(address))).toEqual(new Set(["Semolina halwa", "Saffron phirni of ground rice"]));
  });

  it("does not reset data that are not the demo's", async () => {
    folder = newFolder();
    mkdirSync(join(folder, "postgres"));
    expect(await demo(await freePort(), "--reset")).toMatch(/not the demo's; they are left alone/);
    expect(existsSync(join(folder, "postgres"))).toBe(true);
    rmSync(join(folder, "postgres"), { recursive: true });
  });
});
