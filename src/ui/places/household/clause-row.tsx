"use client";

import { ALLERGENS, FAMILIES, FOOD_FORMS, ORIGINS, PROCESSINGS, SUGAR_CLASSES, type Food } from "../../../core/food";
import type { Clause, OwnRuleProblem, When } from "../../../core/models/diet";
import type { ReadingContext } from "../../../core/recipe";
import { FoodPicker } from "../../panels/food-picker";

/** Properties by which a clause picks foods, and what they can be. */
const LISTS = {
  families: ["of the family", FAMILIES],
  origins: ["that come from", ORIGINS],
  allergens: ["with the allergen", ALLERGENS],
  forms: ["in the form", FOOD_FORMS],
  processings: ["that are", PROCESSINGS],
  sugarClasses: ["whose sugars count as", SUGAR_CLASSES],
} as const satisfies Partial<Record<keyof When, readonly [string, readonly string[]]>>;
type ListKey = keyof typeof LISTS;
const PICKED = { foods: "the food", plants: "of the plant of" } as const;
type PickedKey = keyof typeof PICKED;
const VERDICT_WORDS: Readonly<Record<Clause["verdict"], string>> = { avoid: "leave out", ask: "ask about", allowed: "let through" };
const ADDABLE: readonly (readonly [ListKey | PickedKey, string])[] = [
  ["foods", "single foods"],
  ["families", "family"],
  ["plants", "plant"],
  ["origins", "where it comes from"],
  ["allergens", "allergen"],
  ["forms", "form"],
  ["processings", "how it was made"],
  ["sugarClasses", "kind of sugars"],
];

interface ClauseRowProps {
  readonly clause: Clause;
  readonly place: number;
  readonly last: boolean;
  readonly problems: readonly OwnRuleProblem[];
  readonly context: ReadingContext;
  /** What a kitchen calls each plant. */
  readonly plants: ReadonlyMap<string, string>;
  readonly open: boolean;
  readonly onOpen: (open: boolean) => void;
  readonly onChange: (clause: Clause, key?: string) => void;
  readonly onMove: (by: -1 | 1) => void;
  readonly onRemove: () => void;
}

/** One line of a rule set: what is done with which foods, and why. */
export function ClauseRow({ clause, place, last, problems, context, plants, open, onOpen, onChange, onMove, onRemove }: ClauseRowProps) {
  const { verdict, when, because } = clause;
  /** Sets what one property may be; nothing takes the property away. */
  const setWhen = (key: ListKey | PickedKey, values: readonly string[]) => {
    const others = Object.fromEntries(Object.entries(when).filter(([each]) => each !== key));
    onChange({ ...clause, when: values.length === 0 ? others : { ...others, [key]: values } });
  };
  const number = place + 1;
  return (
    <li className="border-b border-line py-3 grid gap-2">
      <div className="flex flex-wrap gap-x-4 gap-y-2 items-center">
        <span className="t-figure w-6">{number}</span>
        <select
          aria-label={`Line ${number}: what is done`}
          value={verdict}
          onChange={(event) => onChange({ ...clause, verdict: event.target.value as Clause["verdict"] })}
          className="border border-edge bg-sheet px-2 min-h-11 md:min-h-9 font-[550] text-[16px]"
        >
          {(Object.keys(VERDICT_WORDS) as Clause["verdict"][]).map((each) => (
            <option key={each} value={each}>
              {VERDICT_WORDS[each]}
            </option>
          ))}
        </select>
        <span className="t-ledger flex-1 min-w-40">
          {whenWords(when, context.foods, plants)}
          {because && !open && <span className="block t-small text-ink2">because it {because.replace("{allergen}", "it")}</span>}
        </span>
        <span className="flex gap-3 t-small">
          <button type="button" className="underline min-h-11 md:min-h-8" aria-expanded={open} onClick={() => onOpen(!open)}>
            {open ? "Close" : "Change"}
            <span className="sr-only"> line {number}</span>
          </button>
          <button
            type="button"
            className="underline min-h-11 md:min-h-8 disabled:text-ink2 disabled:no-underline"
            disabled={place === 0}
            onClick={() => onMove(-1)}
          >
            Up<span className="sr-only">, line {number}</span>
          </button>
          <button type="button" className="underline min-h-11 md:min-h-8 disabled:text-ink2 disabled:no-underline" disabled={last} onClick={() => onMove(1)}>
            Down<span className="sr-only">, line {number}</span>
          </button>
          <button type="button" className="underline min-h-11 md:min-h-8" onClick={onRemove}>
            Take out<span className="sr-only"> line {number}</span>
          </button>
        </span>
      </div>
      {open && (
        <div className="pl-0 md:pl-10 grid gap-2">
          {(Object.keys(LISTS) as ListKey[]).flatMap((key) => {
            const chosen: readonly string[] | undefined = when[key];
            if (!chosen) return [];
            const [words, list] = LISTS[key];
            return [
              <div key={key}>
                <span className="t-small text-ink2">{words}</span>
                <div className="flex flex-wrap gap-x-4" role="group" aria-label={`Line ${number}: ${words}`}>
                  {list.map((each) => (
                    <label key={each} className="flex items-center gap-2 t-small min-h-11 md:min-h-8">
                      <input
                        type="checkbox"
                        className="size-5"
                        checked={chosen.includes(each)}
                        onChange={() => setWhen(key, chosen.includes(each) ? chosen.filter((other) => other !== each) : [...chosen, each])}
                      />
                      {wordOf(each)}
                    </label>
                  ))}
                </div>
              </div>,
            ];
          })}
          {(Object.keys(PICKED) as PickedKey[]).flatMap((key) => {
            const chosen = when[key];
            return chosen
              ? [
                  <div key={key} className="flex flex-wrap gap-x-3 gap-y-1 items-center t-small">
                    <span className="text-ink2">{PICKED[key]}</span>
                    {chosen.map((each) => (
                      <button
                        key={each}
                        type="button"
                        className="underline min-h-11 md:min-h-8"
                        onClick={() =>
                          setWhen(
                            key,
                            chosen.filter((other) => other !== each),
                          )
                        }
                      >
                        {key === "foods" ? (context.foods.get(each)?.name ?? each) : <PlantName botanical={each} plants={plants} />}
                        <span className="text-ink2 no-underline"> ×</span>
                        <span className="sr-only">, take out of line {number}</span>
                      </button>
                    ))}
                    <Another number={number} part={key} chosen={chosen} onChoose={(next) => setWhen(key, next)} />
                  </div>,
                ]
              : [];
          })}
          <div className="flex flex-wrap gap-x-4 gap-y-2 items-center">
            <select
              aria-label={`Line ${number}: say more of which foods`}
              value=""
              onChange={(event) => {
                const key = event.target.value as ListKey | PickedKey;
                if (key in LISTS) setWhen(key, [LISTS[key as ListKey][1][0]]);
                else onChange({ ...clause, when: { ...when, [key]: [] } });
              }}
              className="border border-edge bg-sheet px-2 min-h-11 md:min-h-9 t-small"
            >
              <option value="">{Object.keys(when).length === 0 ? "for which foods …" : "and only those …"}</option>
              {ADDABLE.filter(([key]) => when[key] === undefined).map(([key, words]) => (
                <option key={key} value={key}>
                  by {words}
                </option>
              ))}
            </select>
            <label className="t-small text-ink2 flex items-center gap-2 flex-1 min-w-60">
              because it
              <input
                value={because}
                maxLength={300}
                placeholder="is on our list"
                aria-label={`Line ${number}: the reason`}
                onChange={(event) => onChange({ ...clause, because: event.target.value }, `because ${number}`)}
                className="flex-1 border border-edge bg-sheet px-2 min-h-11 md:min-h-9 text-ink text-[16px]"
              />
            </label>
          </div>
        </div>
      )}
      {problems.map(({ why, grave }) => (
        <p key={why} role={grave ? "alert" : undefined} className={`t-small md:pl-10 ${grave ? "text-rose" : "text-ink2"}`}>
          {why}
        </p>
      ))}
    </li>
  );
}

