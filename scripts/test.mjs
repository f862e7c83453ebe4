/**
 * All checks from a fresh clone: installs what it needs (Debian's Chromium and PostgreSQL included), then types, lint,
 * layers, dead code, build, and the tests. Closes with a line "N passed, N failed"; a check counts as one.
 */
import { spawnSync } from "node:child_process";
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { prepare } from "./demo.mjs";

const root = new URL("..", import.meta.url).pathname;
const REPORT = join(root, ".build", "vitest.json");
const node = (path) => [process.execPath, join(root, "node_modules", path)];

const isRootOnDebian = () => process.getuid?.() === 0 && spawnSync("sh", ["-c", "command -v apt-get"]).status === 0;

/** Installs a Debian package where what it brings is not there; ends where it cannot be had. */
function ensure(what, found, packages, before = () => undefined) {
  if (found()) return;
  const install = `apt-get update && apt-get install -y --no-install-recommends ${packages}`;
  if (isRootOnDebian()) {
    console.log(`Installing Debian's ${packages}: the tests need ${what}.`);
    before();
    spawnSync("sh", ["-c", install], { stdio: "inherit", env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" } });
  }
  if (found()) return;
  console.error(`The tests need ${what}, and it could not be installed. As root: ${install}`);
  console.log("0 passed, 1 failed");
  process.exit(1);
}

const hasChromium = () => spawnSync("sh", ["-c", "command -v chromium || command -v chromium-browser"]).status === 0;
const POSTGRES = "/usr/lib/postgresql";
const hasPostgres = () => existsSync(POSTGRES) && readdirSync(POSTGRES).some((version) => existsSync(join(POSTGRES, version, "bin", "initdb")));
/** The tests make servers of their own: the package is not to begin one by itself. */
function withoutCluster() {
  const path = "/etc/postgresql-common/createcluster.conf";
  if (existsSync(path)) return;
  mkdirSync("/etc/postgresql-common", { recursive: true });
  writeFileSync(path, "create_main_cluster = false\n");
}

function check(name, [command, ...parts]) {
  process.stdout.write(`${name} … `);
  const { status, stdout, stderr } = spawnSync(command, parts, { cwd: root, encoding: "utf8", maxBuffer: 64e6 });
  console.log(status === 0 ? "passed" : "failed");
  if (status !== 0) console.log(`${stdout}${stderr}`);
  return status === 0;
}

ensure("Chromium on the PATH", hasChromium, "chromium");
ensure("the programs of a PostgreSQL server", hasPostgres, "postgresql", withoutCluster);
prepare();
const checks = [
  check("types", [...node("typescript/bin/tsc"), "--noEmit"]),
  check("types of core, without a platform", [...node("typescript/bin/tsc"), "--noEmit", "-p", "tsconfig.core.json"]),
  check("lint", [...node("eslint/bin/eslint.js"), ".", "--max-warnings", "0"]),
  check("format", [...node("prettier/bin/prettier.cjs"), "--check", "--log-level", "warn", "src", "tests", "scripts"]),
  check("dead code", [...node("knip/bin/knip.js")]),
];
const tests = spawnSync(
  ...(([command, ...parts]) => [command, parts])([...node("vitest/vitest.mjs"), "run", "--reporter=default", "--reporter=json", `--outputFile=${REPORT}`]),
  { cwd: root, stdio: "inherit" },
);
const report = existsSync(REPORT) ? JSON.parse(readFileSync(REPORT, "utf8")) : { numPassedTests: 0, numFailedTests: 1 };
const passed = checks.filter(Boolean).length + report.numPassedTests;
const failed = checks.filter((ok) => !ok).length + report.numFailedTests + (tests.status !== 0 && report.numFailedTests === 0 ? 1 : 0);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
