/** Builds what `next build` does not: the solver's worker thread, and the solver's files for the browser; then the app. */
import { spawnSync } from "node:child_process";
import { copyFileSync, mkdirSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { build } from "esbuild";

const root = new URL("..", import.meta.url).pathname;
const highs = dirname(createRequire(import.meta.url).resolve("highs/runtime"));

mkdirSync(join(root, "public", "solver"), { recursive: true });
copyFileSync(join(highs, "highs.wasm"), join(root, "public", "solver", "highs.wasm"));

await build({
  entryPoints: [join(root, "src/workers/solver.thread.ts")],
  outfile: join(root, ".build/solver.thread.mjs"),
  bundle: true,
  platform: "node",
  format: "esm",
  target: "node20",
  external: ["highs"],
  logLevel: "warning",
});

if (!process.argv.includes("--only-workers")) {
  const { status } = spawnSync(process.execPath, [join(root, "node_modules/next/dist/bin/next"), "build"], {
    cwd: root,
    stdio: "inherit",
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1" },
  });
  process.exit(status ?? 1);
}
