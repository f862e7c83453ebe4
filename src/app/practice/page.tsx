import type { Metadata } from "next";
import { getKitchen } from "@/server/kitchen/kitchen";
import { getEaters } from "@/server/kitchen/sources";
import { practiceState } from "@/server/practice/practice";
import { PracticePage } from "@/ui/places/practice/practice-page";
import { eaterIn } from "./parameters";

interface Props {
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

export const metadata: Metadata = { title: "Practice" };

export default async function Page({ searchParams }: Props) {
  const [parameters, { document }, kitchen] = await Promise.all([searchParams, getEaters(), getKitchen()]);
  const eater = eaterIn(parameters, document.eaters);
  const byEye = Object.keys(kitchen.household.measures.byEye ?? {});
  return (
    <PracticePage
      key={eater}
      eaters={document.eaters.map(({ id, name }) => ({ id, name }))}
      eater={eater}
      {...await practiceState(eater)}
      names={Object.fromEntries(byEye.map((id) => [id, kitchen.reference.foods.get(id)?.name ?? id]))}
    />
  );
}
