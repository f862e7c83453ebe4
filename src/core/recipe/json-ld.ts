import { type Result, fail, succeed } from "../numeric";
import { overLimits, RECIPE_LIMITS } from "./limits";
import { readYield, type ReadYield } from "./yield";
import { headingIn, Parts } from "./headings";
import { singleSpaced, withoutTags } from "./plain-text";
import { type Recipe, type RecipeStep } from "./recipe";

/** What is wrong with a schema.org Recipe, and where (JSON pointer below the recipe). */
export interface JsonLdProblem {
  readonly pointer: string;
  readonly detail: string;
}

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
  if (ingredients.length > RECIPE_LIMITS.lines)
    problems.push({ pointer: `${pointer}/recipeIngredient`, detail: `At most ${RECIPE_LIMITS.lines} lines; there are ${ingredients.length}.` });
  ingredients.forEach((line, i) => {
    if (typeof line !== "string" || line.trim() === "")
      problems.push({ pointer: `${pointer}/recipeIngredient/${i}`, detail: "An ingredient line must be text." });
    else if (line.length > RECIPE_LIMITS.lineCharacters)
      problems.push({ pointer: `${pointer}/recipeIngredient/${i}`, detail: `At most ${RECIPE_LIMITS.lineCharacters} characters in a line.` });
  });
  const title = typeof recipe.name === "string" && recipe.name.trim() ? recipe.name.trim().slice(0, RECIPE_LIMITS.titleCharacters) : "Untitled sweet";
  const parts = new Parts();
  const made = yieldOf(recipe.recipeYield);
  if (recipe.recipeYield !== undefined && made !== null && made.servings <= 0)
    problems.push({ pointer: `${pointer}/recipeYield`, detail: "The yield must be above 0." });
  if (problems.length > 0) return fail(problems);
  const read: Recipe = {
    title,
    servings: made?.servings ?? DEFAULT_SERVINGS,
    ...(made?.makes && { makes: made.makes }),
    lines: linesOf(ingredients, parts, title),
    steps: stepsOf(recipe.recipeInstructions, parts, title),
    ...(parts.found.length > 0 ? { components: parts.found } : {}),
    evaporation: null,
    archetype: null,
  };
  const over = overLimits(read);
  return over.length > 0 ? fail(over.map((each) => ({ pointer: pointerOf(each.pointer, pointer), detail: each.detail }))) : succeed(read);
}

/** Where in the sent recipe it stands: as a schema.org Recipe names its members. */
const pointerOf = (own: string, base: string): string =>
  `${base}${own
    .replace("/servings", "/recipeYield")
    .replace(/^\/(lines|steps)(?=$|\/)/, (_, list: string) => (list === "lines" ? "/recipeIngredient" : "/recipeInstructions"))
    .replace(/\/text$/, "")}`;

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

function yieldOf(value: unknown): ReadYield | null {
  const read = [value].flat().flatMap((each): ReadYield[] => {
    if (typeof each === "number" && Number.isFinite(each)) return [{ servings: each }];
    if (typeof each === "string") return [readYield(each, true) ?? []].flat();
    return isObject(each) && typeof each.value === "number" ? [{ servings: each.value }] : [];
  });
  const makes = read.find((each) => each.makes)?.makes;
  const [first] = read;
  const servings = read.find((each) => !each.makes)?.servings ?? first?.servings;
  return servings === undefined ? null : { servings, ...(makes && { makes }) };
}

/** The lines; one that heads others ("For the syrup:") names their part. */
function linesOf(ingredients: readonly unknown[], parts: Parts, title: string): Recipe["lines"] {
  let component: string | undefined;
  return ingredients.flatMap((line, i) => {
    const text = typeof line === "string" ? line : "";
    const trimmed = singleSpaced(text);
    const heading = trimmed.endsWith(":") ? headingIn(trimmed) : null;
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

/** Sections within sections are followed this far. */
const MOST_DEPTH = 8;

function instructions(value: unknown, depth = 0): string[] {
  if (depth > MOST_DEPTH) return [];
  if (typeof value === "string")
    return value
      .split("\n")
      .map((step) => withoutTags(step).trim())
      .filter(Boolean);
  if (Array.isArray(value)) return value.flatMap((each) => instructions(each, depth + 1));
  if (!isObject(value)) return [];
  if (value.itemListElement !== undefined) return instructions(value.itemListElement, depth + 1);
  return typeof value.text === "string" ? instructions(value.text, depth) : typeof value.name === "string" ? instructions(value.name, depth) : [];
}
