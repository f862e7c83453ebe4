import { createEvents, type EventAttributes } from "ics";
import { entriesOf, givenNow, momentOfMinute, readyAt, type GivenEntry } from "../../core/plan";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { download } from "../http/download";
import { validateGiven } from "../http/schemas/gathering";
import { solvedGathering } from "./solved";

/** A gathering's plan as a calendar file: each entry by the same id whenever it is given again, with a sequence that rises where it has changed. */
export async function calendarOf(id: string, left: AbortSignal): Promise<Response> {
  const { plan, view } = await solvedGathering(id, left);
  const { document: gathering, sweets } = view;
  const ready = readyAt(gathering);
  const names = new Map(gathering.sweets.map((sweet) => [sweet.id, sweet.title] as const));
  const tasks = sweets.flatMap((sweet) => sweet.plan.tasks);
  const entries = entriesOf(tasks, plan.placed, names, { title: gathering.title, at: 0 }).map((entry) => ({
    ...entry,
    start: momentOfMinute(entry.start, ready),
  }));
  const rings = new Set(entries.flatMap((entry) => (entry.rings ? [entry.id] : [])));
  const given = await (
    await getDatabase()
  ).transaction(async (connection) => {
    const there = await db.lockCalendar(connection, id);
    const now = givenNow(entries, there && validateGiven(there.calendar) ? there.calendar : {});
    await db.writeCalendar(connection, id, now);
    return now;
  });
  return download(calendarText(id, given, rings), gathering.title, "gathering", { type: "text/calendar", ending: "ics" });
}

/** Moments in UTC: every calendar shows them by its own clock, over a change of clocks too. */
export function calendarText(gathering: string, given: Readonly<Record<string, GivenEntry>>, rings: ReadonlySet<string>): string {
  const events = Object.entries(given).map(([id, { sequence, start, minutes, title, words, isCancelled }]): EventAttributes => {
    const at = new Date(start);
    return {
      uid: `${encodeURIComponent(id)}.${encodeURIComponent(gathering)}@threpsis.invalid`,
      sequence,
      title,
      description: words,
      start: [at.getUTCFullYear(), at.getUTCMonth() + 1, at.getUTCDate(), at.getUTCHours(), at.getUTCMinutes()],
      startInputType: "utc",
      startOutputType: "utc",
      duration: { hours: Math.floor(minutes / 60), minutes: minutes % 60 },
      status: isCancelled ? "CANCELLED" : "CONFIRMED",
      busyStatus: "FREE",
      productId: "threpsis/plan",
      ...(rings.has(id) && !isCancelled ? { alarms: [{ action: "display" as const, description: title, trigger: { minutes: 0, before: true } }] } : {}),
    };
  });
  const { error, value } = createEvents(events);
  if (error || value == null) throw error ?? new Error("no calendar");
  return value;
}
