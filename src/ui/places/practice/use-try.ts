"use client";

import { useState } from "react";
import { useSendOnce } from "../../parts/use-send-once";

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
  const { id, why, isSending, sendIt } = useSendOnce("It could not be worked out.");
  const attempt = async (answer: object): Promise<boolean> =>
    told === null && (await sendIt("/api/practice", { id, kind, eater, seed, answer }, (read) => setTold(read as Told)));
  return { told, why, isSending, attempt };
}
