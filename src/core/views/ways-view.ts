import type { Figures } from "../evaluate";
import { evaluateRecipe, openInWays, openRecipe, wayGround, type Kitchen } from "../kitchen";
import type { ReadRecipe, Recipe } from "../recipe";
import type { DiningTable } from "../table";
import { formatGrams, inEnergyUnit, type HouseholdUnits } from "../units";
import { AS_WRITTEN, forksOf, inWay, inWays, type WayPicks } from "../ways";

/** In which ways a recipe can be made. */
export interface WaysQuestion {
  readonly recipe: Recipe;
  readonly table: DiningTable;
  /** Those of this batch. */
  readonly ways: WayPicks;
}

/** One way of doing it, and what it does to the figures against how it is written. */
export interface ToldOption {
  readonly id: string;
  readonly name: string;
  readonly reason: string;
  /** "144 g more", "body 2.1, not 1.6". Empty where no figure of ours changes. */
  readonly does: readonly string[];
}

/** Something that is done in several ways, in one recipe. */
export interface ToldFork {
  readonly way: string;
  readonly of: string;
  /** How it is written, in words; null where it does neither. */
  readonly written: string | null;
  /** What is held to: an option, or as written. */
  readonly picked: string;
  /** Whether the household usually does it so, and this batch says nothing else. */
  readonly isHouse: boolean;
  /** Whether what is held to could be written into this recipe. */
  readonly isFollowed: boolean;
  /** Those that this recipe can be written in. */
  readonly options: readonly ToldOption[];
}

/** The partings of ways in a recipe, each with what can be picked and what it changes in figures. */
export function waysView({ recipe, table, ways }: WaysQuestion, kitchen: Kitchen): readonly ToldFork[] {
  const written = openRecipe(recipe, kitchen);
  const ground = wayGround(kitchen);
  const picks = { ...kitchen.household.ways, ...ways };
  const { read, taken } = openInWays(recipe, ways, kitchen);
  const now = new Map(taken.map(({ way, option }) => [way, option] as const));
  return forksOf(read, ground).flatMap((fork): ToldFork[] => {
    const way = kitchen.ways.find(({ id }) => id === fork.way);
    if (!way) return [];
    const { [way.id]: picked = AS_WRITTEN, ...others } = picks;
    const without = now.has(way.id) ? inWays(written, others, ground).read : read;
    const is = forksOf(without, ground).find((each) => each.way === way.id)?.written ?? null;
    const before = asMade(without, table, kitchen);
    const options = way.options.flatMap(({ id, name, reason }): ToldOption[] => {
      if (id === is) return [{ id, name, reason, does: [] }];
      const made = inWay(without, way.id, id, ground);
      return made ? [{ id, name, reason, does: doneBy(before, asMade(made, table, kitchen), table, kitchen.household.units) }] : [];
    });
    if (options.length < (is === null ? 1 : 2)) return [];
    const isHouse = !(way.id in ways) && picked !== AS_WRITTEN;
    return [
      {
        way: way.id,
        of: way.of,
        written: way.options.find(({ id }) => id === is)?.name ?? null,
        picked: picked === is ? AS_WRITTEN : picked,
        isHouse,
        isFollowed: picked === AS_WRITTEN || picked === is || now.get(way.id) === picked,
        options,
      },
    ];
  });
}

interface Made {
  readonly figures: Figures;
  readonly minutes: number;
}

const asMade = (read: ReadRecipe, table: DiningTable, kitchen: Kitchen): Made => ({
  figures: evaluateRecipe(read, { ...table, servings: read.recipe.servings }, kitchen).figures,
  minutes: read.steps.reduce((sum, { minutes }) => sum + minutes.usual, 0),
});

/** Less than this share of what it was is not told. */
const LITTLE = 0.02;

/** What is other in figures, in few words. */
function doneBy({ figures: was, minutes }: Made, { figures: is, minutes: now }: Made, { serve }: DiningTable, { energy }: HouseholdUnits): string[] {
  const isOther = (before: number, after: number, least: number) => Math.abs(after - before) >= Math.max(least, LITTLE * Math.abs(before));
  const more = (words: string, before: number, after: number, least: number, amount: (by: number) => string) =>
    isOther(before, after, least) ? [`${amount(Math.abs(after - before))} ${after > before ? "more" : "less"}${words}`] : [];
  const [body, sweetness] = serve === "hot" ? (["body.hot", "sweetness.hot"] as const) : (["body.chilled", "sweetness.chilled"] as const);
  return [
    ...more(" finished", was.yield.value, is.yield.value, 5, (by) => `${formatGrams(by)} g`),
    ...(isOther(was[body].value, is[body].value, 0.05) ? [`body ${is[body].value.toFixed(1)}, not ${was[body].value.toFixed(1)}`] : []),
    ...(isOther(was[sweetness].value, is[sweetness].value, 0.2) ? [`sweetness ${is[sweetness].value.toFixed(1)}, not ${was[sweetness].value.toFixed(1)}`] : []),
    ...more(" free sugars a serving", was["serving.freeSugarsUk"].value, is["serving.freeSugarsUk"].value, 0.5, (by) => `${formatGrams(by)} g`),
    ...more(" a serving", was["serving.energy"].value, is["serving.energy"].value, 20, (by) => `${formatGrams(inEnergyUnit(by, energy))} ${energy}`),
    ...more("", minutes, now, 2, (by) => `${formatGrams(by)} min`),
  ];
}
