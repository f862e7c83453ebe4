"use client";

import { useCallback } from "react";
import type { KitchenSources } from "../../core/kitchen";
import type { ViewAnswer, ViewKind, ViewQuestion } from "../../core/views";
import { createBrowserComputer, type Computer } from "../../workers/client/browser";
import { useSources } from "./use-sources";

// One for the window: it knows the foods already when the next station asks. What takes long has one of its own, so that no
// keystroke waits for it.
const computers = new Map<"soon" | "long", Computer>();
const LONG: ReadonlySet<ViewKind> = new Set<ViewKind>(["draws", "ways"]);

/** Asks what computes beside the page, in the kitchen of these documents. Only what takes long is stopped by a signal. */
export function compute<Kind extends ViewKind>(
  kind: Kind,
  question: ViewQuestion<Kind>,
  sources: KitchenSources,
  signal?: AbortSignal,
): Promise<ViewAnswer<Kind>> {
  const isLong = LONG.has(kind);
  const name = isLong ? "long" : "soon";
  const computer = computers.get(name) ?? createBrowserComputer();
  computers.set(name, computer);
  return computer.ask(kind, question, sources, isLong ? signal : undefined);
}

export type Compute = <Kind extends ViewKind>(kind: Kind, question: ViewQuestion<Kind>, signal?: AbortSignal) => Promise<ViewAnswer<Kind>>;

/** The same, in the household's kitchen as it is at the moment. */
export function useCompute(): Compute {
  const sources = useSources();
  return useCallback((kind, question, signal) => compute(kind, question, sources, signal), [sources]);
}
