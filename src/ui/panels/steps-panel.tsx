import type { StepWords } from "../../core/method";

/** The steps with a version's foods written in: what is new is marked, what goes is struck through. */
export function StepsPanel({ steps }: { readonly steps: readonly StepWords[] }) {
  if (steps.length === 0) return <p className="t-ledger text-ink2 rule-t pt-2 mt-1">The recipe has no steps. Add them at the Recipe station.</p>;
  return (
    <ol className="rule-t mt-1">
      {steps.map((step, i) => (
        <li key={step.step} className="grid grid-cols-[28px_minmax(0,1fr)] border-b border-line py-2">
          <span className="t-figure text-ink2">{i + 1}</span>
          <p className="max-w-[72ch]">
            {step.segments.map((segment, j) =>
              segment.kind === "plain" ? (
                <span key={j}>{segment.text}</span>
              ) : segment.kind === "removed" ? (
                <del key={j} className="text-ink3">
                  {segment.text}
                </del>
              ) : (
                <ins key={j} className="no-underline font-[560] bg-saffron-wash t-frac">
                  {segment.text}
                </ins>
              ),
            )}
            {step.why && (
              <span className="t-small text-ink2 block">
                {step.from === null ? "Added: " : ""}
                {step.why}
              </span>
            )}
          </p>
        </li>
      ))}
    </ol>
  );
}
