"use client";

import { createContext, useContext, useState, type ReactNode } from "react";
import { learnedMark, NOTHING_LEARNED, type Learned } from "../../core/food";

const LearnedContext = createContext<Learned>(NOTHING_LEARNED);

/** What the house's batches have taught, for every page. What comes anew with a page and says the same stays the same object. */
export function LearnedProvider({ given, children }: { readonly given: Learned; readonly children: ReactNode }) {
  const [held, setHeld] = useState(given);
  if (held !== given && learnedMark(held) !== learnedMark(given)) setHeld(given);
  return <LearnedContext value={held}>{children}</LearnedContext>;
}

export const useLearned = (): Learned => useContext(LearnedContext);
