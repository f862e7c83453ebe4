import type { Method } from "./step";

/** Minutes of a method: of all its steps one after the other, those in which the cook's hands are bound, and those that wait alone. */
export interface MethodTimes {
  readonly all: number;
  readonly handsOn: number;
  readonly unattended: number;
}

/** Of a step that is stirred now and then, the share that it takes of the cook: a rule of thumb. */
const NOW_AND_THEN = 0.3;

/**
 * How long a method takes.
 * @unit minutes
 * @range 0 or more
 * @source usual minutes of its steps
 */
export function timesOf({ steps }: Method): MethodTimes {
  const minutes = (is: (attention: Method["steps"][number]["attention"]) => number) =>
    steps.reduce((sum, { minutes: { usual }, attention }) => sum + usual * is(attention), 0);
  return {
    all: minutes(() => 1),
    handsOn: minutes((attention) => (attention === "hands on" ? 1 : attention === "now and then" ? NOW_AND_THEN : 0)),
    unattended: minutes((attention) => (attention === "unattended" ? 1 : 0)),
  };
}
