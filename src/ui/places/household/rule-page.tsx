"use client";

import { useRouter } from "next/navigation";
import { useDeferredValue, useEffect, useMemo, useState } from "react";
import type { Food } from "../../../core/food";
import { householdRules, judge, ownRuleProblems, type Clause, type HouseRules, type OwnRule } from "../../../core/models/diet";
import { Button } from "../../parts/button";
import { send, why as whyOf } from "../../parts/send";
import { UndoButtons } from "../../parts/undo-buttons";
import { useDraft } from "../../shell/use-draft";
import { useUndoKeys } from "../../parts/use-history";
import { useKitchen } from "../../shell/use-kitchen";
import { useHouseRulesDocument } from "../../shell/house-rules";
import { failed, toast } from "../../shell/messages";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";
import { ClauseRow, plantNames } from "./clause-row";
import { PageColumns } from "../../parts/page-columns";

interface RulePageProps {
  /** As it is kept, or as it begins. */
  readonly given: OwnRule;
  readonly fresh: boolean;
  /** What it was copied from, by name. */
  readonly from: string | null;
}

const withRule = ({ own, answers }: HouseRules, rule: OwnRule): HouseRules => ({
  answers,
  own: own.some(({ id }) => id === rule.id) ? own.map((each) => (each.id === rule.id ? rule : each)) : [...own, rule],
});
const isRule = (found: unknown): found is OwnRule => typeof found === "object" && found !== null && "clauses" in found && "name" in found;

