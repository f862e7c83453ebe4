"use client";

import { memo, startTransition, useCallback, useEffect, useMemo, useRef, useState } from "react";
import { flushSync } from "react-dom";
import { foodFacts, nutrientFigure, SUGARS, type Family, type Food, type Nutrient } from "../../../core/food";
import { useKitchen } from "../../shell/use-kitchen";
import { formatToSpread, inEnergyUnit } from "../../../core/units";
import type { Figure } from "../../../core/numeric";
import { buttonClass } from "../../parts/button";
import { Go } from "../../shell/go";
import { useHousehold } from "../../shell/household";
import { PageHead } from "../../shell/shell";
import { FAMILY_NAMES, FAMILY_ORDER, provenanceWords } from "./food-words";

const COLUMNS = "grid-cols-[minmax(0,1fr)_64px] sm:grid-cols-[minmax(0,1.5fr)_repeat(5,64px)] xl:grid-cols-[minmax(0,1.5fr)_repeat(5,72px)_minmax(0,1fr)]";
const MOST_FOUND = 60;

/** The Pantry: every food that the figures rest on, found by name or family, each with its own page. */
export function PantryPage({ search, family: givenFamily }: { readonly search: string; readonly family: Family | null }) {
  const [words, setWords] = useState(search);
  const [family, setFamily] = useState(givenFamily);
  const kitchen = useKitchen();
  const { foods } = kitchen.reference;
  const sorted = useMemo(
    () => [...foods.values()].sort((a, b) => FAMILY_ORDER.indexOf(a.family) - FAMILY_ORDER.indexOf(b.family) || (a.name < b.name ? -1 : 1)),
    [foods],
  );
  const grouped = words.trim() === "" && family === null;
  const found = useMemo(() => {
    const all = words.trim() ? kitchen.reading.matcher.search(words, MOST_FOUND).flatMap((id) => foods.get(id) ?? []) : sorted;
    return family ? all.filter((food) => food.family === family) : all;
  }, [words, family, foods, sorted, kitchen]);
  const [last, setLast] = useState<readonly Food[]>([]);
  // Built while nothing else is to be done, so that the first letter does not wait for it.
  useEffect(() => {
    let here = true;
    const timer = setTimeout(() => {
      void kitchen.reading.matcher.prepare().then(() => here && startTransition(() => setLast((now) => (now.length > 0 ? now : sorted.slice(0, FEW)))));
    }, 600);
    return () => {
      here = false;
      clearTimeout(timer);
    };
  }, [kitchen, sorted]);
  const families = useMemo(() => FAMILY_ORDER.filter((each) => [...foods.values()].some((food) => food.family === each)), [foods]);
  const following = useRef<ReturnType<typeof setTimeout>>(undefined);
  // As one types the address follows, so that it can be reloaded and shared; the page itself is not asked for again.
  const show = (nextWords: string, nextFamily: Family | null) => {
    setWords(nextWords);
    setFamily(nextFamily);
    clearTimeout(following.current);
    following.current = setTimeout(() => follow(nextWords, nextFamily), FOLLOW_AFTER);
  };
  const follow = (nextWords: string, nextFamily: Family | null) => {
    const query = new URLSearchParams({ ...(nextWords.trim() ? { search: nextWords.trim() } : {}), ...(nextFamily ? { family: nextFamily } : {}) });
    window.history.replaceState(null, "", query.size ? `/pantry?${query}` : "/pantry");
  };
  const shelf = usePortions(sorted, PORTION);
  // What was found last stays too, so that the next search changes rows and makes none.
  if (!grouped && last !== found) setLast(found);
  const hits = usePortions(grouped ? last : found, FEW);
  return (
    <>
      <PageHead title="Pantry" line={`${foods.size} foods, each per 100 g as it is bought, with its source.`}>
        <span className="flex flex-wrap gap-2 no-print">
          <Go href="/pantry/stock" className={buttonClass("plain")}>
            In stock
          </Go>
          <Go href="/pantry/make" className={buttonClass("plain")}>
            Make it at home
          </Go>
          <Go href="/pantry/new" className={buttonClass("primary")}>
            A food of your own
          </Go>
        </span>
      </PageHead>
      <main id="main" className="p-4 md:p-5">
        <div role="search" className="flex flex-wrap gap-3 no-print">
          <input
            aria-label="Find a food by name"
            placeholder="Find a food: jaggery, gur, til"
            value={words}
            maxLength={100}
            onChange={(event) => show(event.target.value, family)}
            className="border border-edge bg-sheet px-3 min-h-11 flex-1 min-w-56 max-w-96"
          />
          <select
            aria-label="Family of foods"
            value={family ?? ""}
            onChange={(event) => show(words, (event.target.value || null) as Family | null)}
            className="border border-edge bg-sheet px-3 min-h-11 max-w-full"
          >
            <option value="">All families</option>
            {families.map((each) => (
              <option key={each} value={each}>
                {FAMILY_NAMES[each]}
              </option>
            ))}
          </select>
          <span className="self-center t-small text-ink2" role="status">
            {found.length === 1 ? "1 food" : `${found.length} foods`}
          </span>
        </div>
        {found.length === 0 && (
          <p className="mt-5 max-w-[60ch]">
            No food of the tables is called “{words.trim()}”{family && <> among {FAMILY_NAMES[family].toLowerCase()}</>}. A line of a recipe that names it is
            asked about, and can stand for the nearest food or be left out.{" "}
            <button type="button" className="underline" onClick={() => show("", null)}>
              Show all
            </button>
          </p>
        )}
        <div className="mt-4" hidden={found.length === 0}>
          <Head />
          {/* Stays where it is while one searches, laid out but not shown, so that it is there again at once. */}
          <div inert={!grouped} className={grouped ? "" : "[content-visibility:hidden]"}>
            <Shelf families={families} foods={shelf.visible} />
            <More of={sorted.length} portions={shelf} />
          </div>
          <div inert={grouped} className={grouped ? "[content-visibility:hidden]" : ""}>
            <ul>
              {hits.visible.map((food, i) => (
                <FoodRow key={i} food={food} />
              ))}
            </ul>
            <More of={hits.visible.length === 0 ? 0 : found.length} portions={hits} />
          </div>
        </div>
      </main>
    </>
  );
}

