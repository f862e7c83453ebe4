import equal from "fast-deep-equal";
import { forget, forgetAll, keep, takeLeft } from "./kept";
import { Refused, send } from "../parts/send";

/** Something that is edited, and the revision it stands at on the server; 0 where it was never saved. */
export interface Revised<T> {
  readonly document: T;
  readonly revision: number;
}

/** What this window holds of a document: newer than what its page came with, or not saved yet. */
export interface Held extends Revised<unknown> {
  readonly unsaved: boolean;
  /** What the server has at this revision; undefined where that is not known. */
  readonly base: unknown;
  /** What another window or device saved meanwhile: in the way of this one's changes, or just newer than what is shown. */
  readonly theirs: (Revised<unknown> & { readonly inTheWay: boolean }) | null;
}

/** A save that was refused because another came between; the document's own notice asks what to do. */
export class Conflict extends Error {}

const UNSAVED = "unsaved ";
const held = new Map<string, Held>();
const shown = new Map<string, number>();
/** What was sent without an answer, by this page or an earlier one of this window: it may have arrived all the same. */
const onItsWay = new Map<string, readonly unknown[]>();
const noteOnItsWay = (url: string, document: unknown) => void onItsWay.set(url, [...(onItsWay.get(url) ?? []), document].slice(-MOST_ON_ITS_WAY));
const MOST_ON_ITS_WAY = 20;
/** How long a save waits for its answer, ms; then it is sent again. */
const MOST_WAIT_MS = 20_000;
const listeners = new Set<() => void>();

/** How two changes of one document come together; null where that has to be asked. */
type Bring = (base: unknown, mine: unknown, theirs: unknown) => unknown;
interface Together {
  readonly bring: Bring;
  /** What others changed in it has come in, beneath what was done here. */
  readonly came: (base: unknown, theirs: unknown) => void;
}
const together = new Map<string, Set<Together>>();
let lastSave = 0;

/** When this window last saved anything, ms; a list from before that is out of date. */
export const savedAt = (): number => lastSave;
export function noteSave(): void {
  lastSave = Date.now();
  try {
    sessionStorage.setItem(LAST_SAVE, String(lastSave));
  } catch {
    /* where nothing can be stored, the next page may be older than what was saved last */
  }
}

const LAST_SAVE = "threpsis.saved";
/** When the page before this one in this window last saved anything, ms; 0 where that is not known. */
export function savedBefore(): number {
  try {
    return Number(sessionStorage.getItem(LAST_SAVE) ?? 0);
  } catch {
    return 0;
  }
}

const channel = typeof BroadcastChannel === "undefined" ? null : new BroadcastChannel("threpsis");
if (channel)
  channel.onmessage = ({ data }: MessageEvent<Revised<unknown> & { readonly url: string }>) => {
    const known = held.get(data.url);
    if (!known || known.unsaved || data.revision <= known.revision) return;
    put(data.url, (shown.get(data.url) ?? 0) > 0 ? { ...known, theirs: { ...data, inTheWay: false } } : fresh(data));
  };

const fresh = ({ document, revision }: Revised<unknown>): Held => ({ document, revision, base: document, unsaved: false, theirs: null });

function put(url: string, next: Held): void {
  held.set(url, next);
  for (const listener of listeners) listener();
}

export const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};
export const heldAt = (url: string): Held | undefined => held.get(url);

/** The latest of a document that this window knows: going back must not show an older one. */
export function latest<T>(url: string, given: Revised<T>): Revised<T> {
  const known = held.get(url);
  return known && (known.unsaved || known.revision > given.revision) ? { document: known.document as T, revision: known.revision } : given;
}

/** The revision of the latest that this window knows; null while something of it is not saved. */
export function savedRevision(url: string, given: Revised<unknown>): number | null {
  const known = held.get(url);
  if (known?.unsaved) return null;
  return known && known.revision > given.revision ? known.revision : given.revision;
}

/**
 * Takes note that a page shows a document; what comes back ends that. What an earlier page left unsaved is handed over, if
 * it is not the same: the first to be shown, others (of other windows) to be offered, until they are settled.
 */
