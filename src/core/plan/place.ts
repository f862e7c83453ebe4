import { followersOf } from "./bounds";
import type { Obstacle, PlacedTask, PlanProblem, PlanTask, Window } from "./task";

/** Tasks laid one by one, from the last to the first, each as late as it can be; and what was in the way of those that found no place. */
export interface Laid {
  readonly placed: readonly PlacedTask[];
  readonly failed: readonly { readonly id: string; readonly because: Obstacle }[];
}

const meets = (window: Window, start: number, end: number): boolean => start < window.to && end > window.from;
const needsHands = ({ attention }: PlanTask): boolean => attention === "hands on";
const needsSomebody = (task: PlanTask): boolean => task.attention !== "unattended" || task.burner;
/** What is stirred now and then may go on beside what needs hands, two things to a cook at the most. */
const MOST_AT_ONCE = 2;

/** What a priority is given to: of the tasks whose followers are all laid the one with the highest goes next. */
export type Priority = (id: string) => number;

interface Row extends PlacedTask {
  readonly task: PlanTask;
}

/**
 * Lays tasks backwards from when all is due (serial schedule generation, Kelley 1963, run in reverse): the order is kept, no cook, burner, oven, mixer,
 * pan or fridge shelf is used twice, nothing is noisy in quiet hours, nothing needs hands or stands on a fire while nobody is there.
 */
