"use client";

import { useState } from "react";
import { send, why as whyOf } from "./send";

interface SendOnce {
  /** Made once: what is sent again after no answer came is there once. */
  readonly id: string;
  /** Why it is not taken, in words; null where nothing is wrong. */
  readonly why: string | null;
  readonly setWhy: (why: string | null) => void;
  readonly isSending: boolean;
  /** Sends it, unless it is on its way; true once it is kept. What was answered goes to `onKept`. */
  readonly sendIt: (url: string, body: object, onKept?: (answer: unknown) => void) => Promise<boolean>;
}

/** How long an answer is waited for, ms: what has an id of its own may be sent twice. */
const LIMIT = 15_000;

/** Something that is made and sent once, however often it is pressed. `otherwise` is said where nothing tells why it failed. */
export function useSendOnce(otherwise: string): SendOnce {
  const [id] = useState(() => crypto.randomUUID());
  const [why, setWhy] = useState<string | null>(null);
  const [isSending, setSending] = useState(false);
  const sendIt = async (url: string, body: object, onKept?: (answer: unknown) => void): Promise<boolean> => {
    if (isSending) return false;
    setSending(true);
    try {
      const answer = await send("POST", url, body, { limit: LIMIT });
      setWhy(null);
      onKept?.(answer);
      return true;
    } catch (error) {
      setWhy(whyOf(error, otherwise));
      return false;
    } finally {
      setSending(false);
    }
  };
  return { id, why, setWhy, isSending, sendIt };
}