export function show(url: string, given: Revised<unknown>, onLeft: (left: Revised<unknown>, settled: (() => void) | null) => void): () => void {
  shown.set(url, (shown.get(url) ?? 0) + 1);
  const known = held.get(url);
  const newer = known !== undefined && (known.unsaved || known.revision > given.revision);
  if (!newer) put(url, fresh(given));
  const end = takeLeft(UNSAVED + url, (value) => {
    const left = revisedIn(value);
    const now = held.get(url);
    if (!left || !now || equal(left.document, now.document)) return;
    // Kept again until it is saved or thrown away, whatever is done with it.
    if (now.unsaved || onItsWay.has(url)) {
      const offer = `${UNSAVED}${url} #${offers++}`;
      keep(offer, left);
      onLeft(left, () => forget(offer));
      return;
    }
    put(url, { document: now.document, revision: left.revision, base: left.base, unsaved: false, theirs: null });
    noteOnItsWay(url, left.document);
    keep(UNSAVED + url, left);
    onLeft(left, null);
  });
  return () => {
    end();
    shown.set(url, (shown.get(url) ?? 1) - 1);
  };
}
let offers = 1;

/** Holds an edit until it is saved, over a reload too. False where it is just what is held already. */
export function edit(url: string, document: unknown): boolean {
  const known = held.get(url);
  if (!known || equal(known.document, document)) return false;
  const { revision, base } = known;
  // Kept before anything is made of it.
  keep(UNSAVED + url, { document, revision, ...(together.has(url) ? { base } : {}) });
  put(url, { ...known, document, unsaved: true });
  return true;
}

/** From here on changes of this document and those of others come together where they can; what comes back ends that. */
export function bringTogether(url: string, here: Together): () => void {
  const all = together.get(url) ?? new Set();
  together.set(url, all.add(here));
  return () => void all.delete(here);
}

/** Lays what was changed here over what another save left; false where both changed the same thing. */
function laidTogether(url: string, known: Held, theirs: Revised<unknown>): boolean {
  const all = [...(together.get(url) ?? [])];
  const [first] = all;
  if (!first || known.base === undefined) return false;
  const document = first.bring(known.base, known.document, theirs.document);
  if (document === null) return false;
  keep(UNSAVED + url, { document, revision: theirs.revision, base: theirs.document });
  put(url, { document, revision: theirs.revision, base: theirs.document, unsaved: true, theirs: null });
  for (const each of all) each.came(known.base, theirs.document);
  return true;
}

/** Sends what is unsaved. Throws Conflict where another save came between, and the server's own words where it refuses. */
export async function deliver(url: string): Promise<void> {
  const known = held.get(url);
  if (!known?.unsaved) return;
  if (known.theirs?.inTheWay) throw new Conflict();
  const { document, revision } = known;
  try {
    const answer = (await send("PUT", url, { document, revision }, { limit: MOST_WAIT_MS })) as { readonly revision: number };
    acknowledge(url, document, answer.revision);
  } catch (error) {
    if (!(error instanceof Refused) || error.status >= 500) noteOnItsWay(url, document);
    const current = error instanceof Refused && error.status === 409 ? (error.said.current as Revised<unknown> | undefined) : undefined;
    if (!current) throw error;
    if (onItsWay.get(url)?.some((own) => equal(current.document, own))) {
      // Nobody came between: it is this window's own, and what is here was made on it.
      if (equal(current.document, document)) return acknowledge(url, document, current.revision);
      onItsWay.delete(url);
      put(url, { ...(held.get(url) ?? known), revision: current.revision, base: current.document });
      return deliver(url);
    }
    if (laidTogether(url, held.get(url) ?? known, current)) return deliver(url);
    put(url, { ...(held.get(url) ?? known), theirs: { ...current, inTheWay: true } });
    throw new Conflict();
  }
}

function acknowledge(url: string, document: unknown, revision: number): void {
  noteSave();
  onItsWay.delete(url);
  const now = held.get(url);
  const still = now !== undefined && now.document !== document;
  put(url, { document: still ? now.document : document, revision, base: document, unsaved: still, theirs: null });
  if (!still) forget(UNSAVED + url);
  channel?.postMessage({ url, document, revision });
}

/** This window's changes go over what the other one saved. */
export function overwriteTheirs(url: string): void {
  const known = held.get(url);
  if (known?.theirs) put(url, { ...known, revision: known.theirs.revision, base: known.theirs.document, theirs: null });
}

/** What the other window saved takes the place of what is here. Gives it, for showing. */
export function acceptTheirs(url: string): unknown {
  const theirs = held.get(url)?.theirs;
  if (!theirs) return undefined;
  put(url, fresh(theirs));
  forget(UNSAVED + url);
  return theirs.document;
}

/** Lets go of all that this window holds: everything was replaced beneath it. */
export function letGo(): void {
  held.clear();
  onItsWay.clear();
  forgetAll(UNSAVED);
}

function revisedIn(left: unknown): (Revised<unknown> & { readonly base: unknown }) | null {
  return typeof left === "object" && left !== null && "document" in left && "revision" in left && typeof left.revision === "number"
    ? { document: left.document, revision: left.revision, base: "base" in left ? left.base : undefined }
    : null;
}
