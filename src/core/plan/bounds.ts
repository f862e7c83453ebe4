import type { PlanProblem, PlanTask } from "./task";

/** What no plan can do better than, minutes. */
export interface PlanBounds {
  /** The longest chain of tasks one after the other, and which it is. */
  readonly criticalPath: number;
  readonly chain: readonly string[];
  /** All minutes that need hands, shared by all cooks. */
  readonly handsInAll: number;
  /** No plan begins later than so many minutes before. */
  readonly latestStart: number;
}

/** Tasks by id, and what comes right after each. */
export function followersOf(tasks: readonly PlanTask[]): ReadonlyMap<string, readonly PlanTask[]> {
  const followers = new Map<string, PlanTask[]>(tasks.map(({ id }) => [id, []]));
  for (const task of tasks) for (const id of task.after) followers.get(id)?.push(task);
  return followers;
}

/**
 * Bounds of a plan that are sure.
 * @unit minutes
 * @range 0 or more
 * @source the critical path method (Kelley and Walker 1959); hands by area
 */
export function planBounds({ tasks, kitchen, sweets }: Pick<PlanProblem, "tasks" | "kitchen" | "sweets">): PlanBounds {
  const followers = followersOf(tasks);
  const due = new Map(sweets.map((sweet) => [sweet.id, sweet.due] as const));
  const tails = new Map<string, { readonly minutes: number; readonly next: string | null; readonly start: number }>();
  const tailOf = (task: PlanTask): { readonly minutes: number; readonly next: string | null; readonly start: number } => {
    const known = tails.get(task.id);
    if (known) return known;
    // Set before it goes on: a circle ends here, and is refused elsewhere.
    tails.set(task.id, { minutes: task.minutes, next: null, start: (due.get(task.sweet) ?? 0) - task.minutes });
    const next = (followers.get(task.id) ?? []).map((each) => ({ id: each.id, ...tailOf(each) }));
    const longest = next.toSorted((a, b) => b.minutes - a.minutes)[0];
    const start = Math.min((due.get(task.sweet) ?? 0) - task.minutes, ...next.map((each) => each.start - task.minutes));
    const told = { minutes: task.minutes + (longest?.minutes ?? 0), next: longest?.id ?? null, start };
    tails.set(task.id, told);
    return told;
  };
  const all = tasks.map((task) => ({ id: task.id, ...tailOf(task) }));
  const first = all.toSorted((a, b) => b.minutes - a.minutes)[0];
  const chain: string[] = [];
  for (let at: string | null = first?.id ?? null; at !== null && chain.length <= tasks.length; at = tails.get(at)?.next ?? null) chain.push(at);
  const handsOn = tasks.reduce((sum, { minutes, attention, handsFirst }) => sum + (attention === "hands on" ? minutes : Math.min(handsFirst, minutes)), 0);
  const latestDue = Math.max(0, ...sweets.map((sweet) => sweet.due));
  const hands = kitchen.cooks > 0 ? handsOn / kitchen.cooks : handsOn > 0 ? Infinity : 0;
  return {
    criticalPath: first?.minutes ?? 0,
    chain,
    handsInAll: handsOn,
    latestStart: Math.min(latestDue - hands, ...all.map(({ start }) => start)),
  };
}
