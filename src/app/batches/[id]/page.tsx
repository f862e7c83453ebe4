import { notFound } from "next/navigation";
import { cache } from "react";
import { getBatch } from "@/server/cook/batches";
import { Refusal } from "@/server/http/problems";
import { CookStation } from "@/ui/stations/cook/cook-station";

interface Props {
  readonly params: Promise<{ readonly id: string }>;
}

/** Once for a page, whose title needs it too. */
const load = cache(async (id: string) =>
  getBatch(id).catch((error: unknown) => {
    if (error instanceof Refusal && error.status === 404) notFound();
    throw error;
  }),
);

export const generateMetadata = async ({ params }: Props) => ({ title: `${(await load((await params).id)).batch.title}, cook` });

export default async function Page({ params }: Props) {
  const { batch, events } = await load((await params).id);
  return <CookStation key={batch.id} id={batch.id} recipeId={batch.recipeId} versionId={batch.versionId} plan={batch.plan} events={events} />;
}
