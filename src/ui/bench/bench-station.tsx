"use client";

import { useRouter } from "next/navigation";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { evaluate } from "../../core/evaluate";
import { recipeInput, stepsFor, versionInput } from "../../core/adaptation";
import { readRecipe, type Recipe } from "../../core/recipe";
import { beamReadings, insideCount, problemFor, versionNotes, type DiningTable, type Proposal } from "../../core/substitution";
import { knowledge, readingContext } from "../../workers/client";
import { AmountField } from "../parts/amount-field";
import { Button } from "../parts/button";
import { Arrow, StateMark } from "../parts/marks";
import { send } from "../parts/send";
import { UndoButtons } from "../parts/undo-buttons";
import { useHistory } from "../parts/use-history";
import { useSettled } from "../parts/use-settled";
import { FigureButton, WorkingProvider } from "../parts/working";
import { latest } from "../recipe/recipe-memory";
import { SaveNotice, useSaving } from "../shell/saving";
import { PageHead } from "../shell/shell";
import { stationsOf } from "../shell/stations";
import { StationThread } from "../shell/thread";
import { latestTable } from "../table/table-memory";
import { BeamsPanel } from "./beams-panel";
import { latestBench, rememberBench } from "./bench-memory";
import { asHandedDown, basisOf, fromProposal, reopened, setEvaporation, stored, type BenchState, type StoredBench } from "./bench-state";
import type { BenchView } from "./bench-view";
import { EndingPanel } from "./ending-panel";
import { Ledger } from "./ledger";
import { ProposalTabs } from "./proposal-tabs";
import { StepsPanel } from "./steps-panel";
import { useSolver } from "./use-solver";

interface BenchStationProps {
  readonly id: string;
  readonly given: { readonly recipe: Recipe; readonly revision: number };
  readonly table: DiningTable;
  readonly bench: StoredBench | null;
}

const PROPOSALS = 3;

