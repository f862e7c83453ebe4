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
  /** The view is of earlier documents: what it does not say yet may still be so. */
  readonly isBehind: boolean;
  /** What could not be computed, in words; the figures are then those of before. Null where all is as it should be. */
  readonly why: string | null;
}

/**
 * What a station shows of its documents: as the server computed it, and computed beside the page whenever they change. While
 * one is computed the next waits, and only the latest is. `given` is of the question and the sources at first, unless
 * `isOld`. Question and sources should be the same objects for as long as nothing in them changes.
 */
export function useView(question: TableQuestion, sources: KitchenSources, given: TableView, isOld: boolean): Shown {
  const [first] = useState(isOld ? null : { question, sources });
  const [shown, setShown] = useState({ view: given, of: first, why: null as string | null });
  const answered = useRef(first);
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
        .then((view) => setShown({ view, of: asked, why: null }))
        .catch((error: unknown) => setShown(({ view, of }) => ({ view, of, why: whyOf(error, "The figures could not be computed.") })))
        .finally(() => {
          busy.current = false;
          answered.current = asked;
          next();
        });
    };
    next();
  }, [question, sources]);
  const { view, of, why } = shown;
  return { view, isBehind: of?.question !== question || of.sources !== sources, why };
}
