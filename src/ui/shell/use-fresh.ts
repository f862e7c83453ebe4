"use client";

import { useRouter } from "next/navigation";
import { useEffect } from "react";
import { savedAt } from "./documents";

/** Asks for the page again where something was saved in this window after it was put together: going back shows no old list. */
export function useFresh(at: number): void {
  const router = useRouter();
  useEffect(() => {
    if (savedAt() > at) router.refresh();
  }, [router, at]);
}
