import type { Constants, Food, Role } from "../food";
import { evaluatePoint } from "./evaluate";
import type { EvaluationInput } from "./input";
import type { PropertyId } from "./properties";

/** Grams that would bring a sweet to what is usual for its kind; the range goes with the usual range. */
export interface ProposedAmount {
  readonly grams: number;
  readonly low: number;
  readonly high: number;
  /** By what it was found: "usual sweetness of a pudding". */
  readonly by: string;
}

const BY_ROLE: Readonly<Partial<Record<Role, readonly [PropertyId, "sweetness" | "body" | "richness"]>>> = {
  sweetener: ["sweetness.hot", "sweetness"],
  richness: ["richness", "richness"],
  liquid: ["body.hot", "body"],
  body: ["body.hot", "body"],
  thickener: ["body.hot", "body"],
};
const ROUNDS = 40;
const MOST_TIMES = 20;

/**
 * The amount of a food that brings a sweet to the usual sweetness, body or fat of its kind (`Constants.usualSweets`, rule of
 * thumb), by bisection on grams between none and twenty times what is there. Null where its role has no such property, or no amount reaches it.
 */
export function proposeAmount(input: EvaluationInput, food: Food, role: Role, kind: string, constants: Constants): ProposedAmount | null {
  const property = BY_ROLE[role];
  const usual = property && constants.usualSweets.value[kind]?.[property[1]];
  const there = input.lines.reduce((sum, { grams }) => sum + grams, 0);
  if (!property || !usual || there <= 0) return null;
  const at = (grams: number) => evaluatePoint({ ...input, lines: [...input.lines, { food, grams, sd: 0, role }] }, constants)[property[0]].value;
  const [none, most] = [at(0), at(MOST_TIMES * there)];
  const solve = (target: number): number | null => {
    if ((target - none) * (target - most) > 0) return null;
    let [low, high] = [0, MOST_TIMES * there];
    for (let i = 0; i < ROUNDS; i++) {
      const middle = (low + high) / 2;
      if ((at(middle) - target) * (none - target) > 0) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  const found = usual.map(solve);
  const grams = found[1];
  if (grams === null || grams === undefined || grams < 0.05) return null;
  const bounds = found.flatMap((each) => each ?? []);
  return { grams, low: Math.min(...bounds), high: Math.max(...bounds), by: `usual ${property[1] === "richness" ? "fat" : property[1]} of a ${kind}` };
}