export function layTasks({ tasks, sweets, pots, kitchen, pinned }: PlanProblem, priority: Priority): Laid {
  const followers = followersOf(tasks);
  const byId = new Map(tasks.map((task) => [task.id, task] as const));
  const sweetOf = new Map(sweets.map((sweet) => [sweet.id, sweet] as const));
  const needOf = new Map(pots.map(({ id, ml }) => [id, ml] as const));
  const rows = new Map<string, Row>();
  const panOf = new Map<string, string>();
  const failed: { id: string; because: Obstacle }[] = [];
  const left = new Set(tasks.map(({ id }) => id));
  const done = (id: string) => !left.has(id);

  /** How much of something those use that go on at once with a span: at its fullest. */
  const used = (start: number, end: number, amount: (task: PlanTask) => number): number => {
    const here = [...rows.values()].filter((row) => row.start < end && row.end > start && amount(row.task) > 0);
    return Math.max(
      0,
      ...[start, ...here.map((row) => Math.max(start, row.start))].map((at) =>
        here.reduce((sum, row) => (row.start <= at && row.end > at ? sum + amount(row.task) : sum), 0),
      ),
    );
  };
  /** From when to when a pot holds its pan with what is laid of it by now. */
  const heldBy = (pot: string): Window | null => {
    const of = [...rows.values()].filter((row) => row.task.pot === pot);
    return of.length === 0 ? null : { from: Math.min(...of.map(({ start }) => start)), to: Math.max(...of.map(({ end }) => end)) };
  };
  const panFor = (pot: string, start: number, end: number): string | null => {
    const held = heldBy(pot);
    const span = { from: Math.min(start, held?.from ?? start), to: Math.max(end, held?.to ?? end) };
    const known = panOf.get(pot);
    const fitting = kitchen.pans.filter(({ id, ml }) => ml >= (needOf.get(pot) ?? 0) && (known === undefined || known === id)).toSorted((a, b) => a.ml - b.ml);
    const isFree = (pan: string) =>
      [...panOf].every(([other, of]) => {
        const window = other === pot || of !== pan ? null : heldBy(other);
        return window === null || !meets(window, span.from, span.to);
      });
    return fitting.find(({ id }) => isFree(id))?.id ?? null;
  };
  /** What is in the way of a task just there; null where nothing is. */
  const obstacleAt = (task: PlanTask, start: number): Obstacle | null => {
    const end = start + task.minutes;
    if (start < kitchen.from) return "too early";
    if (task.noisy && kitchen.quiet.some((window) => meets(window, start, end))) return "quiet hours";
    if (needsSomebody(task) && kitchen.away.some((window) => meets(window, start, end))) return "nobody there";
    if (task.tastes && kitchen.notTasting.some((window) => meets(window, start, end))) return "may not taste";
    if (needsHands(task) && used(start, end, (each) => (needsHands(each) ? 1 : 0)) >= kitchen.cooks) return "hands";
    if (task.attention !== "unattended" && used(start, end, (each) => (each.attention === "unattended" ? 0 : 1)) >= MOST_AT_ONCE * kitchen.cooks)
      return "hands";
    if (task.burner && used(start, end, (each) => (each.burner ? 1 : 0)) >= kitchen.burners) return "burner";
    if (task.oven && used(start, end, (each) => (each.oven ? 1 : 0)) >= kitchen.ovens) return "oven";
    if (task.noisy && used(start, end, (each) => (each.noisy ? 1 : 0)) >= kitchen.mixers) return "mixer";
    if (task.fridge > 0 && kitchen.fridge !== null && used(start, end, (each) => each.fridge) + task.fridge > kitchen.fridge) return "fridge";
    if (task.pot !== null && panFor(task.pot, start, end) === null) return "pan";
    return null;
  };

  while (left.size > 0) {
    const ready = [...left].filter((id) => (followers.get(id) ?? []).every((each) => done(each.id)));
    const next = ready.toSorted((a, b) => priority(b) - priority(a))[0] ?? [...left][0];
    const task = next === undefined ? undefined : byId.get(next);
    if (!task) break;
    left.delete(task.id);
    const after = (followers.get(task.id) ?? []).flatMap((each) => rows.get(each.id) ?? []);
    const sweet = sweetOf.get(task.sweet);
    const isLast = after.length === 0;
    const latest = Math.min(sweet?.due ?? 0, ...after.map(({ start }) => start)) - task.minutes;
    // It may not end so long before what follows it, or before it is served.
    const waits = after.flatMap((row) => (row.task.within === null ? [] : [row.start - row.task.within]));
    const soonest = Math.max(
      kitchen.from,
      isLast && sweet?.fresh != null ? sweet.due - sweet.fresh - task.minutes : -Infinity,
      ...waits.map((end) => end - task.minutes),
    );
    const pin = pinned[task.id];
    const found = pin === undefined ? findPlace(task, latest, soonest) : pin > latest ? ("order" as const) : (obstacleAt(task, pin) ?? pin);
    if (typeof found === "number") {
      const pan = task.pot === null ? null : panFor(task.pot, found, found + task.minutes);
      if (task.pot !== null && pan !== null) panOf.set(task.pot, pan);
      rows.set(task.id, { id: task.id, start: found, end: found + task.minutes, pan, task });
    } else failed.push({ id: task.id, because: found });
  }
  return { placed: [...rows.values()].map(({ id, start, end, pan }) => ({ id, start, end, pan })), failed };

  /** The latest start at which nothing is in the way, or what was in the way first. */
  function findPlace(task: PlanTask, latest: number, soonest: number): number | Obstacle {
    let first: Obstacle | null = null;
    // What changes as it goes earlier: ends before the start of others, and before the hours in which it may not be.
    const borders = [
      latest,
      ...[...rows.values()].map(({ start }) => start - task.minutes),
      ...[...kitchen.quiet, ...kitchen.away, ...kitchen.notTasting].map(({ from }) => from - task.minutes),
      ...pots.flatMap(({ id }) => {
        const held = heldBy(id);
        return held ? [held.from - task.minutes] : [];
      }),
    ]
      .filter((at) => at <= latest && at >= soonest)
      .toSorted((a, b) => b - a);
    for (const start of new Set(borders)) {
      const why = obstacleAt(task, start);
      if (why === null) return start;
      first ??= why;
    }
    return first ?? (latest < kitchen.from ? "too early" : "order");
  }
}
