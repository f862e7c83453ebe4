"use client";

import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from "react";
import { Refused, why } from "../parts/send";
import { Conflict } from "./documents";
import { failed, toast, withdraw } from "./messages";
import { noteLeft } from "./use-fresh";

type SaveState = { readonly kind: "saved" } | { readonly kind: "saving" } | { readonly kind: "refused"; readonly why: string };

/** Apart from the state, so that a page that only saves is not shown anew with every save. */
interface Saving {
  /** Plans a save; of several under one key only the last is sent. */
  readonly save: (key: string, send: () => Promise<void>) => void;
  /** Resolves once everything planned has been sent. */
  readonly flush: () => Promise<void>;
  /** Whether anything waits to be sent. */
  readonly waiting: () => boolean;
  /** Takes note of a place that tells the state; where there is none, a refusal is told in a message. */
  readonly told: () => () => void;
}

const SavingContext = createContext<Saving | null>(null);
const SAVED: SaveState = { kind: "saved" };
const SENDING: SaveState = { kind: "saving" };
const SaveStateContext = createContext<SaveState>(SAVED);
const PAUSE_MS = 350;
/** What could not be sent is sent again after so long, ms, the last of them again and again. */
const AGAIN_MS = [2000, 5000, 10_000, 30_000];
/** Whether it may go through later just as it is: there was no answer, or the fault was the server's. */
const mayPass = (error: unknown) => !(error instanceof Refused) || error.status >= 500;
/** Key of the message that something is not saved: there is one at a time, and none once it is. */
const NOT_SAVED = "not-saved";

/** Collects what the pages save, sends it after a short pause, and before one leaves for another page. */
export function SavingProvider({ children }: { readonly children: ReactNode }) {
  const [state, setState] = useState<SaveState>(SAVED);
  const planned = useRef(new Map<string, () => Promise<void>>());
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const running = useRef<Promise<void>>(Promise.resolve());
  const notices = useRef(0);
  /** How often sending failed in a row for want of a server; null where nothing waits for one. */
  const failures = useRef<number | null>(null);
  const again = useRef<ReturnType<typeof setTimeout> | null>(null);

  const flush = useCallback(function flushed(): Promise<void> {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    running.current = running.current.then(async () => {
      const all = [...planned.current];
      planned.current.clear();
      if (again.current) clearTimeout(again.current);
      let waits = false;
      for (const [key, send] of all) {
        try {
          await send();
          if (planned.current.size > 0) continue;
          setState(SAVED);
          withdraw(NOT_SAVED);
        } catch (error) {
          if (error instanceof Conflict) {
            setState(SAVED);
            if (notices.current === 0) failed("Something you changed was changed in another window too. Open it to choose which holds.");
            continue;
          }
          // Kept, so that the next save or the button tries it again.
          if (!planned.current.has(key)) planned.current.set(key, send);
          const told = why(error, "It could not be saved.");
          setState({ kind: "refused", why: told });
          waits ||= mayPass(error);
          if (notices.current === 0) failed(`Not saved: ${told}`, () => void flushed(), NOT_SAVED);
        }
      }
      if (waits) {
        const wait = AGAIN_MS[Math.min(failures.current ?? 0, AGAIN_MS.length - 1)];
        failures.current = (failures.current ?? 0) + 1;
        again.current = setTimeout(() => void flushed(), wait);
      } else if (failures.current !== null && planned.current.size === 0) {
        failures.current = null;
        toast("Saved: what had waited was sent by itself.");
      }
    });
    return running.current;
  }, []);

  const save = useCallback(
    (key: string, send: () => Promise<void>) => {
      planned.current.set(key, send);
      setState(SENDING);
      if (timer.current) clearTimeout(timer.current);
      timer.current = setTimeout(() => void flush(), PAUSE_MS);
    },
    [flush],
  );
  const waiting = useCallback(() => planned.current.size > 0, []);
  const told = useCallback(() => {
    notices.current++;
    return () => {
      notices.current--;
    };
  }, []);

  useEffect(() => {
    // What is not sent in time is kept in the browser, and comes back with the document.
    const onHide = () => {
      if (document.visibilityState === "hidden" && planned.current.size > 0) void flush();
    };
    const onLeave = () => {
      if (planned.current.size === 0) return;
      noteLeft();
      void flush();
    };
    const onNetwork = () => {
      if (failures.current !== null) void flush();
    };
    window.addEventListener("online", onNetwork);
    document.addEventListener("visibilitychange", onHide);
    window.addEventListener("pagehide", onLeave);
    return () => {
      window.removeEventListener("online", onNetwork);
      document.removeEventListener("visibilitychange", onHide);
      window.removeEventListener("pagehide", onLeave);
    };
  }, [flush]);

  const value = useMemo(() => ({ save, flush, waiting, told }), [save, flush, waiting, told]);
  return (
    <SavingContext value={value}>
      <SaveStateContext value={state}>{children}</SaveStateContext>
    </SavingContext>
  );
}

export const useSaveState = (): SaveState => useContext(SaveStateContext);

export function useSaving(): Saving {
  const saving = useContext(SavingContext);
  if (!saving) throw new Error("useSaving belongs inside SavingProvider");
  return saving;
}
