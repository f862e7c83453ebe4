"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { StoredBench } from "../../core/adaptation";
import type { DiningTable } from "../../core/table";
import { send, why as whyOf } from "../parts/send";
import { noteSave } from "./documents";
import { failed, toast } from "./messages";

interface LaidOn {
  readonly recipeId: string;
  readonly before: { readonly table: DiningTable; readonly bench: StoredBench | null };
  readonly revisions: { readonly table: number; readonly bench: number };
}

/** Lays something on its recipe's bench, as the server does at this address, and goes there; what lay there can be put back. */
export function useLayOn(address: string): { readonly isBusy: boolean; readonly lay: (body?: unknown) => Promise<void> } {
  const router = useRouter();
  const [isBusy, setBusy] = useState(false);
  const putBack = async ({ recipeId, before, revisions }: LaidOn) => {
    try {
      await send("PUT", `/api/recipes/${recipeId}/table`, { document: before.table, revision: revisions.table });
      await send("PUT", `/api/recipes/${recipeId}/bench`, { document: before.bench, revision: revisions.bench });
      noteSave();
      const bench = `/recipes/${recipeId}/swap`;
      // A bench that is open holds what it was given: it is read anew.
      if (window.location.pathname === bench) window.location.reload();
      else router.push(bench);
    } catch (error) {
      failed(whyOf(error, "It could not be put back."));
    }
  };
  const lay = async (body?: unknown) => {
    setBusy(true);
    try {
      const laid = (await send("POST", address, body)) as LaidOn;
      noteSave();
      router.push(`/recipes/${laid.recipeId}/swap`);
      router.refresh();
      if (laid.before.bench) toast("What lay on the bench, and its table, are put aside.", { label: "Put them back", run: () => void putBack(laid) });
    } catch (error) {
      failed(whyOf(error, "It could not be laid on the bench."), () => void lay(body));
      setBusy(false);
    }
  };
  return { isBusy, lay };
}
