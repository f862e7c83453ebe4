"use client";

import { useMemo } from "react";
import { TREE_NUTS } from "../../core/food";
import { readRecipe, type Recipe } from "../../core/recipe";
import { findings } from "../../core/models/diet";
import { limitFindings, problemFor, type DiningTable, type Limit } from "../../core/substitution";
import { temperatureText } from "../../core/units";
import { readingContext } from "../../workers/client";
import { AmountField } from "../parts/amount-field";
import { Choice } from "../parts/choice";
import { useKnowledge } from "../parts/use-knowledge";
import { UndoButtons } from "../parts/undo-buttons";
import { useUndoKeys } from "../parts/use-history";
import { WhyMark } from "../parts/marks";
import { latest, type Revised } from "../shell/documents";
import { useHousehold } from "../shell/household";
import { SaveNotice } from "../shell/save-notice";
import { PageHead } from "../shell/shell";
import { stationsOf } from "../shell/stations";
import { StationThread } from "../shell/thread";
import { useDocument } from "../shell/use-document";

const DIETS = [
  ["vegan", "Vegan", "no dairy, egg, honey or gelatin"],
  ["dairy-free", "Dairy-free", "ghee is dairy; egg is not"],
  ["egg-free", "Egg-free", "eggs in any form"],
  ["gluten-free", "Gluten-free", "no wheat, barley, rye; oats are asked about"],
] as const;
const DEFAULT_FREE_SUGARS = 5;

interface TableStationProps {
  readonly id: string;
  readonly recipe: Revised<Recipe>;
  readonly table: Revised<DiningTable>;
  readonly swapState: { readonly state: string; readonly settled: boolean };
}

const same = (table: DiningTable): DiningTable => table;

