"use client";

import { baseOf } from "../../core/models/diet";
import type { RuleWords } from "../../core/views";
import type { Household } from "../../core/household";
import { useHousehold } from "../shell/household";

/** A rule with the schools that hold to it in their own ways, the usual one first. */
export interface RuleGroup {
  readonly base: string;
  readonly name: string;
  readonly schools: readonly RuleWords[];
}

/** The rules by what they are called, each with its schools. */
export function groupsOf(rules: readonly RuleWords[]): RuleGroup[] {
  const groups = new Map<string, RuleWords[]>();
  for (const rule of rules) {
    const base = baseOf(rule.id);
    groups.set(base, [...(groups.get(base) ?? []), rule]);
  }
  return [...groups].map(([base, schools]) => ({ base, name: schools[0]?.name ?? base, schools }));
}

/** The fasts of one church are kept in one school: what a household holds to in Lent holds in the others. */
export const schoolOf = (base: string): string => (base.startsWith("orthodox-") ? "orthodox-lent" : base);

/** The rule of that name in the school that the household usually holds to. */
export const usualRule = (base: string, schools: Household["schools"], rules: { readonly has: (id: string) => boolean }): string => {
  const held = schools?.[schoolOf(base)]?.replace(schoolOf(base), base);
  return held !== undefined && rules.has(held) ? held : base;
};

const WHAT: Readonly<Record<string, string>> = {
  vegan: "no dairy, egg, honey or gelatin",
  "dairy-free": "ghee is dairy; egg is not",
  "lactose-free": "ghee holds nearly none",
  "egg-free": "eggs in any form",
  "gluten-free": "no wheat, barley or rye",
  "nut-free": "coconut and pine nuts are asked about",
  "soy-free": "soya drink, flour, tofu, lecithin",
  "peanut-free": "a pulse, not a nut",
  "sesame-free": "seeds, oil and tahini",
  "no-added-sugar": "no sugar, syrup, honey, jaggery",
  sattvic: "no egg, alcohol, onion or garlic",
  jain: "no roots, honey, egg or figs",
  "small-child": "nothing to choke on; honey by age",
  buddhist: "none of the five pungent plants",
  ekadashi: "no grain, no pulse, rock salt",
  navratri: "no grain, no pulse, rock salt",
  shivaratri: "as navratri",
  pradosha: "as navratri",
  "orthodox-lent": "no meat, dairy or egg",
  ramadan: "no alcohol; gelatin and essences asked",
  halal: "no alcohol; gelatin and essences asked",
  kosher: "gelatin, grape juice and essences asked",
  passover: "none of the five grains",
  "orthodox-weekday": "as Lent, on those days",
  "orthodox-nativity": "as Lent, fish on many days",
  "orthodox-apostles": "as Lent, fish on many days",
  "orthodox-dormition": "as Lent",
  pregnant: "no alcohol; caffeine asked",
  older: "nothing hard or that swells; raw food told",
};

/** Rules to choose from; where schools differ, which one holds. */
export function RuleWishes({
  groups,
  chosen,
  onChoose,
}: {
  readonly groups: readonly RuleGroup[];
  readonly chosen: readonly string[];
  readonly onChoose: (rules: readonly string[]) => void;
}) {
  const { schools: usual = {} } = useHousehold();
  return (
    <div className="grid sm:grid-cols-2 border-t border-ink mt-1">
      {groups.map(({ base, name, schools }) => {
        const kept = schools.filter(({ id }) => chosen.includes(id));
        // Of one rule in two schools, the later one of the list decides more: it is the one shown.
        const held = kept.at(-1);
        const without = chosen.filter((id) => !schools.some((school) => school.id === id));
        return (
          <div key={base} className={`border-b border-line ${held ? "bg-saffron-wash" : ""}`}>
            <label className="flex gap-3 items-start py-2 pr-3 min-h-11 cursor-pointer hover:bg-pressed">
              <input
                type="checkbox"
                checked={held !== undefined}
                onChange={() => onChoose(held ? without : [...without, (schools.find(({ id }) => id === usual[base]) ?? schools[0])?.id ?? base])}
                className="mt-0.5 ml-1 size-5 accent-ink"
              />
              <span className="t-ledger">
                <span className={held ? "font-[550]" : ""}>{name}</span>
                {kept.length > 1 && <span className="block t-small text-saffron">kept here in {kept.length} schools</span>}
                {WHAT[base] && <span className="block t-small text-ink2">{WHAT[base]}</span>}
              </span>
            </label>
            {held && schools.length > 1 && (
              <div className="pl-10 pr-3 pb-2">
                <select
                  aria-label={`School of ${name}`}
                  value={held.id}
                  onChange={(event) => onChoose([...without, event.target.value])}
                  className="border border-edge bg-sheet px-2 min-h-11 md:min-h-9 t-ledger max-w-full"
                >
                  {schools.map(({ id, school }) => (
                    <option key={id} value={id}>
                      {school}
                    </option>
                  ))}
                </select>
                <span className="block t-small text-ink2 mt-1">{held.schoolReason}</span>
              </div>
            )}
          </div>
        );
      })}
    </div>
  );
}
