"use client";

import { lazy, Suspense, type ComponentType } from "react";
import { letGo } from "./early";

const ON_SERVER = typeof window === "undefined";
/** What a person does first wakes the page at once; until then it waits for the browser to have nothing better to do. */
const FIRST_DEEDS = ["pointerdown", "keydown", "focusin"] as const;
const LONGEST_WAIT_MS = 2000;

let rest: Promise<void> | null = null;

function afterRest(): Promise<void> {
  return (rest ??= new Promise((resolve) => {
    const wake = () => {
      for (const deed of FIRST_DEEDS) window.removeEventListener(deed, wake, true);
      resolve();
    };
    if (window.threpsisEarly?.woken) return resolve();
    for (const deed of FIRST_DEEDS) window.addEventListener(deed, wake, true);
    const idle = () => (typeof requestIdleCallback === "function" ? requestIdleCallback(wake, { timeout: LONGEST_WAIT_MS }) : setTimeout(wake, 200));
    if (document.readyState === "complete") idle();
    else window.addEventListener("load", idle, { once: true });
  }));
}

/**
 * A page whose markup comes from the server and whose code comes after it: it is there to read at once, and hears a
 * moment later. Nothing done in that moment is lost (`early.ts`). `before` is evaluated
 * before it, piece by piece.
 */
export function soon<P extends object>(load: () => Promise<ComponentType<P>>, ...before: readonly (() => Promise<unknown>)[]): ComponentType<P> {
  const Later = lazy(async () => {
    if (!ON_SERVER) await afterRest();
    try {
      // What it rests on first, each by itself, so that none of it holds the browser up for long.
      if (!ON_SERVER)
        for (const each of before) {
          await each();
          await new Promise((resolve) => setTimeout(resolve));
        }
      return { default: await load() };
    } catch (error) {
      // It will not hear: then nothing is held back from the browser either.
      letGo();
      throw error;
    }
  });
  return function Soon(props: P) {
    return (
      <Suspense fallback={null}>
        <Later {...props} />
      </Suspense>
    );
  };
}
