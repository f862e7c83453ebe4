import { type Result, fail, succeed } from "../numeric";
import { MOST_LINES, readServings } from "./read-text";
import { headingIn, Parts } from "./headings";
import { type Recipe, type RecipeStep } from "./recipe";

/** What is wrong with a schema.org Recipe, and where (JSON pointer below the recipe). */
export interface JsonLdProblem {
  readonly pointer: string;
  readonly detail: string;
}

const MOST_TEXT = 2_000;
const DEFAULT_SERVINGS = 6;

type Json = Readonly<Record<string, unknown>>;
const isObject = (value: unknown): value is Json => typeof value === "object" && value !== null && !Array.isArray(value);
const isRecipe = (value: unknown): value is Json =>
  isObject(value) && [value["@type"]].flat().some((type) => type === "Recipe" || type === "https://schema.org/Recipe" || type === "http://schema.org/Recipe");

/**
 * Reads a schema.org Recipe as JSON-LD, alone, in a list, or inside `@graph`: name, recipeYield (number or text),
 * recipeIngredient[], recipeInstructions (text, HowToStep or HowToSection).
 */
export function readJsonLd(document: unknown): Result<Recipe, readonly JsonLdProblem[]> {
  const found = findRecipe(document);
  if (!found) return fail([{ pointer: "", detail: 'No schema.org Recipe was found: give one with "@type": "Recipe", alone or inside "@graph".' }]);
  const { recipe, pointer } = found;
  const problems: JsonLdProblem[] = [];
  const ingredients = [recipe.recipeIngredient].flat().filter((line) => line !== undefined);
  if (ingredients.length === 0) problems.push({ pointer: `${pointer}/recipeIngredient`, detail: "Give at least one ingredient line." });
  if (ingredients.length > MOST_LINES)
    problems.push({ pointer: `${pointer}/recipeIngredient`, detail: `At most ${MOST_LINES} lines; there are ${ingredients.length}.` });
  ingredients.forEach((line, i) => {
    if (typeof line !== "string" || line.trim() === "")
      problems.push({ pointer: `${pointer}/recipeIngredient/${i}`, detail: "An ingredient line must be text." });
    else if (line.length > MOST_TEXT) problems.push({ pointer: `${pointer}/recipeIngredient/${i}`, detail: `At most ${MOST_TEXT} characters in a line.` });
  });
  const title = typeof recipe.name === "string" && recipe.name.trim() ? recipe.name.trim().slice(0, 200) : "Untitled sweet";
  const parts = new Parts();
  const servings = yieldOf(recipe.recipeYield);
  if (recipe.recipeYield !== undefined && servings !== null && servings <= 0)
    problems.push({ pointer: `${pointer}/recipeYield`, detail: "The yield must be above 0." });
  if (problems.length > 0) return fail(problems);
  return succeed({
    title,
    servings: servings ?? DEFAULT_SERVINGS,
    lines: linesOf(ingredients, parts, title),
    steps: stepsOf(recipe.recipeInstructions, parts, title),
    ...(parts.found.length > 0 ? { components: parts.found } : {}),
    evaporation: null,
    archetype: null,
  });
}

function findRecipe(document: unknown): { recipe: Json; pointer: string } | null {
  if (isRecipe(document)) return { recipe: document, pointer: "" };
  const [list, base] = Array.isArray(document)
    ? [document, ""]
    : isObject(document) && Array.isArray(document["@graph"])
      ? [document["@graph"] as unknown[], "/@graph"]
      : [[], ""];
  const index = list.findIndex(isRecipe);
  const recipe: unknown = list[index];
  return isRecipe(recipe) ? { recipe, pointer: `${base}/${index}` } : null;
}

function yieldOf(value: unknown): number | null {
  for (const each of [value].flat()) {
    if (typeof each === "number" && Number.isFinite(each)) return each;
    if (typeof each === "string") {
      const read = readServings(each);
      if (read !== null) return read;
    }
    if (isObject(each) && typeof each.value === "number") return each.value;
  }
  return null;
}

/** The lines; one that heads others ("For the syrup:") names their part. */
function linesOf(ingredients: readonly unknown[], parts: Parts, title: string): Recipe["lines"] {
  let component: string | undefined;
  return ingredients.flatMap((line, i) => {
    const text = typeof line === "string" ? line : "";
    const heading = /:\s*$/.test(text) ? headingIn(text.trim()) : null;
    if (heading !== null) {
      component = parts.named(heading, title);
      return [];
    }
    return [{ id: `l${i + 1}`, text, choice: {}, ...(component === undefined ? {} : { component }) }];
  });
}

/** The steps; a HowToSection is a part of the sweet. */
function stepsOf(value: unknown, parts: Parts, title: string): RecipeStep[] {
  const sections = [value].flat().map((each: unknown) => {
    const name = isObject(each) && each["@type"] === "HowToSection" && typeof each.name === "string" ? each.name.trim().slice(0, 100) : "";
    return { component: name ? parts.named(headingIn(`${name}:`) ?? name, title) : undefined, texts: instructions(each) };
  });
  return sections
    .flatMap(({ component, texts }) => texts.map((text) => ({ text, component })))
    .map(({ text, component }, i) => ({ id: `s${i + 1}`, text, choice: {}, ...(component === undefined ? {} : { component }) }));
}

function instructions(value: unknown): string[] {
  if (typeof value === "string")
    return value
      .split(/\r?\n+/)
      .map((step) => step.replace(/<[^>]*>/g, " ").trim())
      .filter(Boolean);
  if (Array.isArray(value)) return value.flatMap(instructions);
  if (!isObject(value)) return [];
  if (value.itemListElement !== undefined) return instructions(value.itemListElement);
  return typeof value.text === "string" ? instructions(value.text) : typeof value.name === "string" ? instructions(value.name) : [];
}
