"use client";

import { useCallback, useEffect, useMemo } from "react";
import { toast } from "../shell/messages";
import { useHistory, type Undoable } from "./use-history";

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
  const place = `threpsis.draft ${key}`;
  const untouched = undo === null && redo === null;
  useEffect(() => {
    const found = read(place);
    if (!fits(found)) return;
    set(found);
    toast("What was typed here last time is back.");
  }, [place, fits, set]);
  useEffect(() => {
    if (!untouched) write(place, present);
  }, [place, present, untouched]);
  const forget = useCallback(() => write(place, null), [place]);
  return useMemo(() => ({ present, set, undo, redo, forget }), [present, set, undo, redo, forget]);
}

function read(place: string): unknown {
  try {
    return JSON.parse(window.localStorage.getItem(place) ?? "null") as unknown;
  } catch {
    return null;
  }
}

function write(place: string, value: unknown): void {
  try {
    if (value === null) window.localStorage.removeItem(place);
    else window.localStorage.setItem(place, JSON.stringify(value));
  } catch {
    // A browser that keeps nothing: the form still works, only not over a reload.
  }
}
