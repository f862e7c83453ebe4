import { foodsWith, snapshotOf, stored, withOwnWords, type Snapshot, type StoredBench } from "../../core/adaptation";
import { openInWays, openRecipe, openTable, type Kitchen } from "../../core/kitchen";
import type { LineId, ReadRecipe, Recipe } from "../../core/recipe";
import type { Version, VersionRow } from "../../core/substitution";
import { wayWords, type CookGround } from "../../core/views";
import { AS_WRITTEN, type WayPicks } from "../../core/ways";
import { Refusal } from "../http/problems";

/** A bench with the recipe and table that it lies at. */
type LaidGround = CookGround & { readonly bench: StoredBench };

/** A snapshot of what lies on a bench. */
export function snapshotOfBench({ recipe, table, bench }: LaidGround, version: Version, madeOn: NonNullable<Snapshot["madeOn"]>, kitchen: Kitchen): Snapshot {
  const { read, taken } = openInWays(recipe, bench.ways, kitchen);
  const judged = withOwnWords(openTable(read, table, kitchen), read, version, bench.steps, kitchen.reading.find);
  return snapshotOf(read, judged, version, table, bench.label, { handling: kitchen.handling, equipment: kitchen.household.equipment }, madeOn, bench.steps, {
    written: openRecipe(recipe, kitchen),
    ways: taken.map((each) => ({ ...each, what: wayWords(each, kitchen) })),
  });
}

/** A snapshot of what was cooked, to be sent on. */
export function snapshotOfGround(ground: LaidGround, kitchen: Kitchen): Snapshot {
  const { read } = openInWays(ground.recipe, ground.bench.ways, kitchen);
  return snapshotOfBench(ground, versionOf(ground.bench, read, kitchen), { recipe: 0, table: 0 }, kitchen);
}

/** Turns the bench into a version; 422 where it names a food or line that is not there. */
export function versionOf(bench: StoredBench, read: ReadRecipe, { reference }: Kitchen): Version {
  const foods = foodsWith(read, reference.foods);
  const lines = new Set<LineId>(read.recipe.lines.map(({ id }) => id));
  const rows = bench.rows.map((row, i) => {
    const food = row.foodId === null ? null : (foods.get(row.foodId) ?? null);
    if (row.foodId !== null && !food)
      throw new Refusal(422, "The version names a food that is not in the tables.", [
        { pointer: `/bench/rows/${i}/foodId`, detail: `"${row.foodId}" is not known.` },
      ]);
    if (row.line !== null && !lines.has(row.line))
      throw new Refusal(422, "The version names a line that the recipe does not have.", [
        { pointer: `/bench/rows/${i}/line`, detail: `The recipe has no line “${row.line}”.` },
      ]);
    return { id: row.id, line: row.line, food, grams: row.grams, role: row.role, change: row.change, why: row.why };
  });
  const twice = rows.findIndex(({ id }, i) => rows.slice(0, i).some((other) => other.id === id));
  if (twice >= 0)
    throw new Refusal(422, "Two rows of the version have one id.", [{ pointer: `/bench/rows/${twice}/id`, detail: "Each needs an id of its own." }]);
  if (!rows.some((row) => row.food && row.grams > 0))
    throw new Refusal(422, "An empty version cannot be kept: give at least one food an amount.", [
      { pointer: "/bench/rows", detail: "No food has an amount." },
    ]);
  return { rows, evaporation: bench.evaporation };
}

/** What is cooked, labelled and sent on of a kept version: its own recipe and table as they were then. */
export function groundOfVersion(
  { id, label, snapshot }: { readonly id: string; readonly label: string; readonly snapshot: Snapshot },
  kitchen: Kitchen,
): CookGround {
  return { recipe: snapshot.recipe, table: snapshot.table, bench: benchFrom(snapshot, snapshot.recipe, { id, label }, kitchen) };
}

/** Done as it was then, whatever the household's ways are now. */
export const waysOf = ({ ways = [] }: Snapshot, { household }: Kitchen): WayPicks => ({
  ...Object.fromEntries(Object.keys(household.ways ?? {}).map((way) => [way, AS_WRITTEN])),
  ...Object.fromEntries(ways.map(({ way, option }) => [way, option])),
});

/** The rows of a kept version as they lie on a bench of a recipe. */
export function benchFrom(snapshot: Snapshot, recipe: Recipe, { id, label }: { readonly id: string; readonly label: string }, kitchen: Kitchen): StoredBench {
  const ways = waysOf(snapshot, kitchen);
  const { read } = openInWays(recipe, ways, kitchen);
  const lines = new Set(read.recipe.lines.map(({ id: line }) => line));
  const rows = snapshot.rows.flatMap((row): VersionRow[] => {
    const gone = row.line !== null && !lines.has(row.line);
    if (gone && row.food === null) return [];
    const { id: own, grams, role, change, why } = row;
    return [{ id: own, line: gone ? null : row.line, food: row.food, grams, role, change: gone ? "added" : change, why }];
  });
  const state = {
    label,
    byHand: true,
    from: id,
    version: { rows, evaporation: snapshot.forThisTable.input.evaporation.value },
    ...(snapshot.ownSteps ? { steps: snapshot.ownSteps } : {}),
    ...(Object.keys(ways).length > 0 ? { ways } : {}),
  };
  const laid = stored(state, read, snapshot.table);
  // What the recipe had then, so that it is told what has changed since.
  const then = new Map(snapshot.rows.flatMap((row) => (row.line === null ? [] : [[row.line, row] as const])));
  return {
    ...laid,
    rows: laid.rows.map((row) => {
      const kept = row.line === null ? undefined : then.get(row.line);
      if (!kept || kept.recipeGrams === null) return row;
      const own = kept.change === "as is" || kept.change === "amount";
      const foodId = own ? (kept.food?.id ?? "") : row.was?.name === kept.recipeFood ? row.was.foodId : "";
      return { ...row, was: { foodId, name: kept.recipeFood ?? "", grams: kept.recipeGrams } };
    }),
  };
}
