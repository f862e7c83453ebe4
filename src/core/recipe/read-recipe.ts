import type { Estimate } from "../numeric";
import type { Constants, Food, Role } from "../food";
import type { HouseholdMeasures } from "../units";
import { guessArchetype, type ArchetypeGuess } from "./archetype";
import { structureOf, type Structure } from "./components";
import { estimateEvaporation } from "./estimate-evaporation";
import { askingHowLong, ledgerOf, withTotal, type Ledger, type LedgerLine } from "./ledger";
import { readLine, type LineReading } from "./read-line";
import type { ReadingContext } from "./reading-context";
import { readSteps, type ReadStepWithTakes } from "./read-steps";
import { stemsOf, unlistedIn, type Unlisted } from "./named-foods";
import { mentionsOf, namesOfLine } from "./mentions";
import { withRatios } from "./ratios";
import { RECIPE_LIMITS } from "./limits";
import type { Archetype, LineId, Recipe, StepId } from "./recipe";

/** A recipe read: every line's reading, every step's, and what can be computed from those that are settled. */
export interface ReadRecipe {
  readonly recipe: Recipe;
  /** One for each line, in their order. */
  readonly readings: readonly LineReading[];
  readonly byLine: ReadonlyMap<LineId, LineReading>;
  /** The settled lines as they end on the table, in order; `index` is the place of each in `recipe.lines`. */
  readonly lines: readonly LedgerLine[];
  readonly unresolved: readonly LineId[];
  readonly archetype: Archetype;
  readonly archetypeGuess: ArchetypeGuess;
  /** Water driven off less water taken up, g (below 0 where more is taken up); `apart`: of it in what is served beside. */
  readonly evaporation: { readonly grams: Estimate; readonly apart: number; readonly how: string; readonly short: string };
  /** Minutes of wet heat the steps state; null where they state none and it is taken to be cooked through. */
  readonly cookMinutes: number | null;
  readonly steps: readonly ReadStepWithTakes[];
  /** What steps name though no line lists it. */
  readonly unlisted: readonly (Unlisted & { readonly step: StepId })[];
  readonly structure: Structure;
  readonly ledger: Ledger;
  /** The household's measures that it was read by. */
  readonly measures: HouseholdMeasures;
}

/** Reads all lines and steps, proposes roles by kind of sweet, and balances the mass. Pure; a few milliseconds. */
export function readRecipe(recipe: Recipe, context: ReadingContext, constants: Constants): ReadRecipe {
  const by = recipe.cup ? { ...context, measures: { ...context.measures, cup: recipe.cup } } : context;
  const first = withRatios(recipe.lines.map((line) => readLine(line, by)));
  const archetypeGuess = guessArchetype(
    settled(first),
    recipe.title,
    recipe.steps.map(({ text }) => text.slice(0, RECIPE_LIMITS.stepCharacters)),
  );
  const archetype = recipe.archetype ?? archetypeGuess.archetype;
  const all = first.reduce((sum, reading) => sum + (reading.kind === "read" ? reading.grams.value : 0), 0);
  const readings = first.map((reading) =>
    "role" in reading && !reading.line.choice.role ? { ...reading, role: proposeRole(reading, archetype, all) } : reading,
  );
  const structure = structureOf(recipe);
  const steps = readSteps(recipe, readings, structure, by, constants.process.value);
  const ledger = ledgerOf(recipe, readings, steps, structure, constants, context);
  const unresolved = readings.flatMap((reading) => ("why" in reading || "apart" in reading ? [reading.line.id] : []));
  const unlisted = unlistedOf(recipe, readings, structure, steps, by);
  const minutes = steps.reduce((sum, step) => sum + wetMinutes(step), 0);
  const evaporation = estimateEvaporation(recipe, ledger, archetype, constants.process.value.pan);
  return {
    recipe,
    readings,
    byLine: new Map(readings.map((reading) => [reading.line.id, reading] as const)),
    lines: ledger.lines,
    unresolved,
    archetype,
    archetypeGuess,
    evaporation,
    cookMinutes: minutes > 0 ? minutes : null,
    steps,
    unlisted,
    structure,
    ledger: askingHowLong(withTotal(ledger, evaporation.grams, evaporation.short), steps, evaporation.usual),
    measures: context.measures,
  };
}

