import { NextResponse, type NextRequest } from "next/server";
import { contentSecurityPolicy, FIXED_HEADERS, turnAway } from "./server/http/guard";
import { log } from "./server/http/log";

const FILES = /^\/(?:_next\/|solver\/|icon\.svg)/;

/** Stands before every request: who asks, under which name; headers, a nonce for the page's scripts, an id for the log. */
export function proxy(request: NextRequest): Response {
  const { headers, method } = request;
  const id = crypto.randomUUID();
  const head = {
    method,
    path: `${request.nextUrl.pathname}${request.nextUrl.search}`,
    host: headers.get("host"),
    origin: headers.get("origin"),
    site: headers.get("sec-fetch-site"),
    mode: headers.get("sec-fetch-mode"),
  };
  const turned = turnAway(head, process.env.PORT ?? "3000");
  if (turned) {
    log.warn(
      {
        id,
        method,
        path: request.nextUrl.pathname.slice(0, 200),
        status: turned.status,
        host: headers.get("host")?.slice(0, 80),
        origin: headers.get("origin")?.slice(0, 80),
      },
      turned.why,
    );
    return Response.json(
      { type: "about:blank", title: turned.why, status: turned.status },
      { status: turned.status, headers: { "content-type": "application/problem+json", "x-request-id": id, ...FIXED_HEADERS } },
    );
  }
  const file = FILES.test(request.nextUrl.pathname);
  const nonce = file ? null : Buffer.from(crypto.randomUUID()).toString("base64");
  const policy = contentSecurityPolicy(nonce);
  const passed = new Headers(headers);
  passed.set("x-request-id", id);
  // The framework reads the nonce for its own scripts from here.
  passed.set("content-security-policy", policy);
  const response = NextResponse.next({ request: { headers: passed } });
  for (const [name, value] of Object.entries({ ...FIXED_HEADERS, "content-security-policy": policy, "x-request-id": id })) response.headers.set(name, value);
  if (!file) log.info({ id, method, path: request.nextUrl.pathname }, "request");
  return response;
}
