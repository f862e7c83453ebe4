import type { Estimate } from "../numeric";
import type { Constants, Role } from "../food";
import type { HouseholdMeasures } from "../units";
import { statedCooking } from "../process";
import { guessArchetype, type ArchetypeGuess } from "./archetype";
import { estimateEvaporation } from "./estimate-evaporation";
import { readLine, type LineReading, type ReadingContext } from "./read-line";
import type { Archetype, BalancedLine, Recipe } from "./recipe";

/** A recipe read: every line's reading, and what can be computed from those that are settled. */
export interface ReadRecipe {
  readonly recipe: Recipe;
  readonly readings: readonly LineReading[];
  /** The settled lines, in order; `index` is the place of each in `recipe.lines`. */
  readonly lines: readonly (BalancedLine & { readonly index: number })[];
  readonly unresolved: readonly number[];
  readonly archetype: Archetype;
  readonly archetypeGuess: ArchetypeGuess;
  readonly evaporation: { readonly grams: Estimate; readonly how: string };
  /** Minutes of wet heat the steps state; null where they state none and it is taken to be cooked through. */
  readonly cookMinutes: number | null;
  /** The household's measures that it was read by. */
  readonly measures: HouseholdMeasures;
}

/** Reads all lines, proposes roles by kind of sweet, and estimates the evaporation. Pure; a few milliseconds. */
export function readRecipe(recipe: Recipe, context: ReadingContext, constants: Constants): ReadRecipe {
  const first = recipe.lines.map((line) => readLine(line, context));
  const archetypeGuess = guessArchetype(settled(first));
  const archetype = recipe.archetype ?? archetypeGuess.archetype;
  const readings = first.map((reading) => ("role" in reading && !reading.line.choice.role ? { ...reading, role: proposeRole(reading, archetype) } : reading));
  const lines = settled(readings);
  const unresolved = readings.flatMap((reading, i) => (reading.kind === "food unknown" || reading.kind === "amount unknown" ? [i] : []));
  const cooking = statedCooking(recipe.steps);
  const minutes = cooking.coveredMinutes + cooking.open.reduce((sum, part) => sum + part.minutes, 0);
  const evaporation =
    recipe.evaporation === null
      ? estimateEvaporation(lines, recipe.steps, archetype, constants.evaporationFlux.value)
      : { grams: { value: recipe.evaporation, sd: recipe.evaporation * 0.05 }, how: "set by hand" };
  return { recipe, readings, lines, unresolved, archetype, archetypeGuess, evaporation, cookMinutes: minutes > 0 ? minutes : null, measures: context.measures };
}

function settled(readings: readonly LineReading[]): (BalancedLine & { index: number })[] {
  return readings.flatMap((reading, index) =>
    reading.kind === "read" ? [{ food: reading.food, grams: reading.grams.value, sd: reading.grams.sd, role: reading.role, index }] : [],
  );
}

/** The role a food plays in this kind of sweet, where it differs from its usual one. */
function proposeRole(reading: Extract<LineReading, { role: Role }>, archetype: Archetype): Role {
  const { food, description } = reading;
  if ((food.family === "nut" || food.family === "oilseed") && /\b(ground|paste|powder(ed)?|blended)\b/i.test(description)) return "bulk";
  if (archetype === "flour halwa" && food.thickening.starch?.form === "flour" && food.thickening.starch.grain === "ground") return "body";
  if (food.id === "milk-powder" && archetype === "ladoo") return "bulk";
  return food.role;
}
