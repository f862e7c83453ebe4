import type { Food } from "../food";
import type { StoredBench } from "./stored-bench";
import { benchFrom2 } from "./upcast";
import type { OwnSteps } from "../method";
import type { ReadRecipe } from "../recipe";
import { LIMIT_NAMES, type DiningTable } from "../table";
import { scaledFor, type Version, type VersionRow } from "../substitution";
import { formatGrams, formatNumber } from "../units";

/** What is on the bench: a version being worked on, and what it started from. */
export interface BenchState {
  readonly label: string;
  readonly version: Version;
  /** The kept version it was worked on from, by id; absent where from the recipe. */
  readonly from?: string;
  /** What the maker has set of its steps. */
  readonly steps?: OwnSteps;
  /** The ways of this batch. */
  readonly ways?: StoredBench["ways"];
  /** Chosen or changed by hand: it gives way to nothing by itself. */
  readonly byHand: boolean;
}

/** What has changed under a bench since it was worked on. */
export type Since =
  | { readonly kind: "servings"; readonly before: number; readonly after: number }
  | { readonly kind: "served"; readonly before: string; readonly after: string }
  | { readonly kind: "rules"; readonly more: readonly string[]; readonly fewer: readonly string[] }
  | { readonly kind: "limits"; readonly after: DiningTable["limits"] }
  | { readonly kind: "line"; readonly before: string; readonly after: string; readonly follows: boolean }
  | { readonly kind: "new line"; readonly name: string }
  | { readonly kind: "line gone"; readonly name: string; readonly kept: string | null };

/** A stored bench laid for a recipe and a table as they are now. */
export interface Rebased {
  readonly state: BenchState;
  readonly since: readonly Since[];
}

/** The recipe itself as a version: where one starts by hand. */
export function asHandedDown(read: ReadRecipe, table: DiningTable): BenchState {
  const { lines, evaporation } = scaledFor(read, table.servings);
  return {
    label: "By hand",
    byHand: false,
    version: {
      evaporation: Math.round(evaporation.value),
      rows: lines.map(({ id, food, grams, role }) => ({ id, line: id, food, grams, role, change: "as is", why: "" })),
    },
  };
}

/** A bench as it is stored, for this recipe and table. */
export function stored({ label, version, from, byHand, steps, ways }: BenchState, read: ReadRecipe, table: DiningTable): StoredBench {
  const lines = new Map(scaledFor(read, table.servings).lines.map((line) => [line.id, line] as const));
  return {
    schema: 3,
    madeFor: { rules: table.rules, limits: table.limits, servings: table.servings, serve: table.serve },
    byHand,
    label,
    ...(from === undefined ? {} : { from }),
    ...(steps === undefined ? {} : { steps }),
    ...(ways === undefined ? {} : { ways }),
    evaporation: version.evaporation,
    rows: version.rows.map(({ id, line, food, grams, role, change, why }) => {
      const source = line === null ? undefined : lines.get(line);
      return {
        id,
        line,
        foodId: food?.id ?? null,
        grams,
        role,
        change,
        why,
        was: source ? { foodId: source.food.id, name: source.food.name, grams: source.grams } : null,
      };
    }),
  };
}

/** The foods of a kitchen and those that a recipe presses itself, by id. */
export function foodsWith(read: Pick<ReadRecipe, "lines">, foods: ReadonlyMap<string, Food>): ReadonlyMap<string, Food> {
  const own = read.lines.filter(({ food }) => !foods.has(food.id));
  return own.length === 0 ? foods : new Map([...foods, ...own.map(({ food }) => [food.id, food] as const)]);
}

/**
 * How many rows of a stored bench name a food that is not (any more) in the pantry: then it cannot be opened again.
 * @unit rows
 * @range 0 or more
 * @source counted
 */
export function rowsWithoutFood(bench: StoredBench | null, read: Pick<ReadRecipe, "lines">, pantry: ReadonlyMap<string, Food>): number {
  const foods = foodsWith(read, pantry);
  return bench?.rows.filter(({ foodId, change }) => foodId !== null && change !== "as is" && !foods.has(foodId)).length ?? 0;
}

/** Amounts closer than this are the same, as a share. */
const SAME_SHARE = 0.005;

/**
 * Lays a stored bench for the recipe and table as they are now: every amount scaled to the servings, lines that were as
 * handed down follow the recipe, what a hand has set stays, and what changed since is told. Nothing set by hand is lost: what
 * stood for a line that is gone is laid on as an added food. Null where nothing is stored, or a food of it is not there.
 * `pantry`: the foods of the kitchen; those that the recipe presses itself come with it.
 */