function unlistedOf(
  recipe: Recipe,
  readings: readonly LineReading[],
  structure: Structure,
  steps: readonly ReadStepWithTakes[],
  { find }: ReadingContext,
): ReadRecipe["unlisted"] {
  const listed = readings.flatMap((reading) => ("food" in reading ? [reading.food] : []));
  const named = readings.flatMap((reading) => ("beside" in reading ? reading.beside.foods : []));
  const mentionsIn = mentionsOf([
    ...readings.flatMap((reading) => ("food" in reading ? [{ key: reading.food.id, names: namesOfLine(reading.description, reading.food) }] : [])),
    ...[...structure.components.values()].map(({ id, name }) => ({ key: id, names: [name] })),
  ]);
  const all = new Map([...listed, ...named].map((food) => [food.id, food] as const));
  const known = new Set([...recipe.lines.map(({ text }) => text), ...[...structure.components.values()].map(({ name }) => name)].flatMap(stemsOf));
  return steps.flatMap(({ step: { text, id: step } }) => {
    const within = text.slice(0, RECIPE_LIMITS.stepCharacters);
    return unlistedIn(within, { mentions: mentionsIn(within), listed: all, known, find }).map((each) => ({ ...each, step }));
  });
}

/**
 * What a maker's own words of steps name beside the foods of a version: its rules judge that as what the recipe's steps name. The
 * ids of these steps are given an ending of their own: they are no steps of the recipe.
 */
export function unlistedInOwnWords(
  texts: readonly { readonly step: StepId; readonly text: string }[],
  foods: readonly { readonly food: Food; readonly names: string }[],
  { recipe, structure }: Pick<ReadRecipe, "recipe" | "structure">,
  find: ReadingContext["find"],
): ReadRecipe["unlisted"] {
  const parts = [...structure.components.values()].map(({ id, name }) => ({ key: id, names: [name] }));
  const mentionsIn = mentionsOf([...foods.map(({ food, names }) => ({ key: food.id, names: namesOfLine(names, food) })), ...parts]);
  const listed = new Map(foods.map(({ food }) => [food.id, food] as const));
  const known = new Set([...foods.flatMap(({ food, names }) => [names, food.name]), ...recipe.steps.map(({ text }) => text)].flatMap(stemsOf));
  return texts.flatMap(({ step, text }) => {
    const within = text.slice(0, RECIPE_LIMITS.stepCharacters);
    return unlistedIn(within, { mentions: mentionsIn(within), listed, known, find }).map((each) => ({ ...each, step: `${step}-own` }));
  });
}

/** Minutes of wet heat in a step: in the pan, under a lid, under pressure, in steam or in the oven. */
function wetMinutes({ open, coveredMinutes, operations, minutes, timed }: ReadStepWithTakes): number {
  const inPan = open.reduce((sum, part) => sum + part.minutes, coveredMinutes);
  const closed = timed && operations.some((operation) => ["pressure", "steam", "bake"].includes(operation));
  return closed ? Math.max(inPan, minutes.usual) : inPan;
}

function settled(readings: readonly LineReading[]): LedgerLine[] {
  return readings.flatMap((reading) =>
    reading.kind === "read" ? [{ food: reading.food, grams: reading.grams.value, sd: reading.grams.sd, role: reading.role, id: reading.line.id }] : [],
  );
}

const LED_BY_NUTS: readonly Archetype[] = ["ladoo", "barfi", "loose mix", "fruit-bound", "flour halwa"];
/** From this share of all that goes in on. */
const LEAST_LEAD = 0.2;

/** The role a food plays in this kind of sweet, where it differs from its usual one. */
function proposeRole(reading: Extract<LineReading, { role: Role }>, archetype: Archetype, all: number): Role {
  const { food, description } = reading;
  const share = reading.kind === "read" ? reading.grams.value / Math.max(1, all) : 0;
  // Nuts, seeds and popped grain that a sweet is made of are no garnish of it; fruit that binds it is what it is made of.
  if (LED_BY_NUTS.includes(archetype) && food.role === "crunch" && share >= LEAST_LEAD)
    return food.family === "fruit" ? (archetype === "fruit-bound" ? "bulk" : food.role) : archetype === "fruit-bound" ? food.role : "body";
  if ((food.family === "nut" || food.family === "oilseed") && /\b(ground|paste|powder(ed)?|blended)\b/i.test(description)) return "bulk";
  if (archetype === "flour halwa" && food.thickening.starch?.form === "flour" && food.thickening.starch.grain === "ground") return "body";
  if (food.id === "milk-powder" && archetype === "ladoo") return "bulk";
  return food.role;
}
