/** The name by which a request says that it reached this server, and where it says that it comes from. */
export interface RequestHead {
  readonly method: string;
  readonly host: string | null;
  readonly origin: string | null;
  /** Sec-Fetch-Site and Sec-Fetch-Mode, which browsers set and pages cannot. */
  readonly site: string | null;
  readonly mode: string | null;
  /** Path and query, as sent. */
  readonly path: string;
}

export interface Turned {
  readonly status: 400 | 403 | 405 | 414 | 421;
  readonly why: string;
}

const LOOPBACK = /^(?:localhost|127(?:\.\d{1,3}){3}|\[::1\])$/;

/**
 * Turns away what does not come from this machine's own pages: a Host that is no loopback name or not the port in use (a
 * name that was pointed here, "rebinding"), an Origin other than that host, and whatever a browser says comes from another
 * site, but for following a link. Programs that are no browser send no Origin and are let in.
 */
export function turnAway(head: RequestHead, port: string): Turned | null {
  const [name = "", at = "80"] = splitHost(head.host ?? "");
  if (!LOOPBACK.test(name) || at !== port)
    return { status: 421, why: `This server answers for localhost:${port} and 127.0.0.1:${port}, not for "${(head.host ?? "").slice(0, 80)}".` };
  if (head.origin !== null && head.origin !== `http://${head.host}`) return { status: 403, why: "A page of another site may not use this one." };
  // A link may lead to a page, but not start a download or anything else of the interface.
  const followed = !head.path.startsWith("/api/") && head.mode === "navigate" && (head.method === "GET" || head.method === "HEAD");
  if (head.site !== null && head.site !== "same-origin" && head.site !== "none" && !followed)
    return { status: 403, why: "A page of another site may not read from this one." };
  return null;
}

const METHODS = new Set(["GET", "HEAD", "POST", "PUT", "DELETE", "OPTIONS"]);
const MOST_ADDRESS = 8192;

/** Turns away what no page and no program of ours would ask: unknown methods, addresses that cannot be read, the framework's own headers where they are none. */
export function turnAwayMalformed(
  { method, path }: Pick<RequestHead, "method" | "path">,
  framework: { readonly routerState: string | null; readonly action: string | null },
): Turned | null {
  if (!METHODS.has(method)) return { status: 405, why: `${method.slice(0, 20)} is not answered here.` };
  if (path.length > MOST_ADDRESS) return { status: 414, why: `The address is longer than ${MOST_ADDRESS} characters.` };
  const [place = "", query = ""] = path.split(/\?(.*)/s);
  if (decodedText(place) === null || decodedText(query.replaceAll("+", " ")) === null) return { status: 400, why: "The address holds signs that are no text." };
  if (framework.action !== null) return { status: 400, why: "There is no server action here." };
  if (framework.routerState !== null && !isRouterState(framework.routerState)) return { status: 400, why: "The header next-router-state-tree cannot be read." };
  return null;
}

/** An encoded text, decoded; null where it is none. */
function decodedText(encoded: string): string | null {
  try {
    const text = decodeURIComponent(encoded);
    return text.includes("\u0000") || /\p{Surrogate}/u.test(text) ? null : text;
  } catch {
    return null;
  }
}

const MOST_ROUTER_DEPTH = 40;

/** Whether a header is the framework's router state: [segment, { slot: router state }, …]. */
function isRouterState(header: string): boolean {
  const text = decodedText(header);
  if (text === null || text.length > MOST_ADDRESS) return false;
  try {
    return isTree(JSON.parse(text) as unknown, 0);
  } catch {
    return false;
  }
}

function isTree(value: unknown, depth: number): boolean {
  if (!Array.isArray(value) || depth > MOST_ROUTER_DEPTH) return false;
  const [segment, slots] = value as unknown[];
  const named = typeof segment === "string" || (Array.isArray(segment) && segment.length >= 3 && segment.slice(0, 3).every((part) => typeof part === "string"));
  return named && typeof slots === "object" && slots !== null && !Array.isArray(slots) && Object.values(slots).every((slot) => isTree(slot, depth + 1));
}

function splitHost(host: string): string[] {
  const found = /^(\[[^\]]*\]|[^:]*)(?::(\d+))?$/.exec(host.toLowerCase());
  return found ? [found[1] ?? "", ...(found[2] ? [found[2]] : [])] : [];
}

/** The content security policy of a page (scripts by nonce only), or of a file (null). Styles may be inline: charts and menus place themselves so. */
export function contentSecurityPolicy(nonce: string | null): string {
  return [
    "default-src 'self'",
    nonce === null ? "script-src 'self' 'wasm-unsafe-eval'" : `script-src 'nonce-${nonce}' 'strict-dynamic' 'wasm-unsafe-eval'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data:",
    // The silent video that keeps a screen on where the page is not secure.
    "media-src 'self' data:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "frame-ancestors 'none'",
    "base-uri 'none'",
    "form-action 'self'",
  ].join("; ");
}

export const FIXED_HEADERS: Readonly<Record<string, string>> = {
  "x-content-type-options": "nosniff",
  "referrer-policy": "same-origin",
  "cross-origin-opener-policy": "same-origin",
  "cross-origin-resource-policy": "same-origin",
};
