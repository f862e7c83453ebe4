/**
 * Serves the built app. Environment: PORT (3000), HOST (127.0.0.1; anything but loopback is refused until sign-in
 * exists), THREPSIS_DATA (the data folder).
 */
import { spawn } from "node:child_process";
import { existsSync } from "node:fs";
import { createServer, isIP } from "node:net";
import { join } from "node:path";

const root = new URL("..", import.meta.url).pathname;
const LOOPBACK = (host) => host === "localhost" || host === "::1" || (isIP(host) === 4 && host.startsWith("127."));

export function settings(environment = process.env) {
  const host = environment.HOST || "127.0.0.1";
  if (!LOOPBACK(host)) throw new Error(`HOST=${host} is refused: until sign-in exists, Threpsis serves this machine only. Use 127.0.0.1, ::1 or localhost.`);
  const port = Number(environment.PORT || 3000);
  if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Error(`PORT=${environment.PORT} is not a port number (1 to 65535).`);
  return { host, port, address: `http://${host.includes(":") ? `[${host}]` : host}:${port}` };
}

const TELL_MS = 20_000;

const portIsFree = (port, host) =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once("error", () => resolve(false));
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });

/** Starts the server and resolves once it answers; rejects if it ends before. */
export async function serve(environment = process.env) {
  const { host, port, address } = settings(environment);
  if (!existsSync(join(root, ".next", "BUILD_ID")) || !existsSync(join(root, ".build", "serve.mjs")))
    throw new Error("The app is not built yet. Run: npm run build");
  if (!(await portIsFree(port, host))) throw new Error(`Port ${port} is in use on ${host}. Stop what uses it, or set PORT to another.`);
  const child = spawn(process.execPath, [join(root, ".build/serve.mjs")], {
    cwd: root,
    env: { ...environment, NODE_ENV: "production", HOST: host, PORT: String(port), NEXT_TELEMETRY_DISABLED: "1" },
    stdio: ["ignore", "pipe", "inherit"],
  });
  child.stdout.on("data", (chunk) => environment.THREPSIS_VERBOSE && process.stdout.write(chunk));
  for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => child.kill(signal));
  const ended = new Promise((resolve) => child.once("exit", (code) => resolve(code ?? 1)));
  const started = Date.now();
  let told = started;
  for (;;) {
    if ((await Promise.race([ended, new Promise((resolve) => setTimeout(() => resolve(null), 100))])) !== null)
      throw new Error("The server ended before it answered; see above.");
    const up = await fetch(`${address}/api/v1/openapi.json`).then(
      (response) => response.ok,
      () => false,
    );
    if (up) return { address, child, ended, milliseconds: Date.now() - started };
    // A large database takes its time to be built again: it is waited for as long as the process works on it.
    if (Date.now() - told > TELL_MS) {
      told = Date.now();
      console.log(`Still starting, after ${Math.round((told - started) / 1000)} s. Ctrl+C ends it; nothing is lost by that.`);
    }
  }
}

if (process.argv[1] === new URL(import.meta.url).pathname) {
  try {
    const { address, ended } = await serve();
    console.log(`Threpsis is ready at ${address}`);
    process.exit(await ended);
  } catch (error) {
    console.error(error.message);
    process.exit(1);
  }
}
