"use client";

import { lazy, Suspense, useEffect, type ComponentType } from "react";

const ON_SERVER = typeof window === "undefined";
/** What a person does first wakes the page at once; until then it waits for the browser to have nothing better to do. */
const FIRST_DEEDS = ["pointerdown", "keydown", "focusin"] as const;
const LONGEST_WAIT_MS = 2000;

type Field = HTMLInputElement | HTMLTextAreaElement;

/** What was done on a page that does not hear yet, in order, each to be done again when it does. */
interface Meanwhile {
  readonly deeds: Map<HTMLElement, () => void>;
  readonly stop: () => void;
}

let rest: Promise<void> | null = null;
let meanwhile: Meanwhile | null = null;

function afterRest(): Promise<void> {
  return (rest ??= new Promise((resolve) => {
    meanwhile = takeDown();
    const wake = () => {
      for (const deed of FIRST_DEEDS) window.removeEventListener(deed, wake, true);
      resolve();
    };
    for (const deed of FIRST_DEEDS) window.addEventListener(deed, wake, true);
    const idle = () => (typeof requestIdleCallback === "function" ? requestIdleCallback(wake, { timeout: LONGEST_WAIT_MS }) : setTimeout(wake, 200));
    if (document.readyState === "complete") idle();
    else window.addEventListener("load", idle, { once: true });
  }));
}

function takeDown(): Meanwhile {
  const deeds = new Map<HTMLElement, () => void>();
  const inPage = (target: EventTarget | null): target is HTMLElement => target instanceof HTMLElement && target.closest("main, header") !== null;
  const isTyped = (target: HTMLElement): target is Field =>
    target instanceof HTMLTextAreaElement || (target instanceof HTMLInputElement && !/checkbox|radio/.test(target.type));
  const onClick = (event: Event) => {
    const { target } = event;
    if (!event.isTrusted || !inPage(target)) return;
    // Links go where they lead by themselves, unless something typed would be left behind.
    if (target.closest("a") && deeds.size === 0) return;
    event.preventDefault();
    if (!isTyped(target)) deeds.set(target, () => target.click());
  };
  const onInput = ({ target }: Event) => {
    if (!inPage(target) || !isTyped(target)) return;
    const { value } = target;
    deeds.set(target, () => typeAgain(target, value));
  };
  window.addEventListener("click", onClick, true);
  window.addEventListener("input", onInput, true);
  const stop = () => {
    window.removeEventListener("click", onClick, true);
    window.removeEventListener("input", onInput, true);
  };
  return { deeds, stop };
}

function typeAgain(field: Field, value: string): void {
  field.value = "";
  // Past React's own setter, so that it sees the value as new.
  Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), "value")?.set?.call(field, value);
  field.dispatchEvent(new Event("input", { bubbles: true }));
}

async function catchUp(): Promise<void> {
  if (!meanwhile) return;
  const { deeds, stop } = meanwhile;
  meanwhile = null;
  stop();
  for (const again of deeds.values()) {
    again();
    // Each sees what the one before it changed.
    await new Promise((resolve) => setTimeout(resolve));
  }
}

/**
 * A page whose markup comes from the server and whose code comes after it: it is there to read at once, and hears a
 * moment later. Nothing done in that moment is lost. `before` is evaluated before it, piece by piece.
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
      meanwhile?.stop();
      meanwhile = null;
      throw error;
    }
  });
  return function Soon(props: P) {
    return (
      <Suspense fallback={null}>
        <Later {...props} />
        <Awake />
      </Suspense>
    );
  };
}

function Awake() {
  useEffect(() => void catchUp(), []);
  return null;
}
