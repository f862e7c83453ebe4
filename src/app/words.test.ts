import { describe, expect, it } from "vitest";
import { dateWords } from "./words";

/** Local times: the words are of the place where the house stands. */
const at = (year: number, month: number, day: number, hour: number, minute: number) => new Date(year, month - 1, day, hour, minute);
const words = (date: Date, now: Date) => dateWords(date.toISOString(), now);

describe("a moment in words", () => {
  const now = at(2026, 11, 25, 0, 5);
  it.each([
    [at(2026, 11, 25, 0, 1), "today, 00:01"],
    [at(2026, 11, 24, 23, 59), "yesterday, 23:59"],
    [at(2026, 11, 23, 23, 59), "23 November, 23:59"],
    [at(2025, 11, 25, 14, 5), "25 November, 14:05"],
  ] as const)("%s is %s", (date, expected) => expect(words(date, now)).toBe(expected));
});
