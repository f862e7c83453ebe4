import { groundOf, rebased, recipeInput, type Snapshot } from "../core/adaptation";
import { evaluate } from "../core/evaluate";
import type { Reference } from "../core/food";
import type { Rule } from "../core/models/diet";
import { guessArchetype, readRecipe, type Archetype, type ReadRecipe } from "../core/recipe";
import { beamReadings, fitWords, insideCount, standingOf, tableVerdict, versionInput, problemFor, type Version } from "../core/substitution";
import type { DiningTable } from "../core/table";
import { formatNumber, type HouseholdMeasures } from "../core/units";
import { REFERENCE, SUBSTITUTION } from "../data";
import * as db from "../db";
import { getDatabase } from "./database";
import { getHousehold } from "./household";
import { kitchenRules } from "./house-rules";
import { kitchenReference } from "./pantry";
import { reading } from "./reading";
import { readBench, validateTable } from "./schemas";
import { readSnapshot } from "./snapshot";

/** A sweet that is worked on: how far it is, and what it waits for. */
export interface Going {
  readonly id: string;
  readonly title: string;
  readonly kind: Archetype;
  readonly lines: number;
  /** Lines that are still to be asked about. */
  readonly asked: number;
  readonly table: DiningTable | null;
  /** What is known of what lies on the bench, in few words; null where nothing does, or what does was made for another table. */
  readonly bench: string | null;
  readonly versionCount: number;
  readonly touchedAt: string;
}

export interface OnShelf {
  readonly id: string;
  readonly title: string;
  readonly label: string;
  readonly keptAt: string;
  /** Null where what is stored of it cannot be read. */
  readonly whole: { readonly kind: Archetype; readonly fit: string; readonly servings: number } | null;
}

export interface Kitchen {
  readonly going: readonly Going[];
  readonly goingTotal: number;
  readonly kept: readonly OnShelf[];
  readonly keptTotal: number;
  readonly recipeTotal: number;
}

/** What nobody has touched for longer rests among the recipes. */
const DAYS_ON_THE_GO = 21;
const ON_THE_GO = 8;
const ON_SHELF = 6;

const since = () => new Date(Date.now() - DAYS_ON_THE_GO * 86_400_000).toISOString();

/** What is on the go, what was kept last, each judged as it stands now. */
export async function getKitchen(): Promise<Kitchen> {
  const database = await getDatabase();
  const [{ document: household }, reference, rules] = await Promise.all([getHousehold(), kitchenReference(), kitchenRules()]);
  const [{ items, total }, kept, keptTotal, recipeTotal] = await Promise.all([
    db.listOnTheGo(database, since(), ON_THE_GO),
    db.latestVersions(database, null, ON_SHELF),
    db.countVersions(database),
    db.countRecipes(database),
  ]);
  return {
    going: items.map((item) => going(item, reference, household.measures, rules)),
    goingTotal: total,
    kept: kept.map(({ snapshot, ...version }) => onShelf(version, readSnapshot(snapshot))),
    keptTotal,
    recipeTotal,
  };
}

function going(
  { id, recipe, table: storedTable, bench, versionCount, touchedAt }: db.OnTheGo,
  reference: Reference,
  measures: HouseholdMeasures,
  rules: ReadonlyMap<string, Rule>,
): Going {
  const { constants, foods } = reference;
  const read = readRecipe(recipe, reading(reference, measures), constants);
  const table = validateTable(storedTable) ? storedTable : null;
  const laid = table && rebased(readBench(bench, recipe, table), read, table, foods);
  return {
    id,
    title: recipe.title,
    kind: read.archetype,
    lines: read.lines.length,
    asked: read.unresolved.length,
    table,
    bench: table && laid ? benchWords(read, table, laid.state.version, reference, rules) : null,
    versionCount,
    touchedAt,
  };
}

function benchWords(read: ReadRecipe, table: DiningTable, version: Version, reference: Reference, rules: ReadonlyMap<string, Rule>): string {
  const { constants } = reference;
  const { figures } = evaluate(versionInput(version, groundOf(read, table)), constants);
  const before = evaluate(recipeInput(read, table), constants).figures;
  const problem = problemFor(read, table, reference, SUBSTITUTION, rules, 1);
  const verdict = tableVerdict(standingOf(problem, version, figures), problem, table);
  return fitWords(verdict, insideCount(beamReadings(before, figures, table.limits, table.serve, constants)));
}

function onShelf(version: db.VersionSummary, snapshot: Snapshot | null): OnShelf {
  const { id, title, label, keptAt } = version;
  if (snapshot === null) return { id, title, label, keptAt, whole: null };
  const { asHandedDown, forThisTable, table, recipe, verdict } = snapshot;
  const { constants } = REFERENCE;
  return {
    id,
    title,
    label,
    keptAt,
    whole: {
      kind: recipe.archetype ?? guessArchetype(asHandedDown.input.lines).archetype,
      fit: fitWords(verdict ?? null, insideCount(beamReadings(asHandedDown.figures, forThisTable.figures, table.limits, table.serve, constants))),
      servings: table.servings,
    },
  };
}

/** Each place's one-line state, for the spine. */
export async function placeStates(): Promise<Readonly<Record<"kitchen" | "recipes" | "pantry" | "household", string>>> {
  const database = await getDatabase();
  const [goingTotal, total, { document: household }, { foods }] = await Promise.all([
    db.countOnTheGo(database, since()),
    db.countRecipes(database),
    getHousehold(),
    kitchenReference(),
  ]);
  return {
    kitchen: total === 0 ? "nothing yet" : goingTotal === 0 ? "nothing on the go" : `${formatNumber(goingTotal)} on the go`,
    recipes: formatNumber(total),
    pantry: `${foods.size} foods`,
    household: household.measures.words === "millilitres" ? "ml" : household.measures.words,
  };
}
