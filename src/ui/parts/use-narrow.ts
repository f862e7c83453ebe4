import { useSyncExternalStore } from "react";

/** Below this there is room for one thing at a time; as the layouts have it. */
const NARROW = "(max-width: 767px)";

const subscribe = (changed: () => void): (() => void) => {
  const query = window.matchMedia(NARROW);
  query.addEventListener("change", changed);
  return () => query.removeEventListener("change", changed);
};

/** Whether the window is as narrow as a phone; what was rendered on the server takes it to be wide. */
export const useNarrow = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => window.matchMedia(NARROW).matches,
    () => false,
  );
