import type { Kitchen } from "../kitchen";
import { baseOf } from "../models/diet";
import { ageOf, keptAt, LIMIT_NAMES, type Eater } from "../table";

/** Whether somebody may be offered sugar water to taste, and why not. */
export interface MayClimb {
  readonly eater: string;
  readonly name: string;
  readonly may: boolean;
  readonly why: string;
}

/** Limits and rules that are kept for the sake of sugar. */
const SUGAR_LIMITS = ["freeSugars", "glycaemicLoad", "energy"] as const;
const SUGAR_RULES = ["no-added-sugar"];

/**
 * Who may climb the palate ladder, sip and spit though it is: nobody who minds sugar, is small, or fasts on the day. `falls` are the
 * fasts (by the part of the id before the stroke) that fall on it; null where that is not known, and then all are kept.
 */
export function mayClimb(eaters: readonly Eater[], falls: readonly string[] | null, { rules }: Kitchen): readonly MayClimb[] {
  return eaters.map((eater): MayClimb => {
    const { id, name, limits } = eater;
    const kept = keptAt(eater, falls);
    const limit = SUGAR_LIMITS.find((each) => limits.some((own) => own.id === each));
    const sugar = kept.find((rule) => SUGAR_RULES.includes(baseOf(rule)));
    const fast = kept.find((rule) => rules.get(rule)?.kind === "fast");
    const age = ageOf(eater);
    const why =
      age === "under 1" || age === "1 to 5"
        ? "too small for it"
        : limit
          ? `minds ${LIMIT_NAMES[limit].name}`
          : sugar !== undefined
            ? "keeps no added sugar"
            : fast !== undefined
              ? `keeps a fast: ${(rules.get(fast)?.name ?? fast).toLowerCase()}`
              : "";
    return { eater: id, name, may: why === "", why };
  });
}
