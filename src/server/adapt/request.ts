import { openRecipe, USUAL_SOURCES } from "../../core/kitchen";
import { readJsonLd, withAllLines, type LineId, type LineReading, type ReadRecipe, type Recipe } from "../../core/recipe";
import type { DiningTable, Limit } from "../../core/table";
import { kitchenOf } from "../../data";
import { Refusal } from "../http/problems";
import { LIMIT_DIETS, schoolsOf, type TableRequest } from "../http/schemas/adapt";

/** The open interface knows no household: it computes from what ships. */
export const USUAL_KITCHEN = kitchenOf(USUAL_SOURCES);

/** The longest recipe fits, in any script. */
export const MOST_ADAPT_BYTES = 2 * 1024 ** 2;

/** The recipe of a request, as it was sent and as it is read; 422 where nothing can be. */
export function recipeOf(sent: unknown): { readonly parsed: Recipe; readonly read: ReadRecipe } {
  const parsed = readJsonLd(sent);
  if (!parsed.ok)
    throw new Refusal(
      422,
      "The recipe cannot be read.",
      parsed.error.map(({ pointer, detail }) => ({ pointer: `/recipe${pointer}`, detail })),
    );
  const read = openRecipe(withAllLines(parsed.value, USUAL_KITCHEN.reading), USUAL_KITCHEN);
  if (read.lines.length === 0)
    throw new Refusal(
      422,
      "Nothing could be read: no line names a food of the tables with an amount.",
      read.readings.map((each) => ({ pointer: `/recipe/recipeIngredient/${sentAt(each.line.id, parsed.value) ?? ""}`, detail: unresolvedWords(each) })),
    );
  return { parsed: parsed.value, read };
}

/** The table of a request; 422 where a diet names a school that it does not have. */
export function tableOf(request: TableRequest, read: ReadRecipe): DiningTable {
  const rules = new Set<string>();
  const limits: Limit[] = [];
  for (const [i, { id, school }] of (request.diets ?? []).entries()) {
    const schools = schoolsOf(id);
    if (school !== undefined && !schools.includes(school))
      throw new Refusal(422, "A diet names a school that it does not have.", [
        { pointer: `/diets/${i}/school`, detail: `Schools of ${id}: ${schools.join(", ")}.` },
      ]);
    if (id === "low-free-sugars") {
      if (!request.limits?.freeSugars) limits.push({ id: "freeSugars", most: LIMIT_DIETS[id], school: school === "who" ? "who" : "uk" });
    } else if (id === "blood-sugar-aware") {
      if (!request.limits?.glycaemicLoad) limits.push({ id: "glycaemicLoad", most: LIMIT_DIETS[id], school: "uk" });
    } else if (id === "low-saturated-fat") {
      if (!request.limits?.saturatedFat) limits.push({ id: "saturatedFat", most: LIMIT_DIETS[id], school: "uk" });
    } else rules.add(school === undefined || school === "usual" ? id : `${id}/${school}`);
  }
  for (const allergen of request.avoidAllergens ?? []) rules.add(`no-${allergen}`);
  const given = request.limits ?? {};
  if (given.freeSugars) limits.push({ id: "freeSugars", most: given.freeSugars.max_g, school: given.freeSugars.school ?? "uk" });
  if (given.energy) limits.push({ id: "energy", most: given.energy.max_kJ, school: "uk" });
  if (given.saturatedFat) limits.push({ id: "saturatedFat", most: given.saturatedFat.max_g, school: "uk" });
  if (given.glycaemicLoad) limits.push({ id: "glycaemicLoad", most: given.glycaemicLoad.max, school: "uk" });
  if (given.sodium) limits.push({ id: "sodium", most: given.sodium.max_mg, school: "uk" });
  return {
    rules: [...rules],
    limits: limits.filter((limit, i) => limits.findIndex((each) => each.id === limit.id) === i),
    servings: request.servings ?? read.recipe.servings,
    serve: request.serve ?? "hot",
  };
}

export function unresolvedWords(each: LineReading | undefined): string {
  return each && "why" in each ? `${each.why}.` : "It could not be read.";
}

/** The place of a line as it was sent: of what was taken apart, the line that it stood in. */
export const sentAt = (line: LineId, { lines }: Pick<Recipe, "lines">): number | null => {
  const at = lines.findIndex(({ id }) => id === line || line.startsWith(`${id}+`));
  // What only the steps name was not sent as a line.
  return at < 0 ? null : at;
};
