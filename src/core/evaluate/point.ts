import { INDEX, SERVING_TEMPERATURES, type Constants } from "../food";
import { nutritionTotals } from "../models/nutrition";
import { sweetness } from "../models/sweetness";
import { body, bodyAt, creaminessPerGram, solutesPerGram } from "../models/texture";
import type { Balance } from "../recipe";
import { AMOUNTS, type PropertyId } from "./properties";

export type PointFigures = Readonly<Record<PropertyId, number>>;

/** All properties of one balanced sweet, without uncertainty: the models in order. A few microseconds. */
export function pointFigures(sweet: Balance, servings: number, constants: Constants): PointFigures {
  const mass = Math.max(1e-9, sweet.finishedMass);
  const figures: Partial<Record<PropertyId, number>> = { yield: sweet.finishedMass, servingMass: sweet.finishedMass / servings };

  const hot = body(sweet, "hot", constants);
  const chilled = body(sweet, "chilled", constants);
  for (const serve of SERVING_TEMPERATURES) {
    figures[`sweetness.${serve}`] = sweetness(sweet, constants.temperatures[serve], constants);
    figures[`body.${serve}`] = bodyAt(hot, chilled, serve, constants);
  }

  const totals = nutritionTotals(sweet, constants);
  for (const [amount] of AMOUNTS) {
    figures[`per100g.${amount}`] = (100 * totals[amount]) / mass;
    figures[`serving.${amount}`] = totals[amount] / servings;
  }

  let creamy = 0;
  for (const [i, line] of sweet.lines.entries()) creamy += line.grams * creaminessPerGram(line.food, sweet.compositions[i] ?? line.food.per100g, line.role);
  figures.richness = (100 * (sweet.totals[INDEX.fat] ?? 0)) / mass;
  figures.creaminess = (100 * creamy) / mass;
  figures.solutes = (100 * 100 * solutesPerGram(sweet.totals)) / mass;
  figures.water = (100 * (sweet.totals[INDEX.water] ?? 0)) / mass;
  return figures as PointFigures;
}
