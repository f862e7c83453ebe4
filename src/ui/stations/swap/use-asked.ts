"use client";

import { useCallback, useEffect, useRef } from "react";
import type { StoredBench } from "../../../core/adaptation";
import { withoutWish, withWish, type DiningTable, type LimitId, type Wish } from "../../../core/table";
import type { ToldProposal } from "../../../core/views";
import type { Search } from "./use-proposals";

interface Asking {
  readonly search: Search;
  /** What is laid on the bench once it is worked out; undefined where what a hand has changed lies there. */
  readonly first: ToldProposal | undefined;
  readonly set: (bench: StoredBench) => void;
  readonly setTable: (next: (table: DiningTable) => DiningTable) => void;
}

/** What is asked of the table from the bench: as soon as its version is worked out, that is laid on. */
export function useAsked({ search, first, set, setTable }: Asking) {
  const lays = useRef<"no" | "asked" | "working">("no");
  const ask = useCallback(
    (next: (table: DiningTable) => DiningTable) => {
      lays.current = "asked";
      setTable(next);
    },
    [setTable],
  );
  const onWish = useCallback((wish: Wish) => ask((now) => ({ ...now, wishes: withWish(now.wishes ?? [], wish) })), [ask]);
  const onLetGo = useCallback((wish: Wish) => ask((now) => ({ ...now, wishes: withoutWish(now.wishes ?? [], wish) })), [ask]);
  const onLimit = useCallback(
    (limit: LimitId, most: number) => ask((now) => ({ ...now, limits: now.limits.map((each) => (each.id === limit ? { ...each, most } : each)) })),
    [ask],
  );
  useEffect(() => {
    if (search.kind === "working" && lays.current === "asked") lays.current = "working";
    if (search.kind !== "ended" || lays.current !== "working") return;
    lays.current = "no";
    if (first) set(first.bench);
  }, [search, first, set]);
  return { ask, onWish, onLetGo, onLimit };
}
