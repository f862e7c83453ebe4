"use client";

import { useRouter } from "next/navigation";
import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import { benchFrom2, type StoredBench, type StoredProposals } from "../../../core/adaptation";
import { isEatenFrozen } from "../../../core/evaluate";
import type { Recipe } from "../../../core/recipe";
import type { BeamReading } from "../../../core/substitution";
import { notAsked, type DiningTable } from "../../../core/table";
import { servingsText } from "../../../core/units";
import type { BenchView, FigureOf } from "../../../core/views";
import type { WayPicks } from "../../../core/ways";
import { BeamsPanel } from "../../panels/beams-panel";
import { useFoodPickerSoon } from "../../panels/food-picker";
import { StepsPanel } from "../../panels/steps-panel";
import { WaysPanel } from "../../panels/ways-panel";
import { WorkingProvider } from "../../panels/working";
import { PageColumns } from "../../parts/page-columns";
import { send, why as whyOf } from "../../parts/send";
import { UndoButtons } from "../../parts/undo-buttons";
import { useSame } from "../../parts/use-same";
import { useUndoKeys } from "../../parts/use-history";
import { latest, noteSave, savedRevision, type Revised } from "../../shell/documents";
import { Go } from "../../shell/go";
import { SaveNotice } from "../../shell/save-notice";
import { useSaving } from "../../shell/saving";
import { PageHead } from "../../shell/shell";
import { StationThread } from "../../shell/thread";
import { useDocument } from "../../shell/use-document";
import { useView } from "../../shell/use-view";
import { chosen, setEvaporation, setOwnSteps, setWay } from "../../panels/bench-state";
import { BenchNotices } from "./bench-notices";
import { ChangedSince } from "./changed-since";
import { EatersRow } from "./eaters-row";
import { FromHere } from "./from-here";
import { EndingPanel } from "./ending-panel";
import { KeepBar } from "./keep-bar";
import { Ledger } from "./ledger";
import { ProposalTabs } from "./proposal-tabs";
import { SplitPanel } from "./split-panel";
import { TradeOffPanel } from "./trade-off-panel";
import { useAsked } from "./use-asked";
import { useEarlierStates } from "./use-earlier-states";
import { STARTING, useProposals, useRevisions } from "./use-proposals";
import { WishesPanel } from "./wishes-panel";

import { YieldLine } from "./yield-line";

interface BenchStationProps {
  readonly id: string;
  readonly recipe: Revised<Recipe>;
  readonly table: Revised<DiningTable>;
  readonly bench: Revised<StoredBench | null>;
  /** What was worked out for this table before. */
  readonly proposals: StoredProposals | null;
  /** What is computed of all of it, as saved. */
  readonly view: BenchView;
  /** ISO. */
  readonly today: string;
}

/** A browser may hold one that was not saved, from an earlier version of the app. */
const opened = (bench: StoredBench | null): StoredBench | null => bench && benchFrom2(bench);

const same = (table: DiningTable): DiningTable => table;

