/** One thing wrong with a request, and where (JSON pointer). */
export interface ProblemError {
  readonly pointer: string;
  readonly detail: string;
}

/** A refusal of the door, as RFC 9457 wants it told. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly errors: readonly ProblemError[] = [],
    readonly headers: Readonly<Record<string, string>> = {},
  ) {
    super(title);
  }
}

export function problemResponse(refusal: Refusal): Response {
  const body = { type: "about:blank", title: refusal.title, status: refusal.status, ...(refusal.errors.length ? { errors: refusal.errors } : {}) };
  return new Response(JSON.stringify(body), { status: refusal.status, headers: { "content-type": "application/problem+json", ...refusal.headers } });
}
