import type { LineId, PartId, StepId } from "../recipe";
import type { Method } from "./step";

/** So much of a row of the version. */
export interface RowShare {
  readonly line: LineId;
  readonly share: number;
}

/** What goes in at each step and what is in its pot by then, row by row; a part comes into its pot with all that went into it. */
export function potLines({ steps }: Pick<Method, "steps">): ReadonlyMap<StepId, { readonly takes: readonly RowShare[]; readonly pot: readonly RowShare[] }> {
  const pots = new Map<PartId | null, Map<LineId, number>>();
  const potOf = (part: PartId | null) => {
    const known = pots.get(part) ?? new Map<LineId, number>();
    pots.set(part, known);
    return known;
  };
  return new Map(
    steps.map((step) => {
      const coming = new Map<LineId, number>();
      const add = (to: Map<LineId, number>, line: LineId, share: number) => to.set(line, Math.min(1, (to.get(line) ?? 0) + share));
      // What is only got ready is in no pot yet.
      if (step.origin.kind !== "prepares")
        for (const { of, share } of step.takes) {
          if (of.kind === "line") add(coming, of.id, share);
          else for (const [line, all] of potOf(of.id)) add(coming, line, all * share);
        }
      const pot = potOf(step.part);
      for (const [line, share] of coming) add(pot, line, share);
      return [step.id, { takes: shares(coming), pot: shares(pot) }] as const;
    }),
  );
}
const shares = (of: ReadonlyMap<LineId, number>): readonly RowShare[] => [...of].flatMap(([line, share]) => (share > 0 ? [{ line, share }] : []));
