import equal from "fast-deep-equal";
import { useState } from "react";

/** The same object for as long as it is equal. */
export function useSame<T>(value: T): T {
  const [held, setHeld] = useState(value);
  if (held === value || equal(held, value)) return held;
  setHeld(value);
  return value;
}
