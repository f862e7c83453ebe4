"use client";

import { useRouter } from "next/navigation";
import { useEffect } from "react";
import { savedAt, savedBefore } from "./documents";

/** Asks for the page again where something was saved in this window after it was put together: going back shows no old list. */
export function useFresh(at: number): void {
  const router = useRouter();
  useEffect(() => {
    if (savedAt() > at) router.refresh();
  }, [router, at]);
}

const LEFT = "threpsis.left";

/** Takes note that this page is left, by an address typed or a reload, with something still on its way. */
export function noteLeft(): void {
  try {
    sessionStorage.setItem(LEFT, "yes");
  } catch {
    /* where nothing can be stored, the next page may be older than what was sent last */
  }
}

/**
 * Asks for the page again where the one before it was left like that, or heard only after this one was asked for that
 * something was saved: what it sent arrived as this one was put together.
 */
export function useWhatWasLeft(): void {
  const router = useRouter();
  useEffect(() => {
    try {
      const isLeft = sessionStorage.getItem(LEFT) !== null;
      sessionStorage.removeItem(LEFT);
      if (!isLeft && savedBefore() < performance.timeOrigin) return;
    } catch {
      return;
    }
    router.refresh();
  }, [router]);
}
