/** Metamorphic trials of verdicts: a recipe that fits a rule gets a forbidden food in some way, and may not fit any more. */
import { judge, type Rule } from "../../src/core/models/diet";
import type { Food } from "../../src/core/food";
import { readRecipe, type Recipe } from "../../src/core/recipe";
import { problemFor, standingOf, type Standing } from "../../src/core/substitution";
import { NAMED_ONLY, REFERENCE, RULES, SUBSTITUTION } from "../../src/data";
import { context } from "./kitchen";

export type Random = () => number;
/** Mulberry32: small, seeded. */
export function seeded(seed: number): Random {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
export const pick = <T>(random: Random, items: readonly T[]): T => {
  const item = items[Math.floor(random() * items.length)];
  if (item === undefined) throw new Error("nothing to pick from");
  return item;
};

export function standing(lines: readonly string[], steps: readonly string[], rules: readonly string[], title = "A sweet"): Standing {
  const recipe: Recipe = {
    title,
    servings: 4,
    lines: lines.map((text, i) => ({ id: `l${i}`, text, choice: {} })),
    steps: steps.map((text, i) => ({ id: `s${i}`, text, choice: {} })),
    evaporation: null,
    archetype: null,
  };
  const read = readRecipe(recipe, context, REFERENCE.constants);
  const table = { rules, limits: [], servings: 4, serve: "hot" as const };
  return standingOf(problemFor(read, table, REFERENCE, SUBSTITUTION, RULES, 1), null);
}
export const fits = ({ breaches, questions }: Standing): boolean => breaches.length + questions.length === 0;

export type InsertionKind = keyof typeof INSERTIONS;
type Insertion = (line: string, food: string) => { readonly line?: string; readonly more?: string; readonly step?: string };
const INSERTIONS = {
  bracket: (line, food) => ({ line: `${line} (${food})` }),
  "bracket, mixed with": (line, food) => ({ line: `${line} (mixed with ${food})` }),
  comma: (line, food) => ({ line: `${line}, ${food}` }),
  "comma and": (line, food) => ({ line: `${line}, chopped, and ${food}` }),
  dash: (line, food) => ({ line: `${line} - with a spoon of ${food}` }),
  semicolon: (line, food) => ({ line: `${line}; ${food}` }),
  with: (line, food) => ({ line: `${line} with ${food}` }),
  and: (line, food) => ({ line: `${line} and ${food}` }),
  "fried in": (line, food) => ({ line: `${line}, fried in ${food}` }),
  "stuffed with": (line, food) => ({ line: `${line}, stuffed with ${food}` }),
  "a choice": (line, food) => ({ line: `${line} or ${food}` }),
  "a line": (_, food) => ({ more: `50 g ${food}` }),
  "a step, stirred in": (_, food) => ({ step: `Stir in the ${food} and cook for 5 minutes.` }),
  "a step, a spoon of": (_, food) => ({ step: `Add a spoon of ${food} at the end.` }),
  "a step, on top": (_, food) => ({ step: `Scatter ${food} over it and serve.` }),
  "a step, beside": (_, food) => ({ step: `Serve warm with ${food}.` }),
  "the vessel": (_, food) => ({ step: `Grease the tin with ${food} and pour it in.` }),
  "the pan before": (_, food) => ({ step: `Cook it in the pan in which the ${food} was fried.` }),
} satisfies Readonly<Record<string, Insertion>>;
export const INSERTION_KINDS = Object.keys(INSERTIONS) as readonly InsertionKind[];

const FOODS = [...REFERENCE.foods.values()];
const namesOf = (food: Food) => [food.name.split(",")[0] ?? food.name, ...food.synonyms];
/** A name that is an English word of its own is not taken for a food in the midst of a text. */
const MEANS_MORE = new Set(["then"]);

/** A recipe of foods that a rule allows, in lines that are read; null where none was found. */
function fitting(rule: Rule, random: Random): { readonly lines: readonly string[]; readonly steps: readonly string[] } | null {
  const allowed = FOODS.filter((food) => judge(food, rule).verdict === "allowed");
  if (allowed.length < 5) return null;
  for (let attempt = 0; attempt < 20; attempt++) {
    const lines = Array.from(
      { length: 3 + Math.floor(random() * 3) },
      () => `${20 + Math.floor(random() * 200)} g ${pick(random, namesOf(pick(random, allowed)))}`,
    );
    const steps = ["Put everything into a heavy pan and cook for 20 minutes, stirring."];
    if (fits(standing(lines, steps, [rule.id]))) return { lines, steps };
  }
  return null;
}

export interface Trial {
  readonly kind: InsertionKind;
  readonly rule: string;
  readonly food: string;
  readonly text: string;
  readonly fits: boolean;
}

/** One trial: a random rule, a recipe that fits it, a forbidden food put in in a random way; null where the rule lets all or nothing through. */
export function insertion(random: Random): Trial | null {
  const rule = pick(random, [...RULES.values()]);
  const forbidden = [...FOODS, ...NAMED_ONLY].filter((food) => judge(food, rule).verdict === "avoid");
  if (forbidden.length === 0) return null;
  const base = fitting(rule, random);
  if (!base) return null;
  const names = namesOf(pick(random, forbidden)).filter((name) => !MEANS_MORE.has(name.toLowerCase()));
  const food = pick(random, names).toLowerCase();
  // "The milk" of a recipe of almond milk is that one.
  if (base.lines.some((line) => ` ${line.toLowerCase()} `.includes(` ${food} `))) return null;
  const kind = pick(random, INSERTION_KINDS);
  const at = Math.floor(random() * base.lines.length);
  const { line, more, step } = (INSERTIONS[kind] as Insertion)(base.lines[at] ?? "", food);
  const lines = [...base.lines.map((each, i) => (i === at ? (line ?? each) : each)), ...(more ? [more] : [])];
  const result = standing(lines, [...base.steps, ...(step ? [step] : [])], [rule.id]);
  return { kind, rule: rule.id, food, text: line ?? more ?? step ?? "", fits: fits(result) };
}

/** The same recipe with its lines shuffled and another title: what is known of it must be the same. Returns what differs, or null. */
export function reordering(random: Random): string | null {
  const rule = pick(random, [...RULES.values()]);
  const lines = Array.from({ length: 5 }, () => `${20 + Math.floor(random() * 200)} g ${pick(random, namesOf(pick(random, FOODS)))}`);
  const steps = [`Add the ${pick(random, namesOf(pick(random, FOODS)))} and cook for 10 minutes.`];
  const shuffled = lines
    .map((text) => ({ text, by: random() }))
    .sort((a, b) => a.by - b.by)
    .map(({ text }) => text);
  const of = ({ breaches, questions }: Standing) => JSON.stringify([breaches.map(({ reason }) => reason).sort(), questions.map(({ text }) => text).sort()]);
  const [one, other] = [of(standing(lines, steps, [rule.id])), of(standing(shuffled, steps, [rule.id], `${pick(random, FOODS).name} halwa`))];
  return one === other ? null : `${rule.id}: ${lines.join("; ")}: ${one} / ${other}`;
}
