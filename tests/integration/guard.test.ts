import { request } from "node:http";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { turnAway } from "../../src/server/http/guard";
import { newFolder, removeFolder, startApp, type RunningApp } from "../support/app";

const head = (parts: Partial<Parameters<typeof turnAway>[0]>) =>
  turnAway({ method: "GET", path: "/", host: "127.0.0.1:3000", origin: null, site: null, mode: null, ...parts }, "3000");

describe("who is let in", () => {
  it.each(["127.0.0.1:3000", "localhost:3000", "LOCALHOST:3000", "[::1]:3000", "127.1.2.3:3000"])(
    "the names of this machine, with the port in use: %s",
    (host) => expect(head({ host })).toBeNull(),
  );
  it.each([
    null,
    "",
    "evil.example",
    "evil.example:3000",
    "127.0.0.1",
    "127.0.0.1:3001",
    "localhost.evil.example:3000",
    "127.0.0.1.nip.example:3000",
    "[::1]",
    "a:b:c",
    "localhost:3000@evil.example",
  ])("no other name: %s", (host) => expect(head({ host })?.status).toBe(421));
  it.each(["http://evil.example", "https://127.0.0.1:3000", "http://127.0.0.1:3001", "http://localhost:3000", "null"])(
    "no page of another origin: %s",
    (origin) => expect(head({ method: "PUT", origin })?.status).toBe(403),
  );
  it("its own pages, a typed address, a followed link, and programs", () => {
    expect(head({ method: "PUT", origin: "http://127.0.0.1:3000", site: "same-origin", mode: "cors" })).toBeNull();
    expect(head({ site: "none", mode: "navigate" })).toBeNull();
    expect(head({ site: "cross-site", mode: "navigate" })).toBeNull();
    expect(head({ method: "POST" })).toBeNull();
  });
  it.each([
    ["GET", "cross-site", "no-cors"],
    ["GET", "same-site", "cors"],
    ["POST", "cross-site", "navigate"],
  ])("nothing else that another site sets off: %s %s %s", (method, site, mode) => expect(head({ method, site, mode })?.status).toBe(403));
});

