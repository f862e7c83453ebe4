import type { Metadata } from "next";
import { getEaters } from "@/server/kitchen/sources";
import { FirstSteps } from "@/ui/places/household/first-steps";

interface Props {
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

export const metadata: Metadata = { title: "Three first steps" };

export default async function Page({ searchParams }: Props) {
  const step = Number([(await searchParams).step].flat()[0] ?? 1);
  const today = new Date().toISOString().slice(0, 10);
  return <FirstSteps step={step === 2 || step === 3 ? step : 1} eaters={await getEaters()} today={today} />;
}
