import { useCallback, useState } from "react";

/** Foods that nobody has at hand, by id, and how one is said to be missing or there. */
export function useNotAtHand(): readonly [notAtHand: readonly string[], onMissing: (food: string, isMissing: boolean) => void] {
  const [notAtHand, setNotAtHand] = useState<readonly string[]>([]);
  const onMissing = useCallback(
    (food: string, isMissing: boolean) => setNotAtHand((now) => [...now.filter((each) => each !== food), ...(isMissing ? [food] : [])]),
    [],
  );
  return [notAtHand, onMissing];
}
