"use client";

import { lazy, Suspense, useEffect } from "react";
import type { FoodPickerProps } from "./food-picker-box";

const load = () => import("./food-picker-box");
const FoodPickerBox = lazy(load);

/** Finds a food of the tables by name. Its code comes after the page that may need it. */
export function FoodPicker(props: FoodPickerProps) {
  return (
    <Suspense fallback={<div className="w-full border border-edge bg-sheet px-3 min-h-11" />}>
      <FoodPickerBox {...props} />
    </Suspense>
  );
}

/** Fetches the picker's code while nothing else is to be done, so that it opens at once. */
export function useFoodPickerSoon(): void {
  useEffect(() => {
    const timer = setTimeout(() => void load().catch(() => undefined), 3000);
    return () => clearTimeout(timer);
  }, []);
}
