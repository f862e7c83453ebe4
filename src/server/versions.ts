import { randomUUID } from "node:crypto";
import { snapshotOf, type Snapshot, type StoredBench } from "../core/adaptation";
import { MICRONUTRIENTS, type Reference } from "../core/food";
import { readRecipe } from "../core/recipe";
import { problemFor, type Version } from "../core/substitution";
import { USUAL_HOUSEHOLD, type HouseholdMeasures } from "../core/units";
import { HANDLING, MODEL_VERSION, REFERENCE, RULES, SUBSTITUTION } from "../data";
import * as db from "../db";
import { getDatabase } from "./database";
import { getHousehold } from "./household";
import { Refusal } from "./problem-details";
import { kitchenReference } from "./pantry";
import { reading } from "./reading";
import { getAdaptation, requireRecipe } from "./recipes";

/** A version as kept, with what has moved on since. */
export interface KeptVersion {
  readonly id: string;
  readonly recipeId: string | null;
  readonly title: string;
  readonly label: string;
  readonly keptAt: string;
  readonly snapshot: Snapshot;
  /** In words, what is newer than the version; empty where nothing is. */
  readonly movedOn: readonly string[];
}

/** Turns the bench into a version; 422 where it names a food or line that is not there. */
export function versionOf(bench: StoredBench, lineCount: number, foods: Reference["foods"]): Version {
  const rows = bench.rows.map((row, i) => {
    const food = row.foodId === null ? null : (foods.get(row.foodId) ?? null);
    if (row.foodId !== null && !food)
      throw new Refusal(422, "The version names a food that is not in the tables.", [
        { pointer: `/bench/rows/${i}/foodId`, detail: `"${row.foodId}" is not known.` },
      ]);
    if (row.line !== null && row.line >= lineCount)
      throw new Refusal(422, "The version names a line that the recipe does not have.", [
        { pointer: `/bench/rows/${i}/line`, detail: `The recipe has ${lineCount} lines.` },
      ]);
    return { line: row.line, food, grams: row.grams, role: row.role, change: row.change, why: row.why };
  });
  if (!rows.some((row) => row.food && row.grams > 0))
    throw new Refusal(422, "An empty version cannot be kept: give at least one food an amount.", [
      { pointer: "/bench/rows", detail: "No food has an amount." },
    ]);
  return { rows, evaporation: bench.evaporation };
}

/** Keeps the bench as a version: computed here from the recipe and table as stored, so that what is kept is what holds. */
export async function keepVersion(recipeId: string, bench: StoredBench): Promise<string> {
  const { recipe } = await requireRecipe(recipeId);
  const {
    table: { document: table },
  } = await getAdaptation(recipeId, recipe);
  const { document: household } = await getHousehold();
  const reference = await kitchenReference();
  const read = readRecipe(recipe, reading(reference, household.measures), reference.constants);
  const problem = problemFor(read, table, reference, SUBSTITUTION, RULES, 1);
  const snapshot = snapshotOf(read, problem, versionOf(bench, recipe.lines.length, reference.foods), table, bench.label, HANDLING);
  const id = randomUUID();
  await db.insertVersion(await getDatabase(), { id, recipeId, title: recipe.title, label: bench.label || "By hand", snapshot }, new Date().toISOString());
  return id;
}

export async function getVersion(id: string): Promise<KeptVersion | null> {
  const stored = await db.findVersion(await getDatabase(), id);
  if (!stored) return null;
  const snapshot = asReadToday(stored.snapshot as Snapshot);
  const { document: household } = await getHousehold();
  return { ...stored, snapshot, movedOn: movedOn(snapshot, household.measures, await kitchenReference()) };
}

/** A kept version as it is read today: what was not kept of its foods then is not known. */
function asReadToday(snapshot: Snapshot): Snapshot {
  const unknown = MICRONUTRIENTS.map(() => null);
  const silent = { micro: unknown, microSd: unknown, unknown: [], weighed: [], lookAlikes: [], pricePerGram: null, nature: null, cooked: null };
  const side = (kept: Snapshot["forThisTable"]): Snapshot["forThisTable"] => ({
    ...kept,
    input: {
      ...kept.input,
      lines: kept.input.lines.map((line) => ({ ...line, food: { ...silent, ...line.food } })),
    },
  });
  return { ...snapshot, asHandedDown: side(snapshot.asHandedDown), forThisTable: side(snapshot.forThisTable) };
}

function movedOn(snapshot: Snapshot, now: HouseholdMeasures, reference: Reference): string[] {
  const then = snapshot.measures ?? USUAL_HOUSEHOLD.measures;
  const vessels = (["cup", "katori", "tablespoon", "teaspoon"] as const).filter((vessel) => then[vessel] !== now[vessel]);
  const foods = snapshot.forThisTable.input.lines.filter(({ food }) => reference.foods.get(food.id)?.revision !== food.revision).map(({ food }) => food.name);
  return [
    ...vessels.map((vessel) => `the ${vessel} (${then[vessel]} ml then, ${now[vessel]} ml now)`),
    ...(snapshot.modelVersion === MODEL_VERSION ? [] : [`the models (version ${snapshot.modelVersion} then, ${MODEL_VERSION} now)`]),
    ...foods,
  ];
}

export async function versionsOf(recipeId: string | null, limit = 200): Promise<readonly db.VersionSummary[]> {
  return db.listVersions(await getDatabase(), recipeId, limit);
}

export const ruleNames = (ids: readonly string[]): string[] => ids.map((id) => (RULES.get(id)?.name ?? id).toLowerCase());

/** What a table asks for, in words: its rules by name, and how many limits. */
export const wishNames = (rules: readonly string[], limitCount: number): string[] => [
  ...ruleNames(rules),
  ...(limitCount > 0 ? [limitCount === 1 ? "a limit" : `${limitCount} limits`] : []),
];

/** The constants in force, by which a kept version's workings are told. */
export const versionConstants = () => REFERENCE.constants;
