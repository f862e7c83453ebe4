"use client";

import { useCallback } from "react";
import type { KitchenSources } from "../../core/kitchen";
import type { ViewAnswer, ViewKind, ViewQuestion } from "../../core/views";
import { createBrowserComputer, type Computer } from "../../workers/client/browser";
import { useSources } from "./use-sources";

// One for the window: it knows the foods already when the next station asks.
let computer: Computer | null = null;

/** Asks what computes beside the page, in the kitchen of these documents. */
export function compute<Kind extends ViewKind>(kind: Kind, question: ViewQuestion<Kind>, sources: KitchenSources): Promise<ViewAnswer<Kind>> {
  computer ??= createBrowserComputer();
  return computer.ask(kind, question, sources);
}

export type Compute = <Kind extends ViewKind>(kind: Kind, question: ViewQuestion<Kind>) => Promise<ViewAnswer<Kind>>;

/** The same, in the household's kitchen as it is at the moment. */
export function useCompute(): Compute {
  const sources = useSources();
  return useCallback((kind, question) => compute(kind, question, sources), [sources]);
}
