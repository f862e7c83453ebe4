import { INDEX, type Constants, type Food } from "../food";
import { evaluatePoint, valueOf, type EvaluationInput } from "../evaluate";
import { rateHere } from "../process";
import type { BalancedLine } from "../recipe";
import { ISOLATES } from "../substitution";
import { formatGrams, fraction, weighable } from "../units";
import type { Fault, Target } from "./faults";
import { waterIn, withMore } from "./pot";
import { dose } from "./solve";
import type { Addition, Mender, WayOut } from "./way";

/** Minutes that boiling off may take: beyond, something else is better. */
const LONGEST_BOIL = 90;
/** A food that was never in it is found and weighed: of two alike, what is at hand comes first. */
const NEW_FOOD = 0.02;
const NEW_ISOLATE = 0.1;

interface PotNow {
  readonly input: EvaluationInput;
  readonly grams: number;
  readonly water: Food | null;
  readonly constants: Constants;
}

/** The least of a food that mends it; null where no amount within reason does. */
export function mendedBy(
  { mender, food }: { readonly mender: Mender; readonly food: Food },
  target: Target,
  { input, grams, water, constants }: PotNow,
): readonly WayOut[] | null {
  if (mender.water > 0 && !water) return null;
  const added = (amount: number): readonly BalancedLine[] => [
    lineOf(food, amount),
    ...(water && mender.water > 0 ? [lineOf(water, mender.water * amount)] : []),
  ];
  const at = (amount: number) => valueOf(withMore(input, added(amount)), target.property, constants);
  const found = dose(at, target.wanted, target.noticed, (grams * mender.most) / 100);
  if (!found) return null;
  const amount = asWeighed(found.amount, at, target);
  if (amount <= 0) return null;
  const adds: Addition[] = added(amount).map((line, i) => ({
    food: line.food,
    grams: line.grams,
    low: i === 0 ? found.low : mender.water * found.low,
    high: i === 0 ? found.high : mender.water * found.high,
  }));
  const after = withMore(input, added(amount));
  const isNew = !input.lines.some((line) => line.food.id === food.id);
  return [
    {
      kind: "mend",
      words: mender.words.replaceAll("{grams}", formatGrams(amount)),
      adds,
      or: [],
      boilOff: null,
      minutes: mender.minutes,
      after: { input: after, figures: evaluatePoint(after, constants) },
      allergens: broughtBy(food, input),
      over: [],
      change: adds.reduce((sum, each) => sum + each.grams, 0) / grams + (isNew ? (ISOLATES.includes(food.id) ? NEW_ISOLATE : NEW_FOOD) : 0),
    },
  ];
}

/** An amount as it is weighed, so fine that the target is met all the same. */
function asWeighed(amount: number, at: (amount: number) => number, { wanted, noticed }: Target): number {
  const isMet = (grams: number) => grams > 0 && Math.abs(at(grams) - wanted) <= noticed / 4;
  return [weighable(amount), Math.round(amount * 10) / 10, Math.round(amount * 100) / 100].find(isMet) ?? amount;
}

const lineOf = (food: Food, grams: number): BalancedLine => ({ food, grams, sd: 0, role: food.role });
const broughtBy = (food: Food, { lines }: EvaluationInput): readonly string[] =>
  food.allergens.filter((allergen) => !lines.some((line) => line.food.allergens.includes(allergen)));

/** What boiling off more water does, with its minutes in the household's pan. */
export function byWater(fault: Fault, target: Target, input: EvaluationInput, grams: number, constants: Constants): readonly WayOut[] {
  if (fault !== "too thin" && fault !== "too soft to slice" && fault !== "not sweet enough") return [];
  // Yogurt and what was frozen are boiled no more.
  if (input.archetype === "cultured" || (input.archetype === "frozen" && fault === "not sweet enough")) return [];
  const there = waterIn(input);
  const at = (amount: number) => valueOf(withMore(input, [], amount), target.property, constants);
  const found = dose(at, target.wanted, target.noticed, 0.9 * there);
  if (!found) return [];
  const fat = input.lines.reduce((sum, line) => sum + (line.grams * (line.food.per100g[INDEX.fat] ?? 0)) / 100, 0);
  const solids = Math.max(0, (grams - there - fat) / Math.max(1, grams - fat));
  const rate = rateHere("simmer", fraction(Math.min(1, solids)), constants);
  const amount = asWeighed(found.amount, at, target);
  const minutes = rate > 0 ? amount / rate : Infinity;
  if (!(minutes <= LONGEST_BOIL) || amount <= 0) return [];
  const after = withMore(input, [], amount);
  return [
    {
      kind: "mend",
      words: `Simmer it on, open and stirring, until ${formatGrams(amount)} g less is in the pot (${formatGrams(weighable(grams - amount))} g).`,
      adds: [],
      or: [],
      boilOff: { grams: amount, low: found.low, high: found.high },
      minutes: Math.max(1, Math.round(minutes)),
      after: { input: after, figures: evaluatePoint(after, constants) },
      allergens: [],
      over: [],
      change: amount / grams,
    },
  ];
}

/** Another part of the batch without its sweetener, worked into the first: that is what makes any sweet less sweet. */
export function stretched(fault: Fault, target: Target, input: EvaluationInput, grams: number, constants: Constants): readonly WayOut[] {
  if (fault !== "too sweet") return [];
  const base = input.lines.filter(({ role, grams: own }) => role !== "sweetener" && own > 0);
  const driven = (part: number) => part * input.evaporation.value;
  const more = (part: number) => base.map((line) => ({ ...line, grams: part * line.grams }));
  const at = (part: number) => valueOf(withMore(input, more(part), driven(part)), target.property, constants);
  const found = dose(at, target.wanted, target.noticed, MOST_STRETCH);
  if (!found) return [];
  const part = Math.ceil(20 * found.amount) / 20;
  const lines = more(part);
  const after = withMore(input, lines, driven(part));
  return [
    {
      kind: "mend",
      words: `Make ${Math.round(100 * part)} % of the batch again without anything sweet, cooked the same, and work it into the first.`,
      adds: lines.map((line) => ({
        food: line.food,
        grams: weighable(line.grams),
        low: (found.low / part) * line.grams,
        high: (found.high / part) * line.grams,
      })),
      or: [],
      boilOff: driven(part) > 1 ? { grams: driven(part), low: driven(found.low), high: driven(found.high) } : null,
      minutes: Math.round(input.cookMinutes ?? USUAL_COOKING),
      after: { input: after, figures: evaluatePoint(after, constants) },
      allergens: [],
      over: [],
      change: (lines.reduce((sum, line) => sum + line.grams, 0) - driven(part)) / grams,
    },
  ];
}
const MOST_STRETCH = 1;
const USUAL_COOKING = 20;
