import { shortWords } from "./sweet-tasks";
import type { PlacedTask, PlanMinute, PlanTask } from "./task";

/** Something of a plan as a calendar shows it. */
export interface PlanEntry {
  /** The same for as long as it is the same thing, whenever it is. */
  readonly id: string;
  readonly start: PlanMinute;
  readonly minutes: number;
  readonly title: string;
  readonly words: string;
  /** Whether it rings: what begins after a pause, and what has waited by itself. */
  readonly rings: boolean;
}

/** From so many minutes of waiting on, its end is an entry of its own; a pause of so many before work rings. */
const WAITS = 30;
const PAUSE = 15;

/** A plan as entries of a calendar: each step, the end of what waits, and when all is served, a minute of the plan. */
export function entriesOf(
  tasks: readonly PlanTask[],
  placed: readonly PlacedTask[],
  names: ReadonlyMap<string, string>,
  served: { readonly title: string; readonly at: PlanMinute },
): readonly PlanEntry[] {
  const byId = new Map(tasks.map((task) => [task.id, task] as const));
  const rows = placed.flatMap((row) => {
    const task = byId.get(row.id);
    return task ? [{ ...row, task }] : [];
  });
  const isWork = ({ task }: (typeof rows)[number]) => task.attention !== "unattended";
  const work = rows.filter(isWork);
  const entries = rows.flatMap((row): PlanEntry[] => {
    const { id, start, task } = row;
    const sweet = names.get(task.sweet) ?? task.sweet;
    const waits = task.attention === "unattended" && task.minutes >= WAITS;
    const entry = {
      id,
      start,
      minutes: task.minutes,
      title: `${sweet}: ${shortWords(task.words)}`,
      words: task.words,
      rings: waits || (isWork(row) && !work.some((other) => other.id !== id && other.start < start && other.end > start - PAUSE)),
    };
    if (!waits) return [entry];
    const what = task.fridge > 0 ? "take it out" : "it has waited long enough";
    return [entry, { id: `${id}/end`, start: row.end, minutes: 0, title: `${sweet}: ${what}`, words: `Begun before: ${task.words}`, rings: true }];
  });
  return [...entries, { id: "served", start: served.at, minutes: 0, title: served.title, words: "All is served.", rings: true }].toSorted(
    (one, other) => one.start - other.start || one.id.localeCompare(other.id, "en"),
  );
}

/** An entry as calendars were last given it. */
export interface GivenEntry {
  readonly sequence: number;
  readonly start: number;
  readonly minutes: number;
  readonly title: string;
  readonly words: string;
  /** It is not in the plan any more, and calendars are told so. */
  readonly isCancelled: boolean;
}

/** What calendars are given now: what has changed since with a sequence above that it had, what is gone as cancelled. Moments are ms. */
export function givenNow(
  entries: readonly (Omit<PlanEntry, "start"> & { readonly start: number })[],
  before: Readonly<Record<string, GivenEntry>>,
): Readonly<Record<string, GivenEntry>> {
  const now = entries.map(({ id, start, minutes, title, words }): readonly [string, GivenEntry] => {
    const old = before[id];
    const isSame = old?.start === start && old.minutes === minutes && old.title === title && old.words === words && !old.isCancelled;
    return [id, { sequence: old ? old.sequence + (isSame ? 0 : 1) : 0, start, minutes, title, words, isCancelled: false }];
  });
  const ids = new Set(entries.map(({ id }) => id));
  const gone = Object.entries(before).flatMap(([id, old]): (readonly [string, GivenEntry])[] =>
    ids.has(id) ? [] : [[id, old.isCancelled ? old : { ...old, sequence: old.sequence + 1, isCancelled: true }]],
  );
  return Object.fromEntries([...now, ...gone]);
}
