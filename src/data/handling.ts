import type { Handling, HandlingKind, HandlingStep, HandlingTables } from "../core/method";

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
  step(["mix"], [2, 3, 4], "hands on", `Off the flame whisk in {grams} g ${paste} until no streak is left; the warmth of the pot is enough.`, { goesIn: "off the heat" });

/** What a food needs before it goes in, and how it goes in: rules of practice. */
const FOODS: ReadonlyMap<string, Handling> = new Map<string, Handling>([
  ["almond-milk-home", { prepare: step(["soak", "press", "grind", "peel"], [360, 480, 720], "unattended", "The night before, soak {grams*0.27} g almonds in plenty of water overnight. Drain, peel the skins off, blend with {grams*1.07} g fresh water until smooth, and press through a cloth: about {grams} g comes through.", { ...MILLED, cue: "smooth" }) }],
  ["cashew-milk-home", { prepare: step(["soak", "press", "grind"], [204, 240, 300], "unattended", "Soak {grams*0.23} g cashews for 4 hours. Drain, blend with {grams*0.92} g fresh water until silky, and press through a cloth: about {grams} g comes through.", { ...MILLED, cue: "silky" }) }],
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
  ["cornflour", { add: step(["simmer", "slake"], [3.5, 4, 5], "hands on", "Slake {grams} g cornflour with twice as much of the cold liquid, pour it into the simmering pot while stirring, and cook for {minutes} minutes.", { heat: "simmer", goesIn: "once it simmers" }) }],
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
  ["inulin", { add: step(["mix"], [2, 3, 5], "hands on", "Whisk in {grams} g inulin with the sweetener.", { goesIn: "with the sweetener" }) }],
  ["gelatin", {
    prepare: step(["soak"], [4.5, 5, 6.5], "unattended", "Soak {grams} g gelatin in {grams*5} g of the cold liquid for 5 minutes, until it has swollen."),
    add: step(["dissolve"], [2, 3, 5], "hands on", "Off the heat melt the swollen gelatin in the hot pot; it may not boil.", { goesIn: "off the heat" }),
  }],
  ["aquafaba", { add: step(["mix"], [5, 8, 12], "hands on", "Whip {grams} g aquafaba stiff and fold it in when the pot is cold.", { goesIn: "off the heat" }) }],
]);

/** Minutes as a text that tells them is read: "8 minutes" is 7 to 10. */
const about = (usual: number): Minutes => {
  const rounded = (minutes: number) => (minutes < 10 ? Math.round(minutes * 2) / 2 : Math.round(minutes));
  return [rounded(usual * 0.85), usual, rounded(usual * 1.25)];
};
const SIMMERED = { heat: "simmer", goesIn: "once it simmers" } as const;
const OFF_THE_HEAT = { goesIn: "off the heat" } as const;
const SLAKED = (minutes: Minutes) =>
  step(["simmer", "slake"], minutes, "hands on", "Slake {food} with three times as much of the cold liquid, pour it into the simmering pot while stirring, and cook for {minutes} minutes.", SIMMERED);
const WITH_THE_LIQUID = step(["mix"], [1, 2, 3], "hands on", "Add {food} with the other liquid.", { goesIn: "with the liquid" });
const WITH_THE_SWEETENER = step(["mix"], [1, 2, 3], "hands on", "Stir in {food} with the sweetener.", { goesIn: "with the sweetener" });
const STIRRED_IN_LAST = step(["mix"], [1, 2, 3], "hands on", "Off the heat stir in {food}.", OFF_THE_HEAT);

