import { claimsOf, openStart, shutHours, shutStarts } from "./claims";
import type { PlanProblem, PlanTask } from "./task";

/** What no plan can do better than, minutes. */
export interface PlanBounds {
  /** The longest chain of tasks one after the other, and which it is. */
  readonly criticalPath: number;
  readonly chain: readonly string[];
  /** All minutes that need hands, shared by all cooks. */
  readonly handsInAll: number;
  /** No plan begins later. */
  readonly latestStart: number;
  /** No plan begins a task later, by id. */
  readonly latestStarts: ReadonlyMap<string, number>;
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
 * @source the critical path method (Kelley and Walker 1959), each task outside the hours that are shut for it; hands by area
 */
export function planBounds({ tasks, kitchen, sweets, pinned }: Pick<PlanProblem, "tasks" | "kitchen" | "sweets" | "pinned">): PlanBounds {
  const followers = followersOf(tasks);
  const due = new Map(sweets.map((sweet) => [sweet.id, sweet.due] as const));
  const shut = shutHours(kitchen);
  const tails = new Map<string, { readonly minutes: number; readonly next: string | null; readonly start: number }>();
  const tailOf = (task: PlanTask): { readonly minutes: number; readonly next: string | null; readonly start: number } => {
    const known = tails.get(task.id);
    if (known) return known;
    // Set before it goes on: a circle ends here, and is refused elsewhere.
    tails.set(task.id, { minutes: task.minutes, next: null, start: (due.get(task.sweet) ?? 0) - task.minutes });
    const next = (followers.get(task.id) ?? []).map((each) => ({ id: each.id, ...tailOf(each) }));
    const longest = next.toSorted((a, b) => b.minutes - a.minutes)[0];
    const latest = Math.min(due.get(task.sweet) ?? 0, ...next.map((each) => each.start)) - task.minutes;
    const start = Math.min(openStart(latest, shutStarts(claimsOf(task), shut), "earlier"), pinned[task.id] ?? Infinity);
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
    latestStarts: new Map(all.map(({ id, start }) => [id, start] as const)),
  };
}
