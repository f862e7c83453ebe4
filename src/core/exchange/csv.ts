import Papa from "papaparse";
import { ROLES, type Role } from "../food";
import { fail, succeed, type Result } from "../numeric";
import {
  overLimits,
  RECIPE_LIMITS,
  readYield,
  type ComponentUse,
  type LineReading,
  type Recipe,
  type RecipeComponent,
  type RecipeLine,
  type RecipeStep,
} from "../recipe";

export interface CsvProblem {
  /** Row of the file, its head being 1; null for the whole. */
  readonly row: number | null;
  readonly detail: string;
}

/** A recipe with what its lines were read as, for the reader's eye. */
interface ReadForCsv {
  readonly recipe: Recipe;
  readonly readings: readonly LineReading[];
}

const COLUMNS = ["recipe", "servings", "kind", "text", "food", "grams", "role", "set by hand", "part", "use"] as const;
const KINDS = ["part", "line", "left out", "step"] as const;
type Kind = (typeof KINDS)[number];

/** What a spreadsheet would run as a formula begins so; such a cell is written with an apostrophe before it. */
const RUNS = /^[=+\-@＝＋－＠\t\r\n]/;
const NEUTRALISED = /^'(?=[=+\-@＝＋－＠\t\r\n'])/;
const NO_READING = ["", "", "", ""] as const;
/** A cell that a spreadsheet does not run. */
export const neutral = (cell: string) => (RUNS.test(cell) || cell.startsWith("'") ? `'${cell}` : cell);
const natural = (cell: string) => cell.replace(NEUTRALISED, "");

/** Recipes as one table: a row for each line and step; food and grams as they were read, and which of them by hand. Notes are private and stay. */
export function writeCsv(recipes: readonly ReadForCsv[]): string {
  const rows = recipes.flatMap(({ recipe, readings }) => {
    const names = new Map((recipe.components ?? []).map(({ id, name }) => [id, name] as const));
    const part = (id: string | undefined) => (id === undefined ? "" : (names.get(id) ?? ""));
    const row = (kind: Kind, text: string, more: readonly string[] = NO_READING, component?: string, use = "") =>
      [recipe.title, String(recipe.servings), kind, text, ...more, part(component), use].map(neutral);
    return [
      ...(recipe.components ?? []).map(({ name, use, into }) => row("part", name, NO_READING, into, use.kind === "part" ? String(use.share) : use.kind)),
      ...recipe.lines.map((line, i) => row(line.choice.leftOut ? "left out" : "line", line.text, readAs(line, readings[i]), line.component)),
      ...recipe.steps.filter(({ text }) => text.trim() !== "").map(({ text, component }) => row("step", text, NO_READING, component)),
    ];
  });
  return `${Papa.unparse([[...COLUMNS], ...rows], { newline: "\r\n" })}\r\n`;
}

function readAs({ choice }: RecipeLine, reading: LineReading | undefined): readonly string[] {
  const food = choice.foodId ?? (reading?.kind === "read" || reading?.kind === "amount unknown" ? reading.food.id : "");
  const read = reading?.kind === "read" ? String(Math.round(reading.grams.value * 100) / 100) : "";
  const role = choice.role ?? (reading && "role" in reading ? reading.role : "");
  const byHand = [choice.foodId !== undefined && "food", choice.grams !== undefined && "grams", choice.role !== undefined && "role"].filter(Boolean).join(" ");
  // What is set by hand keeps all its digits, else it would not come back the same.
  return [food, choice.grams === undefined ? read : String(choice.grams), role, byHand];
}

/**
 * Reads such a table, or one of a spreadsheet with at least a column “text” (or “ingredient”, with “amount” and “unit”
 * beside it). Rows of one recipe name are one recipe, in order. Fails whole, with each row that is wrong.
 */
export function readCsv(text: string): Result<readonly Recipe[], readonly CsvProblem[]> {
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ""), { skipEmptyLines: "greedy" });
  const [head = [], ...rows] = parsed.data;
  if (head.length > MOST_COLUMNS) return fail([{ row: 1, detail: `There are ${head.length} columns; at most ${MOST_COLUMNS} are read.` }]);
  if (rows.length > MOST_ROWS) return fail([{ row: null, detail: `There are ${rows.length} rows; at most ${MOST_ROWS} at a time.` }]);
  const columns = head.map((name) => name.trim().toLowerCase());
  // Of two columns of one name the first counts.
  const placeOf = new Map([...columns.entries()].reverse().map(([at, name]) => [name, at] as const));
  const textColumn = ["text", "line", "ingredient", "ingredients"].find((name) => columns.includes(name));
  if (textColumn === undefined)
    return fail([{ row: 1, detail: `A column “text” (or “ingredient”) is missing. The columns are: ${columns.slice(0, 12).join(", ") || "none"}.` }]);
  const problems: CsvProblem[] = parsed.errors
    .filter(({ type }) => type !== "Delimiter")
    .map(({ row, message }) => ({ row: row === undefined ? null : row + 1, detail: message }));
  const recipes = new Map<string, Draft>();
  for (const [i, cells] of rows.entries()) {
    if (problems.length >= MOST_PROBLEMS) break;
    const cell = (name: string) => natural((cells[placeOf.get(name) ?? -1] ?? "").trim());
    const body =
      textColumn === "text" || textColumn === "line"
        ? cell(textColumn)
        : [cell("amount") || cell("quantity"), cell("unit"), cell(textColumn)].filter(Boolean).join(" ");
    const why = takeRow(recipes, cell, body);
    if (why !== null) problems.push({ row: i + 2, detail: why });
  }
  const read: readonly Recipe[] = [...recipes.values()].map(({ title, servings, lines, steps, components }) => ({
    title,
    servings: servings ?? 6,
    lines,
    steps,
    ...(components.length > 0 ? { components } : {}),
    evaporation: null,
    archetype: null,
  }));
  for (const recipe of read) for (const { detail } of overLimits(recipe)) problems.push({ row: null, detail: `“${recipe.title.slice(0, 60)}”. ${detail}` });
  for (const { title, lines } of recipes.values()) {
    if (lines.length === 0) problems.push({ row: null, detail: `“${title}” has no ingredient line.` });
  }
  if (recipes.size === 0) problems.push({ row: null, detail: "There is no row below the head." });
  if (problems.length > 0) return fail(problems.slice(0, MOST_PROBLEMS));
  return succeed(read);
}

