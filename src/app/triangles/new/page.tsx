import type { Metadata } from "next";
import { notFound, redirect } from "next/navigation";
import { listBatches } from "@/server/cook/batches";
import { Refusal } from "@/server/http/problems";
import { getEaters } from "@/server/kitchen/sources";
import { requireDone } from "@/server/cook/done";
import { mayEach } from "@/server/taste/who-may";
import { TriangleNew } from "@/ui/stations/taste/triangle-new";
import { sampleData } from "../words";

interface Props {
  readonly searchParams: Promise<{ readonly batch?: string | readonly string[] }>;
}

export const metadata: Metadata = { title: "Can anybody tell?" };

export default async function Page({ searchParams }: Props) {
  const { batch: id } = await searchParams;
  if (typeof id !== "string") notFound();
  const [sample, batches, { document }] = await Promise.all([
    requireDone(id).catch((error: unknown) => {
      if (error instanceof Refusal && error.status === 404) notFound();
      if (error instanceof Refusal && error.status === 409) redirect(`/batches/${id}`);
      throw error;
    }),
    listBatches(),
    getEaters(),
  ]);
  const others = batches.filter((each) => each.endedAt !== null && each.id !== id);
  const may = await mayEach([sample], document.eaters);
  const isSame = (each: (typeof others)[number]) => each.recipeId !== null && each.recipeId === sample.batch.recipeId;
  return (
    <TriangleNew
      sample={sampleData({ ...sample.batch, batch: sample.batch.id })}
      others={[...others.filter(isSame), ...others.filter((each) => !isSame(each))].map((each) => sampleData({ ...each, batch: each.id }))}
      eaters={[...may.filter((each) => each.may === "no"), ...may.filter((each) => each.may !== "no")].map(({ eater, name }) => ({ id: eater, name }))}
      serve={sample.batch.plan.serve}
    />
  );
}
