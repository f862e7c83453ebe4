"use client";

import Link from "next/link";
import { useRouter, useSearchParams } from "next/navigation";
import { useState } from "react";
import { buttonClass } from "../parts/button";
import { send } from "../parts/send";
import { PageHead } from "../shell/shell";
import { VersionList, type VersionRowData } from "../version/version-list";

export interface RecipeRowData {
  readonly id: string;
  readonly title: string;
  readonly servings: number;
  readonly lineCount: number;
  readonly firstLines: readonly string[];
  /** What its table asks for, in words. */
  readonly wishes: readonly string[];
  readonly versionCount: number;
  readonly updated: string;
}

/** The recipes as handed down, and beside them the versions kept last. */
export function RecipesPage({
  recipes,
  total,
  page,
  pages,
  search,
  versions,
}: {
  readonly recipes: readonly RecipeRowData[];
  readonly total: number;
  readonly page: number;
  readonly pages: number;
  readonly search: string;
  readonly versions: readonly VersionRowData[];
}) {
  const router = useRouter();
  const parameters = useSearchParams();
  const [words, setWords] = useState(search);
  const address = (query: string, at: number) => {
    const next = new URLSearchParams(parameters);
    next.delete("page");
    if (query) next.set("search", query);
    else next.delete("search");
    if (at > 1) next.set("page", String(at));
    return next.size ? `/?${next}` : "/";
  };
  return (
    <>
      <PageHead title="Recipes" line="As handed down. Open one, set its table, and see the version for it.">
        <Link href="/recipes/new" className={buttonClass("primary")}>
          Paste a recipe
        </Link>
      </PageHead>
      <main id="main" className="lg:min-h-[calc(100dvh-82px)] lg:grid lg:grid-cols-[1fr_404px]">
        <section className="p-4 md:p-5" aria-label="Recipes">
          {(total > 8 || search) && (
            <form
              role="search"
              className="mb-4 flex gap-2"
              onSubmit={(event) => {
                event.preventDefault();
                router.push(address(words.trim(), 1));
              }}
            >
              <input
                aria-label="Find a recipe by its title"
                placeholder="Find by title"
                value={words}
                onChange={(event) => setWords(event.target.value)}
                className="border border-edge bg-sheet px-3 min-h-11 flex-1 max-w-96"
              />
              <button className={buttonClass("plain")}>Find</button>
            </form>
          )}
          {recipes.length === 0 ? (
            search ? (
              <p>
                No recipe is called “{search}”.{" "}
                <Link className="underline" href="/">
                  Show all
                </Link>
              </p>
            ) : (
              <div className="max-w-[60ch]">
                <h2 className="t-h2">No recipes yet</h2>
                <p className="mt-2">
                  Copy a recipe from a notebook or a message and paste it as it is: a title, ingredient lines in cups and spoons, steps. Each line becomes a
                  food and grams; what cannot be read is asked about.
                </p>
                <Link href="/recipes/new" className={buttonClass("plain", "mt-4")}>
                  Paste a recipe
                </Link>
              </div>
            )
          ) : (
            <ul className="bg-sheet border border-ink">
              {recipes.map((recipe) => (
                <RecipeRow key={recipe.id} recipe={recipe} onRemoved={() => router.refresh()} />
              ))}
            </ul>
          )}
          {total <= FEW && !search && <WayOfWork />}
          {pages > 1 && (
            <nav aria-label="Pages" className="flex gap-4 mt-4 items-baseline">
              {page > 1 && (
                <Link className="underline" href={address(search, page - 1)}>
                  Before
                </Link>
              )}
              <span className="t-small text-ink2">
                Page {page} of {pages}, {total.toLocaleString("en")} recipes
              </span>
              {page < pages && (
                <Link className="underline" href={address(search, page + 1)}>
                  Next
                </Link>
              )}
            </nav>
          )}
        </section>
        <aside className="lg:crease-l p-4 md:p-5" aria-label="Kept versions">
          <h2 className="t-h2">Kept last</h2>
          {versions.length === 0 ? (
            <p className="t-ledger text-ink2 mt-2 rule-t pt-2">A version kept on the Swap station is listed here, with its figures as they were.</p>
          ) : (
            <VersionList versions={versions} />
          )}
        </aside>
      </main>
    </>
  );
}

