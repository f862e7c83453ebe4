"use client";

import { Suspense, useMemo, useState } from "react";
import { TREE_NUTS } from "../../../core/food";
import { type Recipe } from "../../../core/recipe";
import { baseOf } from "../../../core/models/diet";
import type { FastAhead } from "../../../core/calendar";
import { onDay, whoseRules, type DiningTable, type Eater } from "../../../core/table";
import { temperatureText, servingsText } from "../../../core/units";
import type { TableView } from "../../../core/views";
import { Choice } from "../../parts/choice";
import { UndoButtons } from "../../parts/undo-buttons";
import { useUndoKeys } from "../../parts/use-history";
import { latest, type Revised } from "../../shell/documents";
import { useHousehold } from "../../shell/household";
import { SaveNotice } from "../../shell/save-notice";
import { PageHead } from "../../shell/shell";
import { StationThread } from "../../shell/thread";
import { useDocument } from "../../shell/use-document";
import { useView } from "../../shell/use-view";
import { OtherSweets, type OtherRecipe } from "./other-sweets";
import { ServingDay } from "./fasting-days";
import { LimitWishes, Wish } from "../../panels/limit-wishes";
import { NextUp } from "../../panels/next-up";
import { HowMuch } from "./how-much";
import { MeansPanel } from "./means-panel";
import { groupsOf, RuleWishes, usualRule } from "../../panels/rule-wishes";
import { Seats } from "./seats";
import { PageColumns } from "../../parts/page-columns";

interface TableStationProps {
  readonly id: string;
  readonly recipe: Revised<Recipe>;
  readonly table: Revised<DiningTable>;
  /** What is known of what lies on the bench, in few words; null where nothing does. */
  readonly bench: string | null;
  /** Who is named in the household. */
  readonly eaters: readonly Eater[];
  /** Fasting days of the next weeks; null while the household has named no place. */
  readonly ahead: { readonly today: string; readonly days: readonly FastAhead[] } | null;
  /** Other sweets of the occasion, as they stand. */
  readonly otherSweets: readonly OtherRecipe[];
  /** What is computed of all of it, as saved. */
  readonly view: TableView;
  /** The day it is where the server is, for answers that are remembered. */
  readonly today: string;
}

const same = (table: DiningTable): DiningTable => table;