/** How many rows of the shelf are shown at first, and with each look at its end. */
const PORTION = 40;
/** And of what is found: the first ones are those looked for, the rest comes right after. */
const FEW = 8;
/** The address follows after a pause, ms: changing it wakes the whole page. */
const FOLLOW_AFTER = 400;

interface Portions<T> {
  readonly visible: readonly T[];
  readonly end: React.RefObject<HTMLParagraphElement | null>;
  readonly more: () => void;
}

/** A long list in portions: the next one comes as its end comes into view, all of it for print. */
function usePortions<T>(all: readonly T[], portion: number): Portions<T> {
  const [shown, setShown] = useState(portion);
  const [of, setOf] = useState(all);
  // Another list begins with its first portion again.
  if (of !== all) {
    setOf(all);
    setShown(portion);
  }
  const end = useRef<HTMLParagraphElement>(null);
  const more = useCallback(() => setShown((before) => before + portion), [portion]);
  useEffect(() => {
    const target = end.current;
    const everything = () => flushSync(() => setShown(Infinity));
    window.addEventListener("beforeprint", everything);
    const observer = new IntersectionObserver(([entry]) => entry?.isIntersecting && startTransition(more), { rootMargin: "400px" });
    if (target) observer.observe(target);
    return () => {
      observer.disconnect();
      window.removeEventListener("beforeprint", everything);
    };
  }, [more, shown, all]);
  const visible = useMemo(() => all.slice(0, shown), [all, shown]);
  return useMemo(() => ({ visible, end, more }), [visible, more]);
}

