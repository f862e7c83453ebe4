"use client";

import { useEffect, useRef, useState } from "react";
import type { KitchenSources } from "../../core/kitchen";
import type { ViewAnswer, ViewKind, ViewQuestion } from "../../core/views";
import { sameWhereEqual } from "../parts/same-where-equal";
import { why as whyOf } from "../parts/send";
import { compute } from "./computer";
import { heldAt } from "./documents";
import { useSources } from "./use-sources";

/** What this household has told of itself: it may not be saved yet. */
const URLS = ["/api/pantry", "/api/household", "/api/house-rules"];

interface Asked<Kind extends ViewKind> {
  readonly question: ViewQuestion<Kind>;
  readonly sources: KitchenSources;
}

interface Shown<Kind extends ViewKind> {
  readonly view: ViewAnswer<Kind>;
  /** The question that it is of; null where that was another than this window's first. */
  readonly of: ViewQuestion<Kind> | null;
  /** The view is of earlier documents: what it does not say yet may still be so. */
  readonly isBehind: boolean;
  /** What could not be computed, in words; the figures are then those of before. Null where all is as it should be. */
  readonly why: string | null;
}

/**
 * What a station shows of its documents: as the server computed it, and computed beside the page whenever they change. While
 * one is computed the next waits, and only the latest is. `given` is of the first question, unless `isOld`: then, and where
 * the household's own documents are not saved yet, it is computed at once. The question should be the same object for as
 * long as nothing in it changes.
 */
export function useView<Kind extends ViewKind>(kind: Kind, question: ViewQuestion<Kind>, given: ViewAnswer<Kind>, isOld: boolean): Shown<Kind> {
  const sources = useSources();
  const [first] = useState<Asked<Kind> | null>(() => (isOld || URLS.some((url) => heldAt(url)?.unsaved) ? null : { question, sources }));
  const [shown, setShown] = useState<{ readonly view: ViewAnswer<Kind>; readonly of: Asked<Kind> | null; readonly why: string | null }>(() => ({
    view: given,
    of: first,
    why: null,
  }));
  const answered = useRef(first);
  const busy = useRef(false);
  const latest = useRef<Asked<Kind>>({ question, sources });

  useEffect(() => {
    latest.current = { question, sources };
    if (busy.current) return;
    const next = (): void => {
      const asked = latest.current;
      if (answered.current?.question === asked.question && answered.current.sources === asked.sources) return;
      busy.current = true;
      compute(kind, asked.question, asked.sources)
        .then((view) => setShown((before) => ({ view: sameWhereEqual(before.view, view), of: asked, why: null })))
        .catch((error: unknown) => setShown(({ view, of }) => ({ view, of, why: whyOf(error, "The figures could not be computed.") })))
        .finally(() => {
          busy.current = false;
          answered.current = asked;
          next();
        });
    };
    next();
  }, [kind, question, sources]);
  const { view, of, why } = shown;
  return { view, of: of?.question ?? null, isBehind: of?.question !== question || of.sources !== sources, why };
}
