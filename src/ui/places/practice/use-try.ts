"use client";

import { useState } from "react";
import { send, why as whyOf } from "../../parts/send";

interface Trying<Told> {
  /** What the try came to; null before it is sent. */
  readonly told: Told | null;
  readonly why: string | null;
  readonly isSending: boolean;
  readonly attempt: (answer: object) => Promise<boolean>;
}

/** One try of an exercise: sent once, whatever is pressed; what went wrong can be sent again, and is there once. */
export function useTry<Told>(kind: string, seed: number, eater: string | null): Trying<Told> {
  const [told, setTold] = useState<Told | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const [isSending, setSending] = useState(false);
  const [id] = useState(() => crypto.randomUUID());
  const attempt = async (answer: object): Promise<boolean> => {
    if (isSending || told !== null) return false;
    setSending(true);
    try {
      setTold((await send("POST", "/api/practice", { id, kind, eater, seed, answer }, { limit: 15_000 })) as Told);
      setWhy(null);
      return true;
    } catch (error) {
      setWhy(whyOf(error, "It could not be worked out."));
      return false;
    } finally {
      setSending(false);
    }
  };
  return { told, why, isSending, attempt };
}
