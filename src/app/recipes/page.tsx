import type { Metadata } from "next";
import { findingChoices } from "@/server/recipes/search-index";
import { findFood } from "@/server/kitchen/pantry";
import { pageNumber, recipesPage, readSearch } from "@/server/recipes/recipes";
import { versionsOf, wishWords } from "@/server/versions/versions";
import { RecipesPage } from "@/ui/places/recipes/recipes-page";
import { dateWords, versionRow } from "../words";

interface Props {
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

export const metadata: Metadata = { title: "Recipes" };

export default async function Page({ searchParams }: Props) {
  const at = new Date().getTime();
  const parameters = await searchParams;
  const search = await readSearch(parameters);
  const page = pageNumber(parameters.page);
  const [{ recipes, total, pages }, versions, choices, wishNames, food] = await Promise.all([
    recipesPage(search, page),
    versionsOf(null, 8),
    findingChoices(),
    wishWords(),
    search.foodId === null ? null : findFood(search.foodId),
  ]);
  return (
    <RecipesPage
      key={`${JSON.stringify(search)} ${page}`}
      recipes={recipes.map(({ updatedAt, rules, limits, ...recipe }) => ({
        ...recipe,
        updated: dateWords(updatedAt),
        wishes: wishNames(rules, limits),
      }))}
      total={total}
      page={page}
      pages={pages}
      search={search}
      foodName={food?.name ?? null}
      choices={choices}
      versions={versions.map(versionRow)}
      at={at}
    />
  );
}
