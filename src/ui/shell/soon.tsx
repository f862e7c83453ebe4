"use client";

import { Activity, lazy, type ComponentType } from "react";
import type { Piece } from "../../workers/client/pieces";
import { letGo } from "./early";

const ON_SERVER = typeof window === "undefined";
/** What a person does first wakes the page at once; until then it lets the browser show what it has. */
const FIRST_DEEDS = ["pointerdown", "keydown", "focusin"] as const;
const AFTER_LOAD_MS = 50;

/** Lets the browser do what else it has to. */
const breath = () => new Promise((resolve) => setTimeout(resolve));

const begun = new Map<Piece, Promise<void>>();

/** Makes a piece ready, if no page before has. */
function once(piece: Piece): Promise<void> {
  const made =
    begun.get(piece) ??
    (async () => {
      const parts = await piece();
      await breath();
      for (const part of Array.isArray(parts) ? (parts as readonly (() => void | Promise<void>)[]) : []) {
        await part();
        await breath();
      }
    })();
  begun.set(piece, made);
  made.catch(() => begun.delete(piece));
  return made;
}

let rest: Promise<void> | null = null;

function afterRest(): Promise<void> {
  return (rest ??= new Promise((resolve) => {
    const wake = () => {
      for (const deed of FIRST_DEEDS) window.removeEventListener(deed, wake, true);
      resolve();
    };
    if (window.threpsisEarly?.woken) return resolve();
    for (const deed of FIRST_DEEDS) window.addEventListener(deed, wake, true);
    const soon = () => setTimeout(wake, AFTER_LOAD_MS);
    if (document.readyState === "complete") soon();
    else window.addEventListener("load", soon, { once: true });
  }));
}

/**
 * A page whose markup comes from the server and whose code comes after it: it is there to read at once, and hears a
 * moment later. Nothing done in that moment is lost (`early.ts`). `before` is made ready
 * first, piece by piece, so that none of it holds the browser up for long. The page hears by itself, after the house
 * around it (`Activity`); in a boundary of `Suspense`, large as it is, its markup would be sent after the rest and put in
 * its place by script, a third of a second after the first sight.
 */
export function soon<P extends object>(load: () => Promise<ComponentType<P>>, before: readonly (readonly Piece[])[]): ComponentType<P> {
  const Later = lazy(async () => {
    if (!ON_SERVER) await afterRest();
    try {
      if (!ON_SERVER) for (const row of before) await Promise.all(row.map(once));
      return { default: await load() };
    } catch (error) {
      // It will not hear: then nothing is held back from the browser either.
      letGo();
      throw error;
    }
  });
  return function Soon(props: P) {
    return (
      <Activity>
        <Later {...props} />
      </Activity>
    );
  };
}
