import { foodsWith, type StoredBench } from "../adaptation";
import type { FruitSweetness, StoveState } from "../cook";
import { INDEX, SUGAR_INDICES, sumOf, type Food } from "../food";
import type { LineId } from "../recipe";
import { newRowId, type Version, type VersionRow } from "../substitution";
import type { Ground } from "./bench-ground";

/**
 * What a batch was begun as: its rows as they were then, never laid anew, so that what is computed is of what is cooked. Foods that
 * are gone from the tables since are told by the names that the plan has for them.
 */
export function begunAs(
  bench: StoredBench | null,
  { read, handedDown }: Ground,
  foods: ReadonlyMap<string, Food>,
): { readonly version: Version; readonly gone: readonly LineId[] } {
  if (bench === null) return { version: handedDown.version, gone: [] };
  const known = foodsWith(read, foods);
  const gone: LineId[] = [];
  const rows = bench.rows.map(({ id, line, foodId, grams, role, change, why }): VersionRow => {
    const food = foodId === null ? null : (known.get(foodId) ?? null);
    if (foodId !== null && !food && grams > 0) gone.push(id);
    return { id, line, food, grams, role, change, why };
  });
  return { version: { rows, evaporation: bench.evaporation }, gone };
}

/** A version as it stands on the stove: its rows in the amounts that are meant now, and what went in besides. */
export interface StoveVersion {
  readonly version: Version;
  /** What is in the pot of a row, as a share of it, in the order of rows that hold something. */
  readonly shares: readonly number[];
  /** What went in that the tables do not know, by name: no figure counts it. */
  readonly unknown: readonly string[];
}

export function stoveVersion(
  { version: plan, gone }: ReturnType<typeof begunAs>,
  { lines, others, fruits }: Omit<StoveState, "pot">,
  foods: ReadonlyMap<string, Food>,
): StoveVersion {
  const byId = new Map(lines.map((line) => [line.id, line] as const));
  const tasted = new Map(fruits.map(({ line, sweetness }) => [line, sweetness] as const));
  const rows: VersionRow[] = plan.rows.map((row) => {
    const line = byId.get(row.id);
    if (!row.food || !line) return row;
    const sweetness = tasted.get(row.id);
    const food = sweetness ? asSweetAs(row.food, sweetness) : row.food;
    const isOther = Math.abs(line.all - row.grams) > 0.005;
    return { ...row, food, grams: line.all, ...(isOther && row.change === "as is" ? { change: "amount" as const } : {}) };
  });
  const unknown = gone.map((id) => byId.get(id)?.name ?? "something");
  for (const { food: id, name, grams } of others) {
    const food = id === null ? undefined : foods.get(id);
    if (food) rows.push({ id: newRowId(rows), line: null, food, grams, role: food.role, change: "added", why: "put in at the stove" });
    else unknown.push(name);
  }
  const held = rows.filter((row) => row.food !== null && row.grams > 0);
  const inNow = (id: LineId) => byId.get(id)?.inNow ?? null;
  return {
    version: { rows, evaporation: plan.evaporation },
    shares: held.map(({ id, grams }) => Math.min(1, (inNow(id) ?? grams) / grams)),
    unknown,
  };
}

/** Of what is soluble in fruit so much is sugars: a rule of thumb; the rest is acids, pectin and salts. */
const SUGARS_OF_BRIX = 0.85;
/** How much more or less sugar a sweet or a bland fruit has than the tables say: a rule of thumb. */
const BY_TONGUE: Readonly<Record<Extract<FruitSweetness, { by: "tongue" }>["is"], number>> = { bland: 0.75, usual: 1, sweet: 1.25 };

/** A fruit with the sugars that it has of itself; water makes room for them. */
export function asSweetAs(food: Food, sweetness: FruitSweetness): Food {
  const usual = sumOf(food.per100g, SUGAR_INDICES);
  if (usual <= 0) return food;
  const water = food.per100g[INDEX.water] ?? 0;
  const wanted = sweetness.by === "tongue" ? usual * BY_TONGUE[sweetness.is] : sweetness.brix * SUGARS_OF_BRIX;
  const sugars = Math.min(wanted, usual + water);
  const more = sugars - usual;
  const of = food.per100g.map((value, at) => {
    if (SUGAR_INDICES.includes(at)) return (value * sugars) / usual;
    return at === INDEX.water ? water - more : at === INDEX.availableCarbohydrate ? Math.max(0, value + more) : value;
  });
  return { ...food, per100g: of };
}
