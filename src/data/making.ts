import type { MakingTables, MilkMaterial } from "../core/making";

const FITTED = { basis: "fitted", share: 0.2 } as const;
const LIKE = { basis: "likeness", share: 0.3 } as const;
const MILK_KEEPS = "2 to 3 days in the fridge in a clean closed bottle; 2 hours in a warm room. Shake it: it settles. Sour smell or strings: throw it away.";
const PULP_USES = ["roast it in a little fat and fold it into a halwa", "dry it slowly and use it as filler in ladoos", "bake it with jaggery into a crumble"] as const;
const NUT_SOAK = {
  short: "Ground too soon it stays gritty and gives less fat.",
  over: "Past a day at room warmth it turns sour and slippery: change the water every 8 hours, or soak it in the fridge.",
} as const;
const NUT_HEAT = "Good raw. To keep it longer heat it to 75 °C for a minute, stirring; it thickens a little and does not split by itself. Acid splits it when hot.";

/** Materials whose leaving shares are fitted on kitchen pressings. */
const FITTED_MILKS: readonly MilkMaterial[] = [
  {
    foodId: "rolled-oats", milk: "oat milk", leaving: { fat: 0.45, protein: 0.4, starch: 0.5, sugars: 0.95 }, holds: 3, ...FITTED, presses: [9], waterAsUsed: null,
    soak: { least: 0, usual: 0.25, most: 0.5, swells: 1, short: "Oats need no soaking; 15 minutes make grinding easier.", over: "Past half an hour the fibre comes out: the milk turns slimy and will not pass the cloth. Rinse, and use iced water." },
    heat: "Thickens from 65 °C, as its starch does: heat it only in the sweet, stirring. Alone it turns to gruel.",
    keeps: MILK_KEEPS, uses: PULP_USES, milkLike: "oat-drink", pulpLike: "oat-flour", packed: "oat-drink",
  },
  {
    foodId: "tiger-nut", milk: "tiger-nut milk", leaving: { fat: 0.5, protein: 0.5, starch: 0.38, sugars: 0.95 }, holds: 1.9, ...FITTED, presses: [4], waterAsUsed: null,
    soak: { least: 12, usual: 24, most: 48, swells: 0.55, short: "Hard as pebbles before 12 hours: the mixer only breaks them.", over: "After two days it ferments: it smells of yeast and loses sweetness. Change the water twice a day." },
    heat: "Thickens from 70 °C. Served cold it needs no heat; for a pudding stir it as it warms.",
    keeps: MILK_KEEPS, uses: PULP_USES, milkLike: "cashew-milk-home", pulpLike: "coconut-flour", packed: null,
  },
  {
    foodId: "soya-bean-white", milk: "soya milk", leaving: { fat: 0.82, protein: 0.83, starch: 0.5, sugars: 0.95 }, holds: 3.3, ...FITTED, presses: [9], waterAsUsed: null,
    soak: { least: 8, usual: 12, most: 18, swells: 1.3, short: "Hard at the core before 8 hours: less protein comes out.", over: "Past 18 hours in a warm room it sours and foams. In the fridge it bears 24." },
    heat: "Must be boiled: 10 minutes from the boil, stirring, watching the foam. Raw it upsets the stomach. Grind with boiling water to keep the beany taste down.",
    keeps: MILK_KEEPS, uses: PULP_USES, milkLike: "soy-milk", pulpLike: "soya-flour", packed: "soy-milk",
  },
  {
    foodId: "almond", milk: "almond milk", leaving: { fat: 0.62, protein: 0.62, starch: 0.3, sugars: 0.95 }, holds: 1.8, ...FITTED, presses: [4], waterAsUsed: null,
    soak: { least: 6, usual: 10, most: 24, swells: 0.45, ...NUT_SOAK }, heat: NUT_HEAT,
    keeps: MILK_KEEPS, uses: PULP_USES, milkLike: "almond-milk-home", pulpLike: "almond-flour", packed: "almond-drink",
  },
  {
    foodId: "cashew", milk: "cashew milk", leaving: { fat: 0.85, protein: 0.82, starch: 0.75, sugars: 0.97 }, holds: 2, ...FITTED, presses: [4], waterAsUsed: null,
    soak: { least: 2, usual: 4, most: 12, swells: 0.35, ...NUT_SOAK }, heat: "Thickens from 70 °C, as cashews hold starch: stir it as it warms. Does not split by itself.",
    keeps: MILK_KEEPS, uses: PULP_USES, milkLike: "cashew-milk-home", pulpLike: "almond-flour", packed: null,
  },
  {
    foodId: "fresh-coconut", milk: "coconut milk", leaving: { fat: 0.8, protein: 0.75, starch: 0.5, sugars: 0.95 }, holds: 2, ...FITTED, presses: [0.5, 1], waterAsUsed: 46,
    soak: null, heat: "Below the boil, stirring, and off the fire soon: at a boil the oil parts from it. The thin press bears cooking; the thick one goes in last.",
    keeps: "1 day in the fridge as milk is at its best, 3 at most; 2 hours in a warm room. It freezes well.",
    uses: ["dry it and use it as desiccated coconut", "roast it into a ladoo", "press it once more with hot water for a thin milk"],
    milkLike: "coconut-milk", pulpLike: "desiccated-coconut", packed: "coconut-milk",
  },
];

