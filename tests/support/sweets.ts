import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import type { Food } from "../../src/core/food";
import type { KitchenSources } from "../../src/core/kitchen";
import type { CookHappening } from "../../src/core/cook";
import { sessionOf, stoveState } from "../../src/core/cook";
import { withAllLines, readRecipeText, type Recipe } from "../../src/core/recipe";
import type { DiningTable, Eater } from "../../src/core/table";
import { cookPlan, methodView, type KeepQuestion } from "../../src/core/views";
import { kitchenOf, REFERENCE } from "../../src/data";
import { USUAL_SOURCES } from "../../src/core/kitchen";
import { tableOf } from "./kitchen";

/** Numbers from a seed, evenly from 0 to 1. */
export function randomOf(seed: number): () => number {
  const rng = xoroshiro128plus(seed);
  return () => uniformFloat64(rng);
}

const STEPS = [
  "Simmer it all for 25 minutes, stirring.",
  "Roast the flour in the fat for 12 minutes, mix in the rest and shape into balls.",
  "Boil the sugar to a syrup, stir in the rest and cut into squares.",
  "Whisk everything together and chill for 3 hours.",
  "Soak, grind and press the nuts; cook the milk down for 40 minutes.",
  "Bake at 160 °C for 35 minutes until it sets.",
];
const FOODS = [...REFERENCE.foods.values()];

/** Some sweet of random foods in random amounts, as text, with the foods; now and then with a line that nobody can read. */
export function randomSweet(random: () => number): { readonly text: string; readonly foods: readonly Food[] } {
  const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T;
  const foods = Array.from({ length: 2 + Math.floor(random() * 7) }, () => pick(FOODS));
  const lines = foods.map(({ name }) => `${Math.ceil(2 + 400 * random() ** 3)} g ${name.toLowerCase()}`);
  const odd = random() < 0.15 ? ["a handful of what the neighbour dried"] : [];
  return { text: `Random sweet\nServes ${1 + Math.floor(random() * 12)}\n\n${[...lines, ...odd].join("\n")}\n\n1. ${pick(STEPS)}`, foods };
}

export function recipeOf(text: string, sources: KitchenSources = USUAL_SOURCES): Recipe {
  const read = readRecipeText(text);
  if (!read.ok) throw new Error(read.error.kind);
  return withAllLines(read.value, kitchenOf(sources).reading);
}

interface KeptSweet {
  readonly table?: Partial<DiningTable>;
  readonly eaters?: readonly Eater[];
  readonly sources?: KitchenSources;
  readonly happened?: readonly CookHappening[];
  /** g of what came of it; not weighed where absent. */
  readonly got?: number | null;
}
export const TODAY = "2026-12-01";

/** A sweet that was cooked and is to be kept. */
export function toKeep(text: string, { table = {}, eaters = [], sources = USUAL_SOURCES, happened = [], got = null }: KeptSweet = {}): KeepQuestion {
  const recipe = recipeOf(text, sources);
  const ground = { recipe, table: tableOf({ servings: recipe.servings, ...table }), bench: null };
  const plan = cookPlan(recipe, ground.table, methodView(ground, kitchenOf(sources)));
  const events = [{ kind: "started" as const }, ...happened, { kind: "ended" as const, grams: got }].map((each, i) => ({ ...each, id: `e${i}`, at: i }));
  return { ...ground, title: recipe.title, eaters, pan: null, today: { day: TODAY, falls: [] }, room: 20, stove: stoveState(sessionOf(plan, events)) };
}
