/** The ISO date of a day that there is; day 0 is the last of the month before. Null where there is no such day, or before 2000 or after 2099. */
export function isoDay(year: number, month: number, day: number): string | null {
  const date = new Date(Date.UTC(year, month - 1, day));
  const fits = day === 0 || (date.getUTCDate() === day && date.getUTCMonth() === month - 1);
  return fits && year >= 2000 && year < 2100 ? date.toISOString().slice(0, 10) : null;
}

/** An ISO date so many months later; of a month that has no such day its last. */
export function addMonths(day: string, months: number): string {
  const [year = 2000, month = 1, date = 1] = day.split("-").map(Number);
  const same = new Date(Date.UTC(year, month - 1 + months, date));
  const last = new Date(Date.UTC(year, month + months, 0));
  return (same < last ? same : last).toISOString().slice(0, 10);
}
