import { notFound } from "next/navigation";
import { versionNutrition } from "@/server/recipes/nutrition";
import { NutritionPage } from "@/ui/places/nutrition/nutrition-page";

interface Props {
  readonly params: Promise<{ readonly id: string }>;
}

export const generateMetadata = async ({ params }: Props) => ({ title: `${(await versionNutrition((await params).id))?.title ?? "Version"}, nutrition` });

export default async function Page({ params }: Props) {
  const view = await versionNutrition((await params).id);
  if (!view) notFound();
  return <NutritionPage view={view} />;
}
