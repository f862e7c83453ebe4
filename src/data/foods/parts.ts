import type { FoodPart } from "../../core/food";

const maizeStarch = (sure: boolean): FoodPart => ({ name: "maize starch", family: "starch", plant: "Zea mays", origin: "plant", alcohol: false, sure });
const alcohol = (sure: boolean): FoodPart => ({ name: "alcohol", family: "essence", plant: null, origin: "plant", alcohol: true, sure });

/** What foods of several parts hold beside what they are called by; not sure where it differs by maker. */
export const PARTS: Readonly<Record<string, readonly FoodPart[]>> = {
  "icing-sugar": [maizeStarch(false)],
  "custard-powder": [maizeStarch(true)],
  "baking-powder": [maizeStarch(false)],
  asafoetida: [{ name: "wheat flour", family: "cereal", plant: "Triticum aestivum", origin: "plant", alcohol: false, sure: false }],
  "vanilla-extract": [alcohol(true)],
  "almond-essence": [alcohol(false)],
  "dark-chocolate": [
    { name: "milk", family: "dairy", plant: null, origin: "dairy", alcohol: false, sure: false },
    { name: "soya lecithin", family: "pulse", plant: "Glycine max", origin: "plant", alcohol: false, sure: false },
  ],
  "vegan-block": [{ name: "soya lecithin", family: "pulse", plant: "Glycine max", origin: "plant", alcohol: false, sure: false }],
};
