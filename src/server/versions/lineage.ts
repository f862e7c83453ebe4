import {
  differenceWords,
  lineDifferences,
  type Compared,
  type ComparedLine,
  type LineageRevision,
  type LineageVersion,
  type Snapshot,
} from "../../core/adaptation";
import type { EvaluationInput } from "../../core/evaluate";
import { evaluateRecipe, openRecipe } from "../../core/kitchen";
import { stepTexts, type Recipe } from "../../core/recipe";
import { beamReadings, fitWords, insideCount } from "../../core/substitution";
import type { DiningTable } from "../../core/table";
import { formatGrams } from "../../core/units";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { getKitchen } from "../kitchen/kitchen";
import { Refusal } from "../http/problems";
import { getAdaptation, requireRecipe } from "../recipes/recipes";
import { readSnapshot } from "../http/schemas/snapshot";
import { UNREADABLE } from "./versions";

export interface Lineage {
  readonly title: string;
  readonly recipe: Recipe;
  readonly revision: number;
  readonly versions: readonly LineageVersion[];
  readonly revisions: readonly LineageRevision[];
}

const MOST_VERSIONS = 200;
const MOST_REVISIONS = 50;

/** The lines of a version, each paired with the recipe's line it stands for. Amounts are of its own servings. */
const versionLines = ({ rows }: Snapshot, servings: number, own: number): ComparedLine[] =>
  rows.flatMap(({ line, food, grams }) =>
    food
      ? [
          {
            key: line === null ? `new ${food.id}` : `line ${line}`,
            name: food.name,
            foodId: food.id,
            grams: (grams * servings) / own,
          },
        ]
      : [],
  );

/** What is driven off, where that differs by more than a tenth. */
function drivenOff(before: EvaluationInput, factor: number, after: EvaluationInput): string[] {
  const [was, is] = [before.evaporation.value * factor, after.evaporation.value];
  return Math.abs(is - was) > 0.1 * Math.max(10, Math.abs(was)) ? [`water driven off ${formatGrams(was)} g, now ${formatGrams(is)} g`] : [];
}

async function recipeLines(recipe: Recipe, factor: number): Promise<ComparedLine[]> {
  return openRecipe(recipe, await getKitchen()).lines.map(({ id, food, grams }) => ({
    key: `line ${id}`,
    name: food.name,
    foodId: food.id,
    grams: grams * factor,
  }));
}

/** Where a recipe's versions come from: each with what changed from its parent, why, when and for whom; and the recipe as it was before. */
export async function lineageOf(id: string): Promise<Lineage> {
  const { recipe, revision } = await requireRecipe(id);
  const database = await getDatabase();
  const [kept, revisions] = await Promise.all([db.latestVersions(database, id, MOST_VERSIONS), db.listRevisions(database, id, MOST_REVISIONS)]);
  const { constants } = (await getKitchen()).reference;
  const byId = new Map(
    kept.flatMap((version) => {
      const snapshot = readSnapshot(version.snapshot);
      return snapshot ? [[version.id, snapshot] as const] : [];
    }),
  );
  const versions: LineageVersion[] = [];
  for (const version of kept) {
    const snapshot = byId.get(version.id);
    if (!snapshot) {
      const { id: versionId, label, keptAt, parentId, why, whom } = version;
      versions.push({
        id: versionId,
        label,
        kept: keptAt,
        parentId: byId.has(parentId ?? "") ? parentId : null,
        why,
        whom,
        servings: null,
        fit: "",
        changes: [UNREADABLE],
      });
      continue;
    }
    const parent = version.parentId === null ? undefined : byId.get(version.parentId);
    const { servings, limits, serve } = snapshot.table;
    const before = parent ? versionLines(parent, servings, parent.table.servings) : await recipeLines(snapshot.recipe, servings / snapshot.recipe.servings);
    versions.push({
      id: version.id,
      label: version.label,
      kept: version.keptAt,
      parentId: parent ? version.parentId : null,
      why: version.why,
      whom: version.whom,
      servings,
      fit: fitWords(
        snapshot.verdict ?? null,
        insideCount(beamReadings(snapshot.asHandedDown.figures, snapshot.forThisTable.figures, limits, serve, constants)),
      ),
      changes: [
        ...lineDifferences(before, versionLines(snapshot, servings, servings)).map(differenceWords),
        ...drivenOff(
          (parent ?? snapshot)[parent ? "forThisTable" : "asHandedDown"].input,
          servings / (parent?.table.servings ?? servings),
          snapshot.forThisTable.input,
        ),
      ],
    });
  }
  const now = await recipeLines(recipe, 1);
  const was: LineageRevision[] = [];
  for (const each of revisions) {
    const changes = lineDifferences(await recipeLines(each.recipe, recipe.servings / each.recipe.servings), now).map(differenceWords);
    if (each.recipe.title !== recipe.title) changes.unshift(`called “${each.recipe.title}”, now “${recipe.title}”`);
    if (stepTexts(each.recipe).join("\n") !== stepTexts(recipe).join("\n")) changes.push("steps changed");
    was.push({ revision: each.revision, until: each.replacedAt, recipe: each.recipe, changes });
  }
  return { title: recipe.title, recipe, revision, versions, revisions: was };
}

const HANDED_DOWN = "now";
const MOST_COMPARED = 4;

/** Two to four of a recipe and its versions, with all figures, amounts for the servings of the first. */
export async function comparedOf(id: string, ids: readonly string[]): Promise<{ readonly table: DiningTable; readonly items: readonly Compared[] }> {
  const { recipe } = await requireRecipe(id);
  const chosen = [...new Set(ids)];
  if (chosen.length < 2 || chosen.length > MOST_COMPARED)
    throw new Refusal(422, `Choose two to ${MOST_COMPARED} to hold side by side; ${chosen.length} ${chosen.length === 1 ? "was" : "were"} chosen.`);
  const {
    table: { document: table },
  } = await getAdaptation(id, recipe);
  const kitchen = await getKitchen();
  const versions = new Map((await db.findVersions(await getDatabase(), chosen)).map((version) => [version.id, version] as const));
  const items: Compared[] = [];
  for (const each of chosen) {
    if (each === HANDED_DOWN) {
      const { input, figures } = evaluateRecipe(openRecipe(recipe, kitchen), { ...table, servings: recipe.servings }, kitchen);
      items.push({
        id: each,
        name: "As handed down",
        about: `${recipe.servings} servings`,
        servings: recipe.servings,
        figures,
        input,
        lines: await recipeLines(recipe, 1),
      });
      continue;
    }
    const version = versions.get(each);
    if (version?.recipeId !== id) throw new Refusal(404, "One of these versions is not there, or is of another recipe. It may have been deleted.");
    const snapshot = readSnapshot(version.snapshot);
    if (!snapshot) throw new Refusal(409, `“${version.label}”: ${UNREADABLE}`);
    const { servings } = snapshot.table;
    items.push({
      id: each,
      name: version.label,
      about: version.whom || version.why || `${servings} servings`,
      servings,
      figures: snapshot.forThisTable.figures,
      input: snapshot.forThisTable.input,
      lines: versionLines(snapshot, servings, servings),
    });
  }
  return { table, items };
}
