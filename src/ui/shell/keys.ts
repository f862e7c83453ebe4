"use client";

import { useEffect, useSyncExternalStore } from "react";

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

/** Calls `onKey` with a key pressed alone ("n", "?") or after "g" ("g k"), outside of fields, menus and open sheets. True takes the key. */
export function useKeys(on: boolean, onKey: (keys: string) => boolean): void {
  useEffect(() => {
    if (!on) return;
    let began = 0;
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
      if (!(event.target instanceof Element) || event.target.closest("input, textarea, select, [contenteditable], [role=dialog], [role=menu]")) return;
      const after = performance.now() - began < WAIT_MS;
      began = !after && event.key === "g" ? performance.now() : 0;
      if (onKey(after ? `g ${event.key}` : event.key)) event.preventDefault();
    };
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, [on, onKey]);
}