/** How foods of a kind go in where no sentence of the recipe fits them: rules of practice; "{minutes}" is what the food needs to be done. */
const KINDS: Readonly<Record<HandlingKind, HandlingStep>> = {
  water: WITH_THE_LIQUID,
  milk: WITH_THE_LIQUID,
  "plant milk": WITH_THE_LIQUID,
  cream: STIRRED_IN_LAST,
  curd: step(["mix"], [1, 2, 3], "hands on", "When it is no warmer than the hand, stir in {food}.", OFF_THE_HEAT),
  "milk solids": step(["simmer"], about(4), "hands on", "Crumble {food} into the pot and cook for 4 minutes, stirring.", SIMMERED),
  "powdered milk": step(["mix"], [2, 3, 5], "hands on", "Whisk {food} into a little of the liquid until no lump is left, and add it to the rest.", { goesIn: "with the liquid" }),
  egg: step(["simmer", "temper"], about(8), "hands on", "Beat {food}, temper the egg with a ladle of the hot liquid in a thin stream, pour it back and cook for 8 minutes on the lowest flame, stirring, until it coats a spoon; it may not boil.", { heat: "steaming", cue: "it coats a spoon", goesIn: "off the heat" }),
  grain: step(["simmer", "wash"], about(30), "now and then", "Rinse {food}, stir it into the simmering pot and simmer for {minutes} minutes on a low flame, stirring now and then, until it is soft.", { ...SIMMERED, cue: "it is soft" }),
  grits: step(["simmer"], about(8), "hands on", "Stir {food} into the simmering pot in a thin stream and simmer for {minutes} minutes, stirring, until it is soft.", { ...SIMMERED, cue: "it is soft" }),
  strands: step(["simmer"], about(10), "now and then", "Stir {food} into the simmering pot and simmer for {minutes} minutes, stirring now and then, until it is soft.", { ...SIMMERED, cue: "it is soft" }),
  flakes: step(["simmer"], about(10), "now and then", "Stir {food} into the simmering pot and simmer for {minutes} minutes, stirring now and then, until it is soft.", { ...SIMMERED, cue: "it is soft" }),
  flour: SLAKED(about(8)),
  "roasted flour": SLAKED(about(4)),
  starch: SLAKED(about(2)),
  pearls: step(["simmer", "wash"], about(20), "now and then", "Rinse {food}, stir it into the simmering pot and simmer for {minutes} minutes, stirring now and then, until the pearls are clear to the core.", { ...SIMMERED, cue: "the pearls are clear to the core" }),
  puffed: step(["simmer"], about(8), "now and then", "Stir {food} into the simmering pot and simmer for {minutes} minutes, stirring now and then, until it softens.", { ...SIMMERED, cue: "it softens" }),
  pulse: step(["simmer", "wash"], about(45), "now and then", "Rinse {food}, stir it into the simmering pot and simmer for {minutes} minutes on a low flame, stirring now and then, until it mashes between two fingers.", { ...SIMMERED, cue: "it mashes between two fingers" }),
  "cooked grain": step(["simmer"], about(5), "now and then", "Stir {food} into the simmering pot and cook for 5 minutes.", SIMMERED),
  piece: STIRRED_IN_LAST,
  "ground nut": step(["simmer"], about(3), "hands on", "Stir in {food} and cook for 3 minutes, stirring.", SIMMERED),
  "nut paste": step(["mix"], about(3), "hands on", "Off the flame whisk in {food} until no streak is left; the warmth of the pot is enough.", OFF_THE_HEAT),
  tofu: step(["grind"], [2, 4, 8], "hands on", "Blend {food} until smooth and whisk it in off the heat.", { ...OFF_THE_HEAT, ...MIXER, cue: "smooth" }),
  fruit: step(["mix"], [1, 2, 3], "hands on", "Cut up {food} and stir it in when the pot has cooled a little.", OFF_THE_HEAT),
  "dried fruit": STIRRED_IN_LAST,
  puree: step(["mix"], [1, 2, 3], "hands on", "When it has cooled a little, stir in {food}.", OFF_THE_HEAT),
  vegetable: step(["simmer", "grind"], about(12), "now and then", "Grate {food}, stir it into the simmering pot and simmer for 12 minutes, stirring now and then, until it is soft.", { ...SIMMERED, cue: "it is soft" }),
  sugar: WITH_THE_SWEETENER,
  syrup: WITH_THE_SWEETENER,
  chocolate: step(["dissolve", "grind"], [2, 3, 5], "hands on", "Off the heat chop {food} and let it melt in the pot, stirring.", OFF_THE_HEAT),
  fat: STIRRED_IN_LAST,
  aroma: STIRRED_IN_LAST,
  seasoning: WITH_THE_SWEETENER,
  acid: step(["mix"], [1, 2, 3], "hands on", "Last of all, off the heat, stir in {food}.", OFF_THE_HEAT),
  gelling: step(["simmer"], about(2), "hands on", "Whisk {food} into a little of the liquid, pour it into the simmering pot and simmer for 2 minutes, stirring.", SIMMERED),
  gum: step(["mix"], [2, 3, 5], "hands on", "Off the heat scatter {food} over while whisking, so that it does not clump.", OFF_THE_HEAT),
};

