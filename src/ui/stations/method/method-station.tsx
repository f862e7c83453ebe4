"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { benchFrom2, type StoredBench } from "../../../core/adaptation";
import type { Recipe } from "../../../core/recipe";
import type { DiningTable } from "../../../core/table";
import { formatGrams, servingsText } from "../../../core/units";
import type { MethodView } from "../../../core/views";
import type { WayPicks } from "../../../core/ways";
import { setWay } from "../../panels/bench-state";
import { CookIt } from "../../panels/cook-it";
import { WaysPanel } from "../../panels/ways-panel";
import { PrintButton } from "../../parts/print-button";
import { WhyMark } from "../../parts/marks";
import { PageColumns } from "../../parts/page-columns";
import { send } from "../../parts/send";
import { spanText } from "../../parts/span-text";
import { UndoButtons } from "../../parts/undo-buttons";
import { useUndoKeys } from "../../parts/use-history";
import { useSame } from "../../parts/use-same";
import { latest, noteSave, type Revised } from "../../shell/documents";
import { Go } from "../../shell/go";
import { SaveNotice } from "../../shell/save-notice";
import { PageHead } from "../../shell/shell";
import { StationThread } from "../../shell/thread";
import { useDocument } from "../../shell/use-document";
import { useView } from "../../shell/use-view";
import { HandsStrip } from "./hands-strip";
import { Leftovers } from "./leftovers";
import { MethodSteps } from "./method-steps";
import { ToGetReady } from "./to-get-ready";

interface MethodStationProps {
  readonly id: string;
  readonly recipe: Revised<Recipe>;
  readonly table: Revised<DiningTable>;
  readonly bench: Revised<StoredBench | null>;
  /** What the thread says of the bench; null where nothing lies on it. */
  readonly onBench: string | null;
  readonly view: MethodView;
}

const opened = (bench: StoredBench | null): StoredBench | null => bench && benchFrom2(bench);
const NO_WAYS: WayPicks = {};
const WAY = "way";

