import { randomUUID } from "node:crypto";
import { createServer, type IncomingMessage, type Server, type ServerResponse } from "node:http";
import type { Duplex } from "node:stream";
import { FIXED_HEADERS, turnAwayMalformed } from "./guard";
import { log } from "./log";

type Handle = (request: IncomingMessage, response: ServerResponse) => Promise<void>;

const one = (value: string | string[] | undefined): string | null => (Array.isArray(value) ? (value[0] ?? "") : (value ?? null));
const problem = (status: number, title: string) => JSON.stringify({ type: "about:blank", title, status });

/** How long a client may take to send its head, and all of a request, ms. */
const HEAD_MS = 20_000;
const REQUEST_MS = 120_000;
const MOST_CONNECTIONS = 500;

/**
 * The server that stands before the framework: what is malformed is answered here with a 4xx and a reason, and never
 * reaches it. Connections, and the time a request may take to come in, are bounded.
 */
export function createFront(handle: Handle): Server {
  const server = createServer({ headersTimeout: HEAD_MS, requestTimeout: REQUEST_MS }, (request, response) => {
    const turned = turnAwayMalformed(
      { method: request.method ?? "", path: request.url ?? "" },
      { routerState: one(request.headers["next-router-state-tree"]), action: one(request.headers["next-action"]) },
    );
    if (turned) {
      // What is still coming in is not wanted.
      const id = randomUUID();
      log.warn({ id, method: request.method, path: request.url?.slice(0, 200), status: turned.status }, turned.why);
      response.writeHead(turned.status, { "content-type": "application/problem+json", ...FIXED_HEADERS, "x-request-id": id, connection: "close" });
      response.end(problem(turned.status, turned.why));
      return;
    }
    const handled = handle(request, response);
    if (server.listenerCount("upgrade") > 1) onlyOwnUpgrade();
    handled.catch(() => {
      if (!response.headersSent) response.writeHead(500, { "content-type": "application/problem+json" });
      response.end(problem(500, "Something went wrong here. Nothing that was saved has changed; please try again."));
    });
  });
  server.maxConnections = MOST_CONNECTIONS;
  const refuse = (socket: Duplex, status: string, why: string) => {
    if (!socket.writable) return socket.destroy();
    const body = why && problem(Number(status.slice(0, 3)), why);
    return socket.end(
      `HTTP/1.1 ${status}\r\ncontent-type: application/problem+json\r\ncontent-length: ${Buffer.byteLength(body)}\r\nconnection: close\r\n\r\n${body}`,
    );
  };
  server.on("clientError", (error: NodeJS.ErrnoException, socket) =>
    error.code === "HPE_HEADER_OVERFLOW"
      ? refuse(socket, "431 Request Header Fields Too Large", "The request's head is too large.")
      : refuse(socket, "400 Bad Request", "This is no HTTP request."),
  );
  // The framework listens for its development socket on whatever server it is handed; there is none here.
  const onlyOwnUpgrade = () => {
    server.removeAllListeners("upgrade");
    server.on("upgrade", ({ method }: IncomingMessage, socket: Duplex) =>
      refuse(socket, "400 Bad Request", method === "HEAD" ? "" : "There is no other protocol here."),
    );
  };
  onlyOwnUpgrade();
  server.on("connect", (_request, socket) => refuse(socket, "405 Method Not Allowed", "CONNECT is not answered here."));
  server.on("checkExpectation", (_request: IncomingMessage, response: ServerResponse) => {
    response.writeHead(417, { "content-type": "application/problem+json", connection: "close" });
    response.end(problem(417, "What the request expects is not done here."));
  });
  return server;
}