export function rebased(kept: StoredBench | null, read: ReadRecipe, table: DiningTable, pantry: ReadonlyMap<string, Food>): Rebased | null {
  const foods = foodsWith(read, pantry);
  // A browser may still hold one that was not saved, from before.
  const bench = kept && benchFrom2(kept);
  if (!bench || rowsWithoutFood(bench, read, pantry) > 0) return null;
  const { madeFor } = bench;
  const factor = table.servings / madeFor.servings;
  const { lines } = scaledFor(read, table.servings);
  const byId = new Map(lines.map((line) => [line.id, line] as const));
  const since: Since[] = tableChanges(madeFor, table);

  const rows = bench.rows.flatMap(({ foodId, was, ...row }): VersionRow[] => {
    const food = foodId === null ? null : (foods.get(foodId) ?? null);
    const grams = row.grams * factor;
    if (row.line === null) return [{ ...row, food, grams }];
    const source = byId.get(row.line);
    const own = row.change === "as is" || row.change === "amount";
    const name = was?.name ?? food?.name ?? "";
    if (!source) {
      since.push({ kind: "line gone", name, kept: own || !food ? null : food.name });
      return own || !food ? [] : [{ ...row, line: null, food, grams, change: "added" }];
    }
    const isOff = (before: number) => Math.abs(before - source.grams) > SAME_SHARE * source.grams;
    const other = was !== null && was.foodId !== source.food.id;
    const moved = other || (was !== null && isOff(was.grams * factor));
    if (moved)
      since.push({
        kind: "line",
        before: `${name.toLowerCase()} ${formatGrams(was.grams * factor)} g`,
        after: `${source.food.name.toLowerCase()} ${formatGrams(source.grams)} g`,
        follows: row.change === "as is" || (own && other),
      });
    // A line as handed down follows the recipe where that has changed; an amount set by hand stays with the food it was set for.
    if ((row.change === "as is" && (moved || (was === null && isOff(grams)))) || (own && other))
      return [{ ...row, food: source.food, grams: source.grams, role: source.role, change: "as is", why: "" }];
    return [{ ...row, food: row.change === "as is" ? source.food : food, grams }];
  });
  const there = new Set(bench.rows.map(({ line }) => line));
  for (const { id, food, grams, role } of lines) {
    if (there.has(id)) continue;
    since.push({ kind: "new line", name: food.name });
    rows.push({ id, line: id, food, grams, role, change: "as is", why: "" });
  }
  const { label, from, byHand, steps, ways } = bench;
  const state = {
    label,
    byHand,
    version: { rows, evaporation: bench.evaporation * factor },
    ...(from === undefined ? {} : { from }),
    ...(steps === undefined ? {} : { steps }),
    ...(ways === undefined ? {} : { ways }),
  };
  return { state, since };
}

function tableChanges(before: StoredBench["madeFor"], after: DiningTable): Since[] {
  const more = after.rules.filter((rule) => !before.rules.includes(rule));
  const fewer = before.rules.filter((rule) => !after.rules.includes(rule));
  const limits = (table: Pick<DiningTable, "limits">) => JSON.stringify([...table.limits].sort((a, b) => a.id.localeCompare(b.id)));
  return [
    ...(before.servings === after.servings ? [] : [{ kind: "servings" as const, before: before.servings, after: after.servings }]),
    ...(before.serve === after.serve ? [] : [{ kind: "served" as const, before: before.serve, after: after.serve }]),
    ...(more.length + fewer.length === 0 ? [] : [{ kind: "rules" as const, more, fewer }]),
    ...(limits(before) === limits(after) ? [] : [{ kind: "limits" as const, after: after.limits }]),
  ];
}

/** What changed, in a few words. `ruleName` calls a rule by its name. */
export function sinceWords(change: Since, ruleName: (id: string) => string): string {
  switch (change.kind) {
    case "servings":
      return `${formatNumber(change.before)} servings, now ${formatNumber(change.after)}: every amount is scaled`;
    case "served":
      return `served ${change.before}, now ${change.after}`;
    case "rules": {
      const more = change.more.length > 0 ? `kept now: ${change.more.map(ruleName).join(", ").toLowerCase()}` : "";
      const fewer = change.fewer.length > 0 ? `no longer kept: ${change.fewer.map(ruleName).join(", ").toLowerCase()}` : "";
      return [more, fewer].filter(Boolean).join("; ");
    }
    case "limits":
      return change.after.length === 0
        ? "no limit is set any more"
        : `limits now: ${change.after.map(({ id, most }) => `${LIMIT_NAMES[id].name} at most ${formatNumber(most)} ${LIMIT_NAMES[id].unit}`.trim()).join(", ")}`;
    case "line":
      return `the recipe has ${change.after} (${change.before} before)${change.follows ? "" : "; what was set by hand stays"}`;
    case "new line":
      return `${change.name.toLowerCase()} is new in the recipe`;
    case "line gone":
      return `${change.name.toLowerCase()} is no longer among the lines that are read${change.kept === null ? "" : `; ${change.kept.toLowerCase()}, which stood for it, stays as an added food`}`;
  }
}
