import { INDEX, type Food } from "../food";
import { withShare } from "../numeric";
import { contentsOf } from "./contents";
import type { Made, MakingProblem, RoastMaking } from "./making";
import type { RoastStage } from "./tables";

/** Half the 80 % interval of a roasted flour's mass: its moisture is known to a point or two. */
const ROASTED_SHARE = 0.015;

/** A roasted flour, semolina, seed or nut: it loses moisture and nothing else (rule of thumb); its weighed mass wins. */
export function makeRoast(making: RoastMaking, flour: Food, stage: RoastStage): Made {
  const water = flour.per100g[INDEX.water] ?? 0;
  const dry = making.grams * (1 - water / 100);
  const predicted = Math.min(making.grams, dry / (1 - stage.moisture / 100));
  const { finished } = making;
  const problems: MakingProblem[] = [];
  if (finished !== null && finished > making.grams + 0.5)
    problems.push({ field: "finished", grave: true, why: `It cannot weigh more than the ${making.grams.toFixed(0)} g that went in.` });
  else if (finished !== null && finished < dry)
    problems.push({
      field: "finished",
      grave: true,
      why: `Without any moisture it would weigh ${dry.toFixed(0)} g: some is still in the pan, or the pan was taken off twice.`,
    });
  if (finished === null && stage.moisture >= water)
    problems.push({ field: "stage", grave: false, why: `It holds ${water.toFixed(1)} % of moisture as bought: at this stage there is nothing to lose.` });
  const grams = finished === null ? predicted : Math.min(making.grams, Math.max(dry, finished));
  return {
    parts: [
      {
        key: "whole",
        name: `${flour.name}, roasted`,
        grams: withShare(grams, finished === null ? ROASTED_SHARE : 0.01),
        contents: contentsOf([{ food: flour, grams: making.grams }], grams),
        like: flour.id,
      },
    ],
    went: [{ name: flour.name.toLowerCase(), grams: making.grams }],
    away: [{ name: "moisture", grams: making.grams - grams }].filter((each) => each.grams > 0),
    working: [
      { name: "moisture as bought", value: water, unit: "%" },
      { name: "dry matter", value: dry, unit: "g" },
      { name: finished === null ? "moisture left at this stage" : "moisture left, by its weight", value: 100 * (1 - dry / grams), unit: "%" },
      { name: "roasted", value: grams, unit: "g" },
    ],
    problems,
  };
}
