"use client";

import { useEffect, useRef, useState } from "react";

/** A plan that moved by itself: when, ms, and what was behind, by task. */
export interface MovedPlan {
  readonly at: number;
  readonly task: string;
}

/** So often a plan moves by itself at the most, ms. */
const REST_MS = 5 * 60_000;

/** While it is cooked by a plan and something is behind it, the plan is solved anew from now on, now and then. */
export function useMovedPlan({
  behind,
  isCooking,
  isFree,
  anew,
  now,
}: {
  readonly behind: readonly string[];
  readonly isCooking: boolean;
  /** Nothing is solved just now, and nothing stands in the way. */
  readonly isFree: boolean;
  readonly anew: () => void;
  readonly now: number;
}): MovedPlan | null {
  const [moved, setMoved] = useState<MovedPlan | null>(null);
  const last = useRef(0);
  const [first] = behind;
  useEffect(() => {
    if (first === undefined || !isCooking || !isFree || now - last.current < REST_MS) return;
    const timer = setTimeout(() => {
      last.current = now;
      setMoved({ at: now, task: first });
      anew();
    }, 0);
    return () => clearTimeout(timer);
  }, [first, isCooking, isFree, anew, now]);
  return moved;
}
