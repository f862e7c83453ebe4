"use client";

import type { RecipeSearch } from "../../../core/recipe";
import { servingsText } from "../../../core/units";
import { useRouter } from "next/navigation";
import { WayOfWork } from "../../panels/way-of-work";
import { buttonClass } from "../../parts/button";
import { RowMenu } from "../../parts/row-menu";
import { Go } from "../../shell/go";
import { Pages } from "../../shell/pages";
import { PageHead } from "../../shell/shell";
import { useDelete } from "../../shell/use-delete";
import { useFresh } from "../../shell/use-fresh";
import { FindRecipes, isLooking, timeWords, type FindChoices } from "./find-recipes";
import { VersionList, type VersionRowData } from "../../panels/version-list";
import { PageColumns } from "../../parts/page-columns";

export interface RecipeRowData {
  readonly id: string;
  readonly title: string;
  readonly servings: number;
  readonly lineCount: number;
  readonly firstLines: readonly string[];
  /** What its table asks for, in words. */
  readonly wishes: readonly string[];
  readonly versionCount: number;
  readonly minutes: number | null;
  readonly tags: readonly string[];
  readonly updated: string;
}

interface RecipesPageProps {
  readonly recipes: readonly RecipeRowData[];
  readonly total: number;
  readonly page: number;
  readonly pages: number;
  readonly search: RecipeSearch;
  /** The food that is looked for, by its name. */
  readonly foodName: string | null;
  readonly choices: FindChoices;
  readonly versions: readonly VersionRowData[];
  readonly at: number;
}

/** While there are few recipes, the way of work is shown under them. */
const FEW = 6;

/** The recipes as handed down, and beside them the versions kept last. */
export function RecipesPage({ recipes, total, page, pages, search, foodName, choices, versions, at }: RecipesPageProps) {
  useFresh(at);
  const looking = isLooking(search);
  return (
    <>
      <PageHead title="Recipes" line="As handed down. Open one, set its table, and see the version for it.">
        <span className="no-print flex flex-wrap gap-x-5 gap-y-1 items-center">
          {total > 0 && (
            <Go href="/recipes/suits" className="underline inline-flex items-center min-h-11">
              Which suits a table?
            </Go>
          )}
          <Go href="/recipes/new" className={buttonClass("primary")}>
            Paste a recipe
          </Go>
        </span>
      </PageHead>
      <PageColumns>
        <section className="p-4 md:p-5 min-w-0" aria-label="Recipes">
          {(total > 5 || looking) && <FindRecipes search={search} foodName={foodName} choices={choices} total={total} />}
          {recipes.length === 0 ? (
            looking ? (
              <p>
                No recipe is found by that.{" "}
                <Go className="underline" href="/recipes">
                  Show all
                </Go>
              </p>
            ) : (
              <div className="max-w-[60ch]">
                <h2 className="t-h2">No recipes yet</h2>
                <p className="mt-2">
                  Copy a recipe from a notebook or a message and paste it as it is: a title, ingredient lines in cups and spoons, steps. Each line becomes a
                  food and grams; what cannot be read is asked about.
                </p>
                <Go href="/recipes/new" className={buttonClass("plain", "mt-4")}>
                  Paste a recipe
                </Go>
              </div>
            )
          ) : (
            <ul className="bg-sheet border border-ink">
              {recipes.map((recipe) => (
                <RecipeRow key={recipe.id} recipe={recipe} />
              ))}
            </ul>
          )}
          {total <= FEW && !looking && <WayOfWork />}
          <Pages page={page} pages={pages} total={total} what="recipes" address="/recipes" />
        </section>
        <aside className="lg:crease-l p-4 md:p-5" aria-label="Kept versions">
          <h2 className="t-h2 flex justify-between items-baseline">
            Kept last
            {versions.length > 0 && (
              <Go href="/versions" className="underline t-ledger">
                All
              </Go>
            )}
          </h2>
          {versions.length === 0 ? (
            <p className="t-ledger text-ink2 mt-2 rule-t pt-2">A version kept on the Swap station is listed here, with its figures as they were.</p>
          ) : (
            <VersionList versions={versions} />
          )}
          <p className="mt-4 t-ledger">
            <Go href="/recipes/deleted" className="underline">
              Deleted lately
            </Go>
          </p>
        </aside>
      </PageColumns>
    </>
  );
}

function RecipeRow({ recipe }: { readonly recipe: RecipeRowData }) {
  const router = useRouter();
  const { remove } = useDelete();
  const open = (station: string) => router.push(`/recipes/${recipe.id}/${station}`);
  return (
    <li className="border-b border-line last:border-b-0 flex items-center gap-x-3 pl-4 pr-2 py-1 min-h-[58px]">
      <Go href={`/recipes/${recipe.id}/recipe`} className="flex-1 min-w-0 py-2 group">
        <span className="block text-[17px] font-[590] [font-stretch:108%] group-hover:underline">{recipe.title}</span>
        <span className="block t-ledger text-ink2 truncate">
          {recipe.firstLines.join(", ")}
          {recipe.lineCount > recipe.firstLines.length && " …"}
        </span>
        <span className="t-small text-ink2">
          {recipe.lineCount} {recipe.lineCount === 1 ? "line" : "lines"}, {servingsText(recipe.servings)}
          {recipe.minutes !== null && recipe.minutes > 0 && <> · {timeWords(recipe.minutes)}</>}
          {recipe.tags.length > 0 && <> · {recipe.tags.join(", ")}</>} · changed {recipe.updated}
          {recipe.wishes.length > 0 && <> · for a table: {recipe.wishes.join(", ")}</>}
          {recipe.versionCount > 0 && ` · ${recipe.versionCount}\u00a0kept`}
        </span>
      </Go>
      <span className="flex gap-1 items-center no-print">
        <Go href={`/recipes/${recipe.id}/table`} className="underline underline-offset-3 py-3 max-sm:hidden">
          Set the table
        </Go>
        <RowMenu
          label={`More of ${recipe.title}`}
          actions={[
            { label: "Set the table", run: () => open("table") },
            { label: "To the bench", run: () => open("swap") },
            { label: "Its versions, side by side", run: () => open("lineage") },
            { label: "Delete", run: () => remove("recipes", recipe.id, recipe.title), takesAway: true },
          ]}
        />
      </span>
    </li>
  );
}
