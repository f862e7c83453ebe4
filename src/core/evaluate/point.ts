import type { Constants } from "../food";
import type { Balance } from "../recipe";
import { computed, PROPERTIES } from "./properties";

/** Values of all properties, in the order of PROPERTIES. */
export type PointFigures = Float64Array;

/** All properties of one balanced sweet, without uncertainty: the models in order. A few microseconds. */
export function pointFigures(sweet: Balance, servings: number, constants: Constants): PointFigures {
  const of = computed(sweet, servings, constants);
  const figures = new Float64Array(PROPERTIES.length);
  for (let at = 0; at < figures.length; at++) figures[at] = PROPERTIES[at]?.value(of) ?? 0;
  return figures;
}
