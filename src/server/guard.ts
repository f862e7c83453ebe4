/** The name by which a request says that it reached this server, and where it says that it comes from. */
export interface RequestHead {
  readonly method: string;
  readonly host: string | null;
  readonly origin: string | null;
  /** Sec-Fetch-Site and Sec-Fetch-Mode, which browsers set and pages cannot. */
  readonly site: string | null;
  readonly mode: string | null;
}

export interface Turned {
  readonly status: 421 | 403;
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
  const followed = head.mode === "navigate" && (head.method === "GET" || head.method === "HEAD");
  if (head.site !== null && head.site !== "same-origin" && head.site !== "none" && !followed)
    return { status: 403, why: "A page of another site may not read from this one." };
  return null;
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
