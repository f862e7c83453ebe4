"use client";

import { lazy, Suspense, useSyncExternalStore } from "react";
import { anyMessage, onMessage } from "./messages";

const Toaster = lazy(() => import("./toaster"));

/** Where short messages stand; their code comes with the first one. */
export function Toasts() {
  const needed = useSyncExternalStore(onMessage, anyMessage, () => false);
  return needed ? (
    <Suspense>
      <Toaster />
    </Suspense>
  ) : null;
}
