import { casein, coconut, egg, plantMilk } from "./curdling";
import { HAZARD_GRADES, type Context, type Family, type Hazard, type HazardGround } from "./hazard";
import { aroma, burns, cooling, drowned, dry, honey, ladoo, scorch, soaks } from "./heat";
import { potsOf } from "./pot";
import { grains, lumps, setting, thins } from "./starch";

const FAMILIES: readonly Family[] = [
  casein,
  plantMilk,
  coconut,
  egg,
  lumps,
  thins,
  setting,
  grains,
  scorch,
  aroma,
  ladoo,
  soaks,
  drowned,
  dry,
  honey,
  burns,
  cooling,
];

/** What can go wrong in a version's steps, in their order, the gravest of a step first; each once for a step. */
export function hazardsOf({ method, textOf, version, archetype, serve }: HazardGround): Hazard[] {
  const pots = potsOf(method, textOf, version);
  const mass = version.rows.reduce((sum, { food, grams: all }) => (food ? sum + all : sum), 0);
  const context: Context = { version, archetype, serve, pots, finished: Math.max(1, mass - version.evaporation) };
  return pots.flatMap((at) =>
    FAMILIES.flatMap((family) => family(at, context).map((found): Hazard => ({ ...found, step: at.step.id }))).sort(
      (a, b) => HAZARD_GRADES.indexOf(a.grade) - HAZARD_GRADES.indexOf(b.grade),
    ),
  );
}
