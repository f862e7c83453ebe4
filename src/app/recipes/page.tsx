import type { Metadata } from "next";
import { recipesPage } from "@/server/recipes";
import { versionsOf, wishNames } from "@/server/versions";
import { RecipesPage } from "@/ui/recipes/recipes-page";
import { dateWords, versionRow } from "../words";

interface Props {
  readonly searchParams: Promise<{ readonly search?: string | string[]; readonly page?: string | string[] }>;
}

export const metadata: Metadata = { title: "Recipes" };

export default async function Page({ searchParams }: Props) {
  const at = new Date().getTime();
  const parameters = await searchParams;
  const search = [parameters.search].flat()[0]?.slice(0, 200) ?? "";
  const page = Math.max(1, Math.floor(Number([parameters.page].flat()[0])) || 1);
  const [{ recipes, total, pages }, versions] = await Promise.all([recipesPage(search, page), versionsOf(null, 8)]);
  return (
    <RecipesPage
      key={`${search} ${page}`}
      recipes={recipes.map(({ updatedAt, rules, limitCount, ...recipe }) => ({
        ...recipe,
        updated: dateWords(updatedAt),
        wishes: wishNames(rules, limitCount),
      }))}
      total={total}
      page={page}
      pages={pages}
      search={search}
      versions={versions.map(versionRow)}
      at={at}
    />
  );
}
