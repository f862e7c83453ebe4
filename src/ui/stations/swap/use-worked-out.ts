"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { Recipe } from "../../../core/recipe";
import type { Progress } from "../../../core/substitution";
import type { DiningTable } from "../../../core/table";
import type { WayPicks } from "../../../core/ways";
import { Cancelled, createBrowserSolver, type SolverClient } from "../../../workers/client/browser";
import { why as whyOf } from "../../parts/send";
import { useCompute, type Compute } from "../../shell/computer";

/** What something is worked out for. */
export interface WorkedFor {
  readonly recipe: Recipe;
  readonly table: DiningTable;
  /** The ways of this batch. */
  readonly ways: WayPicks;
}

/** What it is worked out with. */
export interface Work {
  readonly at: WorkedFor;
  readonly compute: Compute;
  readonly solver: SolverClient;
  readonly signal: AbortSignal;
  readonly onProgress: (progress: Progress) => void;
}

type WorkState<Found> =
  | { readonly kind: "idle" }
  | { readonly kind: "working"; readonly progress: Progress }
  | { readonly kind: "done"; readonly found: Found }
  | { readonly kind: "failed"; readonly why: string };

export interface WorkedOut<Found> {
  readonly state: WorkState<Found>;
  readonly start: () => void;
  readonly stop: () => void;
}

const STARTING: Progress = { done: 0, of: 1, doing: "Loading the solver" };

/** What is worked out when asked, with a solver of its own; forgotten when recipe, table or ways change. `work` has to be stable. */
export function useWorkedOut<Found>({ recipe, table, ways }: WorkedFor, work: (work: Work) => Promise<Found>): WorkedOut<Found> {
  const at = useMemo(() => ({ recipe, table, ways }), [recipe, table, ways]);
  const [held, setHeld] = useState<{ readonly of: WorkedFor | null; readonly state: WorkState<Found> }>({ of: null, state: { kind: "idle" } });
  const compute = useCompute();
  const running = useRef<AbortController | null>(null);
  const start = useCallback(() => {
    running.current?.abort();
    const controller = new AbortController();
    running.current = controller;
    const tell = (state: WorkState<Found>) => running.current === controller && setHeld({ of: at, state });
    const solver = createBrowserSolver();
    tell({ kind: "working", progress: STARTING });
    work({ at, compute, solver, signal: controller.signal, onProgress: (progress) => tell({ kind: "working", progress }) })
      .then((found) => tell({ kind: "done", found }))
      .catch((error: unknown) =>
        tell(error instanceof Cancelled || controller.signal.aborted ? { kind: "idle" } : { kind: "failed", why: whyOf(error, "The solver stopped.") }),
      )
      .finally(() => solver.close());
  }, [at, compute, work]);
  const stop = useCallback(() => running.current?.abort(), []);
  useEffect(() => stop, [stop]);
  return { state: held.of === at ? held.state : { kind: "idle" }, start, stop };
}
