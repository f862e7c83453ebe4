import { saveCollection } from "./collections";
import { getEaters, getHouseRules, HOUSE_RULES } from "./sources";
import { changedVerdicts, copyOf, householdRules, ownRuleProblems, type OwnRule } from "../../core/models/diet";
import { RULES } from "../../data";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { checked, checkedRevised } from "../http/checked";
import { validateHouseRules, validateTouched } from "../http/schemas/household";
import { getKitchen } from "./kitchen";
import { Refusal, type ProblemError } from "../http/problems";

/** Refuses ids of rules that there are not; `pointer` leads to the list. */
export async function checkRules(lists: readonly { readonly pointer: string; readonly rules: readonly string[] }[]): Promise<void> {
  const { rules } = await getKitchen();
  const unknown = lists.flatMap(({ pointer, rules: ids }) =>
    ids.flatMap((id, i): ProblemError[] => (rules.has(id) ? [] : [{ pointer: `${pointer}/${i}`, detail: `There is no rule "${id}" here.` }])),
  );
  if (unknown.length > 0) throw new Refusal(422, "It names a rule that this household does not have. It may have been taken out in another window.", unknown);
}

/** Saves them; refused whole where a set cannot be kept so, or one that is gone is still kept by somebody or at a table. */
export async function saveHouseRules(body: unknown): Promise<number> {
  const sent = checkedRevised(validateHouseRules, body);
  const { own } = sent.document;
  const [kitchen, { document: before }] = await Promise.all([getKitchen(), getHouseRules()]);
  const { foods } = kitchen.reference;
  const named = [...RULES.values()].filter(({ id }) => !id.includes("/"));
  for (const [i, each] of own.entries()) {
    const [problem] = ownRuleProblems(each, [...named, ...own], foods).filter(({ grave }) => grave);
    if (problem)
      throw new Refusal(422, `“${each.name}” cannot be kept so. ${problem.why}`, [
        { pointer: `/document/own/${i}/${problem.field}${problem.clause === null ? "" : `/${problem.clause}`}`, detail: problem.why },
      ]);
    if (own.findIndex(({ id }) => id === each.id) !== i)
      throw new Refusal(422, "Two rule sets have one id.", [{ pointer: `/document/own/${i}/id`, detail: "Each needs an id of its own." }]);
  }
  const gone = before.own.filter(({ id }) => !own.some((each) => each.id === id));
  for (const { id, name } of gone) {
    const keepers = await keepersOf(id);
    if (keepers.length > 0)
      throw new Refusal(422, `“${name}” is still kept: ${keepers.join(", ")}. Take it off there first.`, [
        { pointer: "/document/own", detail: `${id} is in use.` },
      ]);
  }
  return saveCollection(HOUSE_RULES, sent, getHouseRules);
}

/** Who keeps a rule, and at which recipes' tables, in words. */
export async function keepersOf(id: string): Promise<string[]> {
  const connection = await getDatabase();
  const { document } = await getEaters();
  const eaters = document.eaters.filter(({ rules }) => rules.includes(id)).map(({ name }) => name);
  const tables = await db.tablesWith(connection, [id], 10);
  return [...eaters, ...tables.map(({ title }) => `at the table of ${title}`)];
}

export interface TouchedByRules {
  /** Foods that would be judged otherwise, by rule. */
  readonly foods: readonly { readonly rule: string; readonly names: readonly string[]; readonly more: number }[];
  /** Recipes whose table keeps such a rule and that hold such a food. */
  readonly recipes: readonly { readonly id: string; readonly title: string }[];
  readonly versions: readonly { readonly id: string; readonly title: string; readonly label: string }[];
  /** Recipes of the library that hold such a food, whoever they are for: by them it is found again what each meets. */
  readonly inLibrary: number;
}

const MOST_NAMED = 6;
const MOST_TOLD = 40;

/** What a change of the household's rules touches, against what is saved, before it is. */
export async function touchedByRules(body: unknown): Promise<TouchedByRules> {
  const { document } = checked(validateTouched, body);
  const [kitchen, connection] = await Promise.all([getKitchen(), getDatabase()]);
  const { foods } = kitchen.reference;
  const changed = changedVerdicts(kitchen.rules, householdRules(RULES, document), foods.values());
  const rules = [...changed.keys()];
  const foodIds = [...new Set([...changed.values()].flat())];
  return {
    foods: [...changed].map(([rule, ids]) => ({
      rule,
      names: ids.slice(0, MOST_NAMED).map((id) => foods.get(id)?.name ?? id),
      more: Math.max(0, ids.length - MOST_NAMED),
    })),
    recipes: await db.tablesWith(connection, rules, MOST_TOLD, foodIds),
    versions: await db.versionsKeeping(connection, rules, foodIds, MOST_TOLD),
    inLibrary: await db.countRecipesHolding(connection, foodIds),
  };
}

/** A rule set of the household's own to be edited: as it is kept, or begun from another; null where the id cannot be one. */
export async function ownRule(
  id: string,
  from: string | null,
): Promise<{ readonly given: OwnRule; readonly fresh: boolean; readonly from: string | null } | null> {
  if (!/^own-[a-z0-9-]{1,56}$/.test(id)) return null;
  const [{ rules }, { document }] = await Promise.all([getKitchen(), getHouseRules()]);
  const kept = document.own.find((each) => each.id === id);
  const base = rules.get(kept?.from ?? from ?? "");
  const given = kept ?? (base ? copyOf(base, id) : { id, name: "", from: null, clauses: [], note: "" });
  return { given, fresh: !kept, from: base?.name ?? null };
}
