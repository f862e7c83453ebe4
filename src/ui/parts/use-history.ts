"use client";

import { useCallback, useEffect, useState } from "react";
import { tinykeys } from "tinykeys";

interface Steps<T> {
  readonly past: readonly T[];
  readonly present: T;
  readonly future: readonly T[];
  /** Edits under one key follow each other as one step to undo (typing in one field). */
  readonly key: string | null;
}

export interface Undoable<T> {
  readonly present: T;
  readonly set: (next: T | ((present: T) => T), key?: string) => void;
  readonly undo: (() => void) | null;
  readonly redo: (() => void) | null;
}
export interface History<T> extends Undoable<T> {
  /** Lays what was before beneath the first step, the earliest first, and takes one step back. */
  readonly bring: (earlier: readonly T[]) => void;
  /** Lays every state anew: something beneath all of them has changed. Should be stable. */
  readonly rebase: (laid: (state: T) => T) => void;
}

const MOST_STEPS = 100;

/** A value whose edits can be taken back. */
export function useHistory<T>(initial: T | (() => T)): History<T> {
  const [history, setHistory] = useState<Steps<T>>(() => ({ past: [], present: initial instanceof Function ? initial() : initial, future: [], key: null }));
  const set = useCallback((change: T | ((present: T) => T), key?: string) => {
    setHistory(({ past, present, key: last }) => {
      const next = change instanceof Function ? change(present) : change;
      return key !== undefined && key === last
        ? { past, present: next, future: [], key }
        : { past: [...past, present].slice(-MOST_STEPS), present: next, future: [], key: key ?? null };
    });
  }, []);
  const undo = useCallback(() => {
    setHistory((from) => {
      const before = from.past.at(-1);
      return before === undefined ? from : { past: from.past.slice(0, -1), present: before, future: [from.present, ...from.future], key: null };
    });
  }, []);
  const redo = useCallback(() => {
    setHistory((from) => {
      const [after, ...rest] = from.future;
      return after === undefined ? from : { past: [...from.past, from.present], present: after, future: rest, key: null };
    });
  }, []);
  const bring = useCallback(
    (earlier: readonly T[]) =>
      setHistory(({ past, present, future }) => {
        const all = [...earlier, ...past];
        const last = all.at(-1);
        return last === undefined ? { past, present, future, key: null } : { past: all.slice(0, -1), present: last, future: [present, ...future], key: null };
      }),
    [],
  );
  const rebase = useCallback(
    (laid: (state: T) => T) =>
      setHistory(({ past, present, future }) => ({ past: past.map(laid), present: laid(present), future: future.map(laid), key: null })),
    [],
  );
  return { present: history.present, set, bring, rebase, undo: history.past.length > 0 ? undo : null, redo: history.future.length > 0 ? redo : null };
}

/** Ctrl+Z and Ctrl+Shift+Z (or Ctrl+Y) for the one thing that a page edits; in a text field they stay the field's own. */
export function useUndoKeys({ undo, redo }: Pick<Undoable<unknown>, "undo" | "redo">): void {
  useEffect(() => {
    const key = (step: (() => void) | null) => (event: KeyboardEvent) => {
      event.preventDefault();
      step?.();
    };
    return tinykeys(
      window,
      { "$mod+z": key(undo), "$mod+Shift+z": key(redo), "$mod+y": key(redo) },
      { ignore: ({ target }) => target instanceof Element && target.closest("input, textarea, [contenteditable]") !== null },
    );
  }, [undo, redo]);
}
