import { groundOf } from "../adaptation";
import type { StoveState } from "../cook";
import { bodyHolds, evaluate, evaluatePoint, type EvaluationInput, type Figures } from "../evaluate";
import type { Kitchen } from "../kitchen";
import { waterIn } from "../rescue";
import { versionInput, type Version } from "../substitution";
import { groundOfBench, type BenchQuestion, type Ground } from "./bench-ground";
import { bodyAtTable, drivenBy, type Aim } from "./stove-aim";
import { begunAs, stoveVersion } from "./stove-version";

/** From what a batch was begun: recipe, table and what lay on the bench then; null for the recipe as handed down. */
export type CookGround = Pick<BenchQuestion, "recipe" | "table" | "bench">;
/** A batch on the stove, and what its events come to. */
export interface StoveQuestion extends CookGround {
  readonly stove: StoveState;
}

/** A batch as it stands on the stove: what is in it, what is driven off, and its figures. */
export interface StoveStanding {
  readonly ground: Ground;
  readonly by: ReturnType<typeof groundOf>;
  /** As it was begun, and its figures then. */
  readonly plan: Version;
  readonly meant: Figures;
  /** As it stands, and what went in that no table knows. */
  readonly version: Version;
  readonly unknown: readonly string[];
  /** It is bound rather than thickened. */
  readonly isBound: boolean;
  /** What has gone into the pot at hand, g. */
  readonly pot: number;
  readonly aim: Aim;
  readonly input: EvaluationInput;
  readonly figures: Figures;
}

/** What was weighed is that sure, with what sticks to the pan. */
const SCALE = 0.01;

/** What the events of a batch come to, computed: as weighed where it was, else by what brings the body that was meant. */
export function stoveStanding({ recipe, table, bench, stove }: StoveQuestion, kitchen: Kitchen): StoveStanding {
  const { constants, foods } = kitchen.reference;
  const ground = groundOfBench({ recipe, table, bench }, kitchen);
  const begun = begunAs(bench, ground, foods);
  const plan = begun.version;
  const by = groundOf(ground.read, table);
  const meant = evaluatePoint(versionInput(plan, by), constants);
  const { version, unknown } = stoveVersion(begun, stove, foods);
  const isBound = !bodyHolds(meant);
  const pot = potOf(stove);
  const asPlanned = versionInput(version, by);
  const aim: Aim = { body: bodyAtTable(table.serve), wanted: meant[bodyAtTable(table.serve)].value, noticed: constants.noticeable.value.body };
  const isSame = version.rows.every((row, i) => row.grams === plan.rows[i]?.grams && row.food === plan.rows[i].food);
  const driven = drivenBy(asPlanned, isBound || isSame ? null : aim, plan.evaporation, constants);
  const off = drivenInFact(stove, asPlanned, pot) ?? driven;
  const weighedSd = stove.got === null ? asPlanned.evaporation.sd : SCALE * stove.got;
  const input = { ...asPlanned, evaporation: { value: off, sd: weighedSd } };
  const { figures } = evaluate(input, constants);
  return { ground, by, plan, meant, version, unknown, isBound, pot, aim, input, figures };
}

/** What was, or is to be, driven off as somebody weighed it or says: what came of it, or to what it is cooked down. Null where nobody did. */
function drivenInFact({ got, stopAt, isCookedDown, drivenLater }: StoveState, input: EvaluationInput, pot: number): number | null {
  if (got !== null) {
    const all = input.lines.reduce((sum, { grams }) => sum + grams, 0);
    const water = waterIn({ ...input, evaporation: { value: 0, sd: 0 } });
    // What weighs less than all that is dry of it was not weighed whole.
    return all - got < 0.98 * water ? all - got : null;
  }
  return stopAt !== null && isCookedDown ? pot - stopAt + drivenLater : null;
}

const potOf = ({ pot, others }: StoveState): number => [...pot, ...others].reduce((sum, { grams }) => sum + grams, 0);
