import { createHash } from "node:crypto";
import { findings } from "../../core/models/diet";
import { openRecipe } from "../../core/kitchen";
import type { Recipe } from "../../core/recipe";
import { judgedLines, listedIn, stepFindings } from "../../core/substitution";
import { formatNumber } from "../../core/units";
import { MODEL_VERSION } from "../../data";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { getHousehold, getHouseRules, getPantry } from "../kitchen/sources";
import { getKitchen } from "../kitchen/kitchen";

const MINUTES_OF_DAY = 1440;

/** What an entry rests on beside the recipe: the models, the household's foods, rules, measures, usual pan and burner. */
async function basis(): Promise<string> {
  const [pantry, rules, { document: household }] = await Promise.all([getPantry(), getHouseRules(), getHousehold()]);
  const { measures, equipment } = household;
  const used = [measures, equipment?.pans[0]?.diameter, equipment?.burners[0]?.kind, equipment?.burners[0]?.power];
  return `${MODEL_VERSION} ${pantry.revision} ${rules.revision} ${createHash("sha256").update(JSON.stringify(used)).digest("base64url").slice(0, 12)}`;
}

/** What a recipe is found by. A diet counts as met only where every line is read and allowed. */
async function searchEntryOf(recipe: Recipe): Promise<db.SearchEntry> {
  const kitchen = await getKitchen();
  const read = openRecipe(recipe, kitchen);
  const lines = judgedLines(read);
  const foods = lines.flatMap(({ food }) => food ?? []);
  const diets =
    lines.length === 0
      ? []
      : [...kitchen.rules.values()]
          .filter((rule) => findings(lines, [rule]).length + stepFindings(read, listedIn(read), [rule]).length === 0)
          .map(({ id }) => id);
  return {
    kind: read.archetype,
    foodIds: [...new Set(foods.map(({ id }) => id))],
    diets,
    tags: recipe.tags ?? [],
    minutes: Math.min(60 * MINUTES_OF_DAY, Math.round(read.steps.reduce((sum, { minutes }) => sum + minutes.usual, 0))),
  };
}

/** Finds out what a recipe is found by, before it is saved; what comes back writes it down within the save. */
export async function searchEntryFor(
  recipe: Recipe,
): Promise<(connection: Parameters<typeof db.writeSearchEntry>[0], id: string, revision: number) => Promise<void>> {
  const [now, entry] = await Promise.all([basis(), searchEntryOf(recipe)]);
  return (connection, id, revision) => db.writeSearchEntry(connection, id, revision, now, entry);
}

const AT_ONCE = 25;
const shared = globalThis as { threpsisSearchIndex?: Promise<void> | undefined };

/** Looks through recipes whose entries are not of today's foods and models, a few at a time, behind the pages. One run at a time. */
export function catchUpSearchIndex(): Promise<void> {
  return (shared.threpsisSearchIndex ??= run()
    .catch((error: unknown) => console.error("Recipes could not be looked through:", error))
    .finally(() => (shared.threpsisSearchIndex = undefined)));
}

async function run(): Promise<void> {
  const database = await getDatabase();
  for (;;) {
    const now = await basis();
    const due = await db.notIndexed(database, now, AT_ONCE);
    if (due.length === 0) return;
    const entries: db.SearchEntry[] = [];
    for (const { recipe } of due) {
      entries.push(await searchEntryOf(recipe));
      // Between two recipes the pages come first.
      await new Promise((resolve) => setImmediate(resolve));
    }
    await database.transaction(async (connection) => {
      for (const [i, { id, revision }] of due.entries()) {
        const found = entries[i];
        if (found) await db.writeSearchEntry(connection, id, revision, now, found);
      }
    });
  }
}

/** What recipes can be found by here, and whether all have been looked through. */
export async function findingChoices(): Promise<{
  readonly tags: readonly string[];
  readonly diets: readonly { readonly id: string; readonly name: string }[];
  readonly waiting: string | null;
}> {
  const database = await getDatabase();
  const waiting = await db.countNotIndexed(database, await basis());
  if (waiting > 0) void catchUpSearchIndex();
  return {
    tags: await db.listTags(database, 40),
    diets: [...(await getKitchen()).rules.values()].map(({ id, name, school }) => ({ id, name: id.includes("/") ? `${name}, ${school}` : name })),
    waiting: waiting > 0 ? formatNumber(waiting) : null,
  };
}