/** A rule set of the household's own: its lines in order, what they come to in this kitchen, and what a change touches before it is kept. */
export function RulePage({ given, fresh, from }: RulePageProps) {
  const router = useRouter();
  const document = useHouseRulesDocument();
  const start = useMemo(() => document.present.own.find(({ id }) => id === given.id) ?? given, [document.present.own, given]);
  const [initial] = useState(() => () => start);
  const draft = useDraft<OwnRule>(`rule ${given.id}`, initial, isRule);
  useUndoKeys(draft);
  const { present: rule, set, undo, redo, forget } = draft;
  const kitchen = useKitchen();
  const context = kitchen.reading;
  const { foods } = kitchen.reference;
  const others = useMemo(() => [...kitchen.rules.values()].filter(({ id }) => !id.includes("/")), [kitchen]);
  const plants = useMemo(() => plantNames(foods.values()), [foods]);
  const [open, setOpen] = useState<number | null>(null);
  const settled = useDeferredValue(rule);
  const problems = useMemo(() => ownRuleProblems(settled, others, foods), [settled, others, foods]);
  const grave = problems.filter((each) => each.grave);
  const next = useMemo(() => withRule(document.present, settled), [document.present, settled]);
  const setClause = (place: number, clause: Clause, key?: string) =>
    set({ ...rule, clauses: rule.clauses.map((each, i) => (i === place ? clause : each)) }, key);
  const move = (place: number, by: -1 | 1) => {
    const clauses = [...rule.clauses];
    const [taken] = clauses.splice(place, 1);
    if (taken) clauses.splice(place + by, 0, taken);
    set({ ...rule, clauses });
    setOpen(null);
  };
  const takeOut = async () => {
    try {
      const { keepers } = (await send("GET", `/api/house-rules?rule=${encodeURIComponent(rule.id)}`)) as { keepers: readonly string[] };
      if (keepers.length > 0) {
        failed(`“${rule.name.trim()}” is still kept: ${keepers.join(", ")}. Take it off there first.`);
        return;
      }
    } catch (error) {
      failed(whyOf(error, "Who keeps it could not be found out."));
      return;
    }
    forget();
    const before = document.present;
    document.set({ ...before, own: before.own.filter(({ id }) => id !== rule.id) });
    toast(`“${rule.name.trim()}” is taken out.`, { label: "Put it back", run: () => document.set(before) });
    router.push("/household#rules");
  };
  const keep = () => {
    document.set(withRule(document.present, rule));
    forget();
    toast(`“${rule.name.trim()}” is kept.`);
    router.push("/household#rules");
  };
  return (
    <>
      <PageHead
        title={rule.name.trim() || "A rule set of your own"}
        line={from === null ? "A rule set of this household’s own." : `Copied from ${from}, and yours to change.`}
      >
        <Button kind="primary" onClick={keep} disabled={grave.length > 0}>
          Keep it
        </Button>
      </PageHead>
      <PageColumns>
        <div className="p-4 md:p-5 grid gap-5 content-start min-w-0">
          <div className="flex flex-wrap gap-4 justify-between items-end">
            <label className="t-small text-ink2">
              Name
              <input
                value={rule.name}
                maxLength={80}
                aria-invalid={grave.some(({ field }) => field === "name")}
                onChange={(event) => set({ ...rule, name: event.target.value }, "name")}
                className="block border border-edge bg-sheet px-2 min-h-11 w-80 max-w-full text-ink text-[16px] font-[550]"
              />
            </label>
            <UndoButtons undo={undo} redo={redo} />
          </div>
          {problems
            .filter(({ clause }) => clause === null)
            .map(({ why, grave: bad }) => (
              <p key={why} role={bad ? "alert" : undefined} className={`t-ledger ${bad ? "text-rose" : "text-saffron"}`}>
                {why}
              </p>
            ))}
          <section aria-labelledby="clauses-title">
            <h2 id="clauses-title" className="t-h2">
              What it says
            </h2>
            <p className="t-small text-ink2">
              From above: the first line that fits a food decides. What no line fits is allowed; what cannot be told of a food is asked.
            </p>
            <ol className="border-t border-ink mt-1">
              {rule.clauses.map((clause, place) => (
                <ClauseRow
                  key={place}
                  clause={clause}
                  place={place}
                  last={place === rule.clauses.length - 1}
                  problems={problems.filter((each) => each.clause === place)}
                  context={context}
                  plants={plants}
                  open={open === place}
                  onOpen={(next) => setOpen(next ? place : null)}
                  onChange={(changed, key) => setClause(place, changed, key)}
                  onMove={(by) => move(place, by)}
                  onRemove={() => {
                    setOpen(null);
                    set({ ...rule, clauses: rule.clauses.filter((_, i) => i !== place) });
                  }}
                />
              ))}
            </ol>
            <button
              type="button"
              className="t-ledger min-h-11 text-left hover:underline"
              onClick={() => {
                setOpen(rule.clauses.length);
                set({ ...rule, clauses: [...rule.clauses, { verdict: "avoid", when: {}, because: "" }] });
              }}
            >
              + A line
            </button>
          </section>
          <label className="t-small text-ink2">
            Who holds to it, and why
            <textarea
              value={rule.note}
              maxLength={1000}
              rows={2}
              placeholder="the list of our temple; what the doctor said"
              onChange={(event) => set({ ...rule, note: event.target.value }, "note")}
              className="block w-full border border-edge bg-sheet px-2 py-1.5 text-ink text-[16px]"
            />
          </label>
          <p className="flex flex-wrap gap-5 t-ledger">
            <Go href="/household#rules" className="underline min-h-11 inline-flex items-center">
              Back to the Household
            </Go>
            {!fresh && (
              <button type="button" className="underline min-h-11" onClick={() => void takeOut()}>
                Take this rule set out
              </button>
            )}
          </p>
        </div>
        <aside className="lg:crease-l p-4 md:p-5 grid gap-6 content-start" aria-label="What it comes to">
          <Judged rule={settled} foods={foods} />
          <Touches next={next} />
        </aside>
      </PageColumns>
    </>
  );
}

const FEW = 8;

