/**
 * One command from a fresh clone to the running demo: installs, builds (each only when something changed), migrates,
 * seeds, serves, prints the address. `-- --reset` starts the demo data afresh.
 */
import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";

const root = new URL("..", import.meta.url).pathname;
process.chdir(root);

export const run = (command, parts) => {
  const { status } = spawnSync(command, parts, { cwd: root, stdio: "inherit", shell: process.platform === "win32" });
  if (status !== 0) process.exit(status ?? 1);
};

function fingerprint(paths) {
  const hash = createHash("sha256");
  const add = (path) => {
    if (!existsSync(path)) return;
    if (statSync(path).isDirectory()) for (const name of readdirSync(path).sort()) add(join(path, name));
    else hash.update(path).update(readFileSync(path));
  };
  paths.forEach(add);
  return hash.digest("hex");
}

/** Runs a step unless it was run for just these files already. */
function once(name, paths, missing, work) {
  const mark = join(root, ".build", `${name}.mark`);
  const now = fingerprint(paths);
  if (!missing && existsSync(mark) && readFileSync(mark, "utf8") === now) return;
  work();
  mkdirSync(join(root, ".build"), { recursive: true });
  writeFileSync(mark, now);
}

export function prepare() {
  once("install", ["package-lock.json"], !existsSync("node_modules/next"), () => run("npm", ["ci"]));
  once(
    "app",
    ["package-lock.json", "src", "scripts/build.mjs", "next.config.ts", "postcss.config.mjs", "tsconfig.json"],
    !existsSync(".next/BUILD_ID") ||
      !existsSync(".build/solver.thread.mjs") ||
      !existsSync(".build/serve.mjs") ||
      !existsSync(".build/reading.thread.mjs") ||
      !existsSync(".build/planning.thread.mjs"),
    () => run("npm", ["run", "build"]),
  );
}

if (process.argv[1] === new URL(import.meta.url).pathname) {
  const { serve, settings } = await import("./serve.mjs");
  try {
    settings();
    prepare();
    const folder = process.env.THREPSIS_DATA || join(root, ".data", "demo");
    const mark = join(folder, "demo");
    const held = existsSync(join(folder, "postgres"));
    if (process.argv.includes("--reset")) {
      if (held && !existsSync(mark)) throw new Error(`${folder} holds data that are not the demo's; they are left alone. Set THREPSIS_DATA to another folder.`);
      const lock = join(folder, "lock");
      const holder = existsSync(lock) ? JSON.parse(readFileSync(lock, "utf8")).pid : null;
      let running = false;
      try {
        running = Number.isInteger(holder) && holder > 0 && process.kill(holder, 0);
      } catch {
        running = false;
      }
      if (running) throw new Error(`The demo data are in use by process ${holder}. Stop it first, then reset.`);
      if (held) for (const name of readdirSync(folder)) if (name !== "demo") rmSync(join(folder, name), { recursive: true, force: true });
    }
    mkdirSync(folder, { recursive: true });
    if (!existsSync(join(folder, "postgres"))) writeFileSync(mark, "This folder holds the demo's data.\n");
    const { address, ended } = await serve({ ...process.env, THREPSIS_DATA: folder, THREPSIS_SEED: "demo at work" });
    console.log(`\nThrepsis is ready at ${address}\nData: ${folder}\nStop with Ctrl+C.`);
    process.exit(await ended);
  } catch (error) {
    console.error(error.message);
    process.exit(1);
  }
}
