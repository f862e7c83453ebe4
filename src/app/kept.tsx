import { notFound, redirect } from "next/navigation";
import { cache } from "react";
import { dayWords as shortDay } from "@/core/calendar";
import { cardOfKept, requireKept, viewOfKept, type KeptKind } from "@/server/keep/keep";
import { Refusal } from "@/server/http/problems";
import { CardPage } from "@/ui/stations/keep/card-page";
import { KeepStation } from "@/ui/stations/keep/keep-station";
import { LabelPage } from "@/ui/stations/keep/label-page";

export interface KeptProps {
  readonly params: Promise<{ readonly id: string }>;
  readonly searchParams: Promise<Readonly<Record<string, string | readonly string[] | undefined>>>;
}

/** °C that a room may have. */
const [LEAST, MOST] = [-5, 45];
const one = (value: string | readonly string[] | undefined): string | undefined => (typeof value === "string" ? value : value?.[0]);
function roomOf(value: string | readonly string[] | undefined): number | undefined {
  const celsius = Number(one(value) ?? Number.NaN);
  return celsius >= LEAST && celsius <= MOST ? celsius : undefined;
}

/** Once for a page, whose title needs it too. What is still on the stove is kept once it is done; what cannot be read is told by its own page. */
const load = cache(async (kind: KeptKind, id: string, room: number | undefined) =>
  requireKept(kind, id, room).catch((error: unknown) => {
    if (error instanceof Refusal && error.status === 404) notFound();
    if (error instanceof Refusal && error.status === 409) redirect(`/${kind}/${id}`);
    throw error;
  }),
);

export const keptTitle =
  (kind: KeptKind, what: string) =>
  async ({ params, searchParams }: KeptProps) => ({
    title: `${(await load(kind, (await params).id, roomOf((await searchParams).room))).title}, ${what}`,
  });

/** The Keep station of a batch or a kept version. */
export const keepPage = (kind: KeptKind) =>
  async function Page({ params, searchParams }: KeptProps) {
    const [{ id }, query] = await Promise.all([params, searchParams]);
    const kept = await load(kind, id, roomOf(query.room));
    const { question, batch, version } = kept;
    return (
      <KeepStation
        kind={kind}
        id={id}
        title={kept.title}
        label={kept.label}
        madeOn={kept.madeOn ?? question.today.day}
        today={question.today.day}
        room={question.room}
        view={await viewOfKept(kept)}
        batch={batch && { plan: batch.plan, events: batch.events }}
        movedOn={version?.movedOn ?? []}
      />
    );
  };

/** Its label, to print. */
export const labelPage = (kind: KeptKind) =>
  async function Page({ params, searchParams }: KeptProps) {
    const [{ id }, query] = await Promise.all([params, searchParams]);
    const kept = await load(kind, id, undefined);
    const view = await viewOfKept(kept);
    const { session } = kept.batch ?? {};
    return (
      <LabelPage
        title={kept.title}
        back={`/${kind}/${id}/keep`}
        contents={view.label}
        book={view.book}
        madeOn={kept.madeOn}
        today={kept.question.today.day}
        boxes={session?.setAside.map(({ event, name, grams }) => ({ event, name, grams })) ?? []}
        asked={Object.fromEntries(Object.entries(query).flatMap(([name, value]) => (one(value) === undefined ? [] : [[name, one(value)]])))}
      />
    );
  };

/** Its card for who cooks it next. */
export const cardPage = (kind: KeptKind) =>
  async function Page({ params }: KeptProps) {
    const { id } = await params;
    const kept = await load(kind, id, undefined);
    return (
      <CardPage
        title={kept.title}
        back={`/${kind}/${id}/keep`}
        made={kept.madeOn === null ? "not cooked yet" : `made ${shortDay(kept.madeOn)}`}
        card={await cardOfKept(kept)}
      />
    );
  };
