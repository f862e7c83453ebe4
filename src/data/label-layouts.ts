import type { LabelLayout, LabelRounding } from "../core/nutrition";

const EU_GUIDANCE = "EU 1169/2011, annex XV; rounding by the Commission's guidance on tolerances (2012)";
const whole: LabelRounding = { least: { under: 0.5, words: "<1" }, steps: [{ under: Infinity, to: 1 }] };
const EU_ROUNDINGS = {
  kJ: whole,
  kcal: whole,
  grams: { least: { under: 0.5, orAsMuch: true, words: "<0.5" }, steps: [{ under: 10, to: 0.1 }, { under: Infinity, to: 1 }] },
  saturates: { least: { under: 0.1, orAsMuch: true, words: "<0.1" }, steps: [{ under: 10, to: 0.1 }, { under: Infinity, to: 1 }] },
  salt: { least: { under: 0.0125, orAsMuch: true, words: "<0.01" }, steps: [{ under: 1, to: 0.01 }, { under: Infinity, to: 0.1 }] },
  sodium: { least: { under: 5, orAsMuch: true, words: "<5" }, steps: [{ under: 1000, to: 10 }, { under: Infinity, to: 100 }] },
} as const satisfies Readonly<Record<string, LabelRounding>>;

/** Carbohydrate as EU and Codex count it for energy: what is taken up, with polyols. */
const EU: LabelLayout = {
  per: ["per100g", "serving"], energy: "kJ and kcal", energyName: "Energy", ofDay: false,
  lines: [
    { name: "Fat", of: ["fat"], inset: 0, rounding: "grams" },
    { name: "of which saturates", of: ["saturatedFat"], inset: 1, rounding: "saturates" },
    { name: "Carbohydrate", of: ["availableCarbohydrate", "polyols"], inset: 0, rounding: "grams" },
    { name: "of which sugars", of: ["totalSugars"], inset: 1, rounding: "grams" },
    { name: "of which polyols", of: ["polyols"], inset: 1, rounding: "grams", over: 0.5 },
    { name: "Fibre", of: ["fibre"], inset: 0, rounding: "grams" },
    { name: "Protein", of: ["protein"], inset: 0, rounding: "grams" },
    { name: "Salt", of: ["salt"], inset: 0, rounding: "salt" },
  ],
  roundings: EU_ROUNDINGS, missing: [], source: EU_GUIDANCE, note: null,
};

const CODEX: LabelLayout = {
  per: ["per100g", "serving"], energy: "kJ and kcal", energyName: "Energy", ofDay: false,
  lines: [
    { name: "Protein", of: ["protein"], inset: 0, rounding: "grams" },
    { name: "Available carbohydrate", of: ["availableCarbohydrate"], inset: 0, rounding: "grams" },
    { name: "of which sugars", of: ["totalSugars"], inset: 1, rounding: "grams" },
    { name: "Fat", of: ["fat"], inset: 0, rounding: "grams" },
    { name: "of which saturated", of: ["saturatedFat"], inset: 1, rounding: "saturates" },
    { name: "Fibre", of: ["fibre"], inset: 0, rounding: "grams" },
    { name: "Sodium", of: ["sodium"], inset: 0, rounding: "sodium" },
  ],
  roundings: EU_ROUNDINGS, missing: [], source: "Codex CXG 2-1985", note: "Codex sets no rounding: it is the one of the EU here.",
};

const US_GRAMS: LabelRounding = { least: { under: 0.5, words: "0" }, steps: [{ under: 5, to: 0.5 }, { under: Infinity, to: 1 }] };
const US_WHOLE: LabelRounding = { least: { under: 1, words: "<1" }, steps: [{ under: Infinity, to: 1 }] };
const US: LabelLayout = {
  per: ["serving"], energy: "kcal", energyName: "Calories", ofDay: true,
  lines: [
    { name: "Total fat", of: ["fat"], inset: 0, rounding: "fat" },
    { name: "Saturated fat", of: ["saturatedFat"], inset: 1, rounding: "fat" },
    { name: "Sodium", of: ["sodium"], inset: 0, rounding: "sodium" },
    { name: "Total carbohydrate", of: ["availableCarbohydrate", "polyols", "fibre"], inset: 0, rounding: "whole" },
    { name: "Dietary fibre", of: ["fibre"], inset: 1, rounding: "whole" },
    { name: "Total sugars", of: ["totalSugars"], inset: 1, rounding: "whole" },
    { name: "Added sugars", of: ["addedSugars"], inset: 2, rounding: "whole" },
    { name: "Sugar alcohols", of: ["polyols"], inset: 1, rounding: "whole", over: 0.5 },
    { name: "Protein", of: ["protein"], inset: 0, rounding: "whole" },
    { name: "Calcium", of: ["calcium"], inset: 0, rounding: "calcium" },
    { name: "Iron", of: ["iron"], inset: 0, rounding: "iron" },
  ],
  roundings: {
    kcal: { least: { under: 5, words: "0" }, steps: [{ under: 50, orAsMuch: true, to: 5 }, { under: Infinity, to: 10 }] },
    fat: US_GRAMS,
    sodium: { least: { under: 5, words: "0" }, steps: [{ under: 140, orAsMuch: true, to: 5 }, { under: Infinity, to: 10 }] },
    whole: US_WHOLE,
    calcium: { least: { under: 5, words: "0" }, steps: [{ under: Infinity, to: 10 }] },
    iron: { least: { under: 0.05, words: "0" }, steps: [{ under: Infinity, to: 0.1 }] },
  },
  missing: ["trans fat", "cholesterol", "vitamin D", "potassium"], source: "21 CFR 101.9(c)",
  note: "A serving here stands for the reference amount of the regulation; less than half a gram of carbohydrate, sugars or protein may stand as 0 by it.",
};

const tenths: LabelRounding = { least: { under: 0.05, words: "<0.1" }, steps: [{ under: 10, to: 0.1 }, { under: Infinity, to: 1 }] };
const INDIA: LabelLayout = {
  per: ["per100g", "serving"], energy: "kcal", energyName: "Energy", ofDay: true,
  lines: [
    { name: "Protein", of: ["protein"], inset: 0, rounding: "grams" },
    { name: "Carbohydrate", of: ["availableCarbohydrate", "polyols", "fibre"], inset: 0, rounding: "grams" },
    { name: "Total sugars", of: ["totalSugars"], inset: 1, rounding: "grams" },
    { name: "Added sugars", of: ["addedSugars"], inset: 1, rounding: "grams" },
    { name: "Total fat", of: ["fat"], inset: 0, rounding: "grams" },
    { name: "Saturated fat", of: ["saturatedFat"], inset: 1, rounding: "grams" },
    { name: "Sodium", of: ["sodium"], inset: 0, rounding: "sodium" },
  ],
  roundings: { kcal: whole, grams: tenths, sodium: { least: { under: 1, words: "<1" }, steps: [{ under: Infinity, to: 1 }] } },
  missing: ["trans fat", "cholesterol"], source: "FSSAI Labelling and Display Regulations 2020",
  note: "Rounded to tenths below 10 g here: a rounding of the regulations is not known to us.",
};

/** By rule book. */
export const LABEL_LAYOUTS = { eu: EU, codex: CODEX, us: US, india: INDIA } as const;
