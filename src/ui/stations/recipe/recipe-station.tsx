"use client";

import { useCallback, useDeferredValue, useMemo, useState } from "react";
import { upgraded } from "../../../core/exchange";
import { ARCHETYPES, servingText, yieldText, type Archetype, type Recipe } from "../../../core/recipe";
import type { DiningTable } from "../../../core/table";
import { AmountField } from "../../parts/amount-field";
import type { FigureOf, NamedFood, RecipeView } from "../../../core/views";
import { useFoodPickerSoon } from "../../panels/food-picker";
import { UndoButtons } from "../../parts/undo-buttons";
import { useUndoKeys } from "../../parts/use-history";
import { WorkingProvider } from "../../panels/working";
import { latest, type Revised } from "../../shell/documents";
import { useHousehold } from "../../shell/household";
import { toast } from "../../shell/messages";
import { usePantryDocument } from "../../shell/pantry";
import { Go } from "../../shell/go";
import { SaveNotice } from "../../shell/save-notice";
import { PageHead } from "../../shell/shell";
import { StationThread } from "../../shell/thread";
import { useDocument } from "../../shell/use-document";
import { useView } from "../../shell/use-view";
import { FigureSheet } from "../../panels/figure-sheet";
import { QualitiesList } from "../../panels/qualities-list";
import { NextUp } from "../../panels/next-up";
import { LinesEditor, WritersCup } from "./lines-editor";
import { MassLedger } from "./mass-ledger";
import { RecipePrint } from "./recipe-print";
import { StepsEditor } from "./steps-editor";
import { Tags } from "./tags";
import { TakeAlong } from "./take-along";
import { PageColumns } from "../../parts/page-columns";

export interface RecipeStationProps {
  readonly id: string;
  readonly recipe: Revised<Recipe>;
  readonly table: Revised<DiningTable>;
  /** What is known of what lies on the bench, in few words; null where nothing does. */
  readonly bench: string | null;
  /** What is computed of recipe and table, as saved. */
  readonly view: RecipeView;
}

/** As it is written today: what an older window left unsaved may have steps as plain sentences. */
const opened = (recipe: Recipe): Recipe => upgraded(recipe) as Recipe;
/** Longer than this it is a sentence, not a name. */
const MOST_NAME = 60;
/** A recipe is saved once it has a name. */
const named = (recipe: Recipe): Recipe | null => (recipe.title.trim() === "" ? null : recipe);

