import type { Rule } from "../models/diet";
import type { LineId, ReadRecipe } from "../recipe";
import { partedPortions } from "./parted-portions";
import type { Standing } from "./verdict";

type ReadSteps = Pick<ReadRecipe, "steps" | "readings" | "unlisted">;

/** What parts a portion in such words as recipes use: it is judged like any that a recipe parts itself. */
const PARTING = "Set aside a portion in its own clean pan.";

/**
 * Before which steps (by place, from 1) a portion can be parted from a pot so that by then, for every one of these rules, it
 * holds nothing of what breaks them, nor traces of it: with a pan and a spoon of its own from there on. The latest first.
 */
export function partingPlaces(read: ReadSteps, standing: Standing, rules: readonly Rule[]): readonly number[] {
  const broken = rules.filter(({ id }) => standing.breaches.some(({ rule }) => rule === id));
  const { steps } = read;
  return steps
    .flatMap((after, at) => {
      if (at === 0) return [];
      const parting = { ...after, step: { id: "parting", text: PARTING, choice: {} }, operations: [], takes: [] };
      const with_ = { ...read, steps: [...steps.slice(0, at), parting, ...steps.slice(at)] };
      const portions = partedPortions(with_, standing, broken).filter(({ step }) => step === "parting");
      return broken.every(({ id }) => portions.some(({ rule, verdict }) => rule === id && verdict === "allowed")) ? [at] : [];
    })
    .reverse();
}

/** The lines of which anything has gone in before a step (by place): they are in the base, for everybody. */
export const linesBefore = ({ steps }: Pick<ReadRecipe, "steps">, before: number): readonly LineId[] => [
  ...new Set(steps.slice(0, before).flatMap(({ takes }) => takes.flatMap(({ of }) => (of.kind === "line" ? [of.id] : [])))),
];

/**
 * What is in the sweet's own pot before a step, as the recipe makes it.
 * @unit g
 * @range 0 or more
 * @source the mass balance by step
 */
export const massBefore = ({ ledger }: Pick<ReadRecipe, "ledger">, before: number): number =>
  ledger.entries.filter(({ step, component }) => component === null && step !== null && step < before).at(-1)?.after.mass ?? 0;