/** What the rule makes of the foods of this kitchen. */
function Judged({ rule, foods }: { readonly rule: OwnRule; readonly foods: ReadonlyMap<string, Food> }) {
  const told = useMemo(() => {
    const judged = householdRules(new Map(), { own: [rule], answers: [] }).get(rule.id);
    const by: Record<"avoid" | "ask", Food[]> = { avoid: [], ask: [] };
    for (const food of foods.values()) {
      const verdict = judged ? judge(food, judged).verdict : "allowed";
      if (verdict !== "allowed") by[verdict].push(food);
    }
    return by;
  }, [rule, foods]);
  return (
    <section aria-labelledby="judged-title">
      <h2 id="judged-title" className="t-h2">
        What that leaves out
      </h2>
      <p className="t-small text-ink2">of the {foods.size} foods of this kitchen</p>
      <dl className="rule-t mt-1 t-ledger">
        {(["avoid", "ask"] as const).map((verdict) => (
          <div key={verdict} className="border-b border-line py-2">
            <dt>
              <span className="t-figure">{told[verdict].length}</span> {verdict === "avoid" ? "left out" : "asked about"}
            </dt>
            <dd className="t-small text-ink2">
              {told[verdict]
                .slice(0, FEW)
                .map(({ name }) => name.toLowerCase())
                .join(", ")}
              {told[verdict].length > FEW && ` and ${told[verdict].length - FEW} more`}
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

interface Touched {
  readonly foods: readonly { readonly rule: string; readonly names: readonly string[]; readonly more: number }[];
  readonly recipes: readonly { readonly id: string; readonly title: string }[];
  readonly versions: readonly { readonly id: string; readonly title: string; readonly label: string }[];
  readonly inLibrary: number;
}
const PAUSE_MS = 500;

/** What keeping the change would touch: asked of the server after a pause. */
function Touches({ next }: { readonly next: { readonly own: readonly OwnRule[] } }) {
  const [told, setTold] = useState<Touched | null>(null);
  useEffect(() => {
    let left = false;
    const timer = setTimeout(() => {
      send("POST", "/api/house-rules/touched", { document: next })
        .then((answer) => (left ? undefined : setTold(answer as Touched)))
        .catch((error: unknown) => (left ? undefined : failed(whyOf(error, "What it touches could not be found out."))));
    }, PAUSE_MS);
    return () => {
      left = true;
      clearTimeout(timer);
    };
  }, [next]);
  return (
    <section aria-labelledby="touches-title" aria-live="polite">
      <h2 id="touches-title" className="t-h2">
        What this change touches
      </h2>
      {told === null && <p className="t-small text-ink2 rule-t mt-1 pt-2">Looking through the recipes …</p>}
      {told?.foods.length === 0 && (
        <p className="t-ledger text-ink2 rule-t mt-1 pt-2">Nothing yet: no food is judged otherwise than before, where it is kept already.</p>
      )}
      {told && told.foods.length > 0 && (
        <ul className="rule-t mt-1 t-ledger">
          {told.foods.map(({ rule, names, more }) => (
            <li key={rule} className="border-b border-line py-2">
              Judged otherwise: {names.join(", ")}
              {more > 0 && ` and ${more} more`}
            </li>
          ))}
          <li className="border-b border-line py-2 text-ink2">{told.inLibrary} recipes of the library hold such a food.</li>
          {told.recipes.map(({ id, title }) => (
            <li key={id} className="border-b border-line py-2">
              <Go href={`/recipes/${id}/table`} className="underline">
                {title}
              </Go>
              : its table keeps this rule
            </li>
          ))}
          {told.versions.map(({ id, title, label }) => (
            <li key={id} className="border-b border-line py-2">
              <Go href={`/versions/${id}`} className="underline">
                {title}, {label}
              </Go>
              : kept for it, and stays as it was
            </li>
          ))}
          {told.recipes.length + told.versions.length === 0 && (
            <li className="border-b border-line py-2 text-ink2">No table and no kept version keeps this rule.</li>
          )}
        </ul>
      )}
    </section>
  );
}
