"use client";

import { evaluateRecipe, evaluateVersion, openBench, openRecipe, openTable } from "../../../core/kitchen";
import { useRouter } from "next/navigation";
import { useCallback, useLayoutEffect, useMemo, useState } from "react";
import { methodFor, rowsWithoutFood, stored, type BenchState, type StoredBench, type StoredProposals } from "../../../core/adaptation";
import { type ReadRecipe, type Recipe } from "../../../core/recipe";
import {
  beamReadings,
  allergyStates,
  fitWords,
  partedPortions,
  partedWords,
  insideCount,
  standingOf,
  tableVerdict,
  versionNotes,
  type BeamReading,
  type Proposal,
  type Version,
} from "../../../core/substitution";
import { notAsked, whoseRules, type DiningTable } from "../../../core/table";
import { AmountField } from "../../parts/amount-field";
import { send, why } from "../../parts/send";
import { useFoodPickerSoon } from "../../parts/food-picker";
import { useKitchen } from "../../shell/use-kitchen";
import { UndoButtons } from "../../parts/undo-buttons";
import { useUndoKeys } from "../../parts/use-history";
import { useSettled } from "../../parts/use-settled";
import { FigureButton, WorkingProvider } from "../../panels/working";
import { latest, noteSave, savedRevision, type Revised } from "../../shell/documents";
import { Go } from "../../shell/go";
import { SaveNotice } from "../../shell/save-notice";
import { useSaving } from "../../shell/saving";
import { PageHead } from "../../shell/shell";
import { StationThread } from "../../shell/thread";
import { useDocument } from "../../shell/use-document";
import { BeamsPanel } from "../../panels/beams-panel";
import { asHandedDown, fromProposal, setEvaporation } from "./bench-state";
import type { BenchView } from "./bench-view";
import { ChangedSince } from "./changed-since";
import { KeepBar } from "./keep-bar";
import { EndingPanel } from "./ending-panel";
import { Ledger } from "./ledger";
import { ProposalTabs } from "./proposal-tabs";
import { StepsPanel } from "../../panels/steps-panel";
import { useEarlierStates } from "./use-earlier-states";
import { useProposals, type GivenProposals } from "./use-proposals";
import { STARTING } from "./use-solver";
import { PageColumns } from "../../parts/page-columns";
import { servingsText } from "../../../core/units";

interface BenchStationProps {
  readonly id: string;
  readonly recipe: Revised<Recipe>;
  readonly table: Revised<DiningTable>;
  readonly bench: Revised<StoredBench | null>;
  /** What was worked out for this table before. */
  readonly proposals: StoredProposals | null;
}

const PROPOSALS = 3;

/** The Swap station: the bench, where a version is found, changed by hand and weighed against the recipe. In steps, so that what each hangs on is computed once. */
export function BenchStation({ id, recipe: givenRecipe, table: givenTable, bench, proposals }: BenchStationProps) {
  const recipe = useMemo(() => latest(`/api/recipes/${id}`, givenRecipe).document, [id, givenRecipe]);
  const table = useMemo(() => latest(`/api/recipes/${id}/table`, givenTable).document, [id, givenTable]);
  const kitchen = useKitchen();
  const read = useMemo(() => openRecipe(recipe, kitchen), [recipe, kitchen]);
  const recipeRevision = savedRevision(`/api/recipes/${id}`, givenRecipe);
  const tableRevision = savedRevision(`/api/recipes/${id}/table`, givenTable);
  const given = useMemo(() => ({ stored: proposals, recipe: recipeRevision, table: tableRevision }), [proposals, recipeRevision, tableRevision]);
  return <PosedBench id={id} read={read} table={table} bench={bench} given={given} />;
}

interface PosedBenchProps {
  readonly id: string;
  readonly read: ReadRecipe;
  readonly table: DiningTable;
  readonly bench: BenchStationProps["bench"];
  readonly given: GivenProposals;
}

function PosedBench({ id, read, table, bench, given }: PosedBenchProps) {
  const kitchen = useKitchen();
  const view: BenchView = useMemo(
    () => ({ read, table, problem: openTable(read, table, kitchen, PROPOSALS), before: evaluateRecipe(read, table, kitchen) }),
    [read, table, kitchen],
  );
  return <Bench id={id} view={view} bench={bench} given={given} />;
}

interface BenchProps {
  readonly id: string;
  readonly view: BenchView;
  readonly bench: BenchStationProps["bench"];
  readonly given: GivenProposals;
}

