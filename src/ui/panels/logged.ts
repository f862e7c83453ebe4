import type { LoggedBatch, LoggedName } from "../../core/views";
import { formatGrams } from "../../core/units";

/** A batch as the logbook and the line of its sweet show it. */
export interface LoggedRow {
  readonly id: string;
  readonly recipeId: string | null;
  readonly title: string;
  readonly label: string | null;
  /** When it was begun, in words, and as short as it goes: "28 Nov". */
  readonly made: string;
  readonly day: string;
  readonly isOn: boolean;
  /** What it was meant to weigh, and what came of it, g; null where it was not weighed. */
  readonly planned: number;
  readonly got: number | null;
  readonly logged: LoggedBatch | null;
  readonly tastings: number;
  readonly liking: number | null;
}

/** What came of it, beside the plan. */
export function gotWords({ isOn, planned, got }: Pick<LoggedRow, "isOn" | "planned" | "got">): string {
  if (isOn) return "on the stove";
  if (got === null) return "not weighed";
  const off = Math.round((100 * (got - planned)) / Math.max(1, planned));
  return `${formatGrams(got)} g${off === 0 ? ", as planned" : `, ${Math.abs(off)} % ${off < 0 ? "less" : "more"} than planned`}`;
}

/** What a chart of batches shows: figures of one sweet, or what can be held side by side of any. */
export type Charted = LoggedName | "yield" | "yield of plan" | "liking" | "practice";

/** One batch in a chart: as planned, as it came out with its 80 % interval, and as somebody said; null where there is none. */
export interface ChartPoint {
  readonly id: string;
  readonly day: string;
  readonly name: string;
  readonly planned: number | null;
  readonly got: number | null;
  readonly low: number | null;
  readonly high: number | null;
  readonly said: number | null;
}
export interface ChartOf {
  readonly of: Charted;
  readonly name: string;
  /** In what, and of what: "g/100 g". */
  readonly unit: string;
  /** How many places after the point it is told with. */
  readonly places: number;
  /** From the first to the last. */
  readonly points: readonly ChartPoint[];
}

const NONE = { planned: null, got: null, low: null, high: null, said: null };
const LATER: readonly LoggedName[] = ["sweetness", "free sugars", "body", "binding"];

/** Charts of batches, each with at least one point; rows come with the latest first. `isOneSweet`: figures of different sweets are not drawn in one. */
export function chartsOf(rows: readonly LoggedRow[], isOneSweet: boolean): readonly ChartOf[] {
  const done = rows.filter(({ isOn }) => !isOn).toReversed();
  const base = ({ id, day, label, title }: LoggedRow) => ({ ...NONE, id, day, name: isOneSweet ? (label ?? "As handed down") : title });
  const yields: ChartOf = isOneSweet
    ? { of: "yield", name: "What came of it", unit: "g", places: 0, points: done.map((row) => ({ ...base(row), planned: row.planned, got: row.got })) }
    : {
        ...{ of: "yield of plan", name: "What came of it", unit: "% of what was planned", places: 0 },
        points: done.flatMap((row) => (row.got === null ? [] : [{ ...base(row), planned: 100, got: (100 * row.got) / Math.max(1, row.planned) }])),
      };
  const liking: ChartOf = {
    ...{ of: "liking", name: "Liking", unit: "of 9", places: 1 },
    points: done.flatMap((row) => (row.liking === null ? [] : [{ ...base(row), got: row.liking }])),
  };
  const figures = (isOneSweet ? LATER : []).map((of): ChartOf => {
    const told = done.flatMap((row) => {
      const figure = row.logged?.figures.find((each) => each.of === of);
      return figure ? [{ row, figure }] : [];
    });
    const { name = "", unit = "", per = "" } = told.at(-1)?.figure ?? {};
    const said = (row: LoggedRow) => (of === "body" ? (row.logged?.saidBody ?? null) : null);
    return {
      ...{ of, name, unit: `${unit}${per === "" || unit.includes("/") ? "" : ` ${per}`}`.trim(), places: 1 },
      points: told.map(({ row, figure: { meant, value, low, high } }) => ({ ...base(row), planned: meant, got: value, low, high, said: said(row) })),
    };
  });
  return [...figures, yields, liking].filter(({ points }) => points.some(({ got }) => got !== null));
}

/** A figure of a chart as it is told. */
export const told = (value: number | null, places: number): string => (value === null ? "" : value.toFixed(places));
