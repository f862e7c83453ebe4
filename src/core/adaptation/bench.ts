import type { Food, Role } from "../food";
import type { ReadRecipe } from "../recipe";
import type { DiningTable, Version, VersionRow } from "../substitution";

/** What is on the bench: a version being worked on, and what it started from. */
export interface BenchState {
  readonly label: string;
  readonly version: Version;
  /** The kept version it was worked on from, by id; absent where from the recipe. */
  readonly from?: string;
}

/** A bench as stored: foods by id. `basis` tells which recipe and table it was made for. */
export interface StoredBench {
  readonly basis: string;
  readonly label: string;
  readonly evaporation: number;
  readonly from?: string;
  readonly rows: readonly {
    readonly line: number | null;
    readonly foodId: string | null;
    readonly grams: number;
    readonly role: Role;
    readonly change: VersionRow["change"];
    readonly why: string;
  }[];
}

/** Identifies what a bench was worked out for; another recipe or table makes it void. */
export function basisOf(read: ReadRecipe, table: DiningTable): string {
  const text = JSON.stringify([
    read.lines.map((line) => [line.index, line.food.id, Math.round(line.grams * 100), line.role]),
    read.archetype,
    Math.round(read.evaporation.grams.value),
    table.rules,
    table.limits,
    table.servings,
    table.serve,
  ]);
  let hash = 2166136261;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 16777619);
  return (hash >>> 0).toString(36);
}

export const stored = ({ label, version, from }: BenchState, basis: string): StoredBench => ({
  basis,
  label,
  ...(from === undefined ? {} : { from }),
  evaporation: version.evaporation,
  rows: version.rows.map(({ line, food, grams, role, change, why }) => ({ line, foodId: food?.id ?? null, grams, role, change, why })),
});

/** The foods of a kitchen and those that a recipe presses itself, by id. */
export function foodsWith(read: Pick<ReadRecipe, "lines">, foods: ReadonlyMap<string, Food>): ReadonlyMap<string, Food> {
  const own = read.lines.filter(({ food }) => !foods.has(food.id));
  return own.length === 0 ? foods : new Map([...foods, ...own.map(({ food }) => [food.id, food] as const)]);
}

/** How many rows of a stored bench name a food that is not (any more) in the pantry: then it cannot be opened again. */
export const rowsWithoutFood = (bench: StoredBench | null, foods: ReadonlyMap<string, Food>): number =>
  bench?.rows.filter(({ foodId }) => foodId !== null && !foods.has(foodId)).length ?? 0;

export function reopened(bench: StoredBench | null, basis: string, foods: ReadonlyMap<string, Food>): BenchState | null {
  if (!bench || bench.basis !== basis) return null;
  const rows = bench.rows.map(({ foodId, ...row }): VersionRow | null => {
    const food = foodId === null ? null : foods.get(foodId);
    return food === undefined ? null : { ...row, food };
  });
  return rows.some((row) => row === null)
    ? null
    : {
        label: bench.label,
        version: { rows: rows.flatMap((row) => row ?? []), evaporation: bench.evaporation },
        ...(bench.from === undefined ? {} : { from: bench.from }),
      };
}
