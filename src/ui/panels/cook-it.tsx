"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { buttonClass } from "../parts/button";
import { send, why as whyOf } from "../parts/send";
import { useSaving } from "../shell/saving";

interface CookItProps {
  readonly recipeId: string;
  readonly words: string;
  /** Keeps what lies on the bench first, and gives its id; null for the recipe as handed down. */
  readonly version: () => Promise<string | null>;
  readonly kind?: "primary" | "plain";
}

/** Begins a batch, and goes to the stove. */
export function CookIt({ recipeId, words, version, kind = "primary" }: CookItProps) {
  const router = useRouter();
  const { flush } = useSaving();
  const [state, setState] = useState<{ readonly busy: boolean; readonly why: string | null }>({ busy: false, why: null });
  const begin = async () => {
    setState({ busy: true, why: null });
    try {
      await flush();
      const versionId = await version();
      const { id } = (await send("POST", "/api/batches", { recipeId, versionId })) as { readonly id: string };
      router.push(`/batches/${id}`);
    } catch (error) {
      setState({ busy: false, why: whyOf(error, "It could not be begun.") });
    }
  };
  return (
    <>
      <button type="button" disabled={state.busy} className={buttonClass(kind)} onClick={() => void begin()}>
        {state.busy ? "Laying it out …" : words}
      </button>
      {state.why && (
        <p role="alert" className="t-ledger text-rose basis-full">
          {state.why}
        </p>
      )}
    </>
  );
}