/** The Table station: who eats, on what day, how much of it; the one set of rules that comes to, and what that means for this sweet. */
export function TableStation({ id, recipe: givenRecipe, table: given, bench, eaters, ahead, otherSweets, view: givenView, today }: TableStationProps) {
  const recipe = useMemo(() => latest(`/api/recipes/${id}`, givenRecipe).document, [id, givenRecipe]);
  const edited = useDocument(`/api/recipes/${id}/table`, given, same, same);
  useUndoKeys(edited);
  const { present: table, set, undo, redo } = edited;
  const { units, schools = {} } = useHousehold();
  const [known, setKnown] = useState(otherSweets);
  const question = useMemo(() => {
    const others = (table.otherSweets ?? []).flatMap(({ recipe: other }) => known.find((each) => each.id === other) ?? []);
    return { recipe, table, others };
  }, [recipe, table, known]);
  const [isOld] = useState(() => recipe !== givenRecipe.document || table !== given.document);
  const { view, isBehind, why } = useView("table", question, givenView, isOld);
  const { rules } = view;

  const wishes = useMemo(() => {
    const offered = new Set(view.offered.filter((rule) => !rule.startsWith("nut-free")));
    const groups = groupsOf(rules.filter((rule) => offered.has(rule.id)));
    const of = (kind: string) => groups.filter((group) => group.schools[0]?.kind === kind);
    return { diets: of("diet"), fasts: of("fast"), own: of("own") };
  }, [view.offered, rules]);
  const ruleIds = useMemo(() => new Set(rules.map((rule) => rule.id)), [rules]);
  const whose = useMemo(() => whoseRules(table), [table]);
  const toggle = (rule: string) => set({ ...table, rules: table.rules.includes(rule) ? table.rules.filter((each) => each !== rule) : [...table.rules, rule] });
  /** A rule in whatever school; ticked in the household's usual one. */
  const keeps = (base: string) => table.rules.some((rule) => baseOf(rule) === base);
  const toggleAll = (base: string) =>
    keeps(base) ? set({ ...table, rules: table.rules.filter((rule) => baseOf(rule) !== base) }) : toggle(usualRule(base, schools, ruleIds));
  return (
    <>
      <PageHead title={recipe.title} line={`For this table, ${servingsText(table.servings)}, served ${view.isFrozen ? "frozen" : table.serve}`}>
        <StationThread recipeId={id} here="table" of={{ ...view.thread, table, bench }} />
      </PageHead>
      <PageColumns aside="wide">
        <div className="p-4 md:p-5 grid gap-7 content-start">
          <NextUp recipeId={id} here="table" of={{ ...view.thread, table, bench }} />
          <div className="flex justify-between items-center -mt-5">
            <div>
              <h2 className="t-h2">Who eats, and what they leave</h2>
              {view.findings.length > 0 && (
                <a href="#means-title" className="underline t-small min-h-11 inline-flex items-center lg:hidden">
                  What that means for this sweet: {view.findings.length}
                </a>
              )}
            </div>
            <span className="flex gap-3 items-center">
              <UndoButtons undo={undo} redo={redo} />
              <SaveNotice document={edited} />
            </span>
          </div>
          {why !== null && (
            <p role="alert" className="bg-rose-wash text-rose px-3 py-2 t-ledger">
              What this means for the sweet could not be computed, and is as it was before: {why}
            </p>
          )}
          <Seats table={table} eaters={eaters} rules={rules} noticedSugar={view.noticedSugar} wanted={view.wanted} today={today} onTable={set} />
          <ServingDay
            table={table}
            ahead={ahead}
            onTable={(part, key) => set({ ...table, ...part }, key)}
            onServingDay={(day, falls) => set(onDay(table, day, falls), "day")}
          />
          <fieldset>
            <legend className="t-h2 text-[15px]">Diets</legend>
            <RuleWishes groups={wishes.diets} chosen={table.rules} onChoose={(rules) => set({ ...table, rules })} />
            <p className="t-small text-ink2 mt-2">
              Not judged here: PKU, galactosaemia, fructose intolerance, diets for the kidneys, insulin with fasting, low FODMAP. Ask your clinician, and use
              the figures as figures only.
            </p>
          </fieldset>
          <fieldset>
            <legend className="t-h2 text-[15px]">Fasts</legend>
            <p className="t-small text-ink2">Traditions differ: your elders’ or temple’s list wins.</p>
            <RuleWishes groups={wishes.fasts} chosen={table.rules} onChoose={(rules) => set({ ...table, rules })} />
          </fieldset>
          {wishes.own.length > 0 && (
            <fieldset>
              <legend className="t-h2 text-[15px]">Rules of the house</legend>
              <RuleWishes groups={wishes.own} chosen={table.rules} onChoose={(rules) => set({ ...table, rules })} />
            </fieldset>
          )}
          <fieldset>
            <legend className="t-h2 text-[15px]">Tree nuts</legend>
            <p className="t-small text-ink2">Cashew and pistachio, walnut and pecan often cross-react: leaving one out leaves out the other.</p>
            <div className="grid grid-cols-2 sm:grid-cols-3 border-t border-ink mt-1">
              <Wish name="All tree nuts" what="coconut is asked about" checked={keeps("nut-free")} onChange={() => toggleAll("nut-free")} />
              {TREE_NUTS.map((nut) => (
                <Wish key={nut} name={`No ${nut.replace("-", " ")}`} checked={keeps(`no-${nut}`)} onChange={() => toggleAll(`no-${nut}`)} />
              ))}
            </div>
          </fieldset>
          <LimitWishes limits={table.limits} onLimits={(limits, key) => set({ ...table, limits }, key)} />
          <div className="flex flex-wrap gap-x-10 gap-y-5">
            <HowMuch recipe={recipe} table={table} foods={view.foods} onTable={set} />
            {!view.isFrozen && (
              <fieldset>
                <legend className="t-h2 text-[15px]">Served</legend>
                <div className="flex gap-6 min-h-11 items-center">
                  <Choice
                    name="serve"
                    label={`hot, ${temperatureText(view.temperatures.hot, units.temperature)}`}
                    checked={table.serve === "hot"}
                    onChange={() => set({ ...table, serve: "hot" })}
                  />
                  <Choice
                    name="serve"
                    label={`chilled, ${temperatureText(view.temperatures.chilled, units.temperature)}`}
                    checked={table.serve === "chilled"}
                    onChange={() => set({ ...table, serve: "chilled" })}
                  />
                </div>
              </fieldset>
            )}
          </div>
          <OtherSweets
            here={id}
            table={table}
            known={known}
            told={view.others}
            serving={view.serving}
            onKnown={(found) => setKnown((now) => [...now, found])}
            onTable={(part, key) => set({ ...table, ...part }, key)}
          />
        </div>
        <Suspense>
          <MeansPanel recipeId={id} view={view} isBehind={isBehind} table={table} whose={whose} today={today} onRemove={toggle} />
        </Suspense>
      </PageColumns>
    </>
  );
}
