"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import type { AdaptationProblem, Ending, Progress } from "../../../core/substitution";
import { Cancelled, createBrowserSolver, type SolverClient } from "../../../workers/client";

export type SolverState =
  | { readonly kind: "idle" }
  | { readonly kind: "working"; readonly progress: Progress }
  /** With the problem that it is the ending of. */
  | { readonly kind: "ended"; readonly ending: Ending; readonly of: AdaptationProblem }
  | { readonly kind: "cancelled" }
  | { readonly kind: "failed"; readonly why: string };

export const STARTING: Progress = { done: 0, of: 4, doing: "Loading the solver" };

/** Runs the solver for one problem at a time: starts, shows progress, can be cancelled. */
export function useSolver(): { readonly state: SolverState; readonly start: (problem: AdaptationProblem) => void; readonly cancel: () => void } {
  const [state, setState] = useState<SolverState>({ kind: "idle" });
  const client = useRef<SolverClient | null>(null);
  const running = useRef<AbortController | null>(null);

  const start = useCallback((problem: AdaptationProblem) => {
    running.current?.abort();
    const controller = new AbortController();
    running.current = controller;
    setState({ kind: "working", progress: STARTING });
    client.current ??= createBrowserSolver();
    const mine = () => running.current === controller;
    client.current
      .ask(problem, {
        signal: controller.signal,
        onProgress: (progress) => {
          if (mine()) setState({ kind: "working", progress });
        },
      })
      .then((ending) => {
        if (mine()) setState({ kind: "ended", ending, of: problem });
      })
      .catch((error: unknown) => {
        if (mine())
          setState(
            error instanceof Cancelled ? { kind: "cancelled" } : { kind: "failed", why: error instanceof Error ? error.message : "The solver stopped." },
          );
      });
  }, []);
  const cancel = useCallback(() => running.current?.abort(), []);
  useEffect(
    () => () => {
      running.current?.abort();
      client.current?.close();
      client.current = null;
    },
    [],
  );
  return { state, start, cancel };
}
