import type { StepId } from "../recipe";
import type { MethodStep } from "./step";

type Timed = Pick<MethodStep, "id" | "attention" | "minutes" | "operations" | "takes"> & { readonly text: string };

/** A piece of the whole time. */
export interface TimePiece extends Pick<MethodStep, "id" | "attention"> {
  /** Minutes from the beginning. */
  readonly start: number;
  readonly end: number;
  /** The step beside which it is done; null where it follows the one before. */
  readonly beside: StepId | null;
  /** Whether both of them need hands. */
  readonly isClash: boolean;
}

/** A step that its words set beside the one before: "Meanwhile …", "While the rice soaks, …". */
const MEANWHILE =
  /^(?:meanwhile|in the meantime|at the same time|in another (?:pan|pot|bowl)[^.]{0,40}meanwhile|while (?:it|this|that|they|these|those|the [a-z ]{1,30}) (?:is |are )?(?:simmer|cook|boil|soak|cool|chill|rest|set|bak|steam|freez|roast)[a-z]{0,4}\b)/i;

/** Steps one after the other, and beside the one before where their words say so: that goes on meanwhile. */
export function timePieces(steps: readonly Timed[]): readonly TimePiece[] {
  const pieces: TimePiece[] = [];
  let done = 0;
  for (const { id, attention, minutes, text } of steps) {
    const before = pieces.at(-1);
    const beside = before && MEANWHILE.test(text) && before.end > before.start ? before : null;
    const start = beside ? beside.start : done;
    const end = start + minutes.usual;
    pieces.push({
      id,
      attention,
      start,
      end,
      beside: beside?.id ?? null,
      isClash: beside !== null && attention !== "unattended" && beside.attention === "hands on",
    });
    done = Math.max(done, end);
  }
  return pieces;
}

const POURS_AND_STIRS =
  /\b(?:in|with) a (?:thin|slow|steady|fine) (?:stream|trickle)\b|\b(?:pour|drizzle|sprinkle|scatter|rain|add)[a-z]*\b[^.;]{0,80}\bwhile (?:stirring|whisking|beating)\b/i;

/** What has to be done with both hands at once in a step: a second pair of hands, or a bowl on a damp cloth; null where nothing has. */
export function atOnce({ operations, takes, text }: Pick<Timed, "operations" | "takes" | "text">): string | null {
  if (operations.includes("temper")) return "One hand pours, one whisks: stand the bowl on a damp cloth.";
  if (POURS_AND_STIRS.test(text) || (operations.includes("slake") && operations.includes("simmer"))) return "One hand pours, one stirs.";
  return operations.includes("caramelise") && takes.length > 1 ? "Have the rest at hand before the sugar turns: it goes in within seconds." : null;
}
