import { execFile } from "node:child_process";
import { createServer } from "node:net";
import { promisify } from "node:util";
import { describe, expect, it } from "vitest";

const run = promisify(execFile);
const serve = async (environment: Record<string, string>): Promise<string> => {
  try {
    await run(process.execPath, ["scripts/serve.mjs"], { env: { ...process.env, ...environment }, timeout: 20_000 });
    return "served";
  } catch (error) {
    return (error as { stderr: string }).stderr;
  }
};

describe("the server's environment", () => {
  it.each(["0.0.0.0", "192.168.1.20", "example.org", "::"])("refuses HOST=%s until there is sign-in", async (host) => {
    expect(await serve({ HOST: host })).toMatch(/is refused: until sign-in exists/);
  });
  it.each(["0", "70000", "http"])("refuses PORT=%s", async (port) => expect(await serve({ PORT: port })).toMatch(/not a port number/));
  it("says when the port is taken", async () => {
    const other = createServer();
    await new Promise<void>((resolve) => other.listen(0, "127.0.0.1", resolve));
    const address = other.address();
    const port = address && typeof address === "object" ? address.port : 0;
    expect(await serve({ PORT: String(port) })).toMatch(new RegExp(`Port ${port} is in use`));
    other.close();
  });
});
