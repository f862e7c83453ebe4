"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { Cancelled, createBrowserReader, type ReadingClient } from "../../../workers/client";
import type { ReadingAnswer, ReadingQuestion } from "../../../workers/protocol";
import { useHousehold } from "../../shell/household";
import { useHouseRulesDocument } from "../../shell/house-rules";
import { usePantryDocument } from "../../shell/pantry";

export interface Reading {
  /** What was understood last; null before anything was. */
  readonly answer: ReadingAnswer | null;
  readonly state: "idle" | "reading" | "stopped" | "failed";
  readonly stop: () => void;
}

/** Reads beside the page what is there at the moment; of several that come while one is read only the last is read next. `of` should be stable. */
export function useReading(of: ReadingQuestion["of"] | null): Reading {
  const [answer, setAnswer] = useState<ReadingAnswer | null>(null);
  const [state, setState] = useState<Reading["state"]>("idle");
  const client = useRef<ReadingClient | null>(null);
  const running = useRef<AbortController | null>(null);
  const next = useRef<ReadingQuestion | null>(null);
  const [pantry, household, rules] = [usePantryDocument().present, useHousehold(), useHouseRulesDocument().present];

  const run = useCallback(async () => {
    client.current ??= createBrowserReader();
    setState("reading");
    for (let question = next.current; question; question = next.current) {
      next.current = null;
      const controller = new AbortController();
      running.current = controller;
      try {
        setAnswer(await client.current.ask(question, { signal: controller.signal }));
        setState("idle");
      } catch (error) {
        setState(error instanceof Cancelled ? "stopped" : "failed");
      }
    }
    running.current = null;
  }, []);
  useEffect(() => {
    if (of === null) return;
    next.current = { of, pantry, household, rules };
    if (!running.current) void run();
  }, [of, pantry, household, rules, run]);
  useEffect(
    () => () => {
      next.current = null;
      client.current?.close();
      client.current = null;
    },
    [],
  );
  const stop = useCallback(() => {
    next.current = null;
    running.current?.abort();
  }, []);
  return { answer, state, stop };
}
