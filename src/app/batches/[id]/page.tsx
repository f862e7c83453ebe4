import { notFound } from "next/navigation";
import { cache } from "react";
import { sessionOf, stoveState } from "@/core/cook";
import { stoveView } from "@/core/views";
import { getBatch } from "@/server/cook/batches";
import { photoFacts } from "@/server/cook/photos";
import { Refusal } from "@/server/http/problems";
import { getKitchen } from "@/server/kitchen/kitchen";
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
  const [{ batch, events }, kitchen, photo] = await Promise.all([params.then(({ id }) => load(id)), getKitchen(), params.then(({ id: of }) => photoFacts(of))]);
  const { id, recipeId, plan, ground } = batch;
  const session = sessionOf(
    plan,
    events.map(({ event }) => event),
  );
  const view = stoveView({ ...ground, stove: stoveState(session) }, kitchen);
  const names = (ground.table.seats ?? []).map(({ name }) => name);
  const bodies = kitchen.reference.constants.bodyAnchors.map(([body, words]) => [body, words] as const);
  return (
    <CookStation photo={photo} names={names} bodies={bodies} key={id} id={id} recipeId={recipeId} plan={plan} ground={ground} events={events} view={view} />
  );
}
