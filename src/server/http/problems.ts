/** One thing wrong with a request, and where (JSON pointer). */
export interface ProblemError {
  readonly pointer: string;
  readonly detail: string;
}

interface RefusalParts {
  readonly headers?: Readonly<Record<string, string>>;
  /** Members beside the standard ones (RFC 9457, 3.2). */
  readonly extra?: Readonly<Record<string, unknown>>;
}

/** A refusal, as RFC 9457 wants it told. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly errors: readonly ProblemError[] = [],
    readonly parts: RefusalParts = {},
  ) {
    super(title);
  }
}

export function problemResponse({ title, status, errors, parts }: Refusal): Response {
  const body = { type: "about:blank", title, status, ...(errors.length ? { errors } : {}), ...parts.extra };
  return new Response(JSON.stringify(body), { status, headers: { "content-type": "application/problem+json", ...parts.headers } });
}