const NO_WAYS: WayPicks = {};
const WAY = "way";
/** The Swap station: the bench, where a version is found, changed by hand and weighed against the recipe. */
export function BenchStation({ id, recipe: givenRecipe, table: givenTable, bench, proposals: storedProposals, view: givenView, today }: BenchStationProps) {
  const recipe = useMemo(() => latest(`/api/recipes/${id}`, givenRecipe).document, [id, givenRecipe]);
  const editedTable = useDocument(`/api/recipes/${id}/table`, givenTable, same, same);
  const { present: table, set: setTable } = editedTable;
  const revisions = useRevisions(savedRevision(`/api/recipes/${id}`, givenRecipe), editedTable.revision);
  const router = useRouter();
  const { flush } = useSaving();

  // What is saved where nothing lies on it yet: the recipe as handed down.
  const handedDown = useRef(givenView.handedDown);
  const close = useCallback((state: StoredBench | null): StoredBench => state ?? handedDown.current, []);
  const edited = useDocument<StoredBench | null, StoredBench | null>(`/api/recipes/${id}/bench`, bench, opened, close);
  useFoodPickerSoon();
  const { present, set, redo } = edited;
  const laysFirst = edited.undo === null && redo === null;
  const question = useMemo(
    () => ({ recipe, table, bench: present, proposals: storedProposals, revisions, laysFirst }),
    [recipe, table, present, storedProposals, revisions, laysFirst],
  );
  const [isOld] = useState(
    () => recipe !== givenRecipe.document || table !== givenTable.document || latest(`/api/recipes/${id}/bench`, bench).document !== bench.document,
  );
  const { view, of, isBehind, why } = useView("bench", question, givenView, isOld);
  useEffect(() => void (handedDown.current = view.handedDown), [view.handedDown]);
  /** The bench as it is laid for recipe and table: what lies there may have been made for others, and nothing may lie there. */
  const laid = useCallback((now: StoredBench | null): StoredBench => (now === null || now === of?.bench ? view.bench : now), [of, view.bench]);
  const latestLaid = useRef(laid);
  useEffect(() => void (latestLaid.current = laid), [laid]);
  // The same for as long as the station is open: rows are shown anew only where they changed.
  const change = useCallback((next: (bench: StoredBench) => StoredBench, key?: string) => set((now) => next(latestLaid.current(now)), key), [set]);
  const now = laid(present);
  // In another way it has other lines and amounts: they are laid anew, and that is no change from outside.
  const relays = useRef(false);
  useEffect(() => {
    if (!relays.current || isBehind || of?.bench !== present) return;
    relays.current = false;
    if (view.since.length > 0) set(view.bench, WAY);
  }, [isBehind, of, present, view, set]);
  const ways = useSame(now.ways ?? NO_WAYS);

  const earlier = useEarlierStates({ id, revision: bench.revision, recipe, table, now, bring: edited.bring });
  const undo = edited.undo ?? earlier;
  useUndoKeys({ undo, redo });
  const [start] = useState(present);
  const [seen, setSeen] = useState(false);
  // Something was worked on before, came back unsaved, or was changed since. What waits for its food is not written over either.
  const isTouched = isBehind || view.isLaid || view.gone > 0 || present !== start || edited.undo !== null || redo !== null;
  const isOfGround = of !== null && of.recipe === recipe && of.table === table;
  const { search, again, cancel } = useProposals({ id, recipe, table, ways, revisions, known: isOfGround ? view.ending : undefined });
  const proposals = search.kind === "ended" && search.ending.kind === "proposals" ? search.ending.proposals : [];

  // The first proposal is laid on the bench unless something was already worked on.
  const first = proposals[0];
  // Before it is painted, so that the recipe as handed down does not flash by.
  useLayoutEffect(() => {
    if (first && !isTouched) set(first.bench);
  }, [first, isTouched, set]);

  const isOfHand = /by hand$/i.test(now.label) && view.isLaid;
  const { ask, onWish, onLetGo, onLimit } = useAsked({ search, first: isOfHand ? undefined : first, set, setTable });

  const sweet = useCallback(
    (side: string): FigureOf => ({ kind: "bench", side: side === "as handed down" ? "before" : "after", recipe, table, bench: present }),
    [recipe, table, present],
  );
  const unasked = useMemo(() => notAsked(table), [table]);
  const { before, after, beams, isNotFor, fit } = view;
  const chosenOne = proposals.findIndex((proposal) => proposal.label === now.label);

  const [looked, setLooked] = useState<readonly BeamReading[] | null>(null);
  const [keeping, setKeeping] = useState<{ readonly busy: boolean; readonly why: string | null }>({ busy: false, why: null });
  const keep = async () => {
    setKeeping({ busy: true, why: null });
    try {
      await flush();
      const answer = (await send("POST", "/api/versions", { recipeId: id, bench: now, ...(isNotFor ? { notFor: true } : {}) })) as { id: string };
      noteSave();
      router.push(`/versions/${answer.id}`);
      router.refresh();
    } catch (error) {
      setKeeping({ busy: false, why: whyOf(error, "It could not be kept.") });
    }
  };
  const changed = now.rows.filter((row) => row.change !== "as is").length;

  return (
    <WorkingProvider anchors={view.anchors} sweet={sweet}>
      <PageHead title={recipe.title} line={`For this table, ${servingsText(table.servings)}, served ${isEatenFrozen(before.figures) ? "frozen" : table.serve}`}>
        <StationThread recipeId={id} here="swap" of={{ ...view.thread, table, bench: fit }} />
      </PageHead>
      <PageColumns aside="wide" className="lg:grid-rows-[auto_1fr] pb-20 md:pb-0">
        <div className="p-4 pb-0 md:pt-2 md:px-5 min-w-0">
          {editedTable.theirs && (
            <div className="mb-3" role="group" aria-label="The table">
              <SaveNotice document={editedTable} />
            </div>
          )}
          <BenchNotices why={why} unread={view.unread} gone={edited.undo === null ? view.gone : 0} />
          {view.isLaid && view.since.length > 0 && !seen && (
            <ChangedSince
              since={view.since}
              onUnderstood={() => {
                setSeen(true);
                change((bench) => ({ ...bench }));
              }}
              onAnew={
                first
                  ? () => {
                      setSeen(true);
                      set(chosen(first.bench));
                    }
                  : null
              }
            />
          )}
          <div className="md:hidden no-print flex items-center justify-between gap-3 mb-2">
            <SaveNotice document={edited} />
            <UndoButtons undo={undo} redo={redo} />
          </div>
          <EndingPanel
            state={search}
            recipeId={id}
            unasked={unasked}
            order={view.order}
            ruleNames={view.ruleNames}
            today={today}
            onAgain={again}
            onLetGo={onLetGo}
            onWish={onWish}
            onLimit={onLimit}
          />
          <ProposalTabs
            proposals={proposals}
            chosen={chosenOne < 0 ? null : chosenOne}
            ownLabel={chosenOne < 0 ? now.label : null}
            onChoose={(i) => {
              const proposal = proposals[i];
              if (proposal) set(chosen(proposal.bench));
            }}
            working={search.kind === "working" ? search.progress : search.kind === "idle" ? STARTING : null}
            onCancel={cancel}
            onByHand={() => set(chosen(view.handedDown))}
          />
          <EatersRow eaters={view.eaters} />
          <WishesPanel wishes={view.wishes} goals={view.goals} palates={view.palates} table={table} onWish={onWish} onLetGo={onLetGo} />
          <Ledger
            isBehind={isBehind}
            rows={view.rows}
            bench={now}
            recipe={recipe}
            table={table}
            onChange={change}
            onWish={onWish}
            onLetGo={onLetGo}
            onLook={setLooked}
          />
          <YieldLine
            before={before}
            after={after}
            table={table}
            evaporation={now.evaporation}
            onEvaporation={(evaporation) => change((bench) => setEvaporation(bench, evaporation), "evaporation")}
            onServe={(serve) => ask((was) => ({ ...was, serve }))}
          />
          <KeepBar
            beams={beams}
            changed={changed}
            fit={fit}
            notFor={isNotFor}
            states={view.allergies}
            unasked={unasked}
            edited={edited}
            undo={undo}
            redo={redo}
            busy={keeping.busy}
            onKeep={() => void keep()}
          />
          {view.parted.map((text) => (
            <p key={text} className="mt-2 t-ledger text-ink2">
              {text}
            </p>
          ))}
          {keeping.why && (
            <p role="alert" className="mt-2 bg-rose-wash text-rose px-3 py-2">
              {keeping.why}
            </p>
          )}
        </div>
        <aside className="lg:crease-l p-4 md:pt-2 md:px-4 lg:row-span-2" aria-label="Beams">
          <BeamsPanel beams={beams} palates={view.palates} notes={view.notes} before={before} after={after} ghosts={looked} />
          <p className="mt-3 no-print">
            <Go className="underline t-ledger inline-flex items-center min-h-8" href={`/recipes/${id}/nutrition`}>
              Nutrition in full, with claims
            </Go>
          </p>
        </aside>
        <section className="p-4 md:px-5 min-w-0 isolate" aria-label="Steps for this table">
          <h2 className="t-h2">The steps, for this table</h2>
          {view.unhandled.map(({ id: foodId, name }) => (
            <p key={foodId} className="bg-saffron-wash px-3 py-2 t-ledger mt-2">
              How {name} is handled is not known: raw or ready, dry or wet, how long it cooks. Where it goes in below is a guess.{" "}
              <Go className="underline" href={`/pantry/${foodId}/edit`}>
                Say it once
              </Go>
            </p>
          ))}
          <WaysPanel
            recipe={recipe}
            table={table}
            ways={ways}
            taken={view.ways}
            onWay={(way, option) => {
              relays.current = true;
              change((bench) => setWay(bench, way, option), WAY);
            }}
          />
          <StepsPanel
            steps={view.steps}
            hazards={view.hazards}
            times={view.times}
            own={now.steps}
            onOwn={(own) => change((bench) => setOwnSteps(bench, own))}
          />
          <FromHere id={id} />
          <SplitPanel id={id} recipe={recipe} table={table} ways={ways} />
          <TradeOffPanel recipe={recipe} table={table} ways={ways} onTake={set} />
        </section>
      </PageColumns>
    </WorkingProvider>
  );
}
