"use client";

import equal from "fast-deep-equal";
import { useState } from "react";
import type { BenchState, StoredBench } from "../../../core/adaptation";
import type { Document } from "../../shell/use-document";
import { failed, toast } from "../../shell/messages";
import { send, why } from "../../parts/send";

/**
 * Undo beyond this visit: what lay on the bench before, as the server keeps it, is laid beneath the first step, and one step
 * taken back. Null where nothing was ever replaced, or all of it is here already.
 */
export function useEarlierStates(
  id: string,
  revision: number,
  { present, bring }: Pick<Document<BenchState>, "present" | "bring">,
  lay: (kept: StoredBench) => { readonly state: BenchState } | null,
): (() => void) | null {
  const [asked, setAsked] = useState(false);
  if (asked || revision < 2) return null;
  const load = async () => {
    setAsked(true);
    try {
      const { states } = (await send("GET", `/api/recipes/${id}/bench`)) as { readonly states: readonly { readonly bench: StoredBench }[] };
      const earlier: BenchState[] = [];
      for (const { bench } of states) {
        const state = lay({ ...bench, byHand: true })?.state;
        if (state && !equal(state.version, (earlier[0] ?? present).version)) earlier.unshift(state);
      }
      if (earlier.length === 0) return toast("Nothing earlier is kept of this bench.");
      bring(earlier);
    } catch (error) {
      setAsked(false);
      failed(why(error, "What lay here before could not be fetched."), () => void load());
    }
  };
  return () => void load();
}