/** The Table station, in its first form: what the eaters do not eat, how much sugar, how many servings, hot or chilled. */
export function TableStation({ id, recipe: givenRecipe, table: given, swapState }: TableStationProps) {
  const recipe = useMemo(() => latest(`/api/recipes/${id}`, givenRecipe).document, [id, givenRecipe]);
  const edited = useDocument(`/api/recipes/${id}/table`, given, same, same);
  useUndoKeys(edited);
  const { present: table, set, undo, redo } = edited;
  const { measures, units } = useHousehold();
  const knowledge = useKnowledge();
  const { reference, rules, substitution } = knowledge;
  const read = useMemo(() => readRecipe(recipe, readingContext(knowledge, measures), reference.constants), [recipe, knowledge, measures, reference]);

  const toggle = (rule: string) => set({ ...table, rules: table.rules.includes(rule) ? table.rules.filter((each) => each !== rule) : [...table.rules, rule] });
  const freeSugars = table.limits.find((limit) => limit.id === "freeSugars");
  const setFreeSugars = (limit: Limit | null, key?: string) =>
    set({ ...table, limits: [...table.limits.filter((each) => each.id !== "freeSugars"), ...(limit ? [limit] : [])] }, key);
  const conflicts = useMemo(() => {
    const problem = problemFor(read, table, reference, substitution, rules, 1);
    const judged = read.readings.flatMap((each, line) =>
      each.kind === "left out" ? [] : [{ line, food: each.kind === "food unknown" ? null : each.food, text: each.line.text }],
    );
    return [...findings(judged, problem.rules), ...limitFindings(problem)].sort((a, b) => a.line - b.line);
  }, [read, table, reference, substitution, rules]);

  return (
    <>
      <PageHead title={recipe.title} line={`For this table, ${table.servings} servings, served ${table.serve}`}>
        <StationThread recipeId={id} here="table" stations={stationsOf(read, table, swapState)} />
      </PageHead>
      <main id="main" className="lg:min-h-[calc(100dvh-82px)] lg:grid lg:grid-cols-[minmax(0,1fr)_404px]">
        <div className="p-4 md:p-5 grid gap-7 content-start">
          <div className="flex justify-between items-center">
            <h2 className="t-h2">Who eats, and what they leave</h2>
            <span className="flex gap-3 items-center">
              <UndoButtons undo={undo} redo={redo} />
              <SaveNotice document={edited} />
            </span>
          </div>
          <fieldset>
            <legend className="t-h2 text-[15px]">Diets</legend>
            <div className="grid sm:grid-cols-2 border-t border-ink mt-1">
              {DIETS.map(([rule, name, what]) => (
                <Wish key={rule} name={name} what={what} checked={table.rules.includes(rule)} onChange={() => toggle(rule)} />
              ))}
            </div>
          </fieldset>
          <fieldset>
            <legend className="t-h2 text-[15px]">Tree nuts</legend>
            <p className="t-small text-ink2">Cashew and pistachio, walnut and pecan often cross-react: leaving one out leaves out the other.</p>
            <div className="grid grid-cols-2 sm:grid-cols-3 border-t border-ink mt-1">
              <Wish name="All tree nuts" what="coconut is asked about" checked={table.rules.includes("nut-free")} onChange={() => toggle("nut-free")} />
              {TREE_NUTS.map((nut) => (
                <Wish key={nut} name={`No ${nut.replace("-", " ")}`} checked={table.rules.includes(`no-${nut}`)} onChange={() => toggle(`no-${nut}`)} />
              ))}
            </div>
          </fieldset>
          <fieldset>
            <legend className="t-h2 text-[15px]">Sugar</legend>
            <div className="border-t border-ink mt-1">
              <Wish
                name="Low free sugars"
                what="sugar, honey, syrups, jaggery, juice; by the stricter school also puréed fruit and plant drinks"
                checked={freeSugars !== undefined}
                onChange={() => setFreeSugars(freeSugars ? null : { id: "freeSugars", most: DEFAULT_FREE_SUGARS, school: "uk" })}
              />
              {freeSugars && (
                <div className="pl-9 pt-2 flex flex-wrap gap-x-8 gap-y-3 items-center">
                  <span className="flex items-center gap-2 t-ledger">
                    At most{" "}
                    <AmountField
                      label="Most free sugars per serving, grams"
                      value={freeSugars.most}
                      least={0}
                      most={200}
                      onChange={(most) => setFreeSugars({ ...freeSugars, most }, "free sugars")}
                    />{" "}
                    a serving
                  </span>
                  <div role="radiogroup" aria-label="School of free sugars" className="flex gap-5">
                    <Choice
                      name="school"
                      label="UK, stricter"
                      checked={freeSugars.school === "uk"}
                      onChange={() => setFreeSugars({ ...freeSugars, school: "uk" })}
                    />
                    <Choice name="school" label="WHO" checked={freeSugars.school === "who"} onChange={() => setFreeSugars({ ...freeSugars, school: "who" })} />
                  </div>
                </div>
              )}
            </div>
          </fieldset>
          <div className="flex flex-wrap gap-x-10 gap-y-5">
            <div>
              <h3 className="t-h2 text-[15px]">Servings</h3>
              <AmountField
                label="Servings for this table"
                value={table.servings}
                unit=""
                least={1}
                most={1000}
                onChange={(servings) => set({ ...table, servings }, "servings")}
                className="min-h-11 justify-center"
              />
              <p className="t-small text-ink2">the recipe makes {recipe.servings}</p>
            </div>
            <fieldset>
              <legend className="t-h2 text-[15px]">Served</legend>
              <div className="flex gap-6 min-h-11 items-center">
                <Choice
                  name="serve"
                  label={`hot, ${temperatureText(reference.constants.temperatures.hot, units.temperature)}`}
                  checked={table.serve === "hot"}
                  onChange={() => set({ ...table, serve: "hot" })}
                />
                <Choice
                  name="serve"
                  label={`chilled, ${temperatureText(reference.constants.temperatures.chilled, units.temperature)}`}
                  checked={table.serve === "chilled"}
                  onChange={() => set({ ...table, serve: "chilled" })}
                />
              </div>
            </fieldset>
          </div>
          <p className="t-small text-ink2 max-w-[70ch]">
            For an allergy, wash the pan, the spoon and the grinder first, and read every packet: what is not known is never called safe. Sugar limits for
            diabetes or pregnancy are a matter for a clinician.
          </p>
        </div>
        <aside className="lg:crease-l p-4 md:p-5" aria-label="What breaks which wish">
          <h2 className="t-h2">What that means for this sweet</h2>
          {conflicts.length === 0 ? (
            <p className="t-ledger text-ink2 rule-t mt-2 pt-2">
              {table.rules.length + table.limits.length === 0
                ? "Nothing is asked of it yet. Choose above what this table leaves out."
                : "As handed down, it breaks none of these."}
            </p>
          ) : (
            <ul className="rule-t mt-2">
              {conflicts.map((finding, i) => (
                <li key={i} className="border-b border-line py-2 t-ledger flex gap-2">
                  <span className="pt-0.5">
                    <WhyMark kind={finding.verdict === "ask" ? "ask" : "conflict"} />
                  </span>
                  <span>
                    <span className="font-[550]">{read.recipe.lines[finding.line]?.text}</span>
                    <span className="block text-ink2">
                      {finding.ruleName}: {finding.reason}.{finding.school !== "usual" && ` School: ${schoolWords(finding.school)}.`}
                    </span>
                  </span>
                </li>
              ))}
            </ul>
          )}
        </aside>
      </main>
    </>
  );
}

const schoolWords = (school: string) => (school === "uk" ? "UK, stricter" : school === "who" ? "WHO" : school);

function Wish({ name, what, checked, onChange }: { readonly name: string; readonly what?: string; readonly checked: boolean; readonly onChange: () => void }) {
  return (
    <label className={`flex gap-3 items-start border-b border-line py-2 pr-3 min-h-11 cursor-pointer hover:bg-pressed ${checked ? "bg-saffron-wash" : ""}`}>
      <input type="checkbox" checked={checked} onChange={onChange} className="mt-0.5 ml-1 size-5 accent-ink" />
      <span className="t-ledger">
        <span className={checked ? "font-[550]" : ""}>{name}</span>
        {what && <span className="block t-small text-ink2">{what}</span>}
      </span>
    </label>
  );
}
