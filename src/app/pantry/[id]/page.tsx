import { notFound } from "next/navigation";
import { findFood, kinOf, lookAlikesOf, shippedConstants } from "@/server/kitchen/pantry";
import { dayHere } from "@/server/kitchen/day";
import { FoodPage } from "@/ui/places/pantry/food-page";

interface Props {
  readonly params: Promise<{ readonly id: string }>;
}

export const generateMetadata = async ({ params }: Props) => ({ title: (await findFood((await params).id))?.name ?? "Food" });

export default async function Page({ params }: Props) {
  const food = await findFood((await params).id);
  if (!food) notFound();
  return (
    <FoodPage
      food={food}
      kin={(await kinOf(food)).map(({ id, name }) => ({ id, name }))}
      lookAlikes={await lookAlikesOf(food)}
      constants={shippedConstants()}
      today={(await dayHere())(new Date().getTime())}
    />
  );
}
