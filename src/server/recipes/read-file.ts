import { SHEET_DATA, ownFileKind, readCsv, upgraded, type SentVersion } from "../../core/exchange";
import { readJsonLd, readRecipeText, type Recipe } from "../../core/recipe";
import { parseJson } from "../http/body";
import { schemaErrors } from "../http/ajv";
import { pasteProblemWords } from "./paste-words";
import { Refusal, type ProblemError } from "../http/problems";
import { readHtml } from "./read-html";
import { validateRecipe } from "../http/schemas/recipe";
import { validateSnapshot } from "../http/schemas/snapshot";

/** What a file was taken for, and the recipes in it; nothing is kept yet. */
export interface FileReading {
  readonly format: "JSON-LD" | "a web page" | "CSV" | "a Threpsis file" | "plain text";
  readonly recipes: readonly Recipe[];
  /** Versions that came with them; of a Threpsis file alone. */
  readonly versions?: readonly SentVersion[];
}

const refuse = (why: string, errors: readonly ProblemError[] = []): never => {
  throw new Refusal(422, why, [...errors]);
};
const MOST_RECIPES = 200;

/** Reads a file of any format that is known, by its text and its name in small letters; throws a Refusal that says what is wrong, and where. */
export function readFileText(text: string, name: string): FileReading {
  const read = readAny(text, name);
  if (read.recipes.length > MOST_RECIPES) refuse(`There are ${read.recipes.length} recipes in it; at most ${MOST_RECIPES} at a time.`);
  return read;
}

/** Reads pasted text; throws a Refusal with a plain message where nothing can be read. */
export function readPastedText(text: string): Recipe {
  const read = readRecipeText(text);
  if (read.ok) return read.value;
  const words = pasteProblemWords(read.error);
  return refuse(words, [{ pointer: "/text", detail: words }]);
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
    const versions = versionsOf(document, recipes.length);
    return {
      format: "a Threpsis file",
      ...(versions.length > 0 ? { versions } : {}),
      recipes: recipes.map(upgraded).map((recipe: unknown, i) =>
        validateRecipe(recipe)
          ? recipe
          : refuse(
              `Recipe ${i + 1} of the file does not fit.`,
              schemaErrors(validateRecipe, recipe).map((error) => ({ ...error, pointer: `/recipes/${i}${error.pointer}` })),
            ),
      ),
    };
  }
  return { format: "JSON-LD", recipes: [readLinked(document)] };
}

/** The versions of a file, each checked as one that is kept here. */
function versionsOf(document: unknown, recipes: number): readonly SentVersion[] {
  const { versions = [] } = document as { readonly versions?: unknown };
  if (!Array.isArray(versions)) return refuse("The versions in it cannot be read.", [{ pointer: "/versions", detail: "Must be a list." }]);
  if (versions.length > MOST_RECIPES) return refuse(`There are ${versions.length} versions in it; at most ${MOST_RECIPES} at a time.`);
  return versions.map((sent: unknown, i) => {
    const { recipe, snapshot } = (typeof sent === "object" && sent !== null ? sent : {}) as { readonly recipe?: unknown; readonly snapshot?: unknown };
    if (typeof recipe !== "number" || !Number.isInteger(recipe) || recipe < 0 || recipe >= recipes)
      return refuse(`Version ${i + 1} of the file names a recipe that is not in it.`, [
        { pointer: `/versions/${i}/recipe`, detail: `Must be a whole number from 0 to ${recipes - 1}.` },
      ]);
    return validateSnapshot(snapshot)
      ? { recipe, snapshot }
      : refuse(
          `Version ${i + 1} of the file does not fit.`,
          schemaErrors(validateSnapshot, snapshot).map((error) => ({ ...error, pointer: `/versions/${i}/snapshot${error.pointer}` })),
        );
  });
}

/** A document, or what is made of the reason why it is none. */
function parsedOr(text: string, otherwise: (why: string) => unknown): unknown {
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
  // A page that was sent from here has the whole of it in a line of its own.
  const own = text.split("\n").find((line) => line.startsWith(SHEET_DATA));
  if (own) return readJson(Buffer.from(own.slice(SHEET_DATA.length), "base64").toString("utf8"));
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
