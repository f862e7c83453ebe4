import { INDEX, SERVING_TEMPERATURES, type Constants } from "../food";
import { nutritionTotals } from "../models/nutrition";
import { sweetness } from "../models/sweetness";
import { body, bodyAt, creaminessPerGram, solutesPerGram } from "../models/texture";
import { potOnly, type Balance } from "../recipe";
import { AMOUNTS, PROPERTY_IDS, type PropertyId } from "./properties";

/** Values of all properties, in the order of PROPERTY_IDS. */
export type PointFigures = Float64Array;

const PLACE = Object.fromEntries(PROPERTY_IDS.map((id, i) => [id, i])) as Readonly<Record<PropertyId, number>>;
const BY_TEMPERATURE = SERVING_TEMPERATURES.map((serve) => ({ serve, sweetness: PLACE[`sweetness.${serve}`], body: PLACE[`body.${serve}`] }));
const BY_AMOUNT = AMOUNTS.map(([amount]) => ({ amount, per100g: PLACE[`per100g.${amount}`], serving: PLACE[`serving.${amount}`] }));

/** All properties of one balanced sweet, without uncertainty: the models in order. A few microseconds. */
export function pointFigures(sweet: Balance, servings: number, constants: Constants): PointFigures {
  const mass = Math.max(1e-9, sweet.finishedMass);
  const figures = new Float64Array(PROPERTY_IDS.length);
  figures[PLACE.yield] = sweet.finishedMass;
  figures[PLACE.servingMass] = sweet.finishedMass / servings;

  const pot = potOnly(sweet);
  const hot = body(pot, "hot", constants);
  const chilled = body(pot, "chilled", constants);
  for (const place of BY_TEMPERATURE) {
    figures[place.sweetness] = sweetness(sweet, constants.temperatures[place.serve], constants);
    figures[place.body] = bodyAt(hot, chilled, place.serve, constants);
  }

  const totals = nutritionTotals(sweet, constants);
  for (const place of BY_AMOUNT) {
    figures[place.per100g] = (100 * totals[place.amount]) / mass;
    figures[place.serving] = totals[place.amount] / servings;
  }

  let creamy = 0;
  for (const [i, line] of sweet.lines.entries()) creamy += line.grams * creaminessPerGram(line.food, sweet.compositions[i] ?? line.food.per100g, line.role);
  figures[PLACE.richness] = (100 * (sweet.totals[INDEX.fat] ?? 0)) / mass;
  figures[PLACE.creaminess] = (100 * creamy) / mass;
  figures[PLACE.solutes] = (100 * 100 * solutesPerGram(sweet.totals)) / mass;
  figures[PLACE.water] = (100 * (sweet.totals[INDEX.water] ?? 0)) / mass;
  return figures;
}
