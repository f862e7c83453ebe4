import type { Metadata } from "next";
import { getEaters } from "@/server/kitchen/sources";
import { nextPairStep, practiceState, whoMayClimb } from "@/server/practice/practice";
import { LadderPage } from "@/ui/places/practice/ladder-page";
import { eaterIn, seedIn } from "../parameters";

interface Props {
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

export const metadata: Metadata = { title: "Palate ladder" };

export default async function Page({ searchParams }: Props) {
  const [parameters, { document }, climbers] = await Promise.all([searchParams, getEaters(), whoMayClimb()]);
  const eater = eaterIn(parameters, document.eaters);
  const climber = climbers.find((each) => each.eater === eater) ?? null;
  const [{ noticed }, step] = await Promise.all([practiceState(eater), climber ? nextPairStep(climber.eater) : 0]);
  return <LadderPage key={eater} climbers={climbers} climber={climber} seed={seedIn({ seed: parameters.pair })} step={step} noticed={noticed} />;
}
