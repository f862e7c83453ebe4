import { notFound } from "next/navigation";
import { getPantry } from "@/server/kitchen/sources";
import { OwnFoodPage } from "@/ui/places/pantry/own-food-page";

interface Props {
  readonly params: Promise<{ readonly id: string }>;
}

export const generateMetadata = async ({ params }: Props) => {
  const { id } = await params;
  return { title: `Change ${(await getPantry()).document.foods.find((food) => food.id === id)?.name ?? "a food"}` };
};

export default async function Page({ params }: Props) {
  const { id } = await params;
  if (!(await getPantry()).document.foods.some((food) => food.id === id)) notFound();
  return <OwnFoodPage key={id} id={id} />;
}
