import { notFound, redirect } from "next/navigation";
import { cache } from "react";
import { Refusal } from "@/server/http/problems";
import { getTasting } from "@/server/taste/tastings";
import { guestAllergies } from "@/server/taste/who-may";
import { dateWords } from "../../../words";
import { TasteStation } from "@/ui/stations/taste/taste-station";

interface Props {
  readonly params: Promise<{ readonly id: string }>;
}

/** Once for a page, whose title needs it too. What is still on the stove is tasted there. */
const load = cache(async (id: string) =>
  getTasting(id).catch((error: unknown) => {
    if (error instanceof Refusal && error.status === 404) notFound();
    if (error instanceof Refusal && error.status === 409) redirect(`/batches/${id}`);
    throw error;
  }),
);

export const generateMetadata = async ({ params }: Props) => ({ title: `${(await load((await params).id)).batch.title}, taste` });

export default async function Page({ params }: Props) {
  const { id } = await params;
  const [{ batch, session, isBound, may, tastings, triangles }, allergies] = await Promise.all([load(id), guestAllergies()]);
  return (
    <TasteStation
      id={id}
      title={batch.title}
      label={batch.label}
      serve={batch.plan.serve}
      isBound={isBound}
      may={may}
      allergies={allergies}
      tastings={tastings.map((each) => ({
        ...each,
        when: dateWords(each.tastedAt),
        after: (Date.parse(each.tastedAt) - (session.endedAt ?? Date.parse(each.tastedAt))) / 60_000,
      }))}
      triangles={triangles.map((each) => ({ id: each.id, words: `${each.planned} tests, begun ${dateWords(each.begunAt)}`, isOver: each.endedAt !== null }))}
    />
  );
}
