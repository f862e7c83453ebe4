import { groundOf, recipeInput } from "../../core/adaptation";
import { openBench, openInWays, openRecipe, type Kitchen } from "../../core/kitchen";
import type { EvaluationInput } from "../../core/evaluate";
import { judgeClaims, nutritionProfile, type ClaimFinding, type NutritionProfile, type RuleBook } from "../../core/nutrition";
import { versionInput } from "../../core/substitution";
import { getKitchen } from "../kitchen/kitchen";
import { getAdaptation, getRecipe } from "./recipes";
import { getVersion } from "../versions/versions";

/** All that the nutrition of a sweet shows: the recipe's, the version's where there is one, and what each rule book says. */
export interface NutritionView {
  readonly title: string;
  /** Of which version: "Closest", "By hand"; null where there is only the recipe. */
  readonly label: string | null;
  readonly before: NutritionProfile;
  readonly after: NutritionProfile | null;
  readonly books: readonly (Pick<RuleBook, "id" | "name" | "intakeSource" | "intakes"> & { readonly claims: readonly ClaimFinding[] })[];
  /** Lines that are not in the figures because they are not read yet. */
  readonly unread: number;
  readonly backTo: string;
}

function viewOf(
  { reference: { constants }, retention, books: ruleBooks }: Kitchen,
  title: string,
  label: string | null,
  before: EvaluationInput,
  after: EvaluationInput | null,
  unread: number,
  backTo: string,
): NutritionView {
  const profiles = { before: nutritionProfile(before, constants, retention), after: after && nutritionProfile(after, constants, retention) };
  const [input, profile] = after && profiles.after ? [after, profiles.after] : [before, profiles.before];
  const books = ruleBooks.map((book) => {
    const { id, name, intakeSource, intakes } = book;
    return { id, name, intakeSource, intakes, claims: judgeClaims(book, input, profile, profiles.before, unread) };
  });
  return { title, label, ...profiles, books, unread, backTo };
}

/** Of a recipe and what is on its bench; null where there is no such recipe. */
export async function recipeNutrition(id: string): Promise<NutritionView | null> {
  const stored = await getRecipe(id);
  if (!stored) return null;
  const { table, bench } = await getAdaptation(id, stored.recipe);
  const kitchen = await getKitchen();
  const read = openRecipe(stored.recipe, kitchen);
  const made = openInWays(stored.recipe, bench.document?.ways, kitchen).read;
  const state = openBench(bench.document, made, table.document, kitchen)?.state;
  return viewOf(
    kitchen,
    stored.recipe.title,
    state?.label ?? null,
    recipeInput(read, table.document),
    !state ? null : versionInput(state.version, groundOf(made, table.document)),
    read.unresolved.length,
    `/recipes/${id}/${state ? "swap" : "recipe"}`,
  );
}

/** Of a kept version, from its own foods and figures. */
export async function versionNutrition(id: string): Promise<NutritionView | null> {
  const version = await getVersion(id);
  if (!version?.snapshot) return null;
  const { asHandedDown, forThisTable, label } = version.snapshot;
  return viewOf(await getKitchen(), version.title, label, asHandedDown.input, forThisTable.input, 0, `/versions/${id}`);
}
