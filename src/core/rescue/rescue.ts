import { capital, formatGrams, fraction, lowerFirst, weighable } from "../units";
import { INDEX, isNutOrSeed, type Constants, type Food } from "../food";
import { bodyHolds, evaluatePoint, propertyOf, valueOf, type EvaluationInput, type Figures } from "../evaluate";
import { judge } from "../models/diet";
import { evaporationRate } from "../process";
import type { BalancedLine } from "../recipe";
import { isSet, ISOLATES, limitProperty, mayEnter, type AdaptationProblem } from "../substitution";
import { LIMIT_NAMES } from "../table";
import { deedsFor, turnedInto } from "./deeds";
import { notOfThis, targetOf, type Fault, type Target } from "./faults";
import { potNow, waterIn, withMore, type PotState } from "./pot";
import { dose } from "./solve";
import { isHeated, warming, warmthWords } from "./warmth";
import type { Addition, Gone, Mender, WayOut } from "./way";

/** What has to be mended: what was meant, what is in the pot, at which table. */
export interface RescueQuestion {
  readonly meant: EvaluationInput;
  readonly state: PotState;
  readonly fault: Fault;
  /** Whose rules hold, and what the tables know of the kind. */
  readonly problem: AdaptationProblem;
  readonly foods: ReadonlyMap<string, Food>;
  readonly menders: readonly Mender[];
}

export type Rescue =
  | {
      readonly kind: "ways out";
      readonly pot: { readonly grams: number; readonly figures: Figures };
      readonly meant: Figures;
      readonly target: Target | null;
      /** What the figures do not bear out. */
      readonly question: string | null;
      /** What its warmth does to what is judged. */
      readonly warmth: string | null;
      readonly ways: readonly WayOut[];
      readonly gone: readonly Gone[];
    }
  | { readonly kind: "question"; readonly why: string };

/** Minutes that boiling off may take: beyond, something else is better. */
const LONGEST_BOIL = 90;
const MOST_WAYS = 8;

/**
 * The ways out of a fault, the least change first: of each mender the least amount with which the models find the pot as it was
 * meant, what comes of it, and what the table does not have. Amounts go with the pot: twice the pot, twice the dose.
 */
export function rescue(question: RescueQuestion): Rescue {
  const { meant, state, fault, foods, problem } = question;
  const { constants } = problem.reference;
  const now = potNow(meant, state);
  if (now.kind === "cannot be") return { kind: "question", why: now.why };
  const { input, grams } = now;
  const figures = evaluatePoint(input, constants);
  const wanted = evaluatePoint(meant, constants);
  const never = notOfThis(fault, input, { figures, isThickened: bodyHolds(figures), hasCaramel: problem.lines.some(({ inCaramel }) => inCaramel) });
  if (never) return { kind: "question", why: never };
  const target = targetOf(fault, figures, wanted, { serve: problem.serve, setsCold: isSet(problem.archetype) }, constants);
  const { fit, gone } = mendersFor(question, input);
  const water = foods.get("water") ?? null;
  const mends = target
    ? [
        ...fit.flatMap((mender) => mendedBy(mender, target, { input, grams, water, constants }) ?? []),
        ...byWater(fault, target, input, grams, constants),
        ...stretched(fault, target, input, grams, constants),
      ]
    : [];
  const deeds = deedsFor({ fault, input, grams, water, menders: fit.map(({ mender, food }) => ({ ...mender, food })), problem });
  const ways = [...withoutTwins(mends), ...deeds]
    .map((way) => ({ ...way, over: overLimits(way, problem), minutes: way.minutes + (isHeated(way) ? warming(grams, state.celsius, constants) : 0) }))
    .sort((a, b) => RANK[a.kind] - RANK[b.kind] || Math.sign(a.over.length) - Math.sign(b.over.length) || a.change - b.change)
    .slice(0, MOST_WAYS);
  return {
    kind: "ways out",
    pot: { grams, figures },
    meant: wanted,
    target,
    question: target?.question ?? null,
    warmth: warmthWords(target, figures, state.celsius, problem.serve),
    ways: ways.some(({ kind }) => kind === "mend" || kind === "deed") ? ways : [...ways, ...turnedInto(fault, input, figures, problem)],
    gone,
  };
}

/** Limits that the pot passes after a way out: a mend is not fit only because its food is. */
const overLimits = ({ after: { figures } }: WayOut, { limits }: AdaptationProblem): readonly string[] =>
  limits.flatMap((limit) => {
    const { value } = figures[limitProperty(limit)];
    const { name, unit } = LIMIT_NAMES[limit.id];
    return value > limit.most * 1.001
      ? [`${name} ${`${value.toFixed(value < 10 ? 1 : 0)} ${unit}`.trim()} a serving, over the ${`${limit.most} ${unit}`.trim()} that is set`]
      : [];
  });

/** Fats that do the same in the same amount are one way, with the others named; what brings an allergen stays apart. */
function withoutTwins(ways: readonly WayOut[]): readonly WayOut[] {
  const isTwin = (one: WayOut, other: WayOut): boolean => {
    const [a, b] = [one.adds[0], other.adds[0]];
    return a?.food.family === "fat" && b?.food.family === "fat" && Math.abs(a.grams - b.grams) <= 0.1 * a.grams;
  };
  const kept: WayOut[] = [];
  for (const way of ways) {
    const twin = way.allergens.length > 0 ? -1 : kept.findIndex((each) => isTwin(each, way));
    const found = kept[twin];
    if (found) kept[twin] = { ...found, or: [...found.or, lowerFirst(way.adds[0]?.food.name ?? "")] };
    else kept.push(way);
  }
  return kept;
}

