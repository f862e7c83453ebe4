import { followersOf } from "./bounds";
import { claimsOf, roomOf, shutHours, type Claim } from "./claims";
import type { Obstacle, PlacedTask, PlanMinute, PlanProblem, PlanTask, Window } from "./task";

/** Tasks laid one by one, from the last to the first, each as late as it can be; and what was in the way of those that found no place. */
export interface Laid {
  readonly placed: readonly PlacedTask[];
  /** Each with where it would have had to be. */
  readonly failed: readonly {
    readonly id: string;
    readonly because: Obstacle;
    readonly start: PlanMinute;
    readonly end: PlanMinute;
    /** What comes after it and would have to begin no later, so that it finds a place: with those, tried again, it may. */
    readonly sooner: readonly (readonly [id: string, latest: PlanMinute])[];
  }[];
}

const meets = (window: Window, start: number, end: number): boolean => start < window.to && end > window.from;
/** What a priority is given to: of the tasks whose followers are all laid the one with the highest goes next. */
export type Priority = (id: string) => number;

interface Row extends PlacedTask {
  readonly task: PlanTask;
}

/**
 * Lays tasks backwards from when all is due (serial schedule generation, Kelley 1963, run in reverse): the order is kept, no cook, burner, oven, mixer,
 * pan or fridge shelf is used twice, nothing is noisy in quiet hours, nothing needs hands or stands on a fire while nobody is there.
 */
export function layTasks(
  { tasks, sweets, pots, kitchen, pinned }: PlanProblem,
  priority: Priority,
  /** Some begin no later than so, by task. */
  latestOf: ReadonlyMap<string, PlanMinute> = new Map(),
): Laid {
  const followers = followersOf(tasks);
  const byId = new Map(tasks.map((task) => [task.id, task] as const));
  const sweetOf = new Map(sweets.map((sweet) => [sweet.id, sweet] as const));
  const needOf = new Map(pots.map(({ id, ml }) => [id, ml] as const));
  const rows = new Map<string, Row>();
  const panOf = new Map<string, string>();
  const failed: Laid["failed"][number][] = [];
  const left = new Set(tasks.map(({ id }) => id));
  const done = (id: string) => !left.has(id);

  const claims = new Map(tasks.map((task) => [task.id, claimsOf(task)] as const));
  const claimed = new Map<Claim["of"], Claim[]>();
  /** How much of something is taken at its fullest by what goes on at once with a span. */
  const used = (of: Claim["of"], start: number, end: number): number => {
    const here = (claimed.get(of) ?? []).filter(({ from, to }) => from < end && to > start);
    let most = 0;
    for (const at of [start, ...here.map(({ from }) => Math.max(start, from))])
      most = Math.max(
        most,
        here.reduce((sum, { from, to, amount }) => (from <= at && to > at ? sum + amount : sum), 0),
      );
    return most;
  };
  const room = roomOf(kitchen);
  const shut = shutHours(kitchen);
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
    if (start < kitchen.from) return "too early";
    const own = claims.get(task.id) ?? [];
    for (const { of, from, to } of own) {
      const closed = shut[of]?.find(([, windows]) => windows.some((window) => meets(window, start + from, start + to)));
      if (closed) return closed[0];
    }
    for (const { of, from, to, amount } of own) {
      const most = room[of];
      if (most !== undefined && used(of, start + from, start + to) + amount > most + 1e-9) return TAKEN[of] ?? "hands";
    }
    return task.pot !== null && panFor(task.pot, start, start + task.minutes) === null ? "pan" : null;
  };

  // Where each begins, or would have to: what found no place keeps the order of what is before it too.
  const begun = new Map<string, { readonly start: number; readonly task: PlanTask }>();
  while (left.size > 0) {
    const ready = [...left].filter((id) => (followers.get(id) ?? []).every((each) => done(each.id)));
    const next = ready.toSorted((a, b) => priority(b) - priority(a))[0] ?? [...left][0];
    const task = next === undefined ? undefined : byId.get(next);
    if (!task) break;
    left.delete(task.id);
    const after = (followers.get(task.id) ?? []).flatMap((each) => begun.get(each.id) ?? []);
    const sweet = sweetOf.get(task.sweet);
    const isLast = after.length === 0;
    const latest = Math.min(Math.min(sweet?.due ?? 0, ...after.map(({ start }) => start)) - task.minutes, latestOf.get(task.id) ?? Infinity);
    // It may not end so long before what follows it, or before it is served.
    const waits = after.flatMap((row) => {
      const most = row.task.within[task.id];
      return most === undefined ? [] : [row.start - most];
    });
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
      const own = claims.get(task.id) ?? [];
      rows.set(task.id, { id: task.id, start: found, end: found + task.minutes, pan, task });
      for (const claim of own) claimed.set(claim.of, [...(claimed.get(claim.of) ?? []), { ...claim, from: found + claim.from, to: found + claim.to }]);
      begun.set(task.id, { start: found, task });
    } else {
      const start = pin ?? latest;
      begun.set(task.id, { start, task });
      // Where it would go if nothing that follows were in a hurry.
      const free = pin === undefined && waits.length > 0 ? findPlace(task, latest, kitchen.from) : null;
      const sooner =
        typeof free !== "number"
          ? []
          : after.flatMap((row) => {
              const most = row.task.within[task.id];
              return most !== undefined && row.start - most > free + task.minutes ? [[row.task.id, free + task.minutes + most] as const] : [];
            });
      failed.push({ id: task.id, because: found, start, end: start + task.minutes, sooner });
    }
  }
  return { placed: [...rows.values()].map(({ id, start, end, pan }) => ({ id, start, end, pan })), failed };

  /** The latest start at which nothing is in the way, or what was in the way first. */
  function findPlace(task: PlanTask, latest: number, soonest: number): number | Obstacle {
    let first: Obstacle | null = null;
    const own = claims.get(task.id) ?? [];
    // What changes as it goes earlier: what it takes ends before others begin to take it, and before the hours in which it may not be.
    const borders = [
      latest,
      ...own.flatMap(({ of, to }) => [
        ...(shut[of] ?? []).flatMap(([, windows]) => windows.map(({ from }) => from - to)),
        ...(room[of] === undefined ? [] : (claimed.get(of) ?? []).map(({ from }) => from - to)),
      ]),
      ...(task.pot === null
        ? []
        : pots.flatMap(({ id }) => {
            const held = heldBy(id);
            return held ? [held.from - task.minutes] : [];
          })),
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

const TAKEN: Readonly<Partial<Record<Claim["of"], Obstacle>>> = {
  hands: "hands",
  attention: "hands",
  burner: "burner",
  oven: "oven",
  mixer: "mixer",
  fridge: "fridge",
};
