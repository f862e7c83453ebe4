/** Builds what `next build` does not: threads, server, an empty database, the solver's files for the browser; then the app. */
import { spawnSync } from "node:child_process";
import { copyFileSync, mkdirSync, renameSync, writeFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { PGlite } from "@electric-sql/pglite";
import { build } from "esbuild";

const root = new URL("..", import.meta.url).pathname;
const highs = dirname(createRequire(import.meta.url).resolve("highs/runtime"));

mkdirSync(join(root, "public", "solver"), { recursive: true });
copyFileSync(join(highs, "highs.wasm"), join(root, "public", "solver", "highs.wasm"));

/** What runs in Node beside the framework's own bundle. */
const forNode = (entry, outfile, external) =>
  build({
    entryPoints: [join(root, entry)],
    outfile: join(root, ".build", outfile),
    bundle: true,
    platform: "node",
    format: "esm",
    target: "node20",
    external,
    logLevel: "warning",
  });
await forNode("src/workers/solver.thread.ts", "solver.thread.mjs", ["highs"]);
await forNode("src/server/http/serve.ts", "serve.mjs", ["next", "pino"]);
await forNode("src/server/recipes/reading.thread.ts", "reading.thread.mjs", ["pino"]);
await forNode("src/server/plan/planning.thread.ts", "planning.thread.mjs", ["pino"]);

/** An empty database, packed: to begin one takes a tenth of the time of making one. */
async function packEmptyDatabase(path) {
  const pg = await PGlite.create();
  const packed = Buffer.from(await (await pg.dumpDataDir("gzip")).arrayBuffer());
  await pg.close();
  writeFileSync(`${path}.part`, packed);
  renameSync(`${path}.part`, path);
}
await packEmptyDatabase(join(root, ".build", "empty-database.tar.gz"));

if (!process.argv.includes("--only-workers")) {
  const { status } = spawnSync(process.execPath, [join(root, "node_modules/next/dist/bin/next"), "build"], {
    cwd: root,
    stdio: "inherit",
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1" },
  });
  if (status !== 0) process.exit(status ?? 1);
}
