"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import {
  isCookEvent,
  problemOf,
  growingSession,
  transition,
  type CookAction,
  type CookEvent,
  type CookHappening,
  type CookPlan,
  type CookSession,
} from "../../core/cook";
import { afterPaint } from "../parts/after-paint";
import { Refused, send, why as whyOf } from "../parts/send";

export interface PlacedEvent {
  readonly place: number;
  readonly event: CookEvent;
}

/** A press that is not on the disk yet is kept in the browser, batch by batch. */
const heldAt = (id: string) => `threpsis.cook.${id}`;
const RETRY_MS = 2000;

function held(id: string): readonly CookEvent[] {
  try {
    const read: unknown = JSON.parse(localStorage.getItem(heldAt(id)) ?? "[]");
    return Array.isArray(read) ? read.filter(isCookEvent) : [];
  } catch {
    return [];
  }
}

interface Batch {
  readonly session: CookSession;
  /** Presses that are not on the disk yet. */
  readonly waiting: number;
  /** Why the last press was not taken, or is not saved; null where all is well. */
  readonly why: string | null;
  readonly act: (happening: CookHappening) => boolean;
}

/**
 * A batch on the stove, as its events say: those that are on the disk, and those of this browser that are on their way. What happens
 * on another device comes in by itself. `onActions` gets what has to be done about each event.
 */
export function useBatch(id: string, plan: CookPlan, given: readonly PlacedEvent[], onActions: (actions: readonly CookAction[]) => void): Batch {
  const [placed, setPlaced] = useState<ReadonlyMap<number, CookEvent>>(() => new Map(given.map(({ place, event }) => [place, event])));
  const [own, setOwn] = useState<readonly CookEvent[]>([]);
  const [why, setWhy] = useState<string | null>(null);
  const fold = useMemo(() => growingSession(plan), [plan]);
  const session = useMemo(() => {
    const there = [...placed].sort(([a], [b]) => a - b).map(([, event]) => event);
    const known = new Set(there.map((event) => event.id));
    return fold([...there, ...own.filter((event) => !known.has(event.id))]);
  }, [fold, placed, own]);

  const take = useCallback((events: readonly PlacedEvent[]) => {
    if (events.length === 0) return;
    setPlaced((before) => new Map([...before, ...events.map(({ place, event }) => [place, event] as const)]));
    const ids = new Set(events.map(({ event }) => event.id));
    setOwn((before) => before.filter((event) => !ids.has(event.id)));
  }, []);

  // What was pressed before this page was opened, and is not on the disk.
  useEffect(() => {
    const left = held(id);
    if (left.length > 0) queueMicrotask(() => setOwn((now) => [...left, ...now.filter((event) => !left.some((each) => each.id === event.id))]));
  }, [id]);

  const isSending = useRef(false);
  // What waits for the paint is sent at once where the page is left.
  const due = useRef<(() => void) | null>(null);
  useEffect(() => {
    const now = () => due.current?.();
    window.addEventListener("pagehide", now);
    return () => {
      window.removeEventListener("pagehide", now);
      now();
    };
  }, []);
  useEffect(() => {
    if (own.length === 0) localStorage.removeItem(heldAt(id));
    else localStorage.setItem(heldAt(id), JSON.stringify(own));
    if (own.length === 0) return;
    let again: ReturnType<typeof setTimeout> | undefined;
    const flush = async (): Promise<void> => {
      if (isSending.current) return;
      isSending.current = true;
      try {
        const { added } = (await send("POST", `/api/batches/${id}/events`, { events: own.slice(0, 200) }, { limit: 15_000 })) as {
          readonly added: readonly PlacedEvent[];
        };
        take(added);
        // What was there already comes, or came, with the others'.
        const sent = new Set(own.slice(0, 200).map((event) => event.id));
        setOwn((now) => now.filter((event) => !sent.has(event.id)));
        setWhy(null);
      } catch (error) {
        if (error instanceof Refused && error.status < 500) {
          // It cannot be: the press is taken off, the others go on.
          const [said] = (error.said.errors ?? []) as readonly { readonly pointer?: string }[];
          const at = Number(/^\/events\/(\d+)/.exec(said?.pointer ?? "")?.[1] ?? 0);
          setOwn((now) => now.filter((event) => event.id !== own[at]?.id));
          setWhy(error.message);
        } else {
          setWhy(`${whyOf(error, "It could not be saved.")} It is kept here and sent again.`);
          again = setTimeout(() => setOwn((now) => [...now]), RETRY_MS);
        }
      } finally {
        isSending.current = false;
      }
    };
    // It is kept here by now: what was pressed is painted first.
    const go = () => {
      due.current = null;
      void flush();
    };
    due.current = go;
    const stop = afterPaint(go);
    return () => {
      stop();
      clearTimeout(again);
    };
  }, [id, own, take]);

  const seen = useRef(Math.max(0, ...given.map(({ place }) => place)));
  useEffect(() => {
    const source = new EventSource(`/api/batches/${id}/live?after=${seen.current}`);
    source.onmessage = (message: MessageEvent<string>) => {
      const place = Number(message.lastEventId);
      seen.current = Math.max(seen.current, place);
      take([{ place, event: JSON.parse(message.data) as CookEvent }]);
    };
    return () => source.close();
  }, [id, take]);

  const latest = useRef(session);
  useEffect(() => void (latest.current = session), [session]);
  const act = useCallback(
    (happening: CookHappening): boolean => {
      const event = { ...happening, id: crypto.randomUUID(), at: Date.now() } as CookEvent;
      const cannot = problemOf(event, latest.current);
      setWhy(cannot);
      if (cannot !== null) return false;
      const [after, actions] = transition(latest.current, event);
      latest.current = after;
      setOwn((before) => [...before, event]);
      onActions(actions);
      return true;
    },
    [onActions],
  );
  return { session, waiting: own.length, why, act };
}
