import type { Metadata } from "next";
import { cookables } from "@/server/cook/logbook";
import { dayHere } from "@/server/kitchen/day";
import { getKitchen } from "@/server/kitchen/kitchen";
import { AfterwardsPage } from "@/ui/places/logbook/afterwards-page";

export const metadata: Metadata = { title: "After the fact" };

interface Props {
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

export default async function Page({ searchParams }: Props) {
  const { recipe } = await searchParams;
  const now = new Date().getTime();
  const [sweets, kitchen, dayOf] = await Promise.all([cookables(typeof recipe === "string" ? recipe : null), getKitchen(), dayHere()]);
  return <AfterwardsPage sweets={sweets} bodies={kitchen.reference.constants.bodyAnchors} today={dayOf(now)} />;
}
