import { ownFileKind, upgraded, readCsv, writeCsv, writeJsonLd, writeOwnFile } from "../core/exchange";
import { readJsonLd, readRecipe, readRecipeText, type Recipe } from "../core/recipe";
import { checked, parseJson, readText, schemaErrors } from "./door";
import { getHousehold } from "./household";
import { kitchenReference } from "./pantry";
import { Refusal, type ProblemError } from "./problem-details";
import { readHtml } from "./read-html";
import { reading } from "./reading";
import { addRecipes, pasteProblemWords, requireRecipe } from "./recipes";
import { validateImport, validateRecipe } from "./schemas";

/** A file may be larger than any other request: a saved web page often is. */
const MOST_FILE_BYTES = 5 * 1024 ** 2;
/** What was read of it comes back to be kept. */
export const MOST_IMPORT_BYTES = 2 * MOST_FILE_BYTES;
const MOST_RECIPES = 200;

/** What a file was taken for, and the recipes in it; nothing is kept yet. */
export interface FileReading {
  readonly format: "JSON-LD" | "a web page" | "CSV" | "a Threpsis file" | "plain text";
  readonly recipes: readonly Recipe[];
}

const refuse = (why: string, errors: readonly ProblemError[] = []): never => {
  throw new Refusal(422, why, [...errors]);
};

/** Reads the body of a request as a recipe file of any format that is known; refused whole with what is wrong, and where. */
export async function readFile(request: Request): Promise<FileReading> {
  const text = await readText(request, MOST_FILE_BYTES);
  const name = new URL(request.url).searchParams.get("name") ?? "";
  const read = readAny(text, name.toLowerCase());
  if (read.recipes.length > MOST_RECIPES) refuse(`There are ${read.recipes.length} recipes in it; at most ${MOST_RECIPES} at a time.`);
  return read;
}

function readAny(text: string, name: string): FileReading {
  const start = text.replace(/^\uFEFF/, "").trimStart();
  if (start === "") return refuse("The file is empty.");
  if (/\.html?$/.test(name) || /^<(?:!doctype|html|head|body|script|div|article|h1)\b/i.test(start)) return readPage(text);
  if (/\.csv$/.test(name)) return readTable(text);
  if (/^[[{]/.test(start)) return readJson(start);
  return readPlain(text);
}

function readJson(text: string): FileReading {
  const document = parsedOr(text, (why) => refuse(`It begins like JSON but cannot be read as such: ${why}`));
  const kind = ownFileKind(document);
  if (kind === "newer") return refuse("It was made by a newer Threpsis. Bring this one up to date first.");
  if (kind === "ours") {
    const { recipes } = document as { readonly recipes?: unknown };
    if (!Array.isArray(recipes) || recipes.length === 0)
      return refuse("There is no recipe in it.", [{ pointer: "/recipes", detail: "Must be a list of recipes." }]);
    return {
      format: "a Threpsis file",
      recipes: recipes.map(upgraded).map((recipe: unknown, i) =>
        validateRecipe(recipe)
          ? recipe
          : refuse(
              `Recipe ${i + 1} of the file does not fit.`,
              schemaErrors(validateRecipe).map((error) => ({ ...error, pointer: `/recipes/${i}${error.pointer}` })),
            ),
      ),
    };
  }
  return { format: "JSON-LD", recipes: [readLinked(document)] };
}

/** A document, or what is made of the reason why it is none. */
function parsedOr<T>(text: string, otherwise: (why: string) => T): unknown {
  try {
    return parseJson(text);
  } catch (error) {
    if (error instanceof Refusal) return otherwise(error.errors[0]?.detail ?? error.title);
    throw error;
  }
}

function readLinked(document: unknown): Recipe {
  const read = readJsonLd(document);
  return read.ok ? read.value : refuse(`The recipe in it cannot be read. ${read.error[0]?.detail ?? ""}`, read.error);
}

function readPage(html: string): FileReading {
  const { jsonLd, text } = readHtml(html);
  for (const block of jsonLd) {
    const read = readJsonLd(parsedOr(block, () => null));
    if (read.ok) return { format: "a web page", recipes: [read.value] };
  }
  const read = readRecipeText(text);
  return read.ok
    ? { format: "a web page", recipes: [read.value] }
    : refuse(`No recipe was found in the page: it holds none that is marked as such, and its text cannot be read as one. ${pasteProblemWords(read.error)}`);
}

function readTable(text: string): FileReading {
  const read = readCsv(text);
  if (read.ok) return { format: "CSV", recipes: read.value };
  const [first] = read.error;
  return refuse(
    `The table cannot be read${first?.row ? `, row ${first.row}` : ""}. ${first?.detail ?? ""}`,
    read.error.map(({ row, detail }) => ({ pointer: row === null ? "" : `/row/${row}`, detail })),
  );
}

function readPlain(text: string): FileReading {
  const read = readRecipeText(text);
  return read.ok ? { format: "plain text", recipes: [read.value] } : refuse(pasteProblemWords(read.error));
}

/** Keeps recipes that were read and looked at: all of them or none. */
export async function importRecipes(body: unknown): Promise<readonly string[]> {
  const { recipes } = checked(validateImport, body);
  return addRecipes(recipes);
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
  const [reference, { document: household }] = await Promise.all([kitchenReference(), getHousehold()]);
  const body =
    format === "csv"
      ? writeCsv([{ recipe, readings: readRecipe(recipe, reading(reference, household.measures), reference.constants).readings }])
      : `${JSON.stringify(format === "jsonld" ? writeJsonLd(recipe) : writeOwnFile([recipe]), null, 2)}\n`;
  const name =
    recipe.title
      .replace(/[^\p{L}\p{N}]+/gu, "-")
      .replace(/^-|-$/g, "")
      .slice(0, 80) || "recipe";
  return new Response(body, {
    headers: {
      "content-type": `${type}; charset=utf-8`,
      "content-disposition": `attachment; filename="recipe.${ending}"; filename*=UTF-8''${encodeURIComponent(name)}.${ending}`,
      "cache-control": "no-store",
    },
  });
}
