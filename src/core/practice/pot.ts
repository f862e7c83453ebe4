import { valueOf, type EvaluationInput } from "../evaluate";
import { INDEX, SUGAR_INDICES, sumOf, type Constants, type Food } from "../food";
import type { Kitchen } from "../kitchen";
import { bodyWords } from "../models/texture";
import type { Chance } from "./chance";

/** A pot to practise with: a pudding of three things, as the models have it. */
export interface PracticePot {
  readonly liquid: Food;
  readonly thickener: Food;
  readonly sweetener: Food;
  /** What goes in of each, g. */
  readonly grams: { readonly liquid: number; readonly thickener: number; readonly sweetener: number };
  /** What is driven off until it is as it is meant to be, g. */
  readonly driven: number;
  /** Body at 8 °C that it is meant to come to, steps of 10, and in words. */
  readonly wanted: number;
  readonly wantedWords: string;
}

/** A pot as it stands: so much of each in it, so much driven off. */
export const potInput = ({ liquid, thickener, sweetener }: PracticePot, grams: PracticePot["grams"], driven: number): EvaluationInput => ({
  lines: [
    { food: liquid, grams: grams.liquid, sd: 0, role: "liquid" },
    { food: thickener, grams: grams.thickener, sd: 0, role: "thickener" },
    { food: sweetener, grams: grams.sweetener, sd: 0, role: "sweetener" },
  ],
  evaporation: { value: driven, sd: 0 },
  servings: 4,
  cookMinutes: null,
  apart: 0,
  archetype: "pudding",
});
const bodyAt = (pot: PracticePot, grams: PracticePot["grams"], driven: number, constants: Constants): number =>
  valueOf(potInput(pot, grams, driven), "body.chilled", constants);

/** What stands in a pudding: sugars of more than so much, g per 100 g; a liquid that is mostly water. */
const [SWEET, WET] = [60, 75];
const isLiquid = ({ role, nature, per100g, id }: Food): boolean =>
  role === "liquid" && id !== "water" && nature?.form === "liquid" && nature.acidity === "none" && (per100g[INDEX.water] ?? 0) > WET;
const isSweetener = ({ role, nature, per100g }: Food): boolean =>
  role === "sweetener" && nature?.acidity === "none" && ["crystals", "powder", "block", "syrup"].includes(nature.form) && sumOf(per100g, SUGAR_INDICES) > SWEET;
const isThickener = ({ thickening: { starch }, nature, role }: Food): boolean =>
  starch !== undefined &&
  (starch.form === "isolated" || starch.grain === "ground") &&
  ["flour", "powder", "crystals"].includes(nature?.form ?? "") &&
  role !== "aroma";

/** Bodies at 8 °C that a pudding is meant to have, steps of 10. */
const WANTED = [3, 3.75, 4.5, 5.25, 6] as const;
/** Draws until one comes to its body by cooking down. */
const TRIES = 60;

const some = <T>(of: readonly T[]): readonly [T, ...T[]] | null => {
  const [first, ...others] = of;
  return first === undefined ? null : [first, ...others];
};

/** A pot drawn from the foods of a kitchen: what goes in brings it to the body that is wanted once a quarter or so of its liquid is driven off. Null where the kitchen has no foods for one. */
export function drawPot(chance: Chance, { reference: { foods, constants } }: Kitchen): PracticePot | null {
  const all = [...foods.values()].toSorted((a, b) => (a.id < b.id ? -1 : 1));
  const [liquids, sweeteners, thickeners] = [some(all.filter(isLiquid)), some(all.filter(isSweetener)), some(all.filter(isThickener))];
  if (!liquids || !sweeteners || !thickeners) return null;
  for (let left = TRIES; left > 0; left--) {
    const wanted = chance.one(WANTED);
    const liquid = 10 * chance.whole(50, 120);
    const driven = Math.round(liquid * chance.between(0.18, 0.38));
    const foodsOf = { liquid: chance.one(liquids), thickener: chance.one(thickeners), sweetener: chance.one(sweeteners) };
    const sweetener = 5 * Math.round((liquid * chance.between(0.06, 0.13)) / 5);
    const pot: PracticePot = { ...foodsOf, grams: { liquid, thickener: 0, sweetener }, driven, wanted, wantedWords: bodyWords(wanted, constants) };
    const thickener = thickenerFor(pot, constants);
    if (thickener !== null) return { ...pot, grams: { ...pot.grams, thickener } };
  }
  return null;
}

/** So much of it brings the pot to its body, g; null where less than a spoonful or more than a tenth of the liquid would. */
function thickenerFor(pot: PracticePot, constants: Constants): number | null {
  const { grams, driven, wanted } = pot;
  const [least, most] = [0.008 * grams.liquid, 0.12 * grams.liquid];
  const at = (thickener: number) => bodyAt(pot, { ...grams, thickener }, driven, constants);
  if (at(least) >= wanted || at(most) <= wanted) return null;
  let [low, high] = [least, most];
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2;
    if (at(middle) < wanted) low = middle;
    else high = middle;
  }
  const thickener = Math.round(low);
  // What a whole gram leaves is made up by how far it is cooked down.
  return Math.abs(at(thickener) - wanted) < 0.25 ? thickener : null;
}
