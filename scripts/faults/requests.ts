/** Hostile requests, made by chance from a seed, over every route; whatever is answered with 500 or more, or not at all, is a fault. */
import { request as httpRequest } from "node:http";
import { readdirSync } from "node:fs";
import { join } from "node:path";

export interface HostileOutcome {
  readonly sent: number;
  readonly byStatus: Readonly<Record<string, number>>;
  /** The first of each kind that was answered with 500 or more, or not at all. */
  readonly faults: readonly string[];
}

/** A source of chance that gives the same again for the same seed (mulberry32). */
export function chance(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Every address of the app, found by its folders; "[id]" stands for something that is named. */
function routes(): string[] {
  const found: string[] = [];
  const walk = (folder: string, path: string) => {
    for (const entry of readdirSync(folder, { withFileTypes: true })) {
      if (entry.isDirectory()) walk(join(folder, entry.name), `${path}/${entry.name}`);
      else if (/^(?:page\.tsx|route\.ts)$/.test(entry.name)) found.push(path || "/");
    }
  };
  walk(join(process.cwd(), "src", "app"), "");
  return found;
}

const IDS = [
  "demo-1",
  "demo-2",
  "x",
  "%00",
  "%ff",
  "%F0%9F",
  "a%00b",
  "..%2f..%2fetc",
  "%2e%2e",
  "'; DROP TABLE recipe; --",
  "%",
  "%zz",
  "🙂",
  "a".repeat(3000),
  "%ED%A0%80",
  "__proto__",
  "constructor",
  " ",
  "%0d%0a",
  "1e999",
  "own-x",
  "<script>",
];
const QUERIES = [
  "",
  "?page=999999999999999999999",
  "?page=-1",
  "?page=1e309",
  "?page=NaN",
  "?search=%00",
  "?search=%ff",
  "?search=%25_%5c",
  "?diet=vegan&diet=__proto__",
  "?minutes=1e400",
  "?format=toString",
  "?format=csv",
  "?format=__proto__",
  "?with=now,now",
  "?with=%00,a",
  "?day=2026-02-30",
  "?day=%00",
  "?day=99999-01-01",
  "?name=%00.html",
  "?tag=%00",
  "?food=%00",
  "?a=" + "x".repeat(9000),
  "?_rsc=1",
  "?%00=1",
];
const METHODS = ["GET", "GET", "GET", "POST", "PUT", "DELETE", "HEAD", "OPTIONS", "PATCH", "TRACE", "PROPFIND"];
const BODIES = [
  "",
  "null",
  "[]",
  "{}",
  "0",
  '"x"',
  "{",
  "[".repeat(100_000),
  '{"a":'.repeat(50_000),
  '{"text":"\\u0000"}',
  '{"text":"\\ud800"}',
  '{"text":"1 cup sugar\\u0000"}',
  JSON.stringify({ text: "Sweet\nServes 5000\n1 cup sugar" }),
  JSON.stringify({ text: "-".repeat(40) }),
  JSON.stringify({ text: `X\n1 cup ${"a".repeat(28)}!` }),
  JSON.stringify({ text: "1".repeat(40) }),
  JSON.stringify({ document: {}, revision: 2147483648 }),
  JSON.stringify({ document: null, revision: 1 }),
  JSON.stringify({ document: { rules: [], limits: [], servings: 1e-300, serve: "hot" }, revision: 0 }),
  JSON.stringify({ document: { rules: ["vegan"], limits: [], servings: 4, serve: "hot" }, revision: 2147483647 }),
  JSON.stringify({ document: { title: "x", servings: 1, lines: [], steps: [] }, revision: 1 }),
  JSON.stringify({ document: { title: "\ud800", servings: 1, lines: [], steps: [], evaporation: null, archetype: null }, revision: 1 }),
  JSON.stringify({ recipes: [{ title: "x", servings: 1, lines: [], steps: [] }] }),
  JSON.stringify({ recipe: { "@type": "Recipe", recipeIngredient: ["-".repeat(1999)] } }),
  JSON.stringify({ recipe: { "@type": "Recipe", recipeIngredient: ["1 cup sugar"], recipeYield: 1e308 } }),
  JSON.stringify({ recipe: { "@type": "Recipe", recipeIngredient: Array(101).fill("1 cup sugar") } }),
  JSON.stringify({ recipeId: "demo-1", bench: { basis: "", label: "", evaporation: 0, rows: [] } }),
  JSON.stringify({ recipeId: "\u0000", bench: null }),
  '{"__proto__":{"x":1}}',
  `{"label":"${"x".repeat(101)}","why":"","whom":""}`,
  "\u0000\u0001\u0002",
  "<".repeat(50_000),
  "a,".repeat(30_000),
  "=1+1\n1 cup sugar",
  '{"rules":' + '["x",'.repeat(2000) + '"y"' + "]".repeat(2000) + "}",
];
const TYPES = [
  "application/json",
  "application/json",
  "application/json",
  "text/plain",
  "multipart/form-data; boundary=x",
  "application/x-www-form-urlencoded",
  "",
  "application/json; charset=\u00ff",
];
const HEADERS: readonly Readonly<Record<string, string>>[] = [
  {},
  {},
  {},
  {},
  { rsc: "1" },
  { rsc: "1", "next-router-state-tree": "nonsense" },
  { rsc: "1", "next-router-state-tree": "%5B%22%22%5D" },
  { "next-router-state-tree": "%ff" },
  { rsc: "1", "next-router-state-tree": "%5B%5B%5D%5D" },
  { rsc: "1", "next-router-prefetch": "1" },
  { rsc: "1", "next-router-segment-prefetch": "/../x" },
  { "next-action": "abc" },
  { "next-action": "a".repeat(40) },
  { "x-middleware-subrequest": "middleware" },
  { "x-forwarded-host": "evil.example" },
  { range: "bytes=0-" },
  { "content-encoding": "gzip" },
  { "x-request-id": "a\u00e9" },
  { cookie: "a".repeat(4000) },
  { "transfer-encoding": "chunked" },
  { "accept-encoding": "\u00ff" },
  { "if-none-match": "*" },
  { "next-url": "%00" },
  { upgrade: "websocket", connection: "upgrade" },
  { expect: "100-continue" },
  { "x-nextjs-data": "1" },
  { purpose: "prefetch" },
];

interface Answered {
  readonly status: number | null;
  readonly milliseconds: number;
}

function ask(port: number, method: string, path: string, headers: Readonly<Record<string, string>>, body: string): Promise<Answered> {
  const start = performance.now();
  return new Promise((resolve) => {
    const done = (status: number | null) => resolve({ status, milliseconds: performance.now() - start });
    try {
      const sent = httpRequest(
        {
          host: "127.0.0.1",
          port,
          method,
          path,
          headers: {
            host: `127.0.0.1:${port}`,
            ...(body && !headers["transfer-encoding"] ? { "content-length": String(Buffer.byteLength(body)) } : {}),
            ...headers,
          },
          timeout: 15_000,
        },
        (response) => {
          response.resume();
          response.once("end", () => done(response.statusCode ?? null));
          response.once("error", () => done(response.statusCode ?? null));
        },
      );
      sent.once("timeout", () => sent.destroy(new Error("timeout")));
      sent.once(
        "error",
        (error: NodeJS.ErrnoException) =>
          process.env.SHOW && console.error(method, path.slice(0, 60), JSON.stringify(headers).slice(0, 100), error.code, error.message),
      );
      sent.once("error", (error: NodeJS.ErrnoException) =>
        done(error.message === "timeout" ? null : error.code === "ECONNRESET" || error.code === "EPIPE" ? 400 : null),
      );
      sent.end(body);
    } catch {
      // What this client itself will not send was not sent.
      done(0);
    }
  });
}

/** Sends `count` requests, the same again for the same seed; each is answered before the next. */
export async function hostileRequests(address: string, count: number, seed: number): Promise<HostileOutcome> {
  const port = Number(new URL(address).port);
  const random = chance(seed);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)] as T;
  const all = [
    ...routes(),
    "/nowhere",
    "/_next/data/x/y.json",
    "/_next/image?url=%2Fx&w=64&q=75",
    "//evil.example",
    "/%",
    "/%00",
    "/%ff",
    "/api/../api/v1/adapt",
    "/api/nowhere",
    "/_next/static/%00",
  ];
  const byStatus: Record<string, number> = {};
  const faults = new Map<string, string>();
  let sent = 0;
  while (sent < count) {
    const route = pick(all);
    const path = route.replace(/\[\w+\]/g, () => pick(IDS)).replaceAll(" ", "%20") + (random() < 0.5 ? pick(QUERIES) : "");
    const method = pick(METHODS);
    // What would delete or put back things, or restore, is asked only of what is not there.
    if (method === "DELETE" && path.includes("demo-")) continue;
    const body = method === "GET" || method === "HEAD" || method === "TRACE" ? "" : pick(BODIES);
    const type = pick(TYPES);
    const { status, milliseconds } = await ask(port, method, path, { ...(type && body ? { "content-type": type } : {}), ...pick(HEADERS) }, body);
    if (status === 0) continue;
    sent++;
    const kind = status === null ? "no answer" : String(status);
    byStatus[kind] = (byStatus[kind] ?? 0) + 1;
    if (status === null || (status >= 500 && status !== 503) || milliseconds > 5000) {
      const name = `${kind} ${method} ${route}`;
      if (!faults.has(name)) faults.set(name, `${kind} after ${milliseconds.toFixed(0)} ms: ${method} ${path.slice(0, 120)} ${body.slice(0, 80)}`);
    }
  }
  return { sent, byStatus, faults: [...faults.values()] };
}
