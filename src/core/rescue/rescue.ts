import { capital, lowerFirst } from "../units";
import { isNutOrSeed, type Food } from "../food";
import { bodyHolds, evaluatePoint, propertyOf, type EvaluationInput, type Figures } from "../evaluate";
import { judge } from "../models/diet";
import type { BalancedLine } from "../recipe";
import { isSet, ISOLATES, limitProperty, mayEnter, type AdaptationProblem } from "../substitution";
import { LIMIT_NAMES } from "../table";
import { deedsFor, turnedInto } from "./deeds";
import { notOfThis, targetOf, type Fault, type Target } from "./faults";
import { potNow, type PotState } from "./pot";
import { byWater, mendedBy, stretched } from "./mends";
import { isHeated, warming, warmthWords } from "./warmth";
import type { Gone, Mender, WayOut } from "./way";

/** What has to be mended: what was meant, what is in the pot, at which table. */
export interface RescueQuestion {
  readonly meant: EvaluationInput;
  /** What it was meant to come to, where other amounts went in since; as `meant` comes to where absent. */
  readonly wanted?: EvaluationInput;
  readonly state: PotState;
  readonly fault: Fault;
  /** Whose rules hold, and what the tables know of the kind. */
  readonly problem: AdaptationProblem;
  readonly foods: ReadonlyMap<string, Food>;
  readonly menders: readonly Mender[];
  /** Foods that nobody has at hand, by id. */
  readonly notAtHand?: readonly string[];
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
  const wanted = evaluatePoint(question.wanted ?? meant, constants);
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
  { menders, fault, foods, problem, meant, notAtHand = [] }: RescueQuestion,
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
    if (notAtHand.includes(food.id)) gone.push({ food, why: NOT_AT_HAND });
    else if (problem.children && ISOLATES.includes(food.id)) gone.push({ food, why: "not for children" });
    else if (mayEnter(food, problem)) fit.push({ mender, food });
    else {
      const found = problem.rules.map((rule) => ({ short: rule.short, ...judge(food, rule) })).find(({ verdict }) => verdict !== "allowed");
      gone.push({ food, why: found ? `${found.short}: ${found.reason}` : "not wanted at this table" });
    }
  }
  return { fit, gone };
}
const NOT_AT_HAND = "not at hand";
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

/** What a target is, in words: "body to 5.2 of 10". */
export function targetWords({ property, now, wanted }: Target): string {
  const { name, unit } = propertyOf(property);
  const text = (value: number) => `${value.toFixed(property === "binding" ? 2 : 1)}${unit ? ` ${unit}` : ""}`;
  return `${capital(lowerFirst(name))}: ${text(now)} now, to ${text(wanted)}`;
}
