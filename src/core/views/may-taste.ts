import { withOwnWords } from "../adaptation";
import { vesselFindings } from "../cautions";
import { NO_EQUIPMENT } from "../household";
import type { Kitchen } from "../kitchen";
import { standingOf } from "../substitution";
import { isNotAsked, rulesAt, seat, type Eater } from "../table";
import { capital } from "../units";
import { groundOfBench } from "./bench-ground";
import { stoveStanding, type StoveQuestion } from "./stove-standing";

/** Who would taste a batch. The table that goes with it is that of the day on which they do: fasts are kept on their days. */
export interface TastersQuestion extends StoveQuestion {
  readonly eaters: readonly Eater[];
  /** The pan that it was cooked in, by name; null where nobody said: the usual one. */
  readonly pan: string | null;
}

/** Whether somebody may taste a batch. "ask": not before somebody has settled what is told. */
export interface MayTaste {
  readonly eater: string;
  readonly name: string;
  readonly may: "yes" | "ask" | "no";
  /** What speaks against it, or has to be asked; limits that a serving passes. */
  readonly why: readonly string[];
}

/**
 * Who may taste a batch as it was cooked: by each one's own rules and allergies, what went in at the stove, what else the vessels are
 * used for, and what nobody knows. A limit of a serving forbids no spoonful: it is told.
 */
export function mayTaste({ recipe, table, bench, stove, eaters, pan }: TastersQuestion, kitchen: Kitchen): readonly MayTaste[] {
  const { version, unknown } = stoveStanding({ recipe, table, bench, stove }, kitchen);
  const { pans, ...equipment } = kitchen.household.equipment ?? NO_EQUIPMENT;
  const usedFirst = { ...equipment, pans: [...pans.filter(({ name }) => name === pan), ...pans.filter(({ name }) => name !== pan)] };
  return eaters.map((eater): MayTaste => {
    // Alone at the table: what others leave out is not theirs.
    const alone = seat({ ...table, rules: [], limits: [], seats: [], batch: "recipe" }, eater);
    const { read, problem } = groundOfBench({ recipe, table: alone, bench }, kitchen);
    const judged = withOwnWords(problem, read, version, bench?.steps, kitchen.reading.find);
    const { breaches, questions } = standingOf(judged, version);
    const vessels = vesselFindings(read, alone.servings / read.recipe.servings, false, usedFirst, rulesAt(alone, kitchen.rules)).filter(
      ({ kind }) => kind === "shared",
    );
    const against = [
      ...breaches.flatMap(({ limit, reason }) => (limit === null ? [capital(reason)] : [])),
      ...vessels.flatMap(({ verdict, text }) => (verdict === "avoid" ? [text] : [])),
    ];
    const toAsk = [
      ...questions.flatMap(({ limit, text }) => (limit === null ? [text] : [])),
      ...vessels.flatMap(({ verdict, text }) => (verdict === "avoid" ? [] : [text])),
      ...unknown.map((name) => `Nobody knows what ${name} holds.`),
      ...(isNotAsked(eater) ? [`Nobody has asked ${eater.name} about allergies yet.`] : []),
    ];
    const limits = breaches.flatMap(({ limit, reason }) => (limit === null ? [] : [capital(reason)]));
    const [may, why] = against.length > 0 ? (["no", against] as const) : toAsk.length > 0 ? (["ask", toAsk] as const) : (["yes", limits] as const);
    return { eater: eater.id, name: eater.name, may, why: [...new Set(why)] };
  });
}
