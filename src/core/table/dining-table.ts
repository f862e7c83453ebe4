import type { ServingTemperature } from "../food";
import { lostRule, TRACES, type Rule, type Traces } from "../models/diet";
import type { Liking } from "../models/sweetness";
import type { AgeBand } from "./eaters";
import type { Limit } from "./limits";
import type { Wish } from "./wishes";

/** An eater at a table: what they left out on that day, whatever they leave later. */
export interface Seat {
  readonly eater: string;
  readonly name: string;
  readonly servings: number;
  readonly rules: readonly string[];
  readonly limits: readonly Limit[];
  readonly traces?: Traces;
  readonly onDays?: readonly string[];
  readonly asked?: string;
  readonly age?: AgeBand;
  readonly taste?: Liking;
}

export const BATCH_BY = ["recipe", "seats", "hand"] as const;
export type BatchBy = (typeof BATCH_BY)[number];

/** Who eats and how, in its first form: diets and allergies by rule id, limits, servings, temperature. */
export interface DiningTable {
  readonly rules: readonly string[];
  readonly limits: readonly Limit[];
  /** How much is made; above 0. */
  readonly servings: number;
  /** What that goes by: the recipe's own batch, who sits here, or what a hand has set (which it is where absent). */
  readonly batch?: BatchBy;
  readonly serve: ServingTemperature;
  /** When it is served, "2026-11-25" and "19:30"; absent where that is not said. */
  readonly day?: string | null;
  /** Who sits at it; `rules`, `limits` and `servings` are of all together. */
  readonly seats?: readonly Seat[];
  readonly hour?: string | null;
  /** Fasts that fall on that day at the household's place, by the part of the id before the stroke; absent where not known. */
  readonly falls?: readonly string[] | null;
  /** What is asked of versions beside rules and limits. */
  readonly wishes?: readonly Wish[];
  /** Other sweets of the occasion, by recipe, and of each how many servings somebody has. */
  readonly otherSweets?: readonly { readonly recipe: string; readonly servings: number }[];
}

/** The rules of a table: traces count as the most careful of those who keep each needs it; a rule nobody knows asks about everything. */
export function rulesAt(table: DiningTable, rules: ReadonlyMap<string, Rule>): readonly Rule[] {
  return table.rules.map((id) => {
    const rule = rules.get(id) ?? lostRule(id);
    const keepers = (table.seats ?? []).filter((each) => each.rules.includes(id));
    if (keepers.length === 0) return rule;
    const traces = TRACES[Math.max(...keepers.map((each) => TRACES.indexOf(each.traces ?? "asked")))] ?? "asked";
    return traces === "asked" ? rule : { ...rule, traces };
  });
}
