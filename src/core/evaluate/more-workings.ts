import { learnedKey, learnedWords, type Constants } from "../food";
import { bindingPerGram, bindingWords } from "../models/binding";
import { asSucrose, dissolvedForFreezing, freezingOf, FREEZING_SOLUTES, FREEZING_SUMS, iceWords, type FreezingSums } from "../models/freezing";
import { WATER_ACTIVITY_SUMS } from "../models/keeping";
import type { BalancedLine } from "../recipe";
import type { EvaluationInput } from "./input";
import { summed } from "./point";
import { suppressionOf } from "./suppressed";
import { AT } from "./sums";
import { byLine, treated, type Part } from "./working";

export function suppressionWorking(input: EvaluationInput, constants: Constants): Part {
  const held = suppressionOf(summed(input, constants).of);
  const of = (label: string, detail: string, share: number) => (share === 0 ? [] : [{ label, detail, value: -100 * share }]);
  return {
    termUnit: "%",
    rule: true,
    equation: "how much less sweet it tastes than its sugars alone, by acid, thickness and fat; a little salt lifts it. Not counted in the sweetness itself",
    terms: [
      ...of("Acid", "4 % for each 0.1 % of it", held.acid),
      ...of("Thickness", "the thicker, the less is tasted", held.thickness),
      ...of("Fat", "where it is rich", held.fat),
      ...of("Salt", "lifts", held.salt),
    ],
    then: "added up",
    sources: [constants.suppression.source],
  };
}

export function bindingWorking(input: EvaluationInput, constants: Constants): Part {
  const { of } = summed(input, constants);
  const [demand, supply, sticky] = [of.sums[AT.demand] ?? 0, of.sums[AT.supply] ?? 0, of.sums[AT.sticky] ?? 0];
  const per = (line: BalancedLine) => bindingPerGram(treated(line), line.food.per100g, constants);
  return {
    termUnit: "g of fat",
    rule: true,
    equation: `binder that is there, ${supply.toFixed(0)} g as fat, by what flours, nuts and sugars take up, ${demand.toFixed(0)} g`,
    terms: byLine(
      input,
      (line) => (per(line).supply - per(line).demand) * line.grams,
      (line) => {
        const own = learnedWords(constants.learned, learnedKey.binding(line.food.id));
        return `${per(line).demand > per(line).supply ? "takes up binder" : "gives binder"}${own === "" ? "" : `; ${own}`}`;
      },
    ),
    then: `${bindingWords({ demand, supply, sticky }, constants)}: under 0.85 it crumbles, to 1.15 it binds, to 1.25 it is rich but holds, beyond it is greasy`,
    sources: [constants.binding.source],
  };
}

export function iceWorking(input: EvaluationInput, constants: Constants): Part {
  const { of } = summed(input, constants);
  const held = {} as { -readonly [K in keyof FreezingSums]: number };
  for (const sum of FREEZING_SUMS) held[sum] = of.sums[AT[`activity.${sum}`]] ?? 0;
  const { equivalents, milkSolids } = dissolvedForFreezing(held, constants);
  const { from, unfrozen } = freezingOf(held, constants);
  return {
    termUnit: "g as sugar",
    rule: false,
    equation: `sugars hold water back from freezing by their number: all weighed as sucrose, ${equivalents.toFixed(0)} g, with the salts of ${milkSolids.toFixed(0)} g milk solids, in ${held.water.toFixed(0)} g of water`,
    terms: FREEZING_SOLUTES.map((solute) => ({
      label: solute === "hexoses" ? "glucose and fructose" : solute,
      detail: `${held[solute].toFixed(1)} g in the whole sweet`,
      value: asSucrose(solute, held[solute], constants),
    }))
      .filter(({ value }) => value > 0.05)
      .sort((a, b) => b.value - a.value),
    then: `it begins to freeze at −${from.toFixed(1)} °C; at −${constants.freezing.value.servedAt} °C ${unfrozen.toFixed(0)} g of water are not ice yet: ${iceWords(of.ice.value, constants)}. Air that is beaten in is not counted`,
    sources: [constants.freezing.source],
  };
}

export function activityWorking(input: EvaluationInput, mass: number, constants: Constants): Part {
  const { of } = summed(input, constants);
  const grams = (sum: (typeof WATER_ACTIVITY_SUMS)[number]) => of.sums[AT[`activity.${sum}`]] ?? 0;
  return {
    termUnit: "g",
    rule: true,
    equation: "water that is free, by what is dissolved in it and what starch, protein and fibre hold",
    terms: WATER_ACTIVITY_SUMS.map((sum) => ({ label: sum === "hexoses" ? "glucose and fructose" : sum, detail: "in the whole sweet", value: grams(sum) }))
      .filter(({ value }) => value > 0.05)
      .sort((a, b) => b.value - a.value),
    then: `in ${mass.toFixed(0)} g finished; what the water cannot hold of sugar crystallises and counts no more`,
    sources: [constants.waterActivity.source],
  };
}