const nut = (foodId: string, milk: string, pulpLike: string): MilkMaterial => ({
  foodId, milk, leaving: { fat: 0.62, protein: 0.62, starch: 0.3, sugars: 0.95 }, holds: 1.9, ...LIKE, presses: [4], waterAsUsed: null,
  soak: { least: 4, usual: 8, most: 24, swells: 0.4, ...NUT_SOAK }, heat: NUT_HEAT,
  keeps: MILK_KEEPS, uses: PULP_USES, milkLike: "almond-milk-home", pulpLike, packed: null,
});
const grain = (foodId: string, milk: string, hours: number, milkLike: string, pulpLike: string, heat: string): MilkMaterial => ({
  foodId, milk, leaving: { fat: 0.45, protein: 0.4, starch: 0.55, sugars: 0.95 }, holds: 2.8, ...LIKE, presses: [3, 2], waterAsUsed: null,
  soak: {
    least: hours / 2, usual: hours, most: 24, swells: 0.4,
    short: "Dry at the core it gives little of its starch.",
    over: "Past a day in a warm room it ferments: bubbles and a sour smell. Change the water twice, or soak it in the fridge.",
  },
  heat, keeps: MILK_KEEPS, uses: ["dry it and grind it into a flatbread dough", "roast it into a halwa", "feed it to the compost: little is left in it"], milkLike, pulpLike, packed: null,
});
const SETS = "Thickens hard from 65 °C, as most of it is starch: stir from the first warmth. It carries a pudding or a halwa by itself.";

const LIKE_MILKS: readonly MilkMaterial[] = [
  nut("pistachio", "pistachio milk", "almond-flour"),
  nut("walnut", "walnut milk", "almond-flour"),
  nut("hazelnut", "hazelnut milk", "almond-flour"),
  nut("peanut", "peanut milk", "peanut-flour"),
  nut("sesame", "sesame milk", "almond-flour"),
  nut("melon-seeds", "melon-seed milk", "almond-flour"),
  nut("pumpkin-seeds", "pumpkin-seed milk", "almond-flour"),
  nut("sunflower-seeds", "sunflower-seed milk", "almond-flour"),
  nut("hemp-seeds", "hemp-seed milk", "almond-flour"),
  nut("poppy-seeds", "poppy-seed milk", "almond-flour"),
  grain("white-rice", "rice milk", 4, "rice-drink", "rice-flour", SETS),
  grain("ragi-flour", "finger-millet milk", 8, "rice-drink", "ragi-flour", SETS),
  grain("ifct-wheat-whole", "wheat milk", 12, "rice-drink", "whole-wheat-flour", SETS),
];

const PASTE_KEEPS = "7 days in the fridge under a clean lid, 3 months frozen in spoonfuls.";
const STONES = "Stone it, cover it with hot water for 20 minutes, then grind it with that water.";

