"use client";

import { useEffect, useRef, useState } from "react";
import type { KitchenSources } from "../../core/kitchen";
import type { TableQuestion, TableView } from "../../core/views";
import { createBrowserComputer, type Computer } from "../../workers/client/browser";
import { why as whyOf } from "../parts/send";

// One for the window: it knows the foods already when the next station asks.
let computer: Computer | null = null;

interface Shown {
  readonly view: TableView;
  /** What could not be computed, in words; the figures are then those of before. Null where all is as it should be. */
  readonly why: string | null;
}

/**
 * What a station shows of its documents: as the server computed it, and computed beside the page whenever they change. While
 * one is computed the next waits, and only the latest is. `given` is of the question and the sources at first, unless
 * `isOld`. Question and sources should be the same objects for as long as nothing in them changes.
 */
export function useView(question: TableQuestion, sources: KitchenSources, given: TableView, isOld: boolean): Shown {
  const [shown, setShown] = useState<Shown>({ view: given, why: null });
  const answered = useRef(isOld ? null : { question, sources });
  const busy = useRef(false);
  const latest = useRef({ question, sources });

  useEffect(() => {
    latest.current = { question, sources };
    if (busy.current) return;
    const next = (): void => {
      const asked = latest.current;
      if (answered.current?.question === asked.question && answered.current.sources === asked.sources) return;
      busy.current = true;
      computer ??= createBrowserComputer();
      computer
        .ask(asked.question, asked.sources)
        .then((view) => setShown({ view, why: null }))
        .catch((error: unknown) => setShown(({ view }) => ({ view, why: whyOf(error, "The figures could not be computed.") })))
        .finally(() => {
          busy.current = false;
          answered.current = asked;
          next();
        });
    };
    next();
  }, [question, sources]);
  return shown;
}