/** The Recipe station: the sweet as handed down, each line read into a food and grams, its figures beside it. */
export function RecipeStation({ id, recipe: given, table: givenTable, bench, view: givenView }: RecipeStationProps) {
  const edited = useDocument(`/api/recipes/${id}`, given, opened, named);
  useUndoKeys(edited);
  useFoodPickerSoon();
  const { present: recipe, set, undo, redo } = edited;
  const table = useMemo(() => latest(`/api/recipes/${id}/table`, givenTable).document, [id, givenTable]);
  const { measures } = useHousehold();
  const pantry = usePantryDocument();
  const question = useMemo(() => ({ recipe, table }), [recipe, table]);
  const [isOld] = useState(() => latest(`/api/recipes/${id}`, given).document !== given.document || table !== givenTable.document);
  const { view, why } = useView("recipe", question, givenView, isOld);
  const sweet = useCallback((): FigureOf => ({ kind: "recipe", recipe, table }), [recipe, table]);

  const change = (part: Partial<Recipe>, key?: string) => set({ ...recipe, ...part }, key);
  // What only sums up may follow a moment after what is typed.
  const later = useDeferredValue(view);
  const { cup } = view;

  /** What a line is answered with is what the household calls it: read so in every recipe, unless that is taken back. */
  const teach = (description: string, food: NamedFood) => {
    const words = description.trim().toLowerCase();
    if (words === "" || words.length > MOST_NAME) return;
    pantry.set((now) => ({
      ...now,
      names: [...now.names.filter((name) => name.words !== words), { words, foodId: food.id, at: new Date().toISOString().slice(0, 10) }],
    }));
    toast(`“${words}” is read as ${food.name} from now on.`, {
      label: "Only here",
      run: () => pantry.set((now) => ({ ...now, names: now.names.filter((name) => name.words !== words) })),
    });
  };

  return (
    <WorkingProvider anchors={view.anchors} sweet={sweet}>
      <PageHead title={recipe.title || "Untitled"} line={`As handed down, ${yieldText(recipe)}`}>
        <StationThread recipeId={id} here="recipe" of={{ ...view.thread, table, bench }} />
      </PageHead>
      <PageColumns aside="wide">
        <div className="p-4 md:p-5 min-w-0">
          <RecipePrint recipe={recipe} view={later} />
          <NextUp recipeId={id} here="recipe" of={{ ...view.thread, table, bench }} />
          <div className="no-print flex flex-wrap gap-x-6 gap-y-3 items-end">
            <label className="flex-1 min-w-56">
              <span className="t-small text-ink2 block">Title</span>
              <input
                value={recipe.title}
                maxLength={200}
                onChange={(event) => change({ title: event.target.value }, "title")}
                aria-invalid={recipe.title.trim() === ""}
                className="w-full bg-sheet border border-edge px-3 min-h-11"
              />
              {recipe.title.trim() === "" && (
                <span role="alert" className="t-small text-rose">
                  Give it a name; the last one is kept until then.
                </span>
              )}
            </label>
            <div>
              <span className="t-small text-ink2 block">Servings it makes</span>
              <AmountField
                label="Servings it makes"
                value={recipe.servings}
                unit=""
                least={1}
                most={1000}
                onChange={(servings) => change({ servings }, "servings")}
                className="min-h-11 justify-center"
              />
              {servingText(recipe) && <span className="t-small text-ink2 block max-w-[220px]">{servingText(recipe)}</span>}
            </div>
            <label>
              <span className="t-small text-ink2 block">Kind of sweet</span>
              <select
                value={recipe.archetype ?? ""}
                onChange={(event) => change({ archetype: (event.target.value || null) as Archetype | null })}
                className="bg-sheet border border-edge px-3 min-h-11 max-w-full"
              >
                <option value="">
                  {view.archetype} ({view.archetypeWhy})
                </option>
                {ARCHETYPES.map((each) => (
                  <option key={each} value={each}>
                    {each}
                  </option>
                ))}
              </select>
            </label>
          </div>

          {why !== null && (
            <p role="alert" className="mt-4 bg-rose-wash text-rose px-3 py-2 t-ledger">
              What is read here could not be computed, and is as it was before: {why}
            </p>
          )}
          <section className="mt-4 no-print" aria-label="Ingredient lines">
            <div className="flex items-center justify-between gap-3 mb-2">
              <h2 className="t-h2">Ingredients</h2>
              <span className="flex items-center gap-3">
                <SaveNotice document={edited} />
                <UndoButtons undo={undo} redo={redo} />
              </span>
            </div>
            {cup && Math.abs(cup.millilitres / measures.cup - 1) > 0.03 && (
              <WritersCup
                cup={cup.millilitres}
                told={cup.told}
                ours={measures.cup}
                inUse={typeof recipe.cup === "number"}
                onUse={(millilitres) => change({ cup: millilitres })}
              />
            )}
            <LinesEditor recipe={recipe} view={view} onChange={change} onTaught={teach} />
          </section>

          <section className="mt-6 no-print" aria-label="Steps">
            <h2 className="t-h2">Steps</h2>
            <p className="t-small text-ink2">What each does, how long, and what goes in is read from its words; open it to set it by hand.</p>
            <StepsEditor recipe={recipe} view={view} onChange={change} />
            <p className="mt-2">
              <Go className="underline t-ledger inline-flex items-center min-h-11 md:min-h-8" href={`/recipes/${id}/rescue`}>
                It went wrong in the pot: what mends it
              </Go>
            </p>
          </section>
          <MassLedger view={later} />
          <section className="mt-6 no-print" aria-label="To find it by">
            <label>
              <span className="t-h2 block">To find it by</span>
              <span className="t-small text-ink2 block">Season, occasion, anything: words with commas between them.</span>
              <Tags tags={recipe.tags ?? []} onChange={(tags) => change({ tags }, "tags")} />
            </label>
          </section>
          <section className="mt-6 no-print" aria-label="Notes">
            <label>
              <span className="t-h2 block">Notes</span>
              <span className="t-small text-ink2 block">For you alone: on no label, in no file that is sent.</span>
              <textarea
                value={recipe.notes ?? ""}
                maxLength={20_000}
                rows={2}
                onChange={(event) => change({ notes: event.target.value }, "notes")}
                className="mt-2 w-full bg-sheet border border-edge p-3 leading-relaxed"
              />
            </label>
          </section>
          <TakeAlong id={id} />
        </div>
        <aside className="lg:crease-l p-4 md:p-5" aria-label="Figures as handed down">
          <FigureSheet
            figures={view.told.figures}
            unknown={view.told.unknown}
            cost={view.told.cost}
            servings={recipe.servings}
            unread={view.lines.filter(({ kind }) => kind === "food unknown" || kind === "amount unknown").length}
            of="as handed down"
            more={`/recipes/${id}/nutrition`}
            evaporation={{
              value: recipe.evaporation ?? view.evaporation.grams,
              byHand: recipe.evaporation !== null,
              onChange: (evaporation) => change({ evaporation }, "evaporation"),
              onReset: () => change({ evaporation: null }),
            }}
          />
          <QualitiesList of={view.told.qualities} />
        </aside>
      </PageColumns>
    </WorkingProvider>
  );
}