function More({ of, portions: { visible, end, more } }: { readonly of: number; readonly portions: Portions<Food> }) {
  return visible.length < of ? (
    <p ref={end} className="py-3">
      <button type="button" className="underline min-h-11" onClick={more}>
        More of the {of} foods
      </button>
    </p>
  ) : null;
}

function Head() {
  const { energy } = useHousehold().units;
  return (
    <div className={`grid ${COLUMNS} gap-x-3 px-1 t-small text-ink2 border-b border-ink pb-1`} aria-hidden="true">
      <span>per 100 g</span>
      <span className="text-right">{energy}</span>
      {["sugars, g", "fibre, g", "protein, g", "fat, g"].map((each) => (
        <span key={each} className="text-right max-sm:hidden">
          {each}
        </span>
      ))}
      <span className="max-xl:hidden pl-3">source</span>
    </div>
  );
}

/** All foods by family, as far as they are shown. */
const Shelf = memo(function Shelf({ families, foods }: { readonly families: readonly Family[]; readonly foods: readonly Food[] }) {
  return families.map((each) => {
    const of = foods.filter((food) => food.family === each);
    return (
      of.length > 0 && (
        <section key={each} aria-label={FAMILY_NAMES[each]}>
          <h2 className="t-h2 pt-4 pb-1 border-b border-ink">{FAMILY_NAMES[each]}</h2>
          <Rows foods={of} />
        </section>
      )
    );
  });
});

function Rows({ foods }: { readonly foods: readonly Food[] }) {
  return (
    <ul>
      {foods.map((food) => (
        <FoodRow key={food.id} food={food} />
      ))}
    </ul>
  );
}

const FoodRow = memo(function FoodRow({ food }: { readonly food: Food }) {
  const { energy: unit } = useHousehold().units;
  const { constants } = useKitchen().reference;
  const facts = useMemo(() => foodFacts(food, constants), [food, constants]);
  const lacks = (...nutrients: readonly Nutrient[]) => nutrients.some((nutrient) => food.unknown.includes(nutrient));
  const cells: readonly (readonly [name: string, unit: string, text: string])[] = [
    ["energy", unit, cellText(facts.energy, false, inEnergyUnit(1, unit))],
    ["sugars", "g", cellText(facts.sugars, lacks(...SUGARS))],
    ["fibre", "g", cellText(facts.fibre, lacks("solubleFibre"))],
    ["protein", "g", cellText(nutrientFigure(food, "protein"), lacks("protein"))],
    ["fat", "g", cellText(nutrientFigure(food, "fat"), lacks("fat"))],
  ];
  return (
    <li className="border-b border-line">
      <Go href={`/pantry/${food.id}`} className={`grid ${COLUMNS} gap-x-3 px-1 py-1.5 items-baseline hover:bg-pressed group`}>
        <span className="min-w-0">
          <span className="t-new group-hover:underline">{food.name}</span>
          {food.synonyms.length > 0 && <span className="block t-small text-ink2 truncate">{food.synonyms.slice(0, 4).join(", ")}</span>}
        </span>
        {cells.map(([name, , text], i) => (
          <span key={name} aria-hidden="true" className={`t-figure text-right ${i > 0 ? "max-sm:hidden" : ""}`}>
            {text}
          </span>
        ))}
        {/* The cells in one sentence: a hidden label in each would cost more than all of them. */}
        <span className="sr-only">{cells.map(([name, of, text]) => `${name} ${text === UNKNOWN ? "not known" : `${text} ${of}`}`).join(", ")}</span>
        <span className="t-small text-ink2 max-xl:hidden pl-3 truncate">{`${food.source}, ${provenanceWords(food)}`}</span>
      </Go>
    </li>
  );
});

const UNKNOWN = "?";
const cellText = (figure: Figure, unknown: boolean, scale = 1): string =>
  unknown && figure.value === 0 ? UNKNOWN : formatToSpread(figure.value * scale, ((figure.high - figure.low) / 2) * scale);
