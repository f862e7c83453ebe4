"use client";

import type { ReactNode } from "react";
import { Button } from "../../parts/button";
import { WorkingOn } from "../../parts/working-on";
import type { WorkedOut } from "./use-worked-out";

interface WorkedOutSectionProps<Found> {
  readonly id: string;
  readonly title: string;
  readonly line: string;
  /** What the button that begins it says. */
  readonly ask: string;
  readonly work: WorkedOut<Found>;
  readonly children: (found: Found) => ReactNode;
}

/** A part of the bench that is worked out only when asked. */
export function WorkedOutSection<Found>({ id, title, line, ask, work: { state, start, stop }, children }: WorkedOutSectionProps<Found>) {
  return (
    <section aria-labelledby={id} className="mt-6 no-print">
      <h2 id={id} className="t-h2">
        {title}
      </h2>
      <p className="t-small text-ink2 border-b border-ink pb-1">{line}</p>
      {state.kind === "idle" && (
        <Button className="mt-2" onClick={start}>
          {ask}
        </Button>
      )}
      {state.kind === "working" && (
        <WorkingOn
          className="mt-2"
          words={`${state.progress.doing}, ${Math.min(state.progress.done + 1, state.progress.of)} of ${state.progress.of}`}
          done={state.progress.done}
          of={state.progress.of}
          onStop={stop}
        />
      )}
      {state.kind === "failed" && (
        <div role="alert" className="mt-2 flex flex-wrap gap-4 items-center">
          <p className="t-ledger flex-1 min-w-56">It could not be worked out: {state.why}</p>
          <Button onClick={start}>Try again</Button>
        </div>
      )}
      {state.kind === "done" && children(state.found)}
    </section>
  );
}