/** The Swap station: the bench, where a version is found, changed by hand and weighed against the recipe. */
export function BenchStation({ id, given, table: givenTable, bench }: BenchStationProps) {
  const { reference, rules, substitution, handling } = knowledge;
  const { constants } = reference;
  const router = useRouter();
  const { save, flush } = useSaving();
  const { recipe } = useMemo(() => latest(id, given), [id, given]);
  const table = useMemo(() => latestTable(id) ?? givenTable, [id, givenTable]);
  const view: BenchView = useMemo(() => {
    const read = readRecipe(recipe, readingContext(), constants);
    const input = recipeInput(read, table);
    return {
      read,
      table,
      problem: problemFor(read, table, reference, substitution, rules, PROPOSALS),
      before: { input, figures: evaluate(input, constants).figures },
    };
  }, [recipe, table, constants, reference, rules, substitution]);
  const basis = useMemo(() => basisOf(view.read, table), [view.read, table]);

  const {
    present: state,
    set,
    undo,
    redo,
  } = useHistory<BenchState>(() => reopened(latestBench(id) ?? bench, basis, reference.foods) ?? asHandedDown(view.read, table));
  const [touched, setTouched] = useState(() => reopened(latestBench(id) ?? bench, basis, reference.foods) !== null);
  const solver = useSolver();
  const { start } = solver;
  useEffect(() => start(view.problem), [start, view.problem]);
  const proposals: readonly Proposal[] = solver.state.kind === "ended" && solver.state.ending.kind === "proposals" ? solver.state.ending.proposals : [];

  // The first proposal is laid on the bench unless something was already worked on.
  const first = proposals[0];
  if (first && !touched) {
    setTouched(true);
    set(fromProposal(first));
  }
  const change = useCallback(
    (next: BenchState | ((present: BenchState) => BenchState), key?: string) => {
      setTouched(true);
      set(next, key);
    },
    [set],
  );
  const savedState = useRef(state);
  useEffect(() => {
    if (state === savedState.current) return;
    savedState.current = state;
    const body = stored(state, basis);
    rememberBench(id, body);
    save(`bench ${id}`, async () => {
      await send("PUT", `/api/recipes/${id}/bench`, body);
    });
  }, [state, basis, id, save]);

  const after = useMemo(() => {
    const input = versionInput(state.version, view.read, table);
    return { input, version: state.version, figures: evaluate(input, constants).figures };
  }, [state.version, view.read, table, constants]);
  const beams = useMemo(() => beamReadings(view.before.figures, after.figures, table.limits, table.serve, constants), [view, after, table, constants]);
  // Steps and notes may follow a moment later than the beams.
  const later = useSettled(after, 120);
  const notes = useMemo(() => versionNotes(view.problem, later.version, later.figures), [view, later]);
  const steps = useMemo(() => stepsFor(view.read, later.version, table, handling), [view.read, later, table, handling]);
  const { inside, of } = insideCount(beams);
  const chosen = proposals.findIndex((proposal) => proposal.label === state.label);

  const [keeping, setKeeping] = useState<{ readonly busy: boolean; readonly why: string | null }>({ busy: false, why: null });
  const keep = async () => {
    setKeeping({ busy: true, why: null });
    try {
      await flush();
      const answer = (await send("POST", "/api/versions", { recipeId: id, bench: stored(state, basis) })) as { id: string };
      router.push(`/versions/${answer.id}`);
      router.refresh();
    } catch (error) {
      setKeeping({ busy: false, why: error instanceof Error ? error.message : "It could not be kept." });
    }
  };
  const changed = state.version.rows.filter((row) => row.change !== "as is").length;
  const asked = notes.filter((note) => note.kind === "ask").length + view.read.unresolved.length;

  return (
    <WorkingProvider constants={constants}>
      <PageHead title={recipe.title} line={`For this table, ${table.servings} servings, served ${table.serve}`}>
        <StationThread recipeId={id} here="swap" stations={stationsOf(view.read, table, { state: `${inside} of ${of} inside`, settled: true })} />
      </PageHead>
      <main id="main" className="lg:min-h-[calc(100dvh-82px)] lg:grid lg:grid-cols-[minmax(0,1fr)_404px] lg:grid-rows-[auto_1fr] pb-20 md:pb-0">
        <div className="p-4 pb-0 md:pt-2 md:px-5 min-w-0">
          {view.read.unresolved.length > 0 && (
            <p className="bg-saffron-wash px-3 py-2 t-ledger mb-3">
              {view.read.unresolved.length} {view.read.unresolved.length === 1 ? "line of the recipe is" : "lines of the recipe are"} not read yet and not in
              any version. Whether they fit this table is not known: answer them at the Recipe station.
            </p>
          )}
          <EndingPanel
            state={solver.state}
            recipeId={id}
            ruleNames={new Map(view.problem.rules.map((rule) => [rule.id, rule.name]))}
            onCancel={solver.cancel}
            onAgain={() => start(view.problem)}
          />
          <ProposalTabs
            proposals={proposals}
            chosen={chosen < 0 ? null : chosen}
            ownLabel={chosen < 0 ? state.label : null}
            onChoose={(i) => {
              const proposal = proposals[i];
              if (proposal) change(fromProposal(proposal));
            }}
            onByHand={() => change(asHandedDown(view.read, table))}
          />
          <Ledger view={view} state={state} onChange={change} />
          <div className="border-x border-b border-ink bg-sheet rule-double px-3 py-2 grid sm:grid-cols-[1fr_auto_1fr] gap-2 items-center t-ledger">
            <span>
              <FigureButton figure={view.before.figures.yield} id="yield" input={view.before.input} of="as handed down" className="font-[600]!" /> finished
            </span>
            <span className="flex items-center gap-2 text-ink2">
              cooks down by{" "}
              <AmountField
                label="Water driven off in this version, grams"
                value={state.version.evaporation}
                onChange={(evaporation) => change((present) => setEvaporation(present, evaporation), "evaporation")}
              />
            </span>
            <span className="sm:text-right">
              <FigureButton figure={after.figures.yield} id="yield" input={after.input} of="for this table" className="font-[600]!" /> finished,{" "}
              {table.servings} of <FigureButton figure={after.figures.servingMass} id="servingMass" input={after.input} of="for this table" />
            </span>
          </div>
          <div className="fixed md:static bottom-[50px] inset-x-0 z-20 bg-ground border-t border-ink md:border-0 px-4 py-2 md:p-0 md:mt-3 flex gap-x-4 items-center no-print">
            <span className="md:hidden flex-1 t-ledger">
              <span className="flex gap-[3px] items-center" aria-hidden="true">
                {beams.map((beam) => (
                  <StateMark key={beam.id} state={beam.deviation.state} size={11} />
                ))}
              </span>
              {inside} of {of} inside{asked > 0 ? `, ${asked} to ask` : ""}
            </span>
            <span className="hidden md:block t-ledger text-ink2 flex-1">
              {changed} {changed === 1 ? "line" : "lines"} changed, {inside} of {of} inside{asked > 0 ? `, ${asked} to ask` : ""}.
            </span>
            <span className="hidden md:flex gap-3 items-center">
              <SaveNotice />
              <UndoButtons undo={undo} redo={redo} />
            </span>
            <Button kind="primary" disabled={keeping.busy} onClick={() => void keep()}>
              Keep as a version <Arrow />
            </Button>
          </div>
          {keeping.why && (
            <p role="alert" className="mt-2 bg-rose-wash text-rose px-3 py-2">
              {keeping.why}
            </p>
          )}
        </div>
        <aside className="lg:crease-l p-4 md:pt-2 md:px-4 lg:row-span-2" aria-label="Beams">
          <BeamsPanel beams={beams} notes={notes} before={view.before} after={after} />
        </aside>
        <section className="p-4 md:px-5 min-w-0 isolate" aria-label="Steps for this table">
          <h2 className="t-h2">The steps, for this table</h2>
          <StepsPanel steps={steps} />
        </section>
      </main>
    </WorkingProvider>
  );
}
