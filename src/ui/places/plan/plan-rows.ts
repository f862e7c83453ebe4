import { axisOf, handsOf, shortWords, type PlacedTask, type PlanAxis, type PlanTask, type SweetTasks } from "../../../core/plan";

/** A task where it is laid, as it is drawn and listed. */
export interface PlanRow extends PlacedTask {
  readonly task: PlanTask;
  readonly title: string;
  readonly short: string;
  /** When somebody works at it; null where nobody has to. */
  readonly hands: { readonly start: number; readonly end: number } | null;
}
export interface SweetRows {
  readonly id: string;
  readonly title: string;
  readonly line: string;
  readonly rows: readonly PlanRow[];
}

/** A plan by sweets, each in the order of the clock. */
export function rowsOf(
  sweets: readonly SweetTasks[],
  placed: readonly PlacedTask[],
  names: ReadonlyMap<string, { readonly title: string; readonly line: string }>,
): readonly SweetRows[] {
  const at = new Map(placed.map((row) => [row.id, row] as const));
  return sweets.map(({ sweet, tasks }) => {
    const { title, line } = names.get(sweet.id) ?? { title: sweet.name, line: "" };
    return {
      id: sweet.id,
      title,
      line,
      rows: tasks
        .flatMap((task): PlanRow[] => {
          const row = at.get(task.id);
          return row ? [{ ...row, task, title, short: shortWords(task.words), hands: handsOf(task, row) }] : [];
        })
        .toSorted((one, other) => one.start - other.start || one.end - other.end),
    };
  });
}

export function axisFor(rows: readonly PlanRow[], pastHour: number): PlanAxis {
  const work = [...rows.flatMap(({ hands }) => hands ?? []), { start: -60, end: 0 }];
  return axisOf(work, { from: Math.min(-60, ...rows.map(({ start }) => start)), to: Math.max(0, ...rows.map(({ end }) => end)) }, pastHour);
}

/** What goes on beside each other on so many burners: each on the first that is free. */
export function lanesOf(rows: readonly PlanRow[]): readonly (readonly PlanRow[])[] {
  const lanes: PlanRow[][] = [];
  for (const row of rows.toSorted((one, other) => one.start - other.start)) {
    const free = lanes.find((lane) => (lane.at(-1)?.end ?? -Infinity) <= row.start);
    if (free) free.push(row);
    else lanes.push([row]);
  }
  return lanes;
}

/** Minutes in which hands are needed, each once however much goes on in it. */
export function handsInAll(rows: readonly PlanRow[]): number {
  let [sum, until] = [0, -Infinity];
  for (const { start, end } of rows
    .flatMap(({ hands, task }) => (hands && task.attention !== "now and then" ? [hands] : []))
    .toSorted((one, other) => one.start - other.start)) {
    sum += Math.max(0, end - Math.max(start, until));
    until = Math.max(until, end);
  }
  return sum;
}
