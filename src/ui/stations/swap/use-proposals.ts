"use client";

import { useEffect, useMemo, useRef } from "react";
import { reopened, storedProposals, type StoredProposals } from "../../../core/adaptation";
import type { Kitchen } from "../../../core/kitchen";
import { endsAtOnce } from "../../../core/substitution";
import { send } from "../../parts/send";
import { useHouseRulesDocument } from "../../shell/house-rules";
import { useHouseholdDocument } from "../../shell/household";
import { usePantryDocument } from "../../shell/pantry";
import type { BenchView } from "./bench-view";
import { useSolver, type SolverState } from "./use-solver";

/** What versions are worked out for: the models, and the revisions of all documents that they rest on. Null while something of these is not saved. */
function useBasis({ reference: { modelVersion } }: Kitchen, recipe: number | null, table: number | null): string | null {
  const revisions = [recipe, table, usePantryDocument().revision, useHouseRulesDocument().revision, useHouseholdDocument().revision];
  return revisions.includes(null) ? null : [modelVersion, ...revisions].join(" ");
}

/** What was worked out before, and the revisions of recipe and table as they are here. */
export interface GivenProposals {
  readonly stored: StoredProposals | null;
  readonly recipe: number | null;
  readonly table: number | null;
}

interface Proposals {
  readonly search: SolverState;
  readonly again: () => void;
  readonly cancel: () => void;
}

/** The versions for a table: told at once, as they were worked out before, or worked out in the solver's worker and kept. */
export function useProposals(id: string, view: BenchView, kitchen: Kitchen, given: GivenProposals): Proposals {
  const { problem, before } = view;
  const atOnce = useMemo(() => endsAtOnce(problem), [problem]);
  const { state, start, cancel } = useSolver();
  const basis = useBasis(kitchen, given.recipe, given.table);
  const known = useMemo(
    () => (atOnce || basis === null ? null : reopened(given.stored, basis, problem, kitchen.reference.foods, before.figures)),
    [atOnce, basis, given.stored, problem, kitchen, before],
  );
  useEffect(() => {
    if (!atOnce && !known) start(problem);
  }, [start, atOnce, known, problem]);

  const kept = useRef<unknown>(null);
  useEffect(() => {
    if (state.kind !== "ended" || state.of !== problem || basis === null || kept.current === state.ending) return;
    kept.current = state.ending;
    const stored = storedProposals(state.ending, basis);
    // Where it cannot be kept it is worked out again the next time.
    if (stored) send("PUT", `/api/recipes/${id}/proposals`, stored).catch(() => undefined);
  }, [state, problem, basis, id]);

  const again = () => start(problem);
  if (atOnce) return { search: { kind: "ended", ending: atOnce, of: problem }, again, cancel };
  return { search: known && state.kind === "idle" ? { kind: "ended", ending: known, of: problem } : state, again, cancel };
}
