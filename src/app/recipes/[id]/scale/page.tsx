import { notFound } from "next/navigation";
import { getRecipe } from "@/server/recipes";
import { ScalePage } from "@/ui/pages";

interface Props {
  readonly params: Promise<{ readonly id: string }>;
}

export const generateMetadata = async ({ params }: Props) => ({
  title: `${(await getRecipe((await params).id))?.recipe.title ?? "Recipe"}, for another quantity`,
});

export default async function Page({ params }: Props) {
  const { id } = await params;
  const stored = await getRecipe(id);
  if (!stored) notFound();
  return <ScalePage id={id} recipe={{ document: stored.recipe, revision: stored.revision }} />;
}
