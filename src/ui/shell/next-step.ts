/** How far a sweet on the go is, as the kitchen needs to know it. */
export interface Progress {
  readonly asked: number;
  readonly wishes: readonly string[];
  readonly servings: number | null;
  /** What is known of what lies on the bench, in few words; null where nothing does. */
  readonly fit: string | null;
}

export interface NextStep {
  /** What to do, as a verb: "Answer 1 line". */
  readonly verb: string;
  readonly station: "recipe" | "table" | "swap";
  /** Where it stands: "7 of 9 inside, not kept". */
  readonly state: string;
  /** Stations done of the four that there are: Recipe, Table, Swap, Keep. */
  readonly done: number;
}

/** What a sweet waits for: the first station that is not settled. */
export function nextStep({ asked, wishes, fit }: Progress): NextStep {
  const done = (asked === 0 ? 1 : 0) + (wishes.length > 0 ? 1 : 0) + (fit ? 1 : 0);
  if (asked > 0) return { verb: asked === 1 ? "Answer 1 line" : `Answer ${asked} lines`, station: "recipe", state: `${asked} to ask`, done };
  if (wishes.length === 0) return { verb: "Set the table", station: "table", state: "no table yet", done };
  if (!fit) return { verb: "See the versions", station: "swap", state: "table set", done };
  return { verb: "Keep a version", station: "swap", state: fit, done };
}
export const STATIONS_TO_KEEP = 4;
