import type { Handling, HandlingStep } from "../core/method";

type Minutes = readonly [shortest: number, usual: number, longest: number];
const step = (
  operations: HandlingStep["operations"],
  [shortest, usual, longest]: Minutes,
  attention: HandlingStep["attention"],
  words: string,
  more: Partial<Pick<HandlingStep, "heat" | "cue" | "tools" | "goesIn">> = {},
): HandlingStep => ({ operations, minutes: { shortest, usual, longest }, attention, words, ...more });

const MIXER = { tools: ["mixer"] };
const MILLED = { tools: ["mixer", "cloth"] };
/** A nut or seed paste, whisked in once the pot is off the boil. */
const WARMED = (paste: string) =>
  step(["mix"], [2.5, 3, 4], "hands on", `Off the flame whisk in {grams} g ${paste}; put it back and warm it through for 3 minutes, stirring.`, { goesIn: "off the heat" });

/** What a food needs before it goes in, and how it goes in: rules of practice. */
export const HANDLING: ReadonlyMap<string, Handling> = new Map<string, Handling>([
  ["almond-milk-home", { prepare: step(["soak", "press", "grind", "peel"], [360, 480, 720], "unattended", "The night before, soak {grams*0.27} g almonds in plenty of water overnight. Drain, peel the skins off, blend with {grams*1.07} g fresh water until smooth, and press through a cloth: about {grams} g of milk.", { ...MILLED, cue: "smooth" }) }],
  ["cashew-milk-home", { prepare: step(["soak", "press", "grind"], [204, 240, 300], "unattended", "Soak {grams*0.23} g cashews for 4 hours. Drain, blend with {grams*0.92} g fresh water until silky, and press through a cloth: about {grams} g of milk.", { ...MILLED, cue: "silky" }) }],
  ["date-paste", { prepare: step(["soak", "grind"], [17, 20, 25], "unattended", "Soak {grams*0.8} g stoned dates in {grams*0.2} g hot water for 20 minutes, then blend to a smooth paste: {grams} g.", MIXER) }],
  ["fig-paste", { prepare: step(["soak", "grind"], [26, 30, 38], "unattended", "Soak {grams*0.8} g dried figs in {grams*0.2} g hot water for 30 minutes, then blend to a paste: {grams} g.", MIXER) }],
  ["jaggery", { prepare: step(["dissolve", "grind"], [3, 5, 8], "now and then", "Grate or crush {grams} g jaggery. Where it is gritty, melt it with a few spoonfuls of water and pass it through a fine sieve.", { tools: ["sieve", "grater"] }) }],
  ["dates", { prepare: step(["grind"], [2, 4, 8], "hands on", "Stone and chop {grams} g dates. Keep them in pieces; do not mash them.") }],
  ["stevia", { prepare: step(["dissolve"], [3, 5, 8], "now and then", "Dissolve {grams} g pure stevia extract in a spoonful of water, so that it spreads evenly.") }],
  ["erythritol", { prepare: step(["grind"], [2, 4, 8], "hands on", "Grind {grams} g erythritol fine, so that it melts in and does not grain.") }],
  ["fox-nut", { prepare: step(["roast", "grind"], [6, 10, 18], "hands on", "Roast {grams} g fox nuts dry until they snap, and crush half of them.", { cue: "they snap" }) }],
  ["fox-nut-flour", {
    prepare: step(["roast", "grind"], [6, 10, 18], "hands on", "Roast and grind {grams} g fox nuts to a powder."),
    add: step(["simmer"], [2.5, 3, 4], "now and then", "Stir in {grams} g fox-nut flour by the spoonful while the pot simmers, and cook for 3 minutes.", { heat: "simmer", goesIn: "once it simmers" }),
  }],
  ["cornflour", { add: step(["simmer", "slake"], [1.5, 2, 2.5], "hands on", "Slake {grams} g cornflour with twice as much of the cold liquid, pour it into the simmering pot while stirring, and cook for 2 minutes.", { heat: "simmer", goesIn: "once it simmers" }) }],
  ["arrowroot", { add: step(["slake"], [1, 2, 3], "hands on", "Slake {grams} g arrowroot with twice as much cold liquid and stir it in at the end; stop as soon as it clears.", { goesIn: "off the heat" }) }],
  ["rice-flour", { add: step(["simmer", "slake"], [7, 8, 10], "hands on", "Slake {grams} g rice flour with three times as much of the cold liquid, pour it into the simmering pot while stirring, and cook for 8 minutes.", { heat: "simmer", goesIn: "once it simmers" }) }],
  ["cashew-paste", { prepare: step(["soak", "grind"], [102, 120, 150], "unattended", "Soak {grams*0.75} g cashews for 2 hours, drain, and grind with {grams*0.25} g water to a smooth paste."), add: WARMED("cashew paste") }],
  ["almond-paste", { prepare: step(["soak", "grind", "peel"], [360, 480, 720], "unattended", "Soak {grams*0.75} g almonds overnight, peel off the skins, and grind with {grams*0.25} g water to a smooth paste."), add: WARMED("almond paste") }],
  ["melon-seed-paste", { prepare: step(["soak", "grind"], [102, 120, 150], "unattended", "Soak {grams*0.75} g melon seeds for 2 hours, drain, and grind with {grams*0.25} g water to a smooth paste."), add: WARMED("melon-seed paste") }],
  ["fresh-coconut", { add: step(["mix"], [2, 3, 5], "hands on", "Stir in {grams} g freshly grated coconut, ground fine, once the pot has come off the flame.", { goesIn: "off the heat" }) }],
  ["silken-tofu", {
    prepare: step(["grind"], [2, 4, 8], "hands on", "Blend {grams} g silken tofu until smooth.", { ...MIXER, cue: "smooth" }),
    add: step(["mix"], [2, 3, 5], "hands on", "Whisk in {grams} g smooth silken tofu off the flame.", { goesIn: "off the heat" }),
  }],
  ["inulin", { add: step(["mix"], [2, 3, 5], "hands on", "Whisk in {grams} g inulin with the sweetener.") }],
  ["water", { add: step(["mix"], [2, 3, 5], "hands on", "Add {grams} g water with the other liquid.", { goesIn: "with the liquid" }) }],
]);
