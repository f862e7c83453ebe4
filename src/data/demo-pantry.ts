import type { EatersDocument } from "../core/table";
import type { Equipment,Place } from "../core/household";
import { EMPTY_LABEL,type OwnFood,type PantryDocument,type Price } from "../core/pantry";
import type { Making } from "../core/making";

const AT = "2026-10-18";
const food = (id: string, name: string, part: Partial<OwnFood> & Pick<OwnFood, "family" | "made">): OwnFood => ({
  id, name, synonyms: [], origin: "plant", allergens: [], traces: [], density: null, note: "", revision: 1, ...part,
});
const made = (making: Making, part: string): OwnFood["made"] => ({ kind: "made", making, part });
const price = (foodId: string, each: number, amount: number, unit: Price["unit"]): Price => ({ foodId, price: each, amount, unit, at: AT });
const weighings = (foodId: string, unit: string, grams: readonly number[]): PantryDocument["weighings"] =>
  grams.map((each, i) => ({ id: `demo-${foodId}-${unit}-${i}`, foodId, unit, form: "", grams: each, at: `${AT}T0${8 + i}:00:00.000Z` }));

/** What the made-up household has in its pantry beside the shipped foods. */
export const DEMO_PANTRY: PantryDocument = {
  foods: [
    food("own-house-oat-milk", "Oat milk of the house", {
      family: "drink", density: 1.02, note: "Pressed on Sundays, rinsed oats and iced water.",
      made: made({ kind: "milk", material: "rolled-oats", grams: 100, soaked: 0.25, presses: [900], squeeze: "hard", holds: null, weighedMilk: 830, weighedPulp: 205 }, "milk"),
    }),
    food("own-house-date-paste", "Date paste of the house", {
      family: "fruit", density: 1.18, made: made({ kind: "paste", fruit: "dates", grams: 400, water: 120, finished: null }, "whole"),
    }),
    food("own-corner-shop-oat-cream", "Oat cream from the corner shop", {
      family: "drink", allergens: ["oats"], traces: ["wheat"], density: 1, note: "The carton without a picture.",
      made: {
        kind: "label",
        label: { ...EMPTY_LABEL, energy: 148, fat: 13, saturatedFat: 1.4, carbohydrate: 6.3, sugars: 3.1, fibre: 0.9, protein: 1.1, salt: 0.1 },
      },
    }),
  ],
  weighings: [...weighings("besan", "cup", [118, 109, 113]), ...weighings("almond", "handful", [33])],
  prices: [
    price("semolina", 22, 1, "kg"), price("ghee", 95, 500, "g"), price("sugar", 14, 1, "kg"), price("cashew", 180, 1, "kg"), price("golden-raisins", 70, 1, "kg"),
    price("cow-milk", 15, 1, "l"), price("rice-flour", 30, 1, "kg"), price("almond", 160, 1, "kg"), price("pistachio", 45, 150, "g"), price("rolled-oats", 24, 1, "kg"),
    price("oat-drink", 26, 1, "l"), price("dates", 80, 1, "kg"), price("jaggery", 40, 1, "kg"),
  ],
  names: [{ words: "winter sugar", foodId: "palm-jaggery", at: AT }],
  pressings: [{ id: "demo-pressing-oats", material: "rolled-oats", squeeze: "hard", holds: 3.3, at: `${AT}T09:00:00.000Z` }],
};

/** Its currency. */
export const DEMO_CURRENCY = "crowns";

/** Where the made-up lake town lies. */
export const DEMO_PLACE: Place = { latitude: 21.5, longitude: 78.5, timeZone: "Asia/Kolkata" };

/** What it cooks with. */
export const DEMO_EQUIPMENT: Equipment = {
  pans: [
    { id: "wide", name: "the wide one", diameter: 26, depth: 9, mass: 1180, sharedWith: [] },
    { id: "small", name: "the small one", diameter: 18, depth: 8, mass: 640, sharedWith: ["milk"] },
  ],
  burners: [{ id: "front", name: "front", kind: "gas", power: 2.4 }],
  mixer: { sharedWith: ["cashew", "sesame"] },
  pressureCooker: { litres: 5, sharedWith: [] },
  fridge: 12,
};

/** Who eats at the made-up household, by role. */
export const DEMO_EATERS: EatersDocument = {
  eaters: [
    { id: "grandmother", name: "Grandmother", rules: [], asked: "2026-10-04", limits: [], note: "Knows how it has to taste.", age: "older" },
    { id: "neighbour", name: "Neighbour", rules: ["ekadashi"], onDays: ["ekadashi"], asked: "2026-10-04", limits: [], note: "Keeps the fast with her own list." },
    { id: "niece", name: "Niece", rules: ["no-cashew"], traces: "avoided", asked: "2026-10-04", limits: [], note: "A pan and a spoon of her own.", taste: "sweeter" },
    { id: "uncle", name: "Uncle", rules: [], asked: "2026-10-04", limits: [{ id: "freeSugars", most: 8, school: "uk" }], note: "Minds his blood sugar.", taste: "less sweet" },
    { id: "cousin", name: "Cousin", rules: ["vegan"], asked: "2026-10-04", limits: [], note: "" },
    { id: "child", name: "Small child", rules: ["small-child"], asked: "2026-10-04", limits: [], note: "", age: "1 to 5", portion: 0.5 },
  ],
};
