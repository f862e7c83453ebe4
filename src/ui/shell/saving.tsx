"use client";

import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from "react";

export type SaveState = { readonly kind: "saved" } | { readonly kind: "saving" } | { readonly kind: "refused"; readonly why: string };

/** Apart from the state, so that a page that only saves is not shown anew with every save. */
interface Saving {
  /** Plans a save; of several under one key only the last is sent. */
  readonly save: (key: string, send: () => Promise<void>) => void;
  /** Resolves once everything planned has been sent. */
  readonly flush: () => Promise<void>;
}

const SavingContext = createContext<Saving | null>(null);
const SAVED: SaveState = { kind: "saved" };
const SENDING: SaveState = { kind: "saving" };
const SaveStateContext = createContext<SaveState>(SAVED);
const PAUSE_MS = 350;

/** Collects what the stations save, sends it after a short pause, and before one leaves for another station. */
export function SavingProvider({ children }: { readonly children: ReactNode }) {
  const [state, setState] = useState<SaveState>(SAVED);
  const planned = useRef(new Map<string, () => Promise<void>>());
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const running = useRef<Promise<void>>(Promise.resolve());

  const flush = useCallback((): Promise<void> => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    running.current = running.current.then(async () => {
      const all = [...planned.current];
      planned.current.clear();
      for (const [key, send] of all) {
        try {
          await send();
          if (planned.current.size === 0) setState(SAVED);
        } catch (error) {
          // Kept, so that the next save or the button tries it again.
          if (!planned.current.has(key)) planned.current.set(key, send);
          setState({ kind: "refused", why: error instanceof Error ? error.message : "It could not be saved." });
        }
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

  useEffect(() => {
    const onHide = () => {
      if (document.visibilityState === "hidden" && planned.current.size > 0) void flush();
    };
    const onLeave = (event: BeforeUnloadEvent) => {
      if (planned.current.size > 0) {
        void flush();
        event.preventDefault();
      }
    };
    document.addEventListener("visibilitychange", onHide);
    window.addEventListener("beforeunload", onLeave);
    return () => {
      document.removeEventListener("visibilitychange", onHide);
      window.removeEventListener("beforeunload", onLeave);
    };
  }, [flush]);

  const value = useMemo(() => ({ save, flush }), [save, flush]);
  return (
    <SavingContext value={value}>
      <SaveStateContext value={state}>{children}</SaveStateContext>
    </SavingContext>
  );
}

export function useSaving(): Saving {
  const saving = useContext(SavingContext);
  if (!saving) throw new Error("useSaving belongs inside SavingProvider");
  return saving;
}

/** Says whether what was done is safe; when not, why, with a way to try again. */
export function SaveNotice() {
  const { flush } = useSaving();
  const state = useContext(SaveStateContext);
  if (state.kind === "refused")
    return (
      <p role="alert" className="t-small text-rose bg-rose-wash px-3 py-2 flex flex-wrap gap-3">
        Not saved: {state.why}{" "}
        <button type="button" className="underline" onClick={() => void flush()}>
          Try again
        </button>
      </p>
    );
  return (
    <p role="status" className="t-small text-ink3">
      {state.kind === "saving" ? "Saving" : "Saved"}
    </p>
  );
}
