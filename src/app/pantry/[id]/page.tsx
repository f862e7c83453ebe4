import { notFound } from "next/navigation";
import { findFood, kinOf, shippedConstants } from "@/server/pantry";
import { FoodPage } from "@/ui/pantry/food-page";

interface Props {
  readonly params: Promise<{ readonly id: string }>;
}

export const generateMetadata = async ({ params }: Props) => ({ title: findFood((await params).id)?.name ?? "Food" });

export default async function Page({ params }: Props) {
  const food = findFood((await params).id);
  if (!food) notFound();
  return <FoodPage food={food} kin={kinOf(food).map(({ id, name }) => ({ id, name }))} constants={shippedConstants()} />;
}
