import { randomUUID } from "node:crypto";
import { cache } from "react";
import { foodsWith, sinceWords, type Snapshot, type StoredBench } from "../../core/adaptation";
import { cautionInput, cautionsFor, type Caution } from "../../core/cautions";
import { openBench, openInWays, openRecipe, type Kitchen } from "../../core/kitchen";
import type { Recipe } from "../../core/recipe";
import { LIMIT_NAMES, portionOf, type DiningTable, type Limit } from "../../core/table";
import { formatNumber } from "../../core/units";
import { USUAL_HOUSEHOLD } from "../../core/household";
import { MODEL_VERSION, REFERENCE } from "../../data";
import { isReadWhole, toldFigures } from "../../core/views";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { schemaErrors } from "../http/ajv";
import { Refusal } from "../http/problems";
import { getKitchen } from "../kitchen/kitchen";
import { benchFrom, snapshotOfBench, versionOf, waysOf } from "./snapshots";
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
  const { read } = openInWays(recipe, bench.ways, kitchen);
  const version = versionOf(bench, read, kitchen);
  // A line that the bench did not have is in no version of it.
  const since = (openBench(bench, read, table, kitchen)?.since ?? []).filter(({ kind }) => kind !== "new line");
  if (since.length > 0)
    throw new Refusal(
      409,
      `Recipe or table have changed since this was worked on: ${since.map((change) => sinceWords(change, (id) => rules.get(id)?.name ?? id)).join("; ")}. Look at it again, and keep it then.`,
    );
  const snapshot = snapshotOfBench({ recipe, table, bench }, version, { recipe: revision, table: tableRevision }, kitchen);
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
  const foods = foodsWith(openInWays(recipe, waysOf(snapshot, kitchen), kitchen).read, kitchen.reference.foods);
  const gone = snapshot.rows.find(({ food }) => food !== null && !foods.has(food.id));
  if (gone?.food) throw new Refusal(409, `“${gone.food.name}” is no longer in the pantry: put it back first, or lay the version on by hand.`);
  return { recipeId, recipe, table: snapshot.table, bench: benchFrom(snapshot, recipe, { id, label: kept.label }, kitchen) };
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
