"use client";

import { useState } from "react";
import type { StoredBench } from "../../../core/adaptation";
import type { Recipe } from "../../../core/recipe";
import type { DiningTable } from "../../../core/table";
import { send, why } from "../../parts/send";
import { useCompute } from "../../shell/computer";
import { failed, toast } from "../../shell/messages";

interface Bench {
  readonly id: string;
  readonly revision: number;
  readonly recipe: Recipe;
  readonly table: DiningTable;
  /** What lies there now. */
  readonly now: StoredBench;
  readonly bring: (earlier: readonly StoredBench[]) => void;
}

/**
 * Undo beyond this visit: what lay on the bench before, as the server keeps it, is laid beneath the first step, and one step
 * taken back. Null where nothing was ever replaced, or all of it is here already.
 */
export function useEarlierStates({ id, revision, recipe, table, now, bring }: Bench): (() => void) | null {
  const [asked, setAsked] = useState(false);
  const compute = useCompute();
  if (asked || revision < 2) return null;
  const load = async () => {
    setAsked(true);
    try {
      const { states } = (await send("GET", `/api/recipes/${id}/bench`)) as { readonly states: readonly { readonly bench: StoredBench }[] };
      const earlier = await compute("earlier benches", { recipe, table, now, benches: states.map(({ bench }) => bench) });
      if (earlier.length === 0) return toast("Nothing earlier is kept of this bench.");
      bring(earlier);
    } catch (error) {
      setAsked(false);
      failed(why(error, "What lay here before could not be fetched."), () => void load());
    }
  };
  return () => void load();
}
