"use client";

import { useEffect, useSyncExternalStore } from "react";
import { tinykeys } from "tinykeys";

const SETTING = "threpsis.keys-off";
const listeners = new Set<() => void>();
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** Whether single letters are keys of the house; speech input and the like may want them off. */
export function useKeysOn(): readonly [on: boolean, set: (on: boolean) => void] {
  const on = useSyncExternalStore(
    subscribe,
    () => localStorage.getItem(SETTING) === null,
    () => true,
  );
  const set = (next: boolean) => {
    if (next) localStorage.removeItem(SETTING);
    else localStorage.setItem(SETTING, "yes");
    for (const listener of listeners) listener();
  };
  return [on, set];
}

/** How long "g" waits for the letter of a place. */
const WAIT_MS = 1500;
const ELSEWHERE = "input, textarea, select, [contenteditable], [role=dialog], [role=menu]";

/** Calls what belongs to keys pressed alone ("n", "?") or one after another ("g k"), outside of fields, menus and open sheets. False leaves the key to the page. Should be stable. */
export function useKeys(on: boolean, keys: Readonly<Record<string, () => unknown>>): void {
  useEffect(() => {
    if (!on) return;
    const handlers = Object.entries(keys).map(([press, act]) => {
      const handler = (event: KeyboardEvent) => {
        if (act() !== false) event.preventDefault();
      };
      return [press, handler] as const;
    });
    return tinykeys(window, Object.fromEntries(handlers), {
      timeout: WAIT_MS,
      ignore: ({ target, defaultPrevented }) => defaultPrevented || !(target instanceof Element) || target.closest(ELSEWHERE) !== null,
    });
  }, [on, keys]);
}
