import type { Reference, ServingTemperature } from "../food";
import type { Rule } from "../models/diet";
import { scaleLines, type ReadRecipe } from "../recipe";
import type { AdaptationProblem, Limit, SourceLine } from "./problem";
import type { SubstitutionTables } from "./tables";

/** Who eats and how, in its first form: diets and allergies by rule id, limits, servings, temperature. */
export interface DiningTable {
  readonly rules: readonly string[];
  readonly limits: readonly Limit[];
  /** Above 0. */
  readonly servings: number;
  readonly serve: ServingTemperature;
}

export interface ScaledRecipe {
  readonly factor: number;
  readonly lines: readonly SourceLine[];
  readonly evaporation: { readonly value: number; readonly sd: number };
}

/** The recipe's settled lines and its evaporation, for the table's servings. */
export function scaledFor(read: ReadRecipe, servings: number): ScaledRecipe {
  const factor = servings / read.recipe.servings;
  const lines = scaleLines(read.lines, factor).map((line): SourceLine => {
    const reading = read.readings[line.index];
    return { ...line, optional: reading?.kind === "read" && reading.optional };
  });
  return { factor, lines, evaporation: { value: read.evaporation.grams.value * factor, sd: read.evaporation.grams.sd * factor } };
}

/** The complete problem of a recipe at a table; unknown rule ids are an error of the caller and are left out. */
export function problemFor(
  read: ReadRecipe,
  table: DiningTable,
  reference: Reference,
  tables: SubstitutionTables,
  rules: ReadonlyMap<string, Rule>,
  maxProposals: number,
): AdaptationProblem {
  const { lines, evaporation } = scaledFor(read, table.servings);
  return {
    archetype: read.archetype,
    lines,
    evaporation,
    servings: table.servings,
    cookMinutes: read.cookMinutes,
    serve: table.serve,
    rules: table.rules.flatMap((id) => rules.get(id) ?? []),
    limits: table.limits,
    reference,
    tables,
    maxProposals,
  };
}