const RANK: Readonly<Record<WayOut["kind"], number>> = { mend: 0, deed: 0, "turn into": 1, "throw away": 2 };

interface Fit {
  readonly mender: Mender;
  readonly food: Food;
}

/** What may go into this pot at this table, the recipe's own foods first; and what may not, with why. */
function mendersFor(
  { menders, fault, foods, problem, meant }: RescueQuestion,
  input: EvaluationInput,
): { readonly fit: readonly Fit[]; readonly gone: readonly Gone[] } {
  const kind = input.archetype;
  const known = menders.filter(({ mends, kinds }) => mends.includes(fault) && (kinds === null || (kind !== null && kinds.includes(kind))));
  const own = ownMenders(fault, meant, known);
  const fit: Fit[] = [];
  const gone: Gone[] = [];
  for (const mender of [...own, ...known]) {
    const food = foods.get(mender.foodId) ?? meant.lines.find((line) => line.food.id === mender.foodId)?.food;
    if (!food || fit.some((each) => each.food.id === food.id) || gone.some((each) => each.food.id === food.id)) continue;
    if (problem.children && ISOLATES.includes(food.id)) gone.push({ food, why: "not for children" });
    else if (mayEnter(food, problem)) fit.push({ mender, food });
    else {
      const found = problem.rules.map((rule) => ({ short: rule.short, ...judge(food, rule) })).find(({ verdict }) => verdict !== "allowed");
      gone.push({ food, why: found ? `${found.short}: ${found.reason}` : "not wanted at this table" });
    }
  }
  return { fit, gone };
}
/** What is at hand for sure: the recipe's own sweetener, liquid, fat and flour do what others of their kind do. */
function ownMenders(fault: Fault, { lines }: EvaluationInput, known: readonly Mender[]): readonly Mender[] {
  const role = OWN_ROLE[fault];
  if (!role) return [];
  return lines.flatMap(({ food, role: taken, grams }): Mender[] => {
    if (taken !== role || grams <= 0 || known.some(({ foodId }) => foodId === food.id)) return [];
    if (role === "body" && (isNutOrSeed(food) || food.nature?.form !== "flour")) return [];
    const name = lowerFirst(food.name.split(",")[0] ?? food.name);
    return [
      {
        foodId: food.id,
        mends: [fault],
        most: OWN_MOST[fault] ?? 60,
        water: 0,
        minutes: 3,
        kinds: null,
        words: OWN_WORDS[fault]?.replace("{food}", name) ?? "",
      },
    ];
  });
}
const OWN_ROLE: Readonly<Partial<Record<Fault, BalancedLine["role"]>>> = {
  "too thick": "liquid",
  "too sweet": "liquid",
  "not sweet enough": "sweetener",
  crumbles: "richness",
  greasy: "body",
};
const OWN_MOST: Readonly<Partial<Record<Fault, number>>> = { "not sweet enough": 40, crumbles: 30, greasy: 40 };
const OWN_WORDS: Readonly<Partial<Record<Fault, string>>> = {
  "too thick": "Warm {grams} g {food} and stir it in by the spoonful.",
  "too sweet": "Warm {grams} g {food}, without sweetener, and stir it in.",
  "not sweet enough": "Stir in {grams} g {food} in two or three goes, and taste between.",
  crumbles: "Warm {grams} g {food} and work it in a little at a time, until a pressed ball holds.",
  greasy: "Roast {grams} g {food} dry, cool it, and work it in by the spoonful, until the ball no longer shines.",
};

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
function mendedBy({ mender, food }: Fit, target: Target, { input, grams, water, constants }: PotNow): readonly WayOut[] | null {
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
function byWater(fault: Fault, target: Target, input: EvaluationInput, grams: number, constants: Constants): readonly WayOut[] {
  if (fault !== "too thin" && fault !== "too soft to slice" && fault !== "not sweet enough") return [];
  // Yogurt and what was frozen are boiled no more.
  if (input.archetype === "cultured" || (input.archetype === "frozen" && fault === "not sweet enough")) return [];
  const there = waterIn(input);
  const at = (amount: number) => valueOf(withMore(input, [], amount), target.property, constants);
  const found = dose(at, target.wanted, target.noticed, 0.9 * there);
  if (!found) return [];
  const { pan, cap } = constants.process.value;
  const fat = input.lines.reduce((sum, line) => sum + (line.grams * (line.food.per100g[INDEX.fat] ?? 0)) / 100, 0);
  const solids = Math.max(0, (grams - there - fat) / Math.max(1, grams - fat));
  const rate = evaporationRate("simmer", pan, fraction(Math.min(1, solids)), constants.evaporationFlux.value, cap);
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
function stretched(fault: Fault, target: Target, input: EvaluationInput, grams: number, constants: Constants): readonly WayOut[] {
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

/** What a target is, in words: "body to 5.2 of 10". */
export function targetWords({ property, now, wanted }: Target): string {
  const { name, unit } = propertyOf(property);
  const text = (value: number) => `${value.toFixed(property === "binding" ? 2 : 1)}${unit ? ` ${unit}` : ""}`;
  return `${capital(lowerFirst(name))}: ${text(now)} now, to ${text(wanted)}`;
}
