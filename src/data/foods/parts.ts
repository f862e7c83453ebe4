import type { FoodPart } from "../../core/food";

const maizeStarch = (sure: boolean): FoodPart => ({ name: "maize starch", family: "starch", plant: "Zea mays", origin: "plant", alcohol: false, sure });
const alcohol = (sure: boolean): FoodPart => ({ name: "alcohol", family: "essence", plant: null, origin: "plant", alcohol: true, sure });

const ofPlant = (name: string, family: FoodPart["family"], plant: string, sure: boolean): FoodPart => ({ name, family, plant, origin: "plant", alcohol: false, sure });
const whiteSugar = ofPlant("white sugar", "sweetener", "Saccharum officinarum", true);
const soyLecithin = ofPlant("soya lecithin", "pulse", "Glycine max", false);
const mayHold = (name: string, family: FoodPart["family"], origin: FoodPart["origin"]): FoodPart => ({ name, family, plant: null, origin, alcohol: false, sure: false });
const milkSolids: FoodPart = { name: "milk, or what is drawn from it", family: "dairy", plant: null, origin: "dairy", alcohol: false, sure: false };
/** What an isolate is usually made from, by makers. */
const source = (...of: readonly (readonly [name: string, family: FoodPart["family"], plant: string])[]): readonly FoodPart[] => of.map(([name, family, plant]) => ofPlant(name, family, plant, false));
const MAIZE = ["starch of maize", "starch", "Zea mays"] as const;
const WHEAT = ["starch of wheat", "starch", "Triticum aestivum"] as const;

/** What foods of several parts hold beside what they are called by; not sure where it differs by maker. */
export const PARTS: Readonly<Record<string, readonly FoodPart[]>> = {
  "icing-sugar": [maizeStarch(false)],
  "custard-powder": [maizeStarch(true)],
  "baking-powder": [maizeStarch(false)],
  asafoetida: [{ name: "wheat flour", family: "cereal", plant: "Triticum aestivum", origin: "plant", alcohol: false, sure: false }],
  "vanilla-extract": [alcohol(true)],
  "almond-essence": [alcohol(false)],
  "rose-essence": [alcohol(false)],
  "screwpine-essence": [alcohol(false)],
  "saffron-essence": [alcohol(false)],
  "dark-chocolate": [milkSolids, soyLecithin, whiteSugar],
  "vegan-block": [soyLecithin, milkSolids],
  vanaspati: [soyLecithin, { ...milkSolids, name: "milk flavouring, or vitamin D of wool fat" }],
  "vegetable-oil": source(["soya oil", "fat", "Glycine max"], ["maize oil", "fat", "Zea mays"], ["rice-bran oil", "fat", "Oryza sativa"], ["groundnut oil", "fat", "Arachis hypogaea"], ["mustard oil", "fat", "Brassica juncea"], ["sesame oil", "fat", "Sesamum indicum"]),
  "glucose-syrup": [ofPlant("starch of maize, wheat or potato", "starch", "Zea mays", true)],
  dextrose: source(MAIZE, WHEAT),
  erythritol: source(["sugar of maize, fermented", "starch", "Zea mays"]),
  xylitol: source(["maize cobs", "cereal", "Zea mays"]),
  allulose: source(["sugar of maize", "starch", "Zea mays"]),
  "fruit-sugar": source(["sugar of maize", "starch", "Zea mays"]),
  "xanthan-gum": source(["sugar of maize, fermented", "starch", "Zea mays"]),
  "condensed-coconut-milk": [whiteSugar, milkSolids],
  "cream-of-coconut": [whiteSugar],
  "white-chocolate": [soyLecithin, whiteSugar],
  "milk-chocolate": [soyLecithin, whiteSugar, ofPlant("cocoa", "spice", "Theobroma cacao", true)],
  ...Object.fromEntries(
    ["white-bread", "whole-wheat-bread", "fresh-breadcrumbs", "dry-breadcrumbs", "filo-pastry"].map((id) => [id, [milkSolids, mayHold("egg", "egg", "egg"), soyLecithin]]),
  ),
  "digestive-biscuits": [whiteSugar, milkSolids, mayHold("egg", "egg", "egg"), soyLecithin, ofPlant("barley malt", "cereal", "Hordeum vulgare", false)],
  "corn-flakes": [whiteSugar, ofPlant("barley malt", "cereal", "Hordeum vulgare", false)],
  "coconut-milk-powder": [{ ...milkSolids, name: "casein, which is of milk", sure: true }, ofPlant("maltodextrin of maize", "starch", "Zea mays", false)],
  "mango-pulp-sweetened": [whiteSugar],
  jam: [whiteSugar],
  "rose-petal-jam": [whiteSugar, mayHold("honey", "sweetener", "honey")],
  "candied-ginger": [whiteSugar],
  "dried-cherries": [whiteSugar],
  "almond-drink-sweetened": [whiteSugar],
  "soy-drink-sweetened": [whiteSugar],
  "soy-drink-barista": [whiteSugar],
  "golden-syrup": [ofPlant("sugar syrup", "sweetener", "Saccharum officinarum", true)],
  "monk-fruit-erythritol": source(["sugar of maize, fermented", "starch", "Zea mays"]),
  "candied-peel": [whiteSugar],
};
