import { createEvents, type EventAttributes } from "ics";
import {
  entriesOf,
  gatheringProblem,
  gatheringProblems,
  givenNow,
  momentOfMinute,
  planKey,
  planKitchen,
  readyAt,
  type GatheringPlan,
  type GivenEntry,
} from "../../core/plan";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { download } from "../http/download";
import { Refusal } from "../http/problems";
import { validateGiven } from "../http/schemas/gathering";
import { viewOfGathering, type GatheringView } from "./gatherings";
import { planOnServer } from "./planning";

const SEED = 1;

/** A gathering's plan as a calendar file: each entry by the same id whenever it is given again, with a sequence that rises where it has changed. */
export async function calendarOf(id: string, left: AbortSignal): Promise<Response> {
  const view = await viewOfGathering(id);
  const { document: gathering, sweets } = view;
  const plan = await planOf(id, view, left);
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

/** What the gathering was solved to; where it has changed since, or no page has solved it yet, solved here and kept. */
async function planOf(
  id: string,
  { document: gathering, plan, sweets, equipment: said, live, ticks }: GatheringView,
  left: AbortSignal,
): Promise<GatheringPlan> {
  const [tasks, equipment, now] = [sweets.map((sweet) => sweet.plan), said ?? undefined, Date.now()];
  const key = planKey(gathering, tasks, equipment);
  if (plan?.key === key && plan.placed.length > 0) return plan;
  const [problem] = gatheringProblems(gathering, now, planKitchen(equipment));
  if (problem) throw new Refusal(409, `There is no plan to put in a calendar. ${problem.words}`);
  if (tasks.every((sweet) => sweet.tasks.length === 0))
    throw new Refusal(409, "Nothing is planned yet: put a sweet with steps on the table first, then there is something for a calendar.");
  const done = new Set([...live.done, ...ticks.flatMap(({ what, isDone }) => (isDone && what.startsWith("step ") ? [what.slice(5)] : []))]);
  const { solved } = await planOnServer({ problem: gatheringProblem(gathering, tasks, { equipment, now, done }), seed: SEED }, left);
  const fresh = { key, placed: [...(plan?.placed ?? []).filter((row) => done.has(row.id)), ...solved.laid.placed], solvedAt: now };
  await db.writePlan(await getDatabase(), id, fresh);
  return fresh;
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