/** The Method station: what lies on Swap, to cook by: what to get ready, the night before, the steps with their times and cues, when hands are needed, and the ways in which it can be done. On paper one page. */
export function MethodStation({ id, recipe: givenRecipe, table: givenTable, bench, onBench, view: givenView }: MethodStationProps) {
  const recipe = useMemo(() => latest(`/api/recipes/${id}`, givenRecipe).document, [id, givenRecipe]);
  const table = useMemo(() => latest(`/api/recipes/${id}/table`, givenTable).document, [id, givenTable]);
  // What is saved where nothing lies on it yet: the recipe as handed down.
  const laidNow = useRef(givenView.bench);
  const close = useCallback((state: StoredBench | null): StoredBench => state ?? laidNow.current, []);
  const edited = useDocument<StoredBench | null, StoredBench | null>(`/api/recipes/${id}/bench`, bench, opened, close);
  const { present, set, undo, redo } = edited;
  const question = useMemo(() => ({ recipe, table, bench: present }), [recipe, table, present]);
  const [isOld] = useState(
    () => recipe !== givenRecipe.document || table !== givenTable.document || latest(`/api/recipes/${id}/bench`, bench).document !== bench.document,
  );
  const { view, of, isBehind, why } = useView("method", question, givenView, isOld);
  useEffect(() => void (laidNow.current = view.bench), [view.bench]);
  // In another way it has other lines and amounts: they are laid anew, and that is no change from outside.
  const relays = useRef(false);
  useEffect(() => {
    if (!relays.current || isBehind || of?.bench !== present) return;
    relays.current = false;
    if (view.isStale) set(view.bench, WAY);
  }, [isBehind, of, present, view, set]);
  useUndoKeys({ undo, redo });
  const ways = useSame((present ?? view.bench).ways ?? NO_WAYS);
  // On the stove is only what is kept: what lies on the bench goes on changing.
  const keep = async (): Promise<string | null> => {
    if (view.label === null) return null;
    const answer = await send("POST", "/api/versions", { recipeId: id, bench: view.bench, ...(view.verdict.kind === "not for" ? { notFor: true } : {}) });
    noteSave();
    return (answer as { readonly id: string }).id;
  };
  const { label, servings, grams, before, steps, strip, times } = view;
  const waiting = before.reduce((sum, { minutes }) => sum + minutes.usual, 0);
  const saved = times.all - waiting - Math.max(0, ...strip.map(({ end }) => end));
  return (
    <>
      <PageHead
        title={recipe.title}
        line={`${label === null ? "As handed down" : `“${label}”`}, ${servingsText(servings)}, about ${formatGrams(Math.round(grams))} g finished`}
      >
        <StationThread recipeId={id} here="method" of={{ ...view.thread, table, bench: onBench }} />
      </PageHead>
      <PageColumns className="print:flex print:flex-col print:gap-3 print:min-h-0">
        <div className="p-4 md:p-5 min-w-0 print:p-0">
          {why && (
            <p role="alert" className="mb-3 bg-rose-wash text-rose px-3 py-2">
              {why}
            </p>
          )}
          <Verdict view={view} />
          {steps.length === 0 ? (
            <p>
              This recipe has no steps.{" "}
              <Go href={`/recipes/${id}/recipe`} className="underline">
                Add them at the Recipe station
              </Go>
              .
            </p>
          ) : (
            <>
              {before.length > 0 && (
                <section aria-label="Hours before" className="mb-6 print:mb-2">
                  <h2 className="t-h2">Hours before, or the night before</h2>
                  <p className="t-ledger text-ink2">About {spanText(waiting)} of waiting, by itself.</p>
                  <MethodSteps steps={before} strip={[]} from={null} />
                </section>
              )}
              <section aria-label="Steps" aria-busy={isBehind}>
                <div className="flex flex-wrap items-center gap-x-6 gap-y-1">
                  <h2 className="t-h2 flex-1">The steps</h2>
                  <span className="no-print flex flex-wrap gap-3 items-center">
                    <SaveNotice document={edited} />
                    <UndoButtons undo={undo} redo={redo} />
                    <PrintButton />
                    <CookIt recipeId={id} words={label === null ? "Cook it" : "Keep it and cook"} version={keep} />
                  </span>
                </div>
                <p className="t-ledger text-ink2">
                  About {spanText(times.all - waiting - saved)}, {spanText(times.handsOn)} of it at the stove or the board
                  {saved > 0 ? `; ${spanText(saved)} saved where two steps go on at once` : ", one step after the other"}.
                </p>
                <HandsStrip strip={strip} />
                <WaysPanel
                  recipe={recipe}
                  table={table}
                  ways={ways}
                  taken={view.ways}
                  onWay={(way, option) => {
                    relays.current = true;
                    set((now) => setWay(now === null || now === of?.bench ? view.bench : now, way, option), WAY);
                  }}
                />
                <MethodSteps steps={steps} strip={strip} from={1} />
              </section>
              <Leftovers leftovers={view.leftovers} />
            </>
          )}
        </div>
        <ToGetReady id={id} view={view} />
      </PageColumns>
    </>
  );
}

/** What has to be known before anybody cooks by it; on paper too. */
const Verdict = ({ view: { verdict, thread } }: { readonly view: Pick<MethodView, "verdict" | "thread"> }) =>
  verdict.kind === "fits" && thread.asked === 0 ? null : (
    <section
      aria-label="At this table"
      className={`mb-5 print:mb-2 px-3 py-2 border ${verdict.kind === "not for" ? "border-rose bg-rose-wash" : "border-edge bg-saffron-wash"}`}
    >
      {verdict.kind === "not for" && <h2 className="t-h2 text-rose">Not for {verdict.notFor.join(", ")}</h2>}
      <ul className="t-ledger">
        {verdict.breaches.map((text) => (
          <li key={text} className="flex gap-2">
            <WhyMark kind="conflict" />
            {text}
          </li>
        ))}
        {verdict.questions.map((text) => (
          <li key={text} className="flex gap-2">
            <WhyMark kind="ask" />
            {text}
          </li>
        ))}
        {thread.asked > 0 && (
          <li className="flex gap-2">
            <WhyMark kind="ask" />
            {thread.asked} {thread.asked === 1 ? "line of the recipe is" : "lines of the recipe are"} not read: {thread.asked === 1 ? "it is" : "they are"} not
            in what is got ready here.
          </li>
        )}
        {(verdict.parted ?? []).map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </section>
  );
