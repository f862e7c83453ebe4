import type { Metadata } from "next";
import { clockTime, dayOf as dayOfMoment, dayWords } from "@/core/calendar";
import { peopleOf } from "@/core/plan";
import { fastsAhead } from "@/server/kitchen/calendar";
import { dayHere } from "@/server/kitchen/day";
import { getHousehold } from "@/server/kitchen/sources";
import { listGatherings } from "@/server/plan/gatherings";
import { getVersion } from "@/server/versions/versions";
import { PlanPage } from "@/ui/places/plan/plan-page";

export const metadata: Metadata = { title: "Plan" };

interface Props {
  readonly searchParams: Promise<{ readonly version?: string | readonly string[] }>;
}

export default async function Page({ searchParams }: Props) {
  const { version } = await searchParams;
  const kept = typeof version === "string" ? await getVersion(version) : null;
  const at = new Date().getTime();
  const [rows, { document }, ahead, dayOf] = await Promise.all([listGatherings(at), getHousehold(), fastsAhead(at), dayHere()]);
  return (
    <PlanPage
      rows={rows.map(({ id, readyAt, document: gathering, begins }) => ({
        id,
        title: gathering.title,
        day: gathering.day,
        hour: gathering.hour,
        sweets: gathering.sweets.map(({ title }) => title),
        people: peopleOf(gathering),
        begins: begins === null ? null : `${dayWords(dayOfMoment(begins, gathering))} at ${clockTime(begins, gathering)}`,
        isPast: Date.parse(readyAt) < at,
      }))}
      timeZone={document.place?.timeZone ?? Intl.DateTimeFormat().resolvedOptions().timeZone}
      today={dayOf(at)}
      fasts={ahead?.days ?? null}
      begunWith={
        kept?.snapshot && kept.recipeId !== null
          ? { version: kept.id, recipe: kept.recipeId, title: kept.title, label: kept.label, servings: kept.snapshot.table.servings }
          : null
      }
      at={at}
    />
  );
}