const ROASTED_DRY = step(["roast"], about(8), "hands on", "Roast {food} in a dry pan on a low flame for 8 minutes, stirring, until it smells of nuts, and work it in.", { cue: "it smells of nuts" });
const BOILED_APART = (cue: string) =>
  step(["simmer"], about(30), "now and then", `Simmer {food} in plenty of water for {minutes} minutes, stirring now and then, until ${cue}; drain well and work it in.`, { heat: "simmer", cue });

/** How foods that go into a simmering pot go in where nothing simmers: into a dough, balls, a paste. */
const WITHOUT_A_POT: HandlingTables["withoutPot"] = {
  flour: ROASTED_DRY,
  "roasted flour": step(["mix"], [1, 2, 3], "hands on", "Work in {food}."),
  starch: ROASTED_DRY,
  grits: ROASTED_DRY,
  flakes: ROASTED_DRY,
  puffed: ROASTED_DRY,
  "ground nut": step(["mix"], [1, 2, 3], "hands on", "Work in {food}."),
  grain: BOILED_APART("it is soft"),
  strands: BOILED_APART("it is soft"),
  pearls: BOILED_APART("the pearls are clear to the core"),
  pulse: BOILED_APART("it mashes between two fingers"),
  "cooked grain": step(["mix"], [1, 2, 3], "hands on", "Work in {food}."),
  "milk solids": step(["mix"], [1, 2, 3], "hands on", "Crumble {food} and work it in."),
  "nut paste": step(["mix"], [1, 2, 3], "hands on", "Work in {food}."),
  tofu: step(["grind"], [2, 4, 8], "hands on", "Blend {food} until smooth and work it in.", { ...MIXER, cue: "smooth" }),
  vegetable: step(["steam", "grind"], about(12), "unattended", "Grate {food}, steam it for 12 minutes until it is soft, and work it in.", { cue: "it is soft" }),
  gelling: step(["simmer"], about(2), "hands on", "Simmer {food} in a few spoonfuls of water for 2 minutes, stirring, and work it in while it is hot.", { heat: "simmer" }),
  egg: step(["bake"], about(25), "unattended", "Beat {food}, work it in, and bake all of it for 25 minutes at 160 °C, until it is set through.", { cue: "it is set through" }),
};

/** Tools by what is done, with what does it where there is none: rules of practice. */
const TOOLS: HandlingTables["tools"] = {
  grind: { name: "mixer or grinder", instead: "a pestle, or chop and crush under a rolling pin: coarser, and more of it stays behind" },
  press: { name: "muslin cloth", instead: "a fine sieve, pressed out with a spoon: a little grittier" },
  pressure: { name: "pressure cooker", instead: "a heavy pot with a lid: three to four times as long, with a cup of water more at hand" },
  steam: { name: "steamer", instead: "a plate on a stand in a wide pot with a lid, water below it" },
  bake: { name: "oven", instead: "a heavy pot with a lid on the lowest flame, a plate under the dish: longer, and paler on top" },
  caramelise: { name: "light-coloured heavy pan", instead: "any heavy pan, and drops on a white plate to see the colour by" },
  temper: { name: "whisk", instead: "a fork, and a thinner stream" },
  shape: { name: "tray or board", instead: "a plate, greased" },
};

export const HANDLING: HandlingTables = { foods: FOODS, kinds: KINDS, withoutPot: WITHOUT_A_POT, tools: TOOLS };
