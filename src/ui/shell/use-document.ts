"use client";

import { useCallback, useEffect, useMemo, useSyncExternalStore } from "react";
import { useHistory, type History } from "../parts/use-history";
import { merged, type RowKeys } from "../../core/merge";
import { bringTogether, deliver, edit, heldAt, overwriteTheirs, latest, show, subscribe, acceptTheirs, type Held, type Revised } from "./documents";
import { useSaving } from "./saving";
import { ask, toast } from "./messages";

export interface Document<T> extends Omit<History<T>, "rebase"> {
  readonly url: string;
  /** Of what is shown; null while something of it is not saved. */
  readonly revision: number | null;
  readonly theirs: Held["theirs"];
  readonly acceptTheirs: () => void;
  readonly overwriteTheirs: () => void;
}

/**
 * A document that is edited here and saved by itself: with undo, kept over a reload until it is saved, and never over what
 * another window saved. `open` and `close` turn what is stored into what is edited and back; null is not saved as it stands.
 * With `keys`, for a document that is edited as it is stored, changes here and changes elsewhere of different things in it
 * come together; without, whoever is second is asked. All parameters should be stable.
 */
export function useDocument<S, T>(
  url: string,
  given: Revised<S>,
  open: (stored: S) => T,
  close: (value: T) => S | null,
  keys?: T extends S ? RowKeys : never,
): Document<T> {
  const history = useHistory<T>(() => open(latest(url, given).document));
  const { present, set, bring, rebase } = history;
  const untouched = history.undo === null && history.redo === null;
  const { save } = useSaving();
  const held = useSyncExternalStore(
    subscribe,
    () => heldAt(url),
    () => undefined,
  );

  useEffect(() => {
    const leave = show(url, given, (left, settled) => {
      const bring = () => {
        set(open(left.document as S));
        settled?.();
      };
      if (settled) return ask("There is another state of this that was not saved, from a window that was closed.", "Show it", bring);
      bring();
      toast("What was not saved here last time is back.");
    });
    if (heldAt(url)?.unsaved) save(url, () => deliver(url));
    return leave;
    // Only where the page comes up: later renders of it bring nothing that was left unsaved.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [url]);

  useEffect(() => {
    if (untouched) return;
    const document = close(present);
    if (document !== null && edit(url, document)) save(url, () => deliver(url));
  }, [present, untouched, close, url, save]);

  useEffect(
    () =>
      keys &&
      bringTogether(url, {
        bring: (base, mine, theirs) => merged(keys, base as object, mine as object, theirs as object),
        came: (base, theirs) => rebase((state) => (merged(keys, base as object, state as object, theirs as object, "mine") as T | null) ?? state),
      }),
    [url, keys, rebase],
  );

  const take = useCallback(() => {
    const document = acceptTheirs(url);
    if (document !== undefined) set(open(document as S));
  }, [url, set, open]);
  const keep = useCallback(() => {
    overwriteTheirs(url);
    save(url, () => deliver(url));
  }, [url, save]);
  const { undo, redo } = history;
  const theirs = held?.theirs ?? null;
  const revision = !held ? given.revision : held.unsaved ? null : held.revision;
  // The same for as long as nothing about it changes: as a context it would otherwise render a page anew that is still hydrating.
  return useMemo(
    () => ({ present, set, bring, undo, redo, url, revision, theirs, acceptTheirs: take, overwriteTheirs: keep }),
    [present, set, bring, undo, redo, url, revision, theirs, take, keep],
  );
}
