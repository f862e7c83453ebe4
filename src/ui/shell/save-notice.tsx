"use client";

import { useEffect } from "react";
import { useSaveState, useSaving } from "./saving";
import type { Document } from "./use-document";

/** Says whether what was done is safe; when not, why, with a way out. */
export function SaveNotice({ document }: { readonly document: Pick<Document<unknown>, "theirs" | "acceptTheirs" | "overwriteTheirs"> }) {
  const { flush, told } = useSaving();
  const state = useSaveState();
  useEffect(told, [told]);
  const { theirs } = document;
  const box = "t-small px-3 py-2 flex flex-wrap gap-x-3 gap-y-1 items-baseline";
  if (theirs?.inTheWay)
    return (
      <div role="alert" className={`${box} text-rose bg-rose-wash`}>
        Changed in another window too. Nothing was overwritten.
        <button type="button" className="underline min-h-6" onClick={document.acceptTheirs}>
          Take theirs
        </button>
        <button type="button" className="underline min-h-6" onClick={document.overwriteTheirs}>
          Keep mine
        </button>
      </div>
    );
  if (theirs)
    return (
      <div role="alert" className={`${box} bg-saffron-wash`}>
        Changed in another window.
        <button type="button" className="underline min-h-6" onClick={document.acceptTheirs}>
          Show it
        </button>
      </div>
    );
  if (state.kind === "refused")
    return (
      <p role="alert" className={`${box} text-rose bg-rose-wash`}>
        Not saved: {state.why}{" "}
        <button type="button" className="underline" onClick={() => void flush()}>
          Try again
        </button>
      </p>
    );
  return (
    <p role="status" className="t-small text-ink3">
      {state.kind === "saving" ? "Saving" : "Saved"}
    </p>
  );
}
