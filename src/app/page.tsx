import { recipesPage } from "@/server/recipes";
import { ruleNames, versionsOf } from "@/server/versions";
import { RecipesPage } from "@/ui/recipes/recipes-page";
import { dateWords, versionRow } from "./words";

interface Props {
  readonly searchParams: Promise<{ readonly search?: string | string[]; readonly page?: string | string[] }>;
}

export default async function Page({ searchParams }: Props) {
  const parameters = await searchParams;
  const search = [parameters.search].flat()[0]?.slice(0, 200) ?? "";
  const page = Math.max(1, Math.floor(Number([parameters.page].flat()[0])) || 1);
  const [{ recipes, total, pages }, versions] = await Promise.all([recipesPage(search, page), versionsOf(null, 8)]);
  return (
    <RecipesPage
      recipes={recipes.map(({ updatedAt, rules, limitCount, ...recipe }) => ({
        ...recipe,
        updated: dateWords(updatedAt),
        wishes: [...ruleNames(rules), ...(limitCount > 0 ? [limitCount === 1 ? "a limit" : `${limitCount} limits`] : [])],
      }))}
      total={total}
      page={page}
      pages={pages}
      search={search}
      versions={versions.map(versionRow)}
    />
  );
}