/** What a household makes before it makes the sweet. Rules of thumb unless the source says otherwise. */
export const MAKING: MakingTables = {
  milks: [...FITTED_MILKS, ...LIKE_MILKS],
  leavingOthers: { solubleFibre: 0.48, insolubleFibre: 0.035, ash: 0.72, soluble: 0.85, bound: 0.6 },
  handlingLoss: 0.03,
  looselyHolds: 1.5,
  strengths: { drinking: 8, thick: 18 },
  extractionSource: "washing in steps, with shares and held liquid fitted on kitchen pressings (rule of thumb)",
  pulpKeeps: "2 days in the fridge wet, 3 months frozen, a month dried through at 90 °C and closed up.",
  pastes: [
    { foodId: "dates", name: "Date paste", water: 0.25, like: "date-paste", soak: STONES, keeps: PASTE_KEEPS },
    { foodId: "dry-dates", name: "Dry-date paste", water: 0.9, like: "date-paste", soak: "Stone it, soak it overnight in the water, then grind.", keeps: PASTE_KEEPS },
    { foodId: "dried-figs", name: "Fig paste", water: 0.25, like: "fig-paste", soak: "Cut off the stalks, cover with hot water for 30 minutes, then grind with that water.", keeps: PASTE_KEEPS },
    { foodId: "raisins", name: "Raisin paste", water: 0.3, like: "date-paste", soak: "Rinse, cover with hot water for 20 minutes, then grind with that water.", keeps: PASTE_KEEPS },
    { foodId: "dried-apricot", name: "Apricot paste", water: 0.4, like: "date-paste", soak: "Cover with hot water for an hour, then grind with that water.", keeps: PASTE_KEEPS },
    { foodId: "prunes", name: "Prune paste", water: 0.2, like: "date-paste", soak: STONES, keeps: PASTE_KEEPS },
  ],
  syrups: [
    { foodId: "jaggery", name: "Jaggery syrup", grit: 0.02, keeps: "Below 65 % a week in the fridge; from 70 % a month, in a dry closed jar." },
    { foodId: "palm-jaggery", name: "Palm-jaggery syrup", grit: 0.02, keeps: "Below 65 % a week in the fridge; from 70 % a month, in a dry closed jar." },
    { foodId: "coconut-sugar", name: "Coconut-sugar syrup", grit: 0.005, keeps: "Below 65 % a week in the fridge; from 70 % a month, in a dry closed jar." },
    { foodId: "sugar", name: "Sugar syrup", grit: 0, keeps: "Below 65 % two weeks in the fridge; from 67 % months, in a dry closed jar." },
  ],
  syrupLike: "jaggery-syrup",
  boiling: [[0, 100], [10, 100.4], [20, 100.6], [30, 101], [40, 101.5], [50, 102], [60, 103], [70, 106.5], [80, 112], [85, 116], [87, 119], [92, 126], [95, 138], [99, 150]],
  boilingSource: "boiling points of sucrose solutions at sea level and the usual stages of boiled sugar; jaggery, with its salts and invert sugar, boils 1 or 2 °C higher (rule of thumb)",
  syrupStages: [
    { from: 0, name: "sweetened water", cue: "runs like water" },
    { from: 50, name: "thin syrup", cue: "runs off the spoon in a stream" },
    { from: 65, name: "pouring syrup", cue: "coats the spoon; sticky between the fingers" },
    { from: 75, name: "one thread", cue: "one thread between thumb and finger, breaking at 1 cm" },
    { from: 80, name: "two threads", cue: "two threads that hold as the fingers part" },
    { from: 85, name: "soft ball", cue: "a drop in cold water gathers to a ball that flattens" },
    { from: 87, name: "firm ball", cue: "the ball in cold water holds its shape" },
    { from: 92, name: "hard ball", cue: "the ball in cold water clinks and keeps its edges" },
    { from: 95, name: "soft crack", cue: "threads in cold water bend, then snap" },
    { from: 99, name: "hard crack", cue: "threads in cold water snap at once" },
  ],
  syrupCare: "Boiling syrup burns deep: no bare fingers, no children at the stove, cold water at hand.",
  caramelSugars: ["sugar", "coconut-sugar", "jaggery-powder"],
  caramel: [
    { id: "light", celsius: 165, lost: 0.05, mass: 0.02, colour: "gold", bitterness: "none", cue: "colour of honey, smells of toffee" },
    { id: "amber", celsius: 172, lost: 0.15, mass: 0.05, colour: "amber", bitterness: "faint", cue: "colour of strong tea, a first wisp of smoke" },
    { id: "dark", celsius: 182, lost: 0.3, mass: 0.09, colour: "dark", bitterness: "clear", cue: "colour of mahogany, smoke; seconds before it burns" },
  ],
  caramelSource: "sweetness lost 5, 15 and 30 % by stage; mass lost as water of the reaction 2, 5 and 9 % (rules of thumb)",
  caramelCare: "Hot water only, at arm’s length: it spits. Caramel burns deep; cold water at hand.",
  caramelKeeps: "A month at room warmth in a dry closed jar.",
  roasts: [
    { id: "pale", moisture: 6, cue: "no raw smell left, colour unchanged" },
    { id: "golden", moisture: 4, cue: "a shade darker, smells of nuts" },
    { id: "deep", moisture: 2.5, cue: "biscuit brown, loose as sand" },
  ],
  roastSource: "moisture left by stage; a roasted flour also loses volatile aroma and some vitamins that are not counted (rule of thumb)",
  roastHow: "On a low flame in a heavy pan, stirring without a stop; off the fire a shade before, as it goes on in the pan.",
  roastKeeps: "15 days at room warmth in a closed tin, 30 in the fridge.",
};