/** Finds one more food, or the plant of one. */
function Another({
  number,
  part,
  chosen,
  onChoose,
}: {
  readonly number: number;
  readonly part: PickedKey;
  readonly chosen: readonly string[];
  readonly onChoose: (chosen: readonly string[]) => void;
}) {
  return (
    <span className="w-64">
      <FoodPicker
        label={`Line ${number}: find a food`}
        note={(food) => (part === "plants" && food.plant === null ? "is of no one plant" : null)}
        onPick={(food) => {
          const each = part === "foods" ? food.id : food.plant;
          if (each && !chosen.includes(each)) onChoose([...chosen, each]);
        }}
      />
    </span>
  );
}

const wordOf = (value: string): string => value.replaceAll("-", " ");

/** For which foods a clause holds, in words. */
function whenWords(when: When, foods: ReadonlyMap<string, Food>, called: ReadonlyMap<string, string>): string {
  const plants = when.plants?.map((each) => called.get(each) ?? each);
  const told = [
    ...(Object.keys(LISTS) as ListKey[]).flatMap((key) => (when[key] ? [`${LISTS[key][0]} ${when[key].map(wordOf).join(" or ")}`] : [])),
    ...(plants ? [`of ${plants.length > 6 ? `${plants.slice(0, 6).join(", ")} and ${plants.length - 6} more plants` : plants.join(", ")}`] : []),
    ...(when.foods ? [`called ${when.foods.map((id) => foods.get(id)?.name ?? id).join(", ") || "…"}`] : []),
    ...(when.above ? [`with more than ${when.above[1]} g of ${when.above[0].replace(/([A-Z])/g, " $1").toLowerCase()} in 100 g`] : []),
    ...(when.alcohol ? ["that hold alcohol"] : []),
    ...(when.part ? ["as a part of other foods"] : []),
  ];
  return told.length === 0 ? "every food" : `foods ${told.join(", ")}`;
}

/** A plant by what a kitchen calls it, with its botanical name for who asks. */
function PlantName({ botanical, plants }: { readonly botanical: string; readonly plants: ReadonlyMap<string, string> }) {
  return <span title={botanical}>{plants.get(botanical) ?? botanical}</span>;
}

/** What a kitchen calls each plant: the shortest name of a food of it, whole ones first. */
export function plantNames(foods: Iterable<Food>): ReadonlyMap<string, string> {
  const found = new Map<string, { readonly name: string; readonly whole: boolean }>();
  for (const { name, nature, parts } of foods) {
    const botanical = nature?.botanical;
    if (!botanical || parts.length > 0) continue;
    const plain = (name.split(",")[0] ?? name).toLowerCase();
    const known = found.get(botanical);
    const whole = nature.form === "whole";
    if (!known || (whole && !known.whole) || (whole === known.whole && plain.length < known.name.length)) found.set(botanical, { name: plain, whole });
  }
  return new Map([...found].map(([botanical, { name }]) => [botanical, name] as const));
}
