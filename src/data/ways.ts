import type { Way } from "../core/ways";

/** Where good cooks part, and why each does it so: rules of practice, no measured figures. */
export const WAYS: readonly Way[] = [
  {
    id: "rice rinsed",
    of: "Rice",
    options: [
      { id: "rinsed", name: "rinsed", reason: "loose starch and dust go; the grains stay apart and the milk stays clear" },
      { id: "not rinsed", name: "not rinsed", reason: "the loose starch thickens the pot" },
    ],
  },
  {
    id: "rice kind",
    of: "Which rice",
    options: [
      { id: "plain", name: "plain", reason: "it takes on the taste of milk and spice" },
      { id: "perfumed", name: "perfumed", reason: "its own scent covers the taste of grain in a nut or tuber extract" },
    ],
  },
  {
    id: "grain before",
    of: "Grain beforehand",
    options: [
      { id: "raw", name: "raw", reason: "nothing to plan for; it gives its starch to the pot" },
      { id: "soaked", name: "soaked", reason: "it is soft sooner and more evenly" },
      { id: "cooked", name: "cooked apart", reason: "sure to be soft before milk or sugar slow it down; less starch in the pot" },
    ],
  },
  {
    id: "soaking water",
    of: "Soaking water",
    options: [
      { id: "drained", name: "drained", reason: "what tastes raw or sour goes with it, and some thickening starch" },
      { id: "cooked in", name: "cooked in", reason: "no starch is lost; the pot holds more water and has to boil longer for the same body" },
    ],
  },
  {
    id: "grain toasted",
    of: "Grain",
    options: [
      { id: "plain", name: "not toasted", reason: "a clean, milky taste and a light colour" },
      { id: "toasted", name: "toasted first", reason: "a nutty smell, and grains that keep their shape" },
    ],
  },
  {
    id: "vermicelli roasted again",
    of: "Bought roasted vermicelli",
    options: [
      { id: "again", name: "roasted again", reason: "it is rarely brown enough, and freshens up" },
      { id: "not again", name: "as bought", reason: "it is brown already, and burns soon" },
    ],
  },
  {
    id: "flour roasted",
    of: "Flour",
    options: [
      { id: "in fat", name: "roasted in the fat", reason: "each grain is coated: it browns evenly and does not lump" },
      { id: "dry", name: "roasted dry", reason: "it can be judged by its smell alone, and less fat is enough" },
    ],
  },
  {
    id: "liquid",
    of: "Liquid",
    options: [
      { id: "at once", name: "at once", reason: "quick; the whole pot comes to the boil together" },
      { id: "in rounds", name: "in rounds", reason: "the grain takes it up bit by bit, and no lump is left" },
    ],
  },
  {
    id: "lid",
    of: "Lid",
    options: [
      { id: "off", name: "off", reason: "water leaves, and it thickens; it has to be stirred" },
      { id: "on", name: "on", reason: "what is raw gets soft without boiling dry; it stays thinner" },
    ],
  },
  {
    id: "vegetable",
    of: "Vegetable",
    options: [
      { id: "in its own juice", name: "grated, in its own juice", reason: "shreds that one can feel, and nothing of its taste is lost" },
      { id: "steamed and mashed", name: "steamed and mashed", reason: "smooth, and soon done; its sugars are free then by the stricter count" },
    ],
  },
  {
    id: "thickened by",
    of: "Thickened by",
    options: [
      { id: "starch", name: "starch", reason: "sure and quick; a little goes a long way" },
      { id: "egg", name: "egg yolk", reason: "rich and smooth; not for everybody" },
      { id: "mash", name: "its own grain, mashed", reason: "nothing that was not in it" },
      { id: "reduction", name: "boiling down", reason: "the taste of the milk itself, for the longest time at the stove" },
    ],
  },
  {
    id: "sweetener goes in",
    of: "Sweetener",
    options: [
      { id: "at the end", name: "at the end", reason: "it can be tasted, and the grain is soft before sugar slows it down" },
      { id: "with each round", name: "with each round of liquid", reason: "the grain is sweet to its core" },
      { id: "with the milk", name: "with the milk from the start", reason: "it cooks in, and takes on a little colour; the grain needs longer" },
    ],
  },
  {
    id: "jaggery in milk",
    of: "Jaggery and milk",
    options: [
      { id: "off the heat", name: "off the heat, lukewarm", reason: "below 60 °C its acid and salts do not curdle the milk" },
      { id: "both cooled", name: "both cooled, then mixed", reason: "surest of all against curdling" },
      { id: "milk chilled", name: "cooled syrup into chilled milk", reason: "for sweets that are served cold" },
      { id: "in the hot milk", name: "in the hot milk", reason: "starch holds the milk where there is enough; else it may curdle" },
    ],
  },
  {
    id: "jaggery",
    of: "Jaggery",
    options: [
      { id: "filtered syrup", name: "as a filtered syrup", reason: "no grit, no straw" },
      { id: "grated", name: "grated", reason: "where it is known to be clean: less work, and no water goes in" },
      { id: "into the hot flour", name: "powdered into the hot flour", reason: "it melts just enough to bind, and stays crumbly" },
    ],
  },
  {
    id: "honey",
    of: "Honey",
    options: [
      { id: "never", name: "never heated", reason: "its scent stays, and tradition advises against heating it" },
      { id: "cooked", name: "cooked in", reason: "it melts in evenly" },
    ],
  },
  {
    id: "caramel",
    of: "Caramel",
    options: [
      { id: "dark", name: "dark, off the flame", reason: "safer: nothing is poured on it over the flame; bitter-sweet" },
      { id: "light", name: "light, with warm water on the flame", reason: "sweeter, and it loosens at once; it spits" },
    ],
  },
  {
    id: "coconut milk",
    of: "Coconut milk",
    options: [
      { id: "first boil", name: "stirred to its first boil", reason: "it cooks in, and has no time to split" },
      { id: "off the heat", name: "off the heat, under a lid", reason: "it cannot split, and tastes fresh" },
      { id: "long simmer", name: "simmered long", reason: "grain starch in the pot holds it; a deeper taste" },
      { id: "at the table", name: "only at the table", reason: "each takes as much as is liked; who may not have it has none" },
    ],
  },
  {
    id: "coconut milk from",
    of: "Coconut milk from",
    options: [
      { id: "own", name: "a fresh nut", reason: "the taste of the nut, and nothing added" },
      { id: "can", name: "a can", reason: "always as thick, always at hand" },
    ],
  },
  {
    id: "extracts",
    of: "Grain and nut extracts",
    options: [
      { id: "together", name: "pressed together", reason: "one cloth, one pot" },
      { id: "apart", name: "pressed apart", reason: "each can be added when it is its turn" },
    ],
  },
  {
    id: "stirring",
    of: "Stirring an extract",
    options: [
      { id: "any way", name: "any way", reason: "it thickens all the same" },
      { id: "one way", name: "one way only", reason: "it stays smooth and draws in threads, as its makers hold" },
    ],
  },
  {
    id: "cardamom",
    of: "Cardamom",
    options: [
      { id: "late", name: "late, off the heat", reason: "its fresh, cool scent stays" },
      { id: "early", name: "early, with the liquid", reason: "a rounder, cooked note" },
      { id: "both", name: "half early, half late", reason: "both notes" },
      { id: "in the syrup", name: "in the syrup", reason: "the sweetness itself is scented" },
    ],
  },
  {
    id: "nuts",
    of: "Nuts on top",
    options: [
      { id: "fried", name: "fried or roasted", reason: "crisp, and their taste is stronger" },
      { id: "raw", name: "raw", reason: "less fat and less work" },
      { id: "soaked", name: "soaked and skinned", reason: "soft, mild and white" },
    ],
  },
  {
    id: "fat",
    of: "Fat",
    options: [
      { id: "generous", name: "generous, half as much again", reason: "it shines, leaves the pan, and keeps longer" },
      { id: "little", name: "little, half of it", reason: "lighter; it needs more stirring, and dries out sooner" },
      { id: "none", name: "none", reason: "where nothing has to be fried in it" },
    ],
  },
  {
    id: "salt",
    of: "Salt",
    options: [
      { id: "none", name: "none", reason: "as many fasts and tables ask" },
      { id: "a pinch", name: "a pinch", reason: "it rounds off the sweetness" },
      { id: "measured", name: "measured, 1.5 g a kilogram", reason: "the same each time, and never tasted as salt" },
    ],
  },
  {
    id: "setting",
    of: "In the mould",
    options: [
      { id: "until firm", name: "until firm", reason: "when it pulls away from the side it is done" },
      { id: "overnight", name: "overnight", reason: "sure to be cold through when it is turned out" },
    ],
  },
];
