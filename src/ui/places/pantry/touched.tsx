"use client";

import { kitchenOf } from "../../../workers/client";
import { evaluateRecipe, openRecipe, type Kitchen } from "../../../core/kitchen";
import { useDeferredValue, useMemo } from "react";
import { propertyOf, type Figures, type PropertyId } from "../../../core/evaluate";
import type { OwnFood } from "../../../core/pantry";
import { type Recipe } from "../../../core/recipe";
import { amountText } from "../../parts/figure-words";
import { useKitchen } from "../../shell/use-kitchen";
import { Go } from "../../shell/go";
import { useHousehold } from "../../shell/household";
import { useLearned } from "../../shell/learned";
import { useHouseRulesDocument } from "../../shell/house-rules";
import { usePantryDocument } from "../../shell/pantry";
import { useUses } from "./use-uses";

const TOLD: readonly PropertyId[] = ["serving.energy", "serving.freeSugarsUk", "serving.fat", "serving.protein", "sweetness.hot"];
/** A change below this share of a figure is not told. */
const LEAST_CHANGE = 0.005;

/** What a change of an own food does to the recipes that use it, a serving each, before it is saved. */
export function Touched({ own: latest }: { readonly own: OwnFood }) {
  // Whole recipes are computed anew: after the field that is typed in.
  const own = useDeferredValue(latest);
  const uses = useUses(own.id);
  const kitchen = useKitchen();
  const pantry = usePantryDocument().present;
  const household = useHousehold();
  const house = useHouseRulesDocument().present;
  const learned = useLearned();
  const { units } = household;
  const next = useMemo(
    () => kitchenOf({ pantry: { ...pantry, foods: pantry.foods.map((food) => (food.id === own.id ? own : food)) }, household, house, learned }),
    [pantry, own, household, house, learned],
  );
  const rows = useMemo(
    () =>
      (uses?.recipes ?? []).map(({ id, recipe }) => {
        const [before, after] = [figuresOf(recipe, own.id, kitchen), figuresOf(recipe, own.id, next)];
        const changes = TOLD.flatMap((property) => {
          const [a, b] = [before?.[property], after?.[property]];
          return a && b && Math.abs(b.value - a.value) > LEAST_CHANGE * Math.max(Math.abs(a.value), 1e-9) ? [{ property, a, b }] : [];
        });
        return { id, title: recipe.title, changes, unread: after === null };
      }),
    [uses, own.id, kitchen, next],
  );
  if (!uses || (rows.length === 0 && uses.benches.length === 0)) return null;
  const manner = { energy: units.energy };
  return (
    <section aria-label="What this changes">
      <h2 className="t-h2">What this changes</h2>
      <ul className="rule-t mt-1">
        {rows.map(({ id, title, changes, unread }) => (
          <li key={id} className="border-b border-line py-1.5 t-ledger">
            <Go href={`/recipes/${id}/recipe`} className="underline">
              {title}
            </Go>
            {unread && <span className="block t-small text-saffron">would not find it any more: its line will be asked about</span>}
            {!unread && changes.length === 0 && <span className="block t-small text-ink2">no figure changes</span>}
            {changes.map(({ property, a, b }) => (
              <span key={property} className="flex justify-between gap-3 t-small">
                <span className="text-ink2">{propertyOf(property).name}</span>
                <span className="t-figure">
                  {amountText(a.value, (a.high - a.low) / 2, property, manner)} <span className="text-ink2">then</span>{" "}
                  {amountText(b.value, (b.high - b.low) / 2, property, manner)}
                </span>
              </span>
            ))}
          </li>
        ))}
      </ul>
      {uses.more && <p className="t-small text-ink2 mt-1">Others may use it too.</p>}
      <p className="t-small text-ink2 mt-1">A serving each, as handed down. Versions that were kept stay as they were.</p>
    </section>
  );
}

/** Figures of a recipe as this kitchen reads it; null where it does not find the food in it any more. */
function figuresOf(recipe: Recipe, foodId: string, kitchen: Kitchen): Figures | null {
  const read = openRecipe(recipe, kitchen);
  if (!read.lines.some((line) => line.food.id === foodId)) return null;
  return evaluateRecipe(read, { rules: [], limits: [], servings: recipe.servings, serve: "hot" }, kitchen).figures;
}
