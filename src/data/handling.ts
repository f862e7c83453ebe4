import type { Handling } from "../core/method";

/** What a food needs before it goes in, and how it goes in: rules of practice. */
export const HANDLING: ReadonlyMap<string, Handling> = new Map<string, Handling>([
  ["almond-milk-home", { prepare: "The night before, soak {grams*0.27} g almonds in plenty of water. Drain, slip off the skins, blend with {grams*1.07} g fresh water until smooth, and press through a cloth: about {grams} g of milk." }],
  ["cashew-milk-home", { prepare: "Soak {grams*0.23} g cashews for 4 hours. Drain, blend with {grams*0.92} g fresh water until silky, and press through a cloth: about {grams} g of milk." }],
  ["date-paste", { prepare: "Soak {grams*0.8} g stoned dates in {grams*0.2} g hot water for 20 minutes, then blend to a smooth paste: {grams} g." }],
  ["fig-paste", { prepare: "Soak {grams*0.8} g dried figs in {grams*0.2} g hot water for 30 minutes, then blend to a paste: {grams} g." }],
  ["jaggery", { prepare: "Grate or crush {grams} g jaggery. Where it is gritty, melt it with a few spoonfuls of water and pass it through a fine sieve." }],
  ["dates", { prepare: "Stone and chop {grams} g dates. Keep them in pieces; do not mash them." }],
  ["stevia", { prepare: "Dissolve {grams} g pure stevia extract in a spoonful of water, so that it spreads evenly." }],
  ["erythritol", { prepare: "Grind {grams} g erythritol fine, so that it melts in and does not grain." }],
  ["fox-nut", { prepare: "Roast {grams} g fox nuts dry until they snap, and crush half of them." }],
  ["fox-nut-flour", { prepare: "Roast and grind {grams} g fox nuts to a powder.", add: "Stir in {grams} g fox-nut flour by the spoonful while the pot simmers, and cook for 3 minutes." }],
  ["cornflour", { add: "Slake {grams} g cornflour with twice as much of the cold liquid, pour it into the simmering pot while stirring, and cook for 2 minutes." }],
  ["arrowroot", { add: "Slake {grams} g arrowroot with twice as much cold liquid and stir it in at the end; stop as soon as it clears." }],
  ["rice-flour", { add: "Slake {grams} g rice flour with three times as much of the cold liquid, pour it into the simmering pot while stirring, and cook for 8 minutes." }],
  ["cashew-paste", { prepare: "Soak {grams*0.75} g cashews for 2 hours, drain, and grind with {grams*0.25} g water to a smooth paste.", add: "Whisk in {grams} g cashew paste off the boil, and warm through for 3 minutes, stirring." }],
  ["almond-paste", { prepare: "Soak {grams*0.75} g almonds overnight, skin them, and grind with {grams*0.25} g water to a smooth paste.", add: "Whisk in {grams} g almond paste off the boil, and warm through for 3 minutes, stirring." }],
  ["melon-seed-paste", { prepare: "Soak {grams*0.75} g melon seeds for 2 hours, drain, and grind with {grams*0.25} g water to a smooth paste.", add: "Whisk in {grams} g melon-seed paste off the boil, and warm through for 3 minutes, stirring." }],
  ["fresh-coconut", { add: "Stir in {grams} g freshly grated coconut, ground fine, once the pot has come off the boil." }],
  ["silken-tofu", { prepare: "Blend {grams} g silken tofu until smooth.", add: "Whisk in {grams} g smooth silken tofu off the boil." }],
  ["inulin", { add: "Whisk in {grams} g inulin with the sweetener." }],
  ["water", { add: "Add {grams} g water with the rest of the liquid." }],
]);
