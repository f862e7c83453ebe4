import type { Metadata } from "next";
import { clockTime, dayOf as dayOfMoment, dayWords } from "@/core/calendar";
import { peopleOf } from "@/core/plan";
import { fastsAhead } from "@/server/kitchen/calendar";
import { dayHere } from "@/server/kitchen/day";
import { getHousehold } from "@/server/kitchen/sources";
import { listGatherings } from "@/server/plan/gatherings";
import { PlanPage } from "@/ui/places/plan/plan-page";

export const metadata: Metadata = { title: "Plan" };

export default async function Page() {
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
      at={at}
    />
  );
}