describe("the served app", () => {
  let app: RunningApp;
  let log = "";
  beforeAll(async () => {
    app = await startApp(newFolder(), { environment: { LOG_LEVEL: "info" }, onLog: (text) => (log += text) });
  });
  afterAll(async () => {
    await app.stop();
    removeFolder(app.folder);
  });

  /** A raw request, whose Host header can be set. */
  const ask = (path: string, headers: Record<string, string> = {}, method = "GET", body?: string | Buffer) =>
    new Promise<{ readonly status: number; readonly headers: NodeJS.Dict<string | string[]>; readonly text: string }>((resolve, reject) => {
      const { hostname, port } = new URL(app.address);
      const sent = request({ hostname, port, path, method, headers: { host: `${hostname}:${port}`, ...headers } }, (response) => {
        let text = "";
        response.on("data", (chunk: Buffer) => (text += chunk.toString()));
        response.on("end", () => resolve({ status: response.statusCode ?? 0, headers: response.headers, text }));
        response.on("error", reject);
      });
      sent.on("error", reject);
      sent.end(body);
    });

  it.each(["/", "/recipes/demo-1/swap", "/api/backup", "/api/v1/openapi.json", "/solver/highs.wasm"])(
    "refuses a name that was pointed here, on %s",
    async (path) => {
      const { status, headers, text } = await ask(path, { host: "rebound.example" });
      expect(status).toBe(421);
      expect(headers["content-type"]).toMatch(/problem\+json/);
      expect(text).toMatch(/answers for localhost/);
    },
  );

  it("gives every page a policy with a nonce of its own, and no inline script without it", async () => {
    const [first, second] = [await ask("/recipes"), await ask("/recipes")];
    const policies = [first, second].map(({ headers }) => String(headers["content-security-policy"]));
    const scripts = policies.map((policy) => /script-src ([^;]*)/.exec(policy)?.[1] ?? "");
    expect(scripts[0]).not.toBe(scripts[1]);
    for (const script of scripts) expect(script).toMatch(/^'nonce-[\w+/=]+' 'strict-dynamic' 'wasm-unsafe-eval'$/);
    const nonce = /'nonce-([^']+)'/.exec(scripts[0] ?? "")?.[1];
    const tags = [...first.text.matchAll(/<script[^>]*>/g)].map(([tag]) => tag);
    expect(tags.length).toBeGreaterThan(3);
    for (const tag of tags) expect(tag).toContain(`nonce="${nonce}"`);
    expect(first.text).not.toMatch(/\son\w+="/);
  });

  it("limits bodies, answers nonsense plainly, and shows nothing of its inside; each answer has an id that the log knows", async () => {
    const big = Buffer.alloc(17 * 1024 ** 2, 32);
    const json = { "content-type": "application/json" };
    const answers = [
      await ask("/api/recipes", json, "POST", big),
      await ask("/api/recipes", { "content-type": "text/plain" }, "POST", "{}"),
      await ask("/api/recipes/demo-1", json, "PUT", "{"),
      await ask("/api/recipes/demo-1", json, "PUT", JSON.stringify({ document: { title: 1 }, revision: "one" })),
      await ask("/api/recipes/%00/table", json, "PUT", JSON.stringify({ document: { rules: [], limits: [], servings: 1, serve: "hot" }, revision: 0 })),
      await ask("/api/backup", { "content-type": "application/jsonl" }, "PUT", "{}"),
      await ask("/recipes/%00/recipe"),
      await ask("/recipes?search=%00&page=-1e999"),
      await ask("/pantry?family=%F0%9F%98%80&family=x&search[]=1"),
      await ask("/versions/' OR 1=1 --".replaceAll(" ", "%20")),
    ];
    expect(answers.map(({ status }) => status)).toEqual([413, 415, 400, 422, 400, 422, 400, 400, 200, 404]);
    for (const { text, headers, status } of answers) {
      expect(text, text.slice(0, 300)).not.toMatch(/node_modules|\bat [\w.]+ \(|\.next\/|PGlite|SELECT /);
      expect(headers["x-powered-by"]).toBeUndefined();
      const id = String(headers["x-request-id"]);
      expect(id).toMatch(/^[0-9a-f-]{36}$/);
      expect(log).toContain(id);
      expect(status).toBeLessThan(501);
    }
  });

  it.each([
    ["TRACE", "/recipes", {}, 405],
    ["PROPFIND", "/", {}, 405],
    ["GET", "/recipes/%ff/table", {}, 400],
    ["GET", "/recipes/%ED%A0%80", {}, 400],
    ["GET", `/recipes?search=${"x".repeat(9000)}`, {}, 414],
    ["GET", "/recipes?page=999999999999999999999999", {}, 200],
    ["GET", "/api/recipes/demo-1/export?format=toString", {}, 404],
    ["GET", "/", { rsc: "1", "next-router-state-tree": "nonsense" }, 400],
    ["GET", "/", { rsc: "1", "next-router-state-tree": encodeURIComponent(JSON.stringify([["a"], 5])) }, 400],
    ["POST", "/recipes", { "next-action": "0".repeat(40) }, 400],
  ])("answers %s %s with a reason: never an error of its own", async (method, path, headers, status) => {
    const answer = await ask(path, headers, method);
    expect(answer.status).toBe(status);
    if (status >= 400) expect(JSON.parse(answer.text)).toMatchObject({ status, title: expect.stringMatching(/\w/) as unknown });
  });

  it("keeps no text that a database cannot: a NUL, half a character, a counter past its end", async () => {
    const json = { "content-type": "application/json" };
    const bodies: readonly (readonly [string, string, string, number])[] = [
      ["POST", "/api/recipes", '{"text":"A\\u0000\\n1 cup sugar"}', 400],
      ["POST", "/api/recipes", '{"text":"A\\ud800\\n1 cup sugar"}', 400],
      ["POST", "/api/recipes", `{"text":${"[".repeat(100_000)}`, 400],
      ["PUT", "/api/recipes/demo-1/table", '{"document":{"rules":[],"limits":[],"servings":1,"serve":"hot"},"revision":2147483648}', 422],
      ["POST", "/api/recipes/import", '{"recipes":[{"title":"x","servings":1,"lines":[],"steps":[]}]}', 422],
      ["POST", "/api/recipes", JSON.stringify({ text: "Sweet\nServes 5000\n1 cup sugar" }), 422],
    ];
    for (const [method, path, body, status] of bodies) {
      const answer = await ask(path, json, method, body);
      expect([body.slice(0, 40), answer.status]).toEqual([body.slice(0, 40), status]);
      expect(JSON.parse(answer.text)).toMatchObject({ title: expect.stringMatching(/\w/) as unknown });
    }
    const long = await ask("/api/recipes", json, "POST", JSON.stringify({ text: `Sweet\n${"-".repeat(40)}\n1 cup sugar\n${"1".repeat(40)}` }));
    expect(long.status).toBe(201);
  });

  it("lets a link of another site lead to a page, but not start a download", () => {
    const followed = { site: "cross-site", mode: "navigate" };
    expect(head({ ...followed, path: "/recipes" })).toBeNull();
    expect(head({ ...followed, path: "/api/backup" })?.status).toBe(403);
  });
});
