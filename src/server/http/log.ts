import pino from "pino";

/** What happened, a line of JSON each, on the error stream; LOG_LEVEL=info has every request too. */
export const log = pino({ level: process.env.LOG_LEVEL ?? "warn", base: null, serializers: { err: describeError } }, pino.destination(2));

const MOST_MESSAGE = 200;
const MOST_FRAMES = 12;
const MOST_CAUSES = 3;

/** An error for the log: what kind, its code, where. Of its message what stands in quotes or brackets is left out: it may be of somebody's recipe. */
export function describeError(error: unknown, depth = 0): object {
  if (!(error instanceof Error)) return { kind: typeof error };
  return {
    kind: error.name,
    code: "code" in error ? String(error.code) : undefined,
    message: error.message
      .slice(0, 2 * MOST_MESSAGE)
      .replace(/"[^"]{0,400}"?|'[^']{0,400}'?|\([^)]{0,400}\)?/g, "…")
      .slice(0, MOST_MESSAGE),
    at: (error.stack ?? "")
      .split("\n")
      .filter((line) => line.trimStart().startsWith("at "))
      .slice(0, MOST_FRAMES),
    cause: error.cause !== undefined && depth < MOST_CAUSES ? describeError(error.cause, depth + 1) : undefined,
  };
}