const MOST_COLUMNS = 200;
const MOST_ROWS = 50_000;
const MOST_PROBLEMS = 20;

interface Draft {
  readonly title: string;
  servings: number | null;
  readonly lines: RecipeLine[];
  readonly steps: RecipeStep[];
  readonly components: RecipeComponent[];
}

/** Takes one row into its recipe; says what is wrong with it. */
function takeRow(recipes: Map<string, Draft>, cell: (name: string) => string, body: string): string | null {
  const title = cell("recipe") || cell("title") || "Untitled sweet";
  const recipe = recipes.get(title) ?? { title, servings: null, lines: [], steps: [], components: [] };
  recipes.set(title, recipe);
  const stated = cell("servings");
  const servings = stated ? (readYield(stated, true)?.servings ?? null) : null;
  if (stated && (servings === null || servings <= 0)) return `“${stated}” is not a number of servings.`;
  recipe.servings ??= servings;
  if (body === "") return null;
  const kind = cell("kind") || "line";
  const part = partOf(recipe, cell("part"));
  if (recipe.components.length > RECIPE_LIMITS.components) return `“${title}” has more than ${RECIPE_LIMITS.components} parts.`;
  if (kind === "part") {
    const use = readUse(cell("use"));
    if (use === null) return `“${cell("use")}” is no use of a part: whole, apart, or a share such as 0.5.`;
    const known = recipe.components.findIndex(({ name }) => name === body);
    const component = {
      id: recipe.components[known]?.id ?? `c${recipe.components.length + 1}`,
      name: body,
      use,
      ...(part === undefined ? {} : { into: part }),
    };
    recipe.components.splice(known < 0 ? recipe.components.length : known, known < 0 ? 0 : 1, component);
  } else if (kind === "step")
    recipe.steps.push({ id: `s${recipe.steps.length + 1}`, text: body, choice: {}, ...(part === undefined ? {} : { component: part }) });
  else if (kind === "line" || kind === "left out") {
    const choice = choiceOf(cell, kind === "left out");
    if (typeof choice === "string") return choice;
    recipe.lines.push({ id: `l${recipe.lines.length + 1}`, text: body, choice, ...(part === undefined ? {} : { component: part }) });
  } else return `“${kind}” is no kind of row: ${KINDS.join(", ")}.`;
  return null;
}

/** The part of that name, by id; one that no row told before is told by being named. */
function partOf(recipe: Draft, name: string): string | undefined {
  if (name === "") return undefined;
  const known = recipe.components.find((component) => component.name === name);
  if (known) return known.id;
  const id = `c${recipe.components.length + 1}`;
  recipe.components.push({ id, name: name.slice(0, 100), use: { kind: "whole" } });
  return id;
}

function readUse(word: string): ComponentUse | null {
  if (word === "" || word === "whole") return { kind: "whole" };
  if (word === "apart") return { kind: "apart" };
  const share = Number(word.replace(",", "."));
  return share > 0 && share <= 1 ? { kind: "part", share } : null;
}

function choiceOf(cell: (name: string) => string, leftOut: boolean): RecipeLine["choice"] | string {
  const byHand = cell("set by hand").split(/[\s,]+/);
  const grams = Number(cell("grams").replace(",", "."));
  const role = cell("role");
  if (byHand.includes("grams") && !(grams > 0)) return `“${cell("grams")}” are no grams above 0.`;
  if (byHand.includes("role") && !ROLES.some((each) => each === role)) return `“${role}” is no role: ${ROLES.join(", ")}.`;
  return {
    ...(leftOut ? { leftOut: true } : {}),
    ...(byHand.includes("food") && cell("food") ? { foodId: cell("food") } : {}),
    ...(byHand.includes("grams") ? { grams } : {}),
    ...(byHand.includes("role") ? { role: role as Role } : {}),
  };
}
