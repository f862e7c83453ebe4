"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { canProve, type PlacedTask, type PlanProblem, type Proven } from "../../../core/plan";
import { Cancelled, createBrowserProver, type ProofClient } from "../../../workers/client/browser";
import { PROOF_SECONDS } from "../../../workers/proving";
import { why as whyOf } from "../../parts/send";

/** How late a plan can begin, as it is looked for. */
export interface ProofState {
  /** Whether it can be asked for this plan. */
  readonly isOffered: boolean;
  /** While it is looked for: how much of the time is gone, 0 to 1; null otherwise. */
  readonly share: number | null;
  readonly why: string | null;
  readonly look: () => void;
  readonly stop: () => void;
}

const TELL_MS = 200;

/** Looks beside the page whether a plan can begin later, or proves that none does. What changes meanwhile ends it. */
export function useProof({
  problem,
  placed,
  onProven,
}: {
  readonly problem: PlanProblem;
  /** The plan as it is laid; of another one it is looked for anew. */
  readonly placed: readonly PlacedTask[];
  readonly onProven: (proven: Proven) => void;
}): ProofState {
  const [running, setRunning] = useState<{ readonly of: readonly PlacedTask[]; readonly share: number } | null>(null);
  const [lost, setLost] = useState<{ readonly of: readonly PlacedTask[]; readonly why: string } | null>(null);
  const client = useRef<ProofClient | null>(null);
  const run = useRef<AbortController | null>(null);
  const stop = useCallback(() => {
    run.current?.abort();
    run.current = null;
    setRunning(null);
  }, []);
  useEffect(() => () => run.current?.abort(), [placed]);
  useEffect(
    () => () => {
      client.current?.close();
      client.current = null;
    },
    [],
  );
  const look = useCallback(() => {
    run.current?.abort();
    const own = new AbortController();
    run.current = own;
    client.current ??= createBrowserProver();
    const begun = performance.now();
    setLost(null);
    setRunning({ of: placed, share: 0 });
    const timer = setInterval(() => setRunning({ of: placed, share: Math.min(1, (performance.now() - begun) / (1000 * PROOF_SECONDS)) }), TELL_MS);
    own.signal.addEventListener("abort", () => clearInterval(timer));
    const mine = new Set(problem.tasks.map(({ id }) => id));
    client.current
      .ask({ problem, placed: placed.filter(({ id }) => mine.has(id)) }, { signal: own.signal })
      .then((proven) => {
        stop();
        onProven(proven);
      })
      .catch((error: unknown) => {
        if (error instanceof Cancelled) return;
        stop();
        setLost({ of: placed, why: whyOf(error, "It could not be looked for.") });
      });
  }, [onProven, placed, problem, stop]);
  return {
    isOffered: canProve(problem, placed),
    share: running?.of === placed ? running.share : null,
    why: lost?.of === placed ? lost.why : null,
    look,
    stop,
  };
}
