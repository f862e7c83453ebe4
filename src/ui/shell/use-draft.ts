"use client";

import { useCallback, useEffect, useMemo } from "react";
import { toast } from "./messages";
import { forget as forgetKept, keep, takeLeft } from "./kept";
import { useHistory, type Undoable } from "../parts/use-history";

interface Draft<T> extends Undoable<T> {
  /** Once it is saved elsewhere: nothing is kept here any more. */
  readonly forget: () => void;
}

/**
 * A form's state with undo, which outlives a reload of its page until it is saved: kept in this browser under a key.
 * `fits` tells whether what is found is still of the form's shape. `initial` and `fits` should be stable.
 */
export function useDraft<T>(key: string, initial: () => T, fits: (found: unknown) => found is T): Draft<T> {
  const { present, set, undo, redo } = useHistory<T>(initial);
  const place = `draft ${key}`;
  const untouched = undo === null && redo === null;
  useEffect(
    () =>
      takeLeft(place, (found) => {
        if (!fits(found)) return;
        keep(place, found);
        set(found);
        toast("What was typed here last time is back.");
      }),
    [place, fits, set],
  );
  useEffect(() => {
    if (!untouched) keep(place, present);
  }, [place, present, untouched]);
  const forget = useCallback(() => forgetKept(place), [place]);
  return useMemo(() => ({ present, set, undo, redo, forget }), [present, set, undo, redo, forget]);
}
