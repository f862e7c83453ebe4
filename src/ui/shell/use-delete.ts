"use client";

import { useRouter } from "next/navigation";
import { useCallback } from "react";
import { send, why } from "../parts/send";
import { noteSave } from "./documents";
import { failed, toast } from "./messages";

export type Deletable = "recipes" | "versions" | "batches" | "gatherings";

/** Deletes something at once, and offers to take it back; it can be put back later too. */
export function useDelete(): {
  readonly remove: (kind: Deletable, id: string, title: string, after?: () => void) => void;
  readonly putBack: (kind: Deletable, id: string, title: string) => void;
} {
  const router = useRouter();
  const putBack = useCallback(
    function again(kind: Deletable, id: string, title: string) {
      send("POST", `/api/${kind}/${id}/restore`).then(
        () => {
          noteSave();
          toast(`“${title}” is back.`);
          router.refresh();
        },
        (error: unknown) => failed(why(error, "It could not be put back."), () => again(kind, id, title)),
      );
    },
    [router],
  );
  const remove = useCallback(
    (kind: Deletable, id: string, title: string, after?: () => void) => {
      send("DELETE", `/api/${kind}/${id}`).then(
        () => {
          noteSave();
          toast(`“${title}” is deleted.`, { label: "Undo", run: () => putBack(kind, id, title) });
          after?.();
          router.refresh();
        },
        (error: unknown) => failed(why(error, "It could not be deleted.")),
      );
    },
    [router, putBack],
  );
  return { remove, putBack };
}
