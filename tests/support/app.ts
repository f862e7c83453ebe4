import { type ChildProcess, spawn } from "node:child_process";
import { existsSync, mkdtempSync, rmSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";

export interface RunningApp {
  readonly address: string;
  readonly folder: string;
  readonly pid: number;
  /** Asks it to end, or kills it outright. */
  stop(signal?: "SIGTERM" | "SIGKILL"): Promise<void>;
}

export const newFolder = (): string => mkdtempSync(join(tmpdir(), "threpsis-"));
export const removeFolder = (folder: string): void => rmSync(folder, { recursive: true, force: true });

export function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.once("error", reject);
    server.listen(0, "127.0.0.1", () => {
      const address = server.address();
      server.close(() => (address && typeof address === "object" ? resolve(address.port) : reject(new Error("no port"))));
    });
  });
}

/** Starts the built app on a free port over a data folder, with the demo's recipes, and waits until it answers. */
export async function startApp(
  folder: string,
  {
    environment = {},
    onLog,
    ...given
  }: { readonly environment?: Readonly<Record<string, string>>; readonly onLog?: (text: string) => void; readonly port?: number } = {},
): Promise<RunningApp> {
  if (!existsSync(".next/BUILD_ID")) throw new Error("The app is not built: run npm run build first.");
  const port = given.port ?? (await freePort());
  const address = `http://127.0.0.1:${port}`;
  const child: ChildProcess = spawn(process.execPath, [".build/serve.mjs"], {
    env: {
      ...process.env,
      NODE_ENV: "production",
      HOST: "127.0.0.1",
      PORT: String(port),
      THREPSIS_DATA: folder,
      THREPSIS_SEED: "demo",
      NEXT_TELEMETRY_DISABLED: "1",
      ...environment,
    },
    stdio: ["ignore", "ignore", "pipe"],
  });
  let errors = "";
  child.stderr?.on("data", (chunk: Buffer) => {
    errors = (errors + chunk.toString()).slice(-10_000);
    onLog?.(chunk.toString());
  });
  const ended = new Promise<void>((resolve) => child.once("exit", () => resolve()));
  const stop = async (signal: "SIGTERM" | "SIGKILL" = "SIGTERM") => {
    child.kill(signal);
    await ended;
  };
  for (let i = 0; i < 300; i++) {
    if (child.exitCode !== null) throw new Error(`The app ended: ${errors}`);
    if (
      await fetch(`${address}/api/v1/openapi.json`).then(
        (response) => response.ok,
        () => false,
      )
    )
      return { address, folder, pid: child.pid ?? 0, stop };
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  await stop("SIGKILL");
  throw new Error(`The app did not answer: ${errors}`);
}

export async function send(
  address: string,
  method: string,
  path: string,
  body?: unknown,
): Promise<{ readonly status: number; readonly json: unknown; readonly type: string }> {
  const response = await fetch(`${address}${path}`, {
    method,
    headers: { "content-type": "application/json" },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  const text = await response.text();
  return { status: response.status, json: text ? (JSON.parse(text) as unknown) : null, type: response.headers.get("content-type") ?? "" };
}

/** Saves a document over a revision, as the pages do. */
export const save = (address: string, path: string, document: unknown, revision = 0) => send(address, "PUT", path, { document, revision });
