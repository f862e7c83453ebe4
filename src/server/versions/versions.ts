import { randomUUID } from "node:crypto";
import { cache } from "react";
import { foodsWith, sinceWords, snapshotOf, stored, withOwnWords, type Snapshot, type StoredBench } from "../../core/adaptation";
import { cautionInput, cautionsFor, type Caution } from "../../core/cautions";
import { type Reference } from "../../core/food";
import { openBench, openInWays, openRecipe, openTable, type Kitchen } from "../../core/kitchen";
import type { Recipe, LineId } from "../../core/recipe";
import { LIMIT_NAMES, portionOf, type DiningTable, type Limit } from "../../core/table";
import type { Version, VersionRow } from "../../core/substitution";
import { formatNumber } from "../../core/units";
import { USUAL_HOUSEHOLD } from "../../core/household";
import { MODEL_VERSION, REFERENCE } from "../../data";
import { isReadWhole, toldFigures, wayWords } from "../../core/views";
import { AS_WRITTEN } from "../../core/ways";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { schemaErrors } from "../http/ajv";
import { Refusal } from "../http/problems";
import { getKitchen } from "../kitchen/kitchen";
import { getAdaptation, requireRecipe, saveBoth } from "../recipes/recipes";
import { VERSION_LIMITS } from "../http/schemas/documents";
import { readSnapshot, storedSnapshot, validateSnapshot } from "../http/schemas/snapshot";

/** A version as kept, with what has moved on since. */
export interface KeptVersion extends db.VersionSummary {
  /** Null where what is stored of it cannot be read. */
  readonly snapshot: Snapshot | null;
  /** In words, what is newer than the version; empty where nothing is. */
  readonly movedOn: readonly string[];
  /** What to mind when it is cooked for its table. */
  readonly cautions: readonly Caution[];
}

export const UNREADABLE = "What is stored of this version cannot be read. The other versions and the recipe are not touched by it.";

