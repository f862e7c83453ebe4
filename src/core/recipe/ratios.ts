import { formatGrams } from "../units";
import type { LineReading } from "./read-line";
import type { LineId } from "./recipe";

/** A ratio that a recipe seems to keep: a line is so many times others together. */
export interface Ratio {
  readonly times: number;
  /** The lines it goes by. */
  readonly of: readonly LineId[];
  /** "all the dry together", "the fine semolina". */
  readonly words: string;
}

/** Lines kept in proportion take their grams from the lines they go by. What goes round in a circle, or by an unread line, is asked. */
export function withRatios(readings: readonly LineReading[]): LineReading[] {
  const byLine = new Map(readings.map((reading) => [reading.line.id, reading] as const));
  const settled = new Map<LineId, LineReading>();
  const settle = (line: LineId, path: readonly LineId[]): LineReading | undefined => {
    const reading = byLine.get(line);
    const known = settled.get(line);
    if (known || !reading) return known;
    const { ratio } = reading.line.choice;
    if (!ratio || (reading.kind !== "read" && reading.kind !== "amount unknown")) return reading;
    const asked = (why: string): LineReading => ({ ...shared(reading), kind: "amount unknown", guesses: [], why });
    if (path.includes(line)) return asked("It is kept in proportion to itself, in a circle");
    let [value, variance] = [0, 0];
    const names: string[] = [];
    for (const id of ratio.of) {
      const by = settle(id, [...path, line]);
      if (by?.kind !== "read") return asked("A line that it is kept in proportion to has no amount, or is gone");
      value += by.grams.value;
      variance += by.grams.sd ** 2;
      names.push(by.food.name.toLowerCase());
    }
    const made: LineReading = {
      ...shared(reading),
      kind: "read",
      grams: { value: value * ratio.times, sd: Math.sqrt(variance) * ratio.times },
      how: `kept at ${number(ratio.times)} times ${names.join(" + ")} = ${formatGrams(value * ratio.times)} g`,
      measure: "",
      optional: reading.kind === "read" && reading.optional,
    };
    settled.set(line, made);
    return made;
  };
  return readings.map((reading) => settle(reading.line.id, []) ?? reading);
}

const shared = ({ line, food, role, description, beside }: Extract<LineReading, { kind: "read" | "amount unknown" }>) => ({
  line,
  food,
  role,
  description,
  beside,
});
const number = (times: number) => String(Math.round(times * 100) / 100);

const DRY = ["body", "bulk", "binder"];

/** The ratios by which a line could be kept: a sweetener by all the dry together, fat and liquid by what they go with. The likeliest first. */
export function ratiosFor(readings: readonly LineReading[], id: LineId): Ratio[] {
  const line = readings.find((reading) => reading.line.id === id);
  if (line?.kind !== "read") return [];
  const read = readings.flatMap((reading) =>
    reading.kind === "read" && reading.line.id !== id && !reading.line.choice.ratio ? [{ reading, other: reading.line.id }] : [],
  );
  const of = (words: string, test: (role: string) => boolean): Ratio[] => {
    const found = read.filter(({ reading }) => test(reading.role));
    const sum = found.reduce((total, { reading }) => total + reading.grams.value, 0);
    return sum > 0 ? [{ times: line.grams.value / sum, of: found.map(({ other }) => other), words }] : [];
  };
  const dry = read.filter(({ reading }) => DRY.includes(reading.role));
  const single = dry.length === 1 ? (dry[0]?.reading.food.name.toLowerCase() ?? "") : "";
  return [
    ...of(single ? `the ${single}` : "all the dry together", (role) => DRY.includes(role)),
    ...(line.role === "sweetener" ? of("all the liquid", (role) => role === "liquid") : []),
    ...(line.role !== "sweetener" ? of("all the sweetener", (role) => role === "sweetener") : []),
  ];
}
