import type { Metadata } from "next";
import { isFamily } from "@/server/kitchen/pantry";
import { PantryPage } from "@/ui/places/pantry/pantry-page";

export const metadata: Metadata = { title: "Pantry" };

interface Props {
  readonly searchParams: Promise<{ readonly search?: string | string[]; readonly family?: string | string[] }>;
}

export default async function Page({ searchParams }: Props) {
  const parameters = await searchParams;
  const family = [parameters.family].flat()[0] ?? "";
  return <PantryPage search={[parameters.search].flat()[0]?.slice(0, 100) ?? ""} family={isFamily(family) ? family : null} />;
}
