import type { DeviationState } from "../../core/evaluate";

const COLOURS: Readonly<Record<DeviationState, string>> = { inside: "text-ink", "just inside": "text-brass-line", outside: "text-rose", free: "text-ink3" };
export const stateColour = (state: DeviationState): string => COLOURS[state];

/** The mark of a state: a level bar, a notched bar, an open slashed diamond; a short dash where any difference is free. */
export function StateMark({ state, size = 12 }: { readonly state: DeviationState; readonly size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 12 12"
      aria-hidden="true"
      className={`inline-block shrink-0 ${COLOURS[state]}`}
      fill="none"
      stroke="currentColor"
    >
      {state === "inside" && <path d="M1 6h10" strokeWidth="2.4" />}
      {state === "just inside" && <path d="M1 6h10M9 2.5v7" strokeWidth="2" />}
      {state === "outside" && <path d="M6 .9 11.1 6 6 11.1.9 6ZM3.6 8.4l4.8-4.8" strokeWidth="1.5" />}
      {state === "free" && <path d="M3.5 6h5" strokeWidth="1.6" />}
    </svg>
  );
}

/** Marks of a line: a cross is what breaks as it stands, two arrows an exchange, a bar what was left out, a plus what was added; a question is still open. */
export function WhyMark({ kind }: { readonly kind: "conflict" | "replaced" | "added" | "ask" | "left out" }) {
  const colour = kind === "conflict" ? "text-rose" : kind === "ask" ? "text-saffron" : "text-ink2";
  return (
    <svg
      width="12"
      height="12"
      viewBox="0 0 12 12"
      aria-hidden="true"
      className={`inline-block shrink-0 ${colour}`}
      fill="none"
      stroke="currentColor"
      strokeWidth="1.9"
    >
      {kind === "conflict" && <path d="m2 2 8 8M10 2 2 10" />}
      {kind === "replaced" && <path d="M1 4h9M7.5 1.5 10 4M11 8H2M4.5 10.5 2 8" strokeWidth="1.5" />}
      {kind === "left out" && <path d="M1.5 6h9" />}
      {kind === "added" && <path d="M6 1.5v9M1.5 6h9" />}
      {kind === "ask" && <path d="M3.2 4.2C3.2 1 8.8 1 8.8 4.1 8.8 6.2 6 6 6 8M6 9.6v1.6" />}
    </svg>
  );
}

/** An arrow, drawn, because the type has none. */
export function Arrow() {
  return (
    <svg width="20" height="12" viewBox="0 0 20 12" aria-hidden="true" fill="none" stroke="currentColor" strokeWidth="1.8">
      <path d="M0 6h18M13 1l5 5-5 5" />
    </svg>
  );
}
export function Chevron({ open }: { readonly open: boolean }) {
  return (
    <svg width="12" height="12" viewBox="0 0 12 12" aria-hidden="true" fill="none" stroke="currentColor" strokeWidth="1.8">
      <path d={open ? "m1.5 8 4.5-4 4.5 4" : "m1.5 4 4.5 4 4.5-4"} />
    </svg>
  );
}
