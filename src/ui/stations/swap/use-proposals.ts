"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { Recipe } from "../../../core/recipe";
import type { Progress } from "../../../core/substitution";
import type { DiningTable } from "../../../core/table";
import type { ToldEnding } from "../../../core/views";
import type { WayPicks } from "../../../core/ways";
import { Cancelled, createBrowserSolver, type SolverClient } from "../../../workers/client/browser";
import { send, why as whyOf } from "../../parts/send";
import { useCompute } from "../../shell/computer";
import { useHouseRulesDocument } from "../../shell/house-rules";
import { useHouseholdDocument } from "../../shell/household";
import { usePantryDocument } from "../../shell/pantry";

export const STARTING: Progress = { done: 0, of: 4, doing: "Loading the solver" };

/** How far a search for versions is. */
export type Search =
  | { readonly kind: "idle" }
  | { readonly kind: "working"; readonly progress: Progress }
  | { readonly kind: "ended"; readonly ending: ToldEnding }
  | { readonly kind: "cancelled" }
  | { readonly kind: "failed"; readonly why: string };

interface Sought {
  readonly id: string;
  readonly recipe: Recipe;
  readonly table: DiningTable;
  /** The ways of this batch. */
  readonly ways: WayPicks;
  /** The revisions of all documents that it rests on; null while one of them is not saved. */
  readonly revisions: readonly number[] | null;
  /** How it ends, where that is known without the solver; undefined while that is not known. */
  readonly known: ToldEnding | null | undefined;
}

interface Proposals {
  readonly search: Search;
  readonly again: () => void;
  readonly cancel: () => void;
}

/** The revisions of all documents that what is worked out rests on; null while one of them is not saved. */
export function useRevisions(recipe: number | null, table: number | null): readonly number[] | null {
  const [pantry, house, household] = [usePantryDocument().revision, useHouseRulesDocument().revision, useHouseholdDocument().revision];
  return useMemo(
    () => (recipe === null || table === null || pantry === null || house === null || household === null ? null : [recipe, table, pantry, house, household]),
    [recipe, table, pantry, house, household],
  );
}

/** The versions for a table: told at once, as they were worked out before, or worked out in the solver's worker and kept. */
export function useProposals({ id, recipe, table, ways, revisions, known }: Sought): Proposals {
  const [search, setSearch] = useState<Search>({ kind: "idle" });
  const compute = useCompute();
  const solver = useRef<SolverClient | null>(null);
  const running = useRef<AbortController | null>(null);
  const rested = useRef(revisions);
  useEffect(() => void (rested.current = revisions), [revisions]);

  const start = useCallback(async () => {
    const at = { recipe, table, ways };
    running.current?.abort();
    const controller = new AbortController();
    running.current = controller;
    // One whose place another took says nothing more.
    const tell = (next: Search) => running.current === controller && setSearch(next);
    tell({ kind: "working", progress: STARTING });
    try {
      const problem = await compute("bench problem", at);
      const restsOn = rested.current;
      solver.current ??= createBrowserSolver();
      const ending = await solver.current.versions(problem, { signal: controller.signal, onProgress: (progress) => tell({ kind: "working", progress }) });
      const { told, kept } = await compute("bench ending", { ...at, ending, revisions: restsOn });
      tell({ kind: "ended", ending: told });
      // Where it cannot be kept it is worked out again the next time.
      if (kept) send("PUT", `/api/recipes/${id}/proposals`, kept).catch(() => undefined);
    } catch (error) {
      tell(error instanceof Cancelled ? { kind: "cancelled" } : { kind: "failed", why: whyOf(error, "The solver stopped.") });
    }
  }, [id, recipe, table, ways, compute]);
  const cancel = useCallback(() => running.current?.abort(), []);
  useEffect(
    () => () => {
      running.current?.abort();
      solver.current?.close();
      solver.current = null;
    },
    [],
  );

  const needsSolver = known === null;
  useEffect(() => {
    if (needsSolver) void start();
  }, [needsSolver, start]);
  return { search: known ? { kind: "ended", ending: known } : search, again: () => void start(), cancel };
}
