"use client";

import { useEffect, useState } from "react";

/** A value as it was when it last stood still for `milliseconds`: for what may follow a keystroke later than its figures. */
export function useSettled<T>(value: T, milliseconds: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), milliseconds);
    return () => clearTimeout(timer);
  }, [value, milliseconds]);
  return settled;
}
