"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { Refused, send, why as whyOf } from "../../parts/send";
import { forget, keep, takeLeft } from "../../shell/kept";
import { failed, withdraw } from "../../shell/messages";

export interface TickData {
  readonly what: string;
  readonly isDone: boolean;
  /** ISO. */
  readonly at: string;
}
interface Waiting {
  readonly what: string;
  readonly isDone: boolean;
  /** ms. */
  readonly at: number;
}

const AGAIN_MS = 5_000;
const isWaiting = (value: unknown): value is Waiting =>
  typeof value === "object" &&
  value !== null &&
  "what" in value &&
  "isDone" in value &&
  "at" in value &&
  typeof value.what === "string" &&
  typeof value.at === "number";

export interface Ticks {
  readonly done: ReadonlySet<string>;
  readonly tick: (what: string, isDone: boolean) => void;
  /** So many are not on the server yet: the network is away. */
  readonly waiting: number;
}

/** What is ticked off: shown at once, kept in the browser over a reload, and sent once the server is there. */
export function useTicks(id: string, given: readonly TickData[]): Ticks {
  // What the server told last: with its page, or in answer to a tick.
  const [answered, setAnswered] = useState<{ readonly on: readonly TickData[]; readonly ticks: readonly TickData[] } | null>(null);
  const server = answered?.on === given ? answered.ticks : given;
  const [queue, setQueue] = useState<readonly Waiting[]>([]);
  const name = `ticks ${id}`;
  const sending = useRef(false);

  useEffect(
    () =>
      takeLeft(name, (value) => {
        const left = (Array.isArray(value) ? value : []).filter(isWaiting);
        if (left.length > 0) setQueue((now) => [...left.filter((each) => !now.some((other) => other.what === each.what)), ...now]);
      }),
    [name],
  );
  useEffect(() => {
    if (queue.length > 0) keep(name, queue);
    else forget(name);
  }, [queue, name]);

  const deliver = useCallback(async () => {
    if (sending.current || queue.length === 0) return;
    sending.current = true;
    try {
      const { ticks } = (await send("POST", `/api/gatherings/${id}/ticks`, { ticks: queue }, { limit: 10_000 })) as { readonly ticks: readonly TickData[] };
      setAnswered({ on: given, ticks });
      setQueue((now) => now.filter((each) => !queue.includes(each)));
      withdraw("ticks");
    } catch (error) {
      // Refused for good: said, and not sent for ever.
      if (error instanceof Refused && error.status < 500 && error.status !== 429) {
        setQueue((now) => now.filter((each) => !queue.includes(each)));
        failed(whyOf(error, "What was ticked could not be kept."), undefined, "ticks");
      }
    } finally {
      sending.current = false;
    }
  }, [id, queue, given]);
  useEffect(() => {
    if (queue.length === 0) return;
    const soon = setTimeout(() => void deliver(), 0);
    const again = () => void deliver();
    const timer = setInterval(again, AGAIN_MS);
    window.addEventListener("online", again);
    return () => {
      clearTimeout(soon);
      clearInterval(timer);
      window.removeEventListener("online", again);
    };
  }, [queue, deliver]);

  const tick = useCallback(
    (what: string, isDone: boolean) => setQueue((now) => [...now.filter((each) => each.what !== what), { what, isDone, at: Date.now() }]),
    [],
  );
  const done = new Set(server.filter(({ isDone }) => isDone).map(({ what }) => what));
  for (const { what, isDone } of queue) {
    if (isDone) done.add(what);
    else done.delete(what);
  }
  return { done, tick, waiting: queue.length };
}
