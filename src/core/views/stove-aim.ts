import { valueOf, type EvaluationInput, type PropertyId } from "../evaluate";
import type { ServingTemperature } from "../food";
import type { Kitchen } from "../kitchen";
import { waterIn } from "../rescue";

export type Constants = Kitchen["reference"]["constants"];
export const bodyAtTable = (serve: ServingTemperature): PropertyId => (serve === "chilled" ? "body.chilled" : "body.hot");
export const sweetnessAtTable = (serve: ServingTemperature): PropertyId => `sweetness.${serve}`;

/** The body that a batch is to have at the table, and what of it is just noticed. */
export interface Aim {
  readonly body: PropertyId;
  readonly wanted: number;
  readonly noticed: number;
}

/**
 * What has to be driven off so that the body comes out as wanted, g; as by plan where no body is told of it, or none brings it there.
 * @unit g
 * @range up to the water that is in it
 * @source the models of body, solved
 */
export function drivenBy(input: EvaluationInput, aim: Aim | null, byPlan: number, constants: Constants): number {
  if (aim === null) return byPlan;
  const bodyAt = (driven: number) => valueOf({ ...input, evaporation: { ...input.evaporation, value: driven } }, aim.body, constants);
  const all = waterIn({ ...input, evaporation: { value: 0, sd: 0 } });
  let [low, high] = [Math.min(0, byPlan), 0.95 * all];
  if (bodyAt(low) > aim.wanted || bodyAt(high) < aim.wanted) return byPlan;
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (bodyAt(middle) < aim.wanted) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
