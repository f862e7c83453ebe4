import { dayOf, dayWords } from "../../core/calendar";
import { withOwnWords, type BenchState, type Snapshot } from "../../core/adaptation";
import { evaluateRecipe, evaluateVersion, openBench, openInWays, openRecipe, openTable, type Kitchen } from "../../core/kitchen";
import { guessArchetype, type Archetype, type ReadRecipe } from "../../core/recipe";
import { beamReadings, fitWords, insideCount, standingOf, tableVerdict } from "../../core/substitution";
import type { DiningTable } from "../../core/table";
import { formatNumber } from "../../core/units";
import { REFERENCE } from "../../data";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { getKitchen } from "../kitchen/kitchen";
import { readBench, validateTable } from "../http/schemas/documents";
import { readSnapshot } from "../http/schemas/snapshot";

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

export interface OnTheGo {
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
export async function getOnTheGo(): Promise<OnTheGo> {
  const database = await getDatabase();
  const kitchen = await getKitchen();
  const [{ items, total }, kept, keptTotal, recipeTotal] = await Promise.all([
    db.listOnTheGo(database, since(), ON_THE_GO),
    db.latestVersions(database, null, ON_SHELF),
    db.countVersions(database),
    db.countRecipes(database),
  ]);
  return {
    going: items.map((item) => going(item, kitchen)),
    goingTotal: total,
    kept: kept.map(({ snapshot, ...version }) => onShelf(version, readSnapshot(snapshot))),
    keptTotal,
    recipeTotal,
  };
}

function going({ id, recipe, table: storedTable, bench, versionCount, touchedAt }: db.OnTheGo, kitchen: Kitchen): Going {
  const read = openRecipe(recipe, kitchen);
  const table = validateTable(storedTable) ? storedTable : null;
  const kept = table && readBench(bench, recipe, table);
  const made = openInWays(recipe, kept?.ways, kitchen).read;
  const laid = table && openBench(kept, made, table, kitchen);
  return {
    id,
    title: recipe.title,
    kind: read.archetype,
    lines: read.lines.length,
    asked: read.unresolved.length,
    table,
    bench: table && laid ? benchWords(made, read, table, laid.state, kitchen) : null,
    versionCount,
    touchedAt,
  };
}

function benchWords(read: ReadRecipe, written: ReadRecipe, table: DiningTable, { version, steps }: BenchState, kitchen: Kitchen): string {
  const { constants } = kitchen.reference;
  const { figures } = evaluateVersion(version, read, table, kitchen);
  const before = evaluateRecipe(written, table, kitchen).figures;
  const problem = withOwnWords(openTable(read, table, kitchen), read, version, steps, kitchen.reading.find);
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
export async function placeStates(): Promise<Readonly<Record<"kitchen" | "recipes" | "pantry" | "plan" | "logbook" | "household", string>>> {
  const database = await getDatabase();
  const [goingTotal, total, { batches }, kitchen, next] = await Promise.all([
    db.countOnTheGo(database, since()),
    db.countRecipes(database),
    db.countBatches(database),
    getKitchen(),
    db.nextGathering(database, new Date().toISOString()),
  ]);
  return {
    kitchen: total === 0 ? "nothing yet" : goingTotal === 0 ? "nothing on the go" : `${formatNumber(goingTotal)} on the go`,
    recipes: formatNumber(total),
    pantry: `${kitchen.reference.foods.size} foods`,
    plan: next ? dayWords(dayOf(Date.parse(next.readyAt), next)) : "nothing set",
    logbook: batches === 1 ? "1 batch" : `${formatNumber(batches)} batches`,
    household: kitchen.household.measures.words === "millilitres" ? "ml" : kitchen.household.measures.words,
  };
}
