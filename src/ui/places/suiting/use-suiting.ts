"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import type { DiningTable } from "../../../core/table";
import type { SuitLine, SuitRow, ToldSuited } from "../../../core/views";
import { Cancelled, createBrowserSolver, type SolverClient } from "../../../workers/client/browser";
import { why as whyOf } from "../../parts/send";
import { streamedLines } from "../../parts/stream";
import { useCompute } from "../../shell/computer";

/** How far the looking is. */
export type Looking =
  | { readonly kind: "reading"; readonly done: number; readonly of: number }
  | { readonly kind: "solving"; readonly done: number; readonly of: number; readonly title: string }
  | { readonly kind: "done" }
  | { readonly kind: "stopped" }
  | { readonly kind: "failed"; readonly why: string };

/** So many versions are worked out at one go, the nearest first. */
const AT_ONE_GO = 10;

interface Suiting {
  readonly looking: Looking;
  /** All that were looked at; null while they are. */
  readonly found: { readonly rows: readonly SuitRow[]; readonly of: number } | null;
  /** What was worked out, by recipe. */
  readonly suited: ReadonlyMap<string, ToldSuited>;
  readonly stop: () => void;
  readonly again: () => void;
  /** Works out the next few. */
  readonly more: () => void;
}

const isWaiting = (row: SuitRow, suited: ReadonlyMap<string, ToldSuited>): boolean =>
  row.kind === "to adapt" && row.recipe !== undefined && !suited.has(row.id);

/** Which recipes suit a table: the server reads and judges all, then the solver's worker works out the nearest. */
export function useSuiting(table: DiningTable, leave: string | null): Suiting {
  const [looking, setLooking] = useState<Looking>({ kind: "reading", done: 0, of: 0 });
  const [found, setFound] = useState<Suiting["found"]>(null);
  const [suited, setSuited] = useState<ReadonlyMap<string, ToldSuited>>(new Map());
  const compute = useCompute();
  const solver = useRef<SolverClient | null>(null);
  const running = useRef<AbortController | null>(null);

  const begin = useCallback(() => {
    running.current?.abort();
    return (running.current = new AbortController());
  }, []);
  const solve = useCallback(
    async (rows: readonly SuitRow[], known: ReadonlyMap<string, ToldSuited>, { signal }: AbortController) => {
      const due = rows.filter((row) => isWaiting(row, known)).slice(0, AT_ONE_GO);
      let now = known;
      for (const [done, { id, title, recipe }] of due.entries()) {
        if (!recipe) continue;
        setLooking({ kind: "solving", done, of: due.length, title });
        const problem = await compute("suit problem", { recipe, table });
        solver.current ??= createBrowserSolver();
        const ending = await solver.current.versions(problem, { signal });
        const told = await compute("suit ending", { recipe, table, ending });
        if (signal.aborted) throw new Cancelled();
        now = new Map([...now, [id, told]]);
        setSuited(now);
      }
      setLooking({ kind: "done" });
    },
    [compute, table],
  );
  const guarded = useCallback(async (controller: AbortController, work: () => Promise<void>) => {
    try {
      await work();
    } catch (error) {
      if (running.current !== controller) return;
      setLooking(controller.signal.aborted || error instanceof Cancelled ? { kind: "stopped" } : { kind: "failed", why: whyOf(error, "It stopped.") });
    }
  }, []);
  const start = useCallback(() => {
    const controller = begin();
    void guarded(controller, async () => {
      setLooking({ kind: "reading", done: 0, of: 0 });
      setFound(null);
      setSuited(new Map());
      let rows: readonly SuitRow[] | undefined;
      for await (const each of streamedLines("/api/recipes/suited", { table, leave }, controller.signal)) {
        const line = each as SuitLine | { readonly kind: "failed"; readonly why: string };
        if (controller.signal.aborted) throw new Cancelled();
        if (line.kind === "failed") throw new Error(line.why);
        if (line.kind === "progress") setLooking({ ...line, kind: "reading" });
        else {
          rows = line.rows;
          setFound(line);
        }
      }
      if (!rows) throw new Error("The answer broke off.");
      await solve(rows, new Map(), controller);
    });
  }, [begin, guarded, leave, solve, table]);
  const more = useCallback(() => {
    if (!found) return;
    const controller = begin();
    void guarded(controller, () => solve(found.rows, suited, controller));
  }, [begin, found, guarded, solve, suited]);
  const stop = useCallback(() => running.current?.abort(), []);

  useEffect(() => {
    // Not before the page has painted.
    const soon = setTimeout(start);
    return () => {
      clearTimeout(soon);
      running.current?.abort();
    };
  }, [start]);
  useEffect(
    () => () => {
      solver.current?.close();
      solver.current = null;
    },
    [],
  );
  return { looking, found, suited, stop, again: start, more };
}
