import { randomUUID } from "node:crypto";
import { writeCsv, writeJsonLd, writeOwnFile } from "../../core/exchange";
import { openRecipe } from "../../core/kitchen";
import { withAllLines } from "../../core/recipe";
import * as db from "../../db";
import { schemaErrors } from "../http/ajv";
import { checked } from "../http/checked";
import { download } from "../http/download";
import { readText } from "../http/body";
import { getKitchen } from "../kitchen/kitchen";
import { Refusal } from "../http/problems";
import type { FileReading } from "./read-file";
import { readBeside } from "./reading-thread";
import { addRecipes, requireRecipe } from "./recipes";
import { validateImport } from "../http/schemas/documents";
import { validateSnapshot } from "../http/schemas/snapshot";

/** A file may be larger than any other request: a saved web page often is. */
const MOST_FILE_BYTES = 5 * 1024 ** 2;
/** What was read of it comes back to be kept. */
export const MOST_IMPORT_BYTES = 2 * MOST_FILE_BYTES;

/** Reads the body of a request as a recipe file of any format that is known; refused whole with what is wrong, and where. */
export async function readFile(request: Request): Promise<FileReading> {
  const text = await readText(request, MOST_FILE_BYTES);
  const name = new URL(request.url).searchParams.get("name") ?? "";
  const [read, kitchen] = await Promise.all([readBeside({ kind: "file", text, name: name.toLowerCase() }, request.signal), getKitchen()]);
  // What comes from here is as it was settled here.
  return read.format === "a Threpsis file" ? read : { ...read, recipes: read.recipes.map((recipe) => withAllLines(recipe, kitchen.reading)) };
}

/** Keeps recipes that were read and looked at: all of them or none. */
export async function importRecipes(body: unknown): Promise<readonly string[]> {
  const { recipes, versions = [] } = checked(validateImport, body);
  const kept = versions.map(({ recipe, snapshot }, i) => {
    const pointer = `/versions/${i}`;
    const title = recipes[recipe]?.title;
    if (title === undefined)
      throw new Refusal(422, "A version names a recipe that does not come with it.", [
        { pointer: `${pointer}/recipe`, detail: "Name one by its place, from 0." },
      ]);
    if (!validateSnapshot(snapshot))
      throw new Refusal(
        422,
        "A version does not fit.",
        schemaErrors(validateSnapshot, snapshot).map((error) => ({ ...error, pointer: `${pointer}/snapshot${error.pointer}` })),
      );
    return { recipe, title, snapshot };
  });
  const at = new Date().toISOString();
  return addRecipes(recipes, async (connection, ids) => {
    for (const { recipe, title, snapshot } of kept)
      await db.insertVersion(
        connection,
        { id: randomUUID(), recipeId: ids[recipe] ?? "", title, label: snapshot.label || "As it was sent", snapshot, parentId: null, why: "", whom: "" },
        at,
      );
  });
}

const EXPORTS = {
  jsonld: { type: "application/ld+json", ending: "jsonld" },
  csv: { type: "text/csv", ending: "csv" },
  threpsis: { type: "application/json", ending: "threpsis.json" },
} as const;
const isExportFormat = (word: string): word is keyof typeof EXPORTS => Object.hasOwn(EXPORTS, word);

/** A recipe as a file to keep or send. */
export async function exportRecipe(id: string, format: string): Promise<Response> {
  if (!isExportFormat(format)) throw new Refusal(404, `There is no such format: ${Object.keys(EXPORTS).join(", ")}.`);
  const { recipe } = await requireRecipe(id);
  const { type, ending } = EXPORTS[format];
  const body =
    format === "csv"
      ? writeCsv([{ recipe, readings: openRecipe(recipe, await getKitchen()).readings }])
      : `${JSON.stringify(format === "jsonld" ? writeJsonLd(recipe) : writeOwnFile([recipe]), null, 2)}\n`;
  return download(body, recipe.title, "recipe", { type, ending });
}
