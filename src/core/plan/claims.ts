import type { Obstacle, PlacedTask, PlanKitchen, PlanTask, Window } from "./task";

/** What is stirred now and then may go on beside what needs hands, two things to a cook at the most. */
const MOST_AT_ONCE = 2;

/** What of a task takes something of the kitchen: from when to when, minutes from its start, and how much. */
export interface Claim {
  readonly of: "hands" | "attention" | "presence" | "burner" | "oven" | "mixer" | "fridge" | "tasting";
  readonly from: number;
  readonly to: number;
  readonly amount: number;
}

/** What a task takes of the kitchen, and for how long. */
export function claimsOf({ minutes, attention, handsFirst, burner, oven, noisy, fridge, tastes }: PlanTask): readonly Claim[] {
  const whole = { from: 0, to: minutes, amount: 1 };
  const hands = { from: 0, to: attention === "hands on" ? minutes : Math.min(handsFirst, minutes), amount: 1 };
  const attended = attention === "unattended" ? hands : whole;
  return [
    ...(hands.to > 0 ? [{ of: "hands" as const, ...hands }] : []),
    ...(attended.to > 0 ? [{ of: "attention" as const, ...attended }] : []),
    // A fire is not left alone in the house.
    ...(burner ? [{ of: "presence" as const, ...whole }] : attended.to > 0 ? [{ of: "presence" as const, ...attended }] : []),
    ...(burner ? [{ of: "burner" as const, ...whole }] : []),
    ...(oven ? [{ of: "oven" as const, ...whole }] : []),
    ...(noisy ? [{ of: "mixer" as const, ...whole }] : []),
    ...(fridge > 0 ? [{ of: "fridge" as const, ...whole, amount: fridge }] : []),
    ...(tastes ? [{ of: "tasting" as const, ...whole }] : []),
  ];
}

/** When somebody works at a task that is laid: all of it, or what it takes to set it going; null where nobody does. */
export function handsOf(task: PlanTask, { start }: Pick<PlacedTask, "start">): { readonly start: number; readonly end: number } | null {
  const claim = claimsOf(task).find(({ of }) => of === "attention");
  return claim ? { start: start + claim.from, end: start + claim.to } : null;
}

/** How much of each a kitchen has; what is not there has no end. */
export const roomOf = (kitchen: PlanKitchen): Readonly<Partial<Record<Claim["of"], number>>> => ({
  hands: kitchen.cooks,
  attention: MOST_AT_ONCE * kitchen.cooks,
  burner: kitchen.burners,
  oven: kitchen.ovens,
  mixer: kitchen.mixers,
  fridge: kitchen.fridge ?? Infinity,
});

/** When something of a kitchen is shut, and why. */
export type ShutHours = Readonly<Partial<Record<Claim["of"], readonly (readonly [because: Obstacle, windows: readonly Window[]])[]>>>;
export const shutHours = (kitchen: PlanKitchen): ShutHours => ({
  mixer: [
    ["quiet hours", kitchen.quiet],
    ["night", kitchen.nights],
  ],
  presence: [
    ["night", kitchen.nights],
    ["nobody there", kitchen.away],
  ],
  tasting: [["may not taste", kitchen.notTasting]],
});

/** The starts at which something of a task would be in hours that are shut: each above `from` and below `to`. */
export const shutStarts = (claims: readonly Claim[], shut: ShutHours): readonly Window[] =>
  claims.flatMap((claim) =>
    (shut[claim.of] ?? []).flatMap(([, windows]) => windows.map(({ from, to }): Window => ({ from: from - claim.to, to: to - claim.from }))),
  );

/**
 * The latest start at or before one, or the first at or after it, at which nothing of a task is in hours that are shut.
 * @unit minutes
 * @range any
 * @source by definition
 */
export function openStart(start: number, shut: readonly Window[], towards: "earlier" | "later"): number {
  for (let at = start; ;) {
    const inside = shut.find(({ from, to }) => at > from && at < to);
    if (!inside) return at;
    at = towards === "earlier" ? inside.from : inside.to;
  }
}
