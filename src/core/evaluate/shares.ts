import { asTreated, type BodyFamily, type Constants } from "../food";
import { bindingPerGram } from "../models/binding";
import { bodyIndex } from "../models/texture";
import { bodyFamilyOf, thickeningPerGram, type Cooled } from "../process";
import { potOnly } from "../recipe";
import { balanceOf } from "./evaluate";
import type { EvaluationInput } from "./input";

/**
 * What of the index X each family of thickeners gives; what milk, egg, gums and gels give is in none.
 * @unit share, by family
 * @range 0 to 1
 * @source index of thickening
 */
export function bodyShares(input: EvaluationInput, cooled: Cooled, constants: Constants): Readonly<Partial<Record<BodyFamily, number>>> {
  const { x, serum } = bodyIndex(potOnly(balanceOf(input)), cooled, constants);
  const shares: Partial<Record<BodyFamily, number>> = {};
  for (const { food: plain, treated, grams, apart } of input.lines) {
    const food = asTreated(plain, treated);
    const family = bodyFamilyOf(food, constants);
    if (family === null || apart || x <= 0) continue;
    const { starch, fibre, particles } = thickeningPerGram(food, food.per100g, cooled, input.cookMinutes, constants);
    const from = starch + particles + (family === "pulp" ? fibre : 0);
    shares[family] = (shares[family] ?? 0) + (100 * from * grams) / serum / x;
  }
  return shares;
}

/**
 * What of the binder that is taken up each food takes, by its id.
 * @unit share, by food
 * @range 0 to 1
 * @source demand of binding
 */
export function bindingShares({ lines }: EvaluationInput, constants: Constants): Readonly<Record<string, number>> {
  const demands = lines.map(({ food, treated, grams }) => [food.id, bindingPerGram(asTreated(food, treated), food.per100g, constants).demand * grams] as const);
  const all = demands.reduce((sum, [, demand]) => sum + demand, 0);
  const shares: Record<string, number> = {};
  for (const [id, demand] of demands) if (demand > 0) shares[id] = (shares[id] ?? 0) + demand / all;
  return shares;
}
