/** A PostgreSQL server of the test's own: Debian's, without its automatic cluster, as an unprivileged user, on a free port of loopback. */
import { execFileSync, spawnSync } from "node:child_process";
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Client } from "pg";
import { freePort } from "./app";

const DEBIAN = "/usr/lib/postgresql";
/** The user called nobody: PostgreSQL refuses to run as root. */
const NOBODY = 65_534;

export interface PostgresServer {
  /** A new, empty database of it, as DATABASE_URL takes it. */
  readonly database: () => Promise<string>;
  readonly stop: () => void;
}

function folderOfPrograms(): string {
  const versions = existsSync(DEBIAN) ? readdirSync(DEBIAN).filter((name) => existsSync(join(DEBIAN, name, "bin", "initdb"))) : [];
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0];
  if (newest === undefined) throw new Error("There is no PostgreSQL to test against: npm test installs it, or as root: apt-get install postgresql");
  return join(DEBIAN, newest, "bin");
}

export async function startPostgres(): Promise<PostgresServer> {
  const programs = folderOfPrograms();
  const folder = mkdtempSync(join(tmpdir(), "threpsis-postgres-"));
  const isRoot = process.getuid?.() === 0;
  if (isRoot) chownSync(folder, NOBODY, NOBODY);
  const as = { ...(isRoot ? { uid: NOBODY, gid: NOBODY } : {}), cwd: folder, env: { ...process.env, LC_ALL: "C.UTF-8" } };
  const data = join(folder, "data");
  const port = await freePort();
  execFileSync(join(programs, "initdb"), ["-D", data, "-U", "threpsis", "--auth=trust", "--encoding=UTF8", "--locale=C.UTF-8"], { ...as, stdio: "pipe" });
  // Files of the server's log go beside its data: a pipe to this process would keep it from ending.
  execFileSync(
    join(programs, "pg_ctl"),
    ["-D", data, "-w", "-l", join(folder, "log"), "-o", `-p ${port} -k ${folder} -c listen_addresses=127.0.0.1 -c fsync=off`, "start"],
    { ...as, stdio: "ignore" },
  );
  const address = `postgres://threpsis@127.0.0.1:${port}`;
  let made = 0;
  return {
    database: async () => {
      const name = `threpsis_${(made += 1)}`;
      const client = new Client({ connectionString: `${address}/postgres` });
      await client.connect();
      await client.query(`CREATE DATABASE ${name}`);
      await client.end();
      return `${address}/${name}`;
    },
    stop: () => {
      spawnSync(join(programs, "pg_ctl"), ["-D", data, "-m", "immediate", "-w", "stop"], { ...as, stdio: "ignore" });
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
