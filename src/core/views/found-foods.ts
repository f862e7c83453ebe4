import type { Food } from "../food";
import type { Kitchen } from "../kitchen";
import { judge, type Rule } from "../models/diet";
import { rulesAt, type DiningTable } from "../table";

/** A food found by its name. */
export interface FoundFood extends Pick<Food, "id" | "name" | "source" | "role"> {
  /** The plant that it is of; null where it is of none, or of several. */
  readonly plant: string | null;
  /** The first of a table's rules that does not allow it. */
  readonly breaks: Broken | null;
}

/** A rule that does not allow something, in few words, and whether that has to be asked. */
export interface Broken {
  readonly short: string;
  readonly isAsked: boolean;
}

/** A name as it is typed, and the table that what is found is held against; null for none. */
export interface FoodQuestion {
  readonly words: string;
  readonly table: DiningTable | null;
}

const MOST_FOUND = 8;

/** Foods of a kitchen by name, synonym or the beginning of a word, the likeliest first. */
export function foundFoods({ words, table }: FoodQuestion, { reading, rules }: Kitchen): readonly FoundFood[] {
  if (words.trim() === "") return [];
  const kept = table ? rulesAt(table, rules) : [];
  return reading.matcher
    .search(words, MOST_FOUND)
    .flatMap((id) => reading.foods.get(id) ?? [])
    .map((food) => ({
      id: food.id,
      name: food.name,
      source: food.source,
      role: food.role,
      plant: food.nature?.botanical ?? null,
      breaks: brokenBy(food, kept),
    }));
}

/** The first of the rules that does not allow a food. */
export function brokenBy(food: Food, rules: readonly Rule[]): Broken | null {
  const rule = rules.find((each) => judge(food, each).verdict !== "allowed");
  return rule ? { short: rule.short, isAsked: judge(food, rule).verdict === "ask" } : null;
}
