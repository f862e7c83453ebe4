import type { Mender } from "../core/rescue";

const mender = (foodId: string, mends: Mender["mends"], most: number, minutes: number, words: string, more: Partial<Mender> = {}): Mender => ({
  foodId,
  mends,
  most,
  minutes,
  words,
  water: 0,
  kinds: null,
  ...more,
});

const THICKENS: Mender["mends"] = ["too thin"];
const HOLDS: Mender["mends"] = ["split"];
const SLAKED = (name: string) => `Slake {grams} g ${name} in twice as much cold water, stir it into the simmering pot, and let it bubble for a minute.`;
const SLAKED_IN = (name: string) => `whisk in {grams} g ${name} slaked in twice as much cold water, and warm it slowly until it thickens.`;
const COOLED = (then: string) => `Take it off the heat and let it cool for two minutes; ${then} It does not boil again.`;
const WET: Mender["kinds"] = ["pudding", "set pudding", "frozen", "cultured", "sauce", "vegetable halwa", "pulse halwa", "flour halwa"];
const SPOONED: Mender["kinds"] = ["pudding", "set pudding", "frozen", "cultured", "sauce"];

/**
 * What mends a pot, how it goes in, the most of it in such a pot (% of what is in it), and minutes: rules of practice. Water goes in
 * with what has to be slaked or dissolved, g per g. The household's rules and what a food does decide which are offered.
 */
export const MENDERS: readonly Mender[] = [
  mender("cornflour", THICKENS, 3, 3, SLAKED("cornflour"), { water: 2, kinds: SPOONED }),
  mender("arrowroot", THICKENS, 3, 2, SLAKED("arrowroot"), { water: 2, kinds: SPOONED }),
  mender("rice-flour", THICKENS, 5, 8, SLAKED("rice flour"), { water: 2, kinds: WET }),
  mender("fox-nut-flour", THICKENS, 4, 4, "Stir in {grams} g ground roasted fox nuts by the spoonful while the pot simmers, and cook for 3 minutes.", { kinds: WET }),
  mender("water-chestnut-flour", THICKENS, 5, 6, SLAKED("water-chestnut flour"), { water: 2, kinds: WET }),
  mender("cashew-paste", THICKENS, 10, 4, "Off the flame whisk in {grams} g cashew paste until no streak is left.", { kinds: WET }),
  mender("almond-paste", THICKENS, 10, 4, "Off the flame whisk in {grams} g almond paste until no streak is left.", { kinds: WET }),
  mender("melon-seed-paste", THICKENS, 6, 4, "Off the flame whisk in {grams} g melon-seed paste until no streak is left.", { kinds: WET }),
  mender("cornflour", HOLDS, 2, 4, COOLED(SLAKED_IN("cornflour")), { water: 2, kinds: SPOONED }),
  mender("rice-flour", HOLDS, 2, 4, COOLED(SLAKED_IN("rice flour")), { water: 2, kinds: WET }),
  mender("cashew-paste", HOLDS, 10, 4, COOLED("whisk in {grams} g cashew paste until no streak is left."), { kinds: WET }),
  mender("almond-paste", HOLDS, 10, 4, COOLED("whisk in {grams} g almond paste until no streak is left."), { kinds: WET }),
  mender("melon-seed-paste", HOLDS, 10, 4, COOLED("whisk in {grams} g melon-seed paste until no streak is left."), { kinds: WET }),
  mender("agar", ["too soft to slice"], 1, 10, "Boil {grams} g agar powder in the water for 2 minutes until clear, stir it into the warmed sweet, pour it back and chill it again.", { water: 20 }),
  mender("gelatin", ["too soft to slice"], 2, 12, "Soak {grams} g gelatine in the cold water for 5 minutes, melt it in the warmed sweet below the boil, pour it back and chill it again.", { water: 5 }),
  mender("water", ["too thick"], 60, 3, "Warm {grams} g water and stir it in by the spoonful.", {}),
  mender("coconut-milk", ["too thick"], 40, 3, "Warm {grams} g coconut milk and stir it in off the boil.", { kinds: SPOONED }),
  mender("oat-drink", ["too thick", "too sweet"], 60, 3, "Warm {grams} g oat drink and stir it in.", { kinds: SPOONED }),
  mender("almond-milk-home", ["too thick", "too sweet"], 60, 3, "Warm {grams} g almond milk and stir it in off the boil.", { kinds: SPOONED }),
  mender("sugar", ["not sweet enough"], 40, 3, "Stir in {grams} g sugar in two or three goes, and taste between.", {}),
  mender("jaggery", ["not sweet enough"], 40, 4, "Melt {grams} g jaggery with a spoonful of water, strain it in off the boil, and taste.", { kinds: WET }),
  mender("jaggery-powder", ["not sweet enough"], 40, 3, "Rub {grams} g jaggery powder through the warm mixture.", { kinds: ["ladoo", "loose mix", "barfi", "fruit-bound"] }),
  mender("date-syrup", ["not sweet enough"], 40, 2, "Stir in {grams} g date syrup, and taste.", {}),
  mender("maple-syrup", ["not sweet enough"], 30, 2, "Stir in {grams} g maple syrup, and taste.", { kinds: SPOONED }),
  mender("erythritol", ["not sweet enough"], 8, 3, "Grind {grams} g erythritol fine and stir it in while the pot is hot.", {}),
  mender("stevia", ["not sweet enough"], 0.03, 3, "Dissolve {grams} g pure stevia extract in a spoonful of water and stir it in; taste before more.", {}),
  mender("lemon-juice", ["bland"], 2, 1, "Stir in {grams} g lemon juice off the heat, where there is no hot milk for it to curdle.", { kinds: SPOONED }),
  mender("rock-salt", ["bland"], 0.2, 1, "Stir in {grams} g rock salt, a pinch at a time, tasting between.", {}),
  mender("ghee", ["crumbles"], 30, 4, "Melt {grams} g ghee and rub it in 5 g at a time, until a pressed ball holds.", {}),
  mender("coconut-oil", ["crumbles"], 30, 4, "Melt {grams} g coconut oil and rub it in 5 g at a time, until a pressed ball holds.", {}),
  mender("sunflower-oil", ["crumbles"], 30, 4, "Rub in {grams} g sunflower oil 5 g at a time, until a pressed ball holds.", {}),
  mender("peanut-butter", ["crumbles"], 30, 4, "Warm {grams} g peanut butter and work it in, until a pressed ball holds.", {}),
  mender("date-paste", ["crumbles"], 30, 5, "Work in {grams} g date paste with oiled hands, until a pressed ball holds.", {}),
  mender("roasted-gram-flour", ["greasy"], 40, 3, "Work in {grams} g roasted-gram flour by the spoonful, until the ball no longer shines.", {}),
  mender("almond-flour", ["greasy"], 40, 3, "Work in {grams} g ground almonds by the spoonful, until the ball no longer shines.", {}),
  mender("rice-flour", ["greasy"], 40, 10, "Roast {grams} g rice flour dry until it smells toasted, cool it, and work it in by the spoonful.", { kinds: ["ladoo", "loose mix", "barfi", "fruit-bound"] }),
];
