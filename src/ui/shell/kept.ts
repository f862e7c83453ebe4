import { failed, withdraw } from "./messages";

/**
 * What is typed and not saved yet, in this browser's store. Each window has a place of its own there, so that two windows
 * of one thing never write over each other; what a window left that is gone is offered to the next one that shows the thing.
 */
const WINDOW = Array.from(crypto.getRandomValues(new Uint8Array(12)), (byte) => byte.toString(16).padStart(2, "0")).join("");
const PREFIX = "threpsis.kept ";
/** Where earlier versions kept the same, one place for all windows. */
const EARLIER = "threpsis.";
const FULL = "store-full";

const placeOf = (name: string, window = WINDOW) => `${PREFIX}${window} ${name}`;
const windowOf = (place: string) => place.slice(PREFIX.length, PREFIX.length + WINDOW.length);
const aliveLock = (window: string) => `threpsis.window ${window}`;
const locks = typeof navigator === "undefined" ? undefined : (navigator as { readonly locks?: LockManager }).locks;
// Held for as long as this window lives: by it others tell that what stands under its name is not left behind.
void locks?.request(aliveLock(WINDOW), () => new Promise(() => undefined)).catch(() => undefined);

let full = false;

/** Keeps a value under a name until it is forgotten, over a reload too. Where the store takes nothing more, that is told. */
export function keep(name: string, value: unknown): void {
  try {
    localStorage.setItem(placeOf(name), JSON.stringify(value));
    if (full) withdraw(FULL);
    full = false;
  } catch {
    full = true;
    failed(
      "This browser's store is full, or closed to this page: what you type here is lost if the page goes before it is saved. Leave it open until it says “Saved”.",
      undefined,
      FULL,
    );
  }
}

export function forget(name: string): void {
  try {
    localStorage.removeItem(placeOf(name));
  } catch {
    /* nothing was kept where nothing can be */
  }
}

/** Forgets all whose name begins so, whichever window kept it. */
export function forgetAll(beginning: string): void {
  try {
    for (const place of Object.keys(localStorage))
      if ((place.startsWith(PREFIX) && place.slice(placeOf("").length).startsWith(beginning)) || place.startsWith(EARLIER + beginning))
        localStorage.removeItem(place);
  } catch {
    /* nothing was kept where nothing can be */
  }
}

/** A window that was reloaded may hold its name for a moment longer. */
const LOOKS_MS = [0, 200, 1000];

/**
 * Hands over what windows that are gone left under a name, each once; it is this window's from then on, and no longer in
 * the store. Returns what ends the looking.
 */
export function takeLeft(name: string, take: (value: unknown) => void): () => void {
  let ended = false;
  const look = (alive: ReadonlySet<string>) => {
    if (!ended) for (const place of leftUnder(name, alive)) hand(place, take);
  };
  if (!locks) {
    look(new Set([WINDOW]));
    return () => undefined;
  }
  const timers = LOOKS_MS.map((wait) =>
    setTimeout(() => {
      void locks.query().then(
        ({ held = [] }) => look(new Set([WINDOW, ...held.map(({ name: lock = "" }) => lock.slice(aliveLock("").length))])),
        () => undefined,
      );
    }, wait),
  );
  return () => {
    ended = true;
    timers.forEach(clearTimeout);
  };
}

/** Places of windows that are gone, of this name or of what was offered under it (“name #1”). */
function leftUnder(name: string, alive: ReadonlySet<string>): string[] {
  try {
    return Object.keys(localStorage).filter((place) => {
      if (!place.startsWith(PREFIX)) return place === EARLIER + name;
      const own = placeOf(name, windowOf(place));
      return !alive.has(windowOf(place)) && (place === own || place.startsWith(`${own} #`));
    });
  } catch {
    return [];
  }
}

/** Hands over what stands in a place, and only then clears it. */
function hand(place: string, take: (value: unknown) => void): void {
  try {
    const text = localStorage.getItem(place);
    if (text !== null) take(JSON.parse(text) as unknown);
  } catch {
    /* nonsense in the store is nobody's work */
  }
  try {
    localStorage.removeItem(place);
  } catch {
    /* a store that is closed */
  }
}
