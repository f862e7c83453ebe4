import { stored } from "../adaptation";
import type { Kitchen } from "../kitchen";
import { stoveStanding, type CookGround, type StoveQuestion } from "./stove-standing";

/** From what a batch is made again, as it was cooked. */
export interface AsLastTime {
  readonly ground: CookGround;
  /** What went in that no table knows, by name: it cannot be in the plan. */
  readonly without: readonly string[];
}

/**
 * From what a batch is begun that is to be as another was: what went in then, and how far it was cooked down where that was weighed.
 * Where nothing was other than planned it is what that one was begun from.
 */
export function asLastTime(question: StoveQuestion, label: string | null, from: string | null, kitchen: Kitchen): AsLastTime {
  const { recipe, table, bench, stove } = question;
  const { version, unknown, plan, input, ground } = stoveStanding(question, kitchen);
  const isSame =
    version.rows.length === plan.rows.length && version.rows.every(({ grams, food }, i) => grams === plan.rows[i]?.grams && food === plan.rows[i].food);
  if (isSame && stove.got === null) return { ground: { recipe, table, bench }, without: unknown };
  const state = {
    label: asWords(label ?? "As handed down"),
    version: { rows: version.rows, evaporation: input.evaporation.value },
    byHand: true,
    ...(from === null ? {} : { from }),
    ...(bench?.steps ? { steps: bench.steps } : {}),
    ...(bench?.ways ? { ways: bench.ways } : {}),
  };
  return { ground: { recipe, table, bench: stored(state, ground.read, table) }, without: unknown };
}
const LONGEST_LABEL = 100;
const LAST = ", as last time";
/** Said once, however often it is made again. */
const asWords = (label: string): string => (label.endsWith(LAST) ? label : `${label.slice(0, LONGEST_LABEL - LAST.length)}${LAST}`);
