import { notFound } from "next/navigation";
import { recipeNutrition } from "@/server/recipes/nutrition";
import { NutritionPage } from "@/ui/places/nutrition/nutrition-page";

interface Props {
  readonly params: Promise<{ readonly id: string }>;
}

export const generateMetadata = async ({ params }: Props) => ({ title: `${(await recipeNutrition((await params).id))?.title ?? "Recipe"}, nutrition` });

export default async function Page({ params }: Props) {
  const view = await recipeNutrition((await params).id);
  if (!view) notFound();
  return <NutritionPage view={view} />;
}
