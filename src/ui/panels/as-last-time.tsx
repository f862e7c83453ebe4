"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { buttonClass } from "../parts/button";
import { send, why as whyOf } from "../parts/send";
import { failed, toast } from "../shell/messages";

/** Begins a batch as another was cooked, and goes to it. */
export function AsLastTime({ batch, title, kind = "plain" }: { readonly batch: string; readonly title: string; readonly kind?: "plain" | "quiet" }) {
  const router = useRouter();
  const [isBusy, setBusy] = useState(false);
  const begin = async () => {
    if (isBusy) return;
    setBusy(true);
    try {
      const { id, without } = (await send("POST", "/api/batches/as-last-time", { like: batch })) as {
        readonly id: string;
        readonly without: readonly string[];
      };
      if (without.length > 0) toast(`Without ${without.join(", ")}: no table knows what that holds. Put it in at the stove.`);
      router.push(`/batches/${id}`);
    } catch (error) {
      failed(whyOf(error, "It could not be begun."), () => void begin());
      setBusy(false);
    }
  };
  return (
    <button type="button" aria-busy={isBusy} className={buttonClass(kind, "no-print min-h-11 md:min-h-9 py-1.5")} onClick={() => void begin()}>
      As last time<span className="sr-only">: {title}</span>
    </button>
  );
}
