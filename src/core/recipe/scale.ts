import type { BalancedLine } from "./recipe";

/** Lines for `factor` times as much; uncertainty scales along. Evaporation scales by the caller's model. */
export function scaleLines<Line extends BalancedLine>(lines: readonly Line[], factor: number): Line[] {
  return lines.map((line) => ({
    ...line,
    grams: line.grams * factor,
    sd: line.sd * factor,
    ...(line.bought === undefined ? {} : { bought: line.bought * factor }),
  }));
}