function RecipeRow({ recipe, onRemoved }: { readonly recipe: RecipeRowData; readonly onRemoved: () => void }) {
  const [asked, setAsked] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  return (
    <li className="border-b border-line last:border-b-0 flex flex-wrap items-center gap-x-4 px-4 py-1 min-h-[58px]">
      <Link href={`/recipes/${recipe.id}/recipe`} className="flex-1 min-w-56 w-0 py-2 group">
        <span className="block text-[17px] font-[590] [font-stretch:108%] group-hover:underline">{recipe.title}</span>
        <span className="block t-ledger text-ink2 truncate">
          {recipe.firstLines.join(", ")}
          {recipe.lineCount > recipe.firstLines.length && " …"}
        </span>
        <span className="t-small text-ink2">
          {recipe.lineCount} {recipe.lineCount === 1 ? "line" : "lines"}, {recipe.servings} servings · changed {recipe.updated}
          {recipe.wishes.length > 0 && <> · for a table: {recipe.wishes.join(", ")}</>}
          {recipe.versionCount > 0 && <> · {recipe.versionCount} kept</>}
        </span>
      </Link>
      <span className="flex gap-3 items-center">
        <Link href={`/recipes/${recipe.id}/table`} className="underline underline-offset-3 py-2">
          Set the table
        </Link>
        {asked ? (
          <>
            <button
              type="button"
              className="text-rose underline py-2"
              onClick={() =>
                void send("DELETE", `/api/recipes/${recipe.id}`).then(onRemoved, (error: unknown) =>
                  setWhy(error instanceof Error ? error.message : "It could not be deleted."),
                )
              }
            >
              Delete it for good
            </button>
            <button type="button" className="underline py-2" onClick={() => setAsked(false)}>
              Keep it
            </button>
          </>
        ) : (
          <button type="button" className="underline underline-offset-3 py-2 text-ink2" onClick={() => setAsked(true)} aria-label={`Delete ${recipe.title}`}>
            Delete
          </button>
        )}
      </span>
      {why && (
        <p role="alert" className="t-small text-rose w-full pb-2">
          {why}
        </p>
      )}
    </li>
  );
}

/** While there are few recipes, the way of work is shown under them. */
const FEW = 6;
const WAY: readonly (readonly [string, string])[] = [
  ["Recipe", "Paste it as it is written. Each line becomes a food and grams; what cannot be read is asked about."],
  ["Table", "Say who eats: vegan, no dairy, no gluten, a nut left out, a limit of free sugars; how many, hot or chilled."],
  ["Swap", "See what breaks which wish, take one of the versions worked out, change amounts by hand, watch the beams."],
  ["Keep", "Keep the version: its amounts, steps and figures stay as they are today."],
];

function WayOfWork() {
  return (
    <section className="mt-8" aria-labelledby="way">
      <h2 id="way" className="t-h2">
        From a recipe to a version
      </h2>
      <ol className="grid sm:grid-cols-2 xl:grid-cols-4 gap-x-6 rule-t mt-2">
        {WAY.map(([name, what], i) => (
          <li key={name} className="py-3 max-xl:border-b border-line">
            <span className="flex items-center gap-2">
              <svg width="14" height="14" viewBox="0 0 20 20" aria-hidden="true">
                <path d="M10 1.5 18.5 10 10 18.5 1.5 10Z" className="fill-ink" />
              </svg>
              <span className="t-h2 text-[15px]">
                {i + 1}. {name}
              </span>
            </span>
            <span className="t-ledger text-ink2 block mt-1">{what}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