function Bench({ id, view, bench, given }: BenchProps) {
  const kitchen = useKitchen();
  const { reference, rules } = kitchen;
  const { constants } = reference;
  const { table } = view;
  const router = useRouter();
  const { flush } = useSaving();

  /** What lay on the bench, for the recipe and table as they are; what nobody chose gives way where they have changed. */
  const lay = useCallback(
    (kept: StoredBench | null) => {
      const laid = openBench(kept, view.read, table, kitchen);
      return laid && (laid.state.byHand || laid.since.length === 0) ? laid : null;
    },
    [kitchen, view, table],
  );
  const open = useCallback((kept: StoredBench | null) => lay(kept)?.state ?? asHandedDown(view.read, table), [lay, view, table]);
  const close = useCallback((state: BenchState): StoredBench | null => stored(state, view.read, table), [view, table]);
  const edited = useDocument<StoredBench | null, BenchState>(`/api/recipes/${id}/bench`, bench, open, close);
  useFoodPickerSoon();
  const { present: state, set, redo } = edited;
  const earlier = useEarlierStates(id, bench.revision, edited, lay);
  const undo = edited.undo ?? earlier;
  useUndoKeys({ undo, redo });
  const [start] = useState(state);
  const [there] = useState(() => lay(latest(`/api/recipes/${id}/bench`, bench).document));
  const [seen, setSeen] = useState(false);
  const [gone] = useState(() => rowsWithoutFood(latest(`/api/recipes/${id}/bench`, bench).document, view.read, reference.foods));
  // Something was worked on before, came back unsaved, or was changed since. What waits for its food is not written over either.
  const touched = there !== null || gone > 0 || state !== start || edited.undo !== null || redo !== null;
  const { search, again, cancel } = useProposals(id, view, kitchen, given);
  const proposals: readonly Proposal[] = search.kind === "ended" && search.ending.kind === "proposals" ? search.ending.proposals : [];

  // The first proposal is laid on the bench unless something was already worked on.
  const first = proposals[0];
  // Before it is painted, so that the recipe as handed down does not flash by.
  useLayoutEffect(() => {
    if (first && !touched) set(fromProposal(first, false));
  }, [first, touched, set]);

  const after = useMemo(
    () => ({ version: state.version, ...evaluateVersion(state.version, view.read, table, kitchen) }),
    [state.version, view.read, table, kitchen],
  );
  const beams = useMemo(() => beamReadings(view.before.figures, after.figures, table.limits, table.serve, constants), [view, after, table, constants]);
  // Steps and notes may follow a moment later than the beams.
  const later = useSettled(after, 120);
  const notes = useMemo(() => versionNotes(view.problem, later.version, later.figures), [view, later]);
  const standing = useMemo(() => standingOf(view.problem, later.version, later.figures), [view, later]);
  const parted = useMemo(() => partedWords(partedPortions(view.read, standing, view.problem.rules), whoseRules(table)), [view, standing, table]);
  const verdict = useMemo(() => tableVerdict(standing, view.problem, table, parted), [standing, view, table, parted]);
  const allergies = useMemo(() => allergyStates(standing, view.problem, table), [standing, view, table]);
  const unasked = useMemo(() => notAsked(table), [table]);
  const notFor = verdict.kind === "not for";
  const { inside, of } = insideCount(beams);
  const chosen = proposals.findIndex((proposal) => proposal.label === state.label);

  const [looked, setLooked] = useState<readonly BeamReading[] | null>(null);
  const [keeping, setKeeping] = useState<{ readonly busy: boolean; readonly why: string | null }>({ busy: false, why: null });
  const keep = async () => {
    setKeeping({ busy: true, why: null });
    try {
      await flush();
      const answer = (await send("POST", "/api/versions", { recipeId: id, bench: stored(state, view.read, table), ...(notFor ? { notFor } : {}) })) as {
        id: string;
      };
      noteSave();
      router.push(`/versions/${answer.id}`);
      router.refresh();
    } catch (error) {
      setKeeping({ busy: false, why: why(error, "It could not be kept.") });
    }
  };
  const changed = state.version.rows.filter((row) => row.change !== "as is").length;
  const fit = fitWords(verdict, { inside, of });

  return (
    <WorkingProvider constants={constants}>
      <PageHead title={view.read.recipe.title} line={`For this table, ${servingsText(table.servings)}, served ${table.serve}`}>
        <StationThread recipeId={id} here="swap" of={{ lines: view.read.lines.length, asked: view.read.unresolved.length, table, bench: fit }} />
      </PageHead>
      <PageColumns aside="wide" className="lg:grid-rows-[auto_1fr] pb-20 md:pb-0">
        <div className="p-4 pb-0 md:pt-2 md:px-5 min-w-0">
          {view.read.unresolved.length > 0 && (
            <p className="bg-saffron-wash px-3 py-2 t-ledger mb-3">
              {view.read.unresolved.length} {view.read.unresolved.length === 1 ? "line of the recipe is" : "lines of the recipe are"} not read yet and not in
              any version. Whether they fit this table is not known: answer them at the Recipe station.
            </p>
          )}
          {gone > 0 && edited.undo === null && (
            <p className="bg-saffron-wash px-3 py-2 t-ledger mb-3">
              The version that lay here uses {gone === 1 ? "a food that is" : `${gone} foods that are`} no longer in the pantry. It is laid aside: put the food
              back, or take up another version and it goes.
            </p>
          )}
          {there !== null && there.since.length > 0 && !seen && (
            <ChangedSince
              since={there.since}
              ruleName={(rule) => rules.get(rule)?.name ?? rule}
              onUnderstood={() => {
                setSeen(true);
                set((now) => ({ ...now }));
              }}
              onAnew={
                first
                  ? () => {
                      setSeen(true);
                      set(fromProposal(first, true));
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
            order={view.problem.order}
            ruleNames={new Map(view.problem.rules.map((rule) => [rule.id, rule.name]))}
            onAgain={again}
          />
          <ProposalTabs
            proposals={proposals}
            chosen={chosen < 0 ? null : chosen}
            ownLabel={chosen < 0 ? state.label : null}
            onChoose={(i) => {
              const proposal = proposals[i];
              if (proposal) set(fromProposal(proposal, true));
            }}
            working={search.kind === "working" ? search.progress : search.kind === "idle" ? STARTING : null}
            onCancel={cancel}
            onByHand={() => set({ ...asHandedDown(view.read, table), byHand: true })}
          />
          <Ledger view={view} state={state} onChange={set} onLook={setLooked} />
          <div className="border-x border-b border-ink bg-sheet rule-double px-3 py-2 grid sm:grid-cols-[1fr_auto_1fr] gap-2 items-center t-ledger">
            <span>
              <FigureButton figure={view.before.figures.yield} id="yield" input={view.before.input} of="as handed down" className="font-[600]!" /> finished
            </span>
            <span className="flex items-center gap-2 text-ink2">
              cooks down by{" "}
              <AmountField
                label="Water driven off in this version, grams"
                value={state.version.evaporation}
                onChange={(evaporation) => set((present) => setEvaporation(present, evaporation), "evaporation")}
              />
            </span>
            <span className="sm:text-right">
              <FigureButton figure={after.figures.yield} id="yield" input={after.input} of="for this table" className="font-[600]!" /> finished,{" "}
              {table.servings} of <FigureButton figure={after.figures.servingMass} id="servingMass" input={after.input} of="for this table" />
            </span>
          </div>
          <KeepBar
            beams={beams}
            changed={changed}
            fit={fit}
            notFor={notFor}
            states={allergies}
            unasked={unasked}
            edited={edited}
            undo={undo}
            redo={redo}
            busy={keeping.busy}
            onKeep={() => void keep()}
          />
          {parted.map((text) => (
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
          <BeamsPanel beams={beams} notes={notes} before={view.before} after={after} ghosts={looked} />
          <p className="mt-3 no-print">
            <Go className="underline t-ledger inline-flex items-center min-h-8" href={`/recipes/${id}/nutrition`}>
              Nutrition in full, with claims
            </Go>
          </p>
        </aside>
        <section className="p-4 md:px-5 min-w-0 isolate" aria-label="Steps for this table">
          <h2 className="t-h2">The steps, for this table</h2>
          <LaterSteps view={view} version={later.version} />
        </section>
      </PageColumns>
    </WorkingProvider>
  );
}

function LaterSteps({ view: { read, table }, version }: { readonly view: BenchView; readonly version: Version }) {
  const { handling } = useKitchen();
  return <StepsPanel steps={useMemo(() => methodFor(read, version, table, handling).words, [read, version, table, handling])} />;
}
