import type { LogbookEntry } from "@/server/cook/logbook";
import type { BatchRow } from "@/ui/panels/batch-list";
import type { LoggedRow } from "@/ui/panels/logged";
import type { VersionRowData } from "@/ui/panels/version-list";

const FORMAT = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "long", hour: "2-digit", minute: "2-digit" });
const DAY = new Intl.DateTimeFormat("en-GB", { weekday: "long", day: "numeric", month: "long" });

const DAY_MS = 86_400_000;

/** A moment as the house writes it: "today, 14:05", "yesterday, 9:30", "25 November, 14:05". */
export function dateWords(iso: string, now = new Date()): string {
  const words = FORMAT.format(new Date(iso)).replace(" at ", ", ");
  const dayOf = (date: Date) => FORMAT.format(date).split(/,| at /)[0];
  const day = dayOf(new Date(iso));
  const near = day === dayOf(now) ? "today" : day === dayOf(new Date(now.getTime() - DAY_MS)) ? "yesterday" : null;
  return near && Math.abs(now.getTime() - Date.parse(iso)) < 2 * DAY_MS ? words.replace(day ?? "", near) : words;
}
/** A day: "Wednesday 25 November". */
export const dayWords = (date: Date): string => DAY.format(date).replace(",", "");

export const versionRow = ({
  id,
  title,
  label,
  keptAt,
}: {
  readonly id: string;
  readonly title: string;
  readonly label: string;
  readonly keptAt: string;
}): VersionRowData => ({ id, title, label, kept: dateWords(keptAt) });

/** A batch as lists show it, and what goes on of it. */
export const batchRow = (
  {
    id,
    title,
    label,
    begunAt,
    endedAt,
    planned,
    got,
  }: Omit<BatchRow, "begun" | "isOn" | "goingOn"> & { readonly begunAt: string; readonly endedAt: string | null },
  goingOn: readonly string[] = [],
): BatchRow => ({ id, title, label, planned, got, begun: dateWords(begunAt), isOn: endedAt === null, goingOn });

const CLOCK = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" });
/** A moment of the day, by the clock of this machine. */
export const clockWords = (at: number): string => CLOCK.format(at);

const SHORT = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short" });
/** A batch as the logbook and the line of its sweet show it. */
export const loggedRow = ({ id, recipeId, title, label, begunAt, endedAt, planned, got, logged, tastings, liking }: LogbookEntry): LoggedRow => ({
  ...{ id, recipeId, title, label, planned, got, logged, tastings, liking },
  made: dateWords(begunAt),
  day: SHORT.format(new Date(begunAt)),
  isOn: endedAt === null,
});