/** Turns the bench into a version; 422 where it names a food or line that is not there. */
function versionOf(bench: StoredBench, lines: ReadonlySet<LineId>, foods: Reference["foods"]): Version {
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

/** A portion of a pot that is split: for whom, and before which of the recipe's steps it is parted. */
interface Portion {
  readonly eaters: readonly string[];
  readonly before: number;
}
const partingWords = (before: number): string =>
  `A portion of a pot that is split: parted before the recipe’s step ${before + 1} into a clean pan of its own, with a spoon, board and grinder of its own. Until then it is cooked with the rest.`;

/**
 * Keeps the bench as a version, for the whole table or a portion of it: computed here from the recipe and table as stored, so that what is kept is what holds. One
 * that breaks a rule of its table is kept only where it is said (`notFor`) that it is not for who keeps that rule; else 422.
 */
export async function keepVersion(recipeId: string, bench: StoredBench, notFor = false, portion: Portion | null = null): Promise<string> {
  const { recipe, revision } = await requireRecipe(recipeId);
  const {
    table: { document: whole, revision: tableRevision },
  } = await getAdaptation(recipeId, recipe);
  const table = portion ? portionOf(whole, portion.eaters) : whole;
  if (portion && (table.seats ?? []).length !== portion.eaters.length)
    throw new Refusal(409, "Who sits at the table has changed since the pot was split. Work it out again, and keep it then.");
  const kitchen = await getKitchen();
  const { rules } = kitchen;
  const { read, taken } = openInWays(recipe, bench.ways, kitchen);
  const problem = openTable(read, table, kitchen);
  const foods = foodsWith(read, kitchen.reference.foods);
  const version = versionOf(bench, new Set(read.recipe.lines.map(({ id }) => id)), foods);
  // A line that the bench did not have is in no version of it.
  const since = (openBench(bench, read, table, kitchen)?.since ?? []).filter(({ kind }) => kind !== "new line");
  if (since.length > 0)
    throw new Refusal(
      409,
      `Recipe or table have changed since this was worked on: ${since.map((change) => sinceWords(change, (id) => rules.get(id)?.name ?? id)).join("; ")}. Look at it again, and keep it then.`,
    );
  const judged = withOwnWords(problem, read, version, bench.steps, kitchen.reading.find);
  const snapshot = snapshotOf(
    read,
    judged,
    version,
    table,
    bench.label,
    { handling: kitchen.handling, equipment: kitchen.household.equipment },
    { recipe: revision, table: tableRevision },
    bench.steps,
    {
      written: openRecipe(recipe, kitchen),
      ways: taken.map((each) => ({ ...each, what: wayWords(each, kitchen) })),
    },
  );
  const { verdict } = snapshot;
  if (verdict?.kind === "not for" && !notFor)
    throw new Refusal(
      422,
      `This version is not for ${verdict.notFor.join(", ")}: ${verdict.breaches.join("; ")}. It can be kept as that, or changed.`,
      verdict.breaches.map((detail) => ({ pointer: "/bench/rows", detail })),
    );
  // What could not be read again, or put back from a backup, is not kept.
  const asStored = storedSnapshot(snapshot);
  if (!asStored.ok)
    throw new Refusal(
      422,
      "The figures of this version cannot be computed, so that it cannot be kept. Look for an amount that is far too large or too small.",
      schemaErrors(validateSnapshot, asStored.value),
    );
  const id = randomUUID();
  await db.insertVersion(
    await getDatabase(),
    {
      id,
      recipeId,
      title: recipe.title,
      label: bench.label || "By hand",
      snapshot: asStored.value,
      parentId: bench.from ?? null,
      why: portion ? partingWords(portion.before) : "",
      whom: (await wishWords())(table.rules).join(", ").slice(0, VERSION_LIMITS.whom),
    },
    new Date().toISOString(),
  );
  return id;
}

/** As kept; read once for a page, whose title needs it too. Null where there is none. */
export const getVersion = cache(async (id: string): Promise<KeptVersion | null> => {
  const stored = await db.findVersion(await getDatabase(), id);
  if (!stored) return null;
  const snapshot = readSnapshot(stored.snapshot);
  if (!snapshot) return { ...stored, snapshot: null, movedOn: [], cautions: [] };
  const kitchen = await getKitchen();
  return { ...stored, snapshot, movedOn: movedOn(snapshot, kitchen), cautions: cautionsOf(snapshot, kitchen) };
});

/** The cautions for a version: by its own foods, and by what is done in the recipe's steps. */
function cautionsOf({ rows, recipe, table, asHandedDown, forThisTable }: Snapshot, kitchen: Kitchen): readonly Caution[] {
  const read = openRecipe(recipe, kitchen);
  const foods = rows.flatMap(({ food, grams }) => (food && grams > 0 ? [{ food, grams }] : []));
  const still = new Set(forThisTable.input.lines.map(({ food }) => food.id));
  const pressed = asHandedDown.input.lines.some(({ food }) => food.id.startsWith("pressed-") && still.has(food.id)) ? [...read.ledger.pressedIn.keys()] : [];
  return cautionsFor({ ...cautionInput(read, foods, table.servings, pressed), table }, kitchen.cautions);
}

function movedOn(snapshot: Snapshot, { household: { measures: now }, reference }: Kitchen): string[] {
  const then = snapshot.measures ?? USUAL_HOUSEHOLD.measures;
  const vessels = (["cup", "katori", "tablespoon", "teaspoon"] as const).filter((vessel) => then[vessel] !== now[vessel]);
  const foods = snapshot.forThisTable.input.lines.filter(({ food }) => reference.foods.get(food.id)?.revision !== food.revision).map(({ food }) => food.name);
  return [
    ...vessels.map((vessel) => `the ${vessel} (${then[vessel]} ml then, ${now[vessel]} ml now)`),
    ...(snapshot.modelVersion === MODEL_VERSION ? [] : [`the models (version ${snapshot.modelVersion} then, ${MODEL_VERSION} now)`]),
    ...foods,
  ];
}

/** Says what a version is called, why it was made and for whom. */
export async function describeVersion(id: string, told: { readonly label: string; readonly why: string; readonly whom: string }): Promise<void> {
  if (!(await db.describeVersion(await getDatabase(), id, told))) throw new Refusal(404, "There is no such version. It may have been deleted.");
}

/** A version laid on a bench, and what it took the place of: to be put back over these revisions. */
export interface LaidOn {
  readonly recipeId: string;
  readonly before: { readonly table: DiningTable; readonly bench: StoredBench | null };
  readonly revisions: { readonly table: number; readonly bench: number };
}

/** A kept version as a bench of its recipe as it is now, with the table that it was kept for. */
interface BenchOfVersion {
  readonly recipeId: string;
  readonly recipe: Recipe;
  readonly table: DiningTable;
  readonly bench: StoredBench;
}

/**
 * A kept version laid for its recipe, with the table that it was kept for; refused with a plain message where that cannot be.
 * Lines are found again by their ids; what stood for a line that the recipe no longer has is an added food.
 */
export async function benchOfVersion(id: string): Promise<BenchOfVersion> {
  const kept = await db.findVersion(await getDatabase(), id);
  if (!kept) throw new Refusal(404, "There is no such version. It may have been deleted.");
  if (kept.recipeId === null) throw new Refusal(409, "The recipe of this version is gone: put it back first, or paste it anew.");
  const { recipeId } = kept;
  const { recipe } = await requireRecipe(recipeId);
  const snapshot = readSnapshot(kept.snapshot);
  if (!snapshot) throw new Refusal(409, UNREADABLE);
  const kitchen = await getKitchen();
  // Done as it was then, whatever the household's ways are now.
  const waysThen = snapshot.ways ?? [];
  const ways = {
    ...Object.fromEntries(Object.keys(kitchen.household.ways ?? {}).map((way) => [way, AS_WRITTEN])),
    ...Object.fromEntries(waysThen.map(({ way, option }) => [way, option])),
  };
  const { read } = openInWays(recipe, ways, kitchen);
  const foods = foodsWith(read, kitchen.reference.foods);
  const lines = new Set(read.recipe.lines.map(({ id: line }) => line));
  const rows = snapshot.rows.flatMap((row): VersionRow[] => {
    const gone = row.line !== null && !lines.has(row.line);
    if (row.food !== null && !foods.has(row.food.id))
      throw new Refusal(409, `“${row.food.name}” is no longer in the pantry: put it back first, or lay the version on by hand.`);
    if (gone && row.food === null) return [];
    const { id: own, grams, role, change, why } = row;
    return [{ id: own, line: gone ? null : row.line, food: row.food, grams, role, change: gone ? "added" : change, why }];
  });
  const state = {
    label: kept.label,
    byHand: true,
    from: id,
    version: { rows, evaporation: snapshot.forThisTable.input.evaporation.value },
    ...(snapshot.ownSteps ? { steps: snapshot.ownSteps } : {}),
    ...(Object.keys(ways).length > 0 ? { ways } : {}),
  };
  const laid = stored(state, read, snapshot.table);
  // What the recipe had then, so that it is told what has changed since.
  const then = new Map(snapshot.rows.flatMap((row) => (row.line === null ? [] : [[row.line, row] as const])));
  const bench: StoredBench = {
    ...laid,
    rows: laid.rows.map((row) => {
      const kept = row.line === null ? undefined : then.get(row.line);
      if (!kept || kept.recipeGrams === null) return row;
      const own = kept.change === "as is" || kept.change === "amount";
      const foodId = own ? (kept.food?.id ?? "") : row.was?.name === kept.recipeFood ? row.was.foodId : "";
      return { ...row, was: { foodId, name: kept.recipeFood ?? "", grams: kept.recipeGrams } };
    }),
  };
  return { recipeId, recipe, table: snapshot.table, bench };
}

/** Lays a kept version on its recipe's bench, to be worked on from there. */
export async function workOnFrom(id: string): Promise<LaidOn> {
  const { recipeId, table, bench } = await benchOfVersion(id);
  return layOn(recipeId, table, bench);
}

/** Lays a table and what is made for it on a recipe's bench; what lay there before comes with the answer, so that it can be put back. */
export async function layOn(recipeId: string, table: DiningTable, bench: StoredBench): Promise<LaidOn> {
  const { recipe } = await requireRecipe(recipeId);
  const there = await getAdaptation(recipeId, recipe);
  const revisions = await saveBoth(recipeId, { document: table, revision: there.table.revision }, { document: bench, revision: there.bench.revision });
  return { recipeId, before: { table: there.table.document, bench: there.bench.document }, revisions };
}

export async function versionsOf(recipeId: string | null, limit = 200): Promise<readonly db.VersionSummary[]> {
  return db.listVersions(await getDatabase(), recipeId, limit);
}

/** How a table's wishes are called: its rules by name, its limits with their amounts. */
export async function wishWords(): Promise<(rules: readonly string[], limits?: readonly Limit[]) => string[]> {
  const { rules } = await getKitchen();
  return (ids, limits = []) => [
    ...ids.map((id) => (rules.get(id)?.name ?? (id.startsWith("own-") ? "a rule set that is gone" : id)).toLowerCase()),
    ...limits.map(({ id, most }) => `${LIMIT_NAMES[id].name} at most ${formatNumber(most)}\u00a0${LIMIT_NAMES[id].unit}`.trim()),
  ];
}

/** The constants in force, by which a kept version's workings are told. */
export const versionConstants = () => {
  const { noticeable, bodyAnchors } = REFERENCE.constants;
  return { noticeable, bodyAnchors };
};

/** What is told of a version and of the recipe it was made of, from what was kept of them. */
export async function toldVersion({ recipe, asHandedDown, forThisTable }: Snapshot) {
  const isWhole = isReadWhole(openRecipe(recipe, await getKitchen()));
  return {
    before: toldFigures(asHandedDown, isWhole, REFERENCE.constants),
    after: toldFigures(forThisTable, isWhole, REFERENCE.constants),
  };
}
