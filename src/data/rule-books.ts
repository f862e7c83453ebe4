import type { ClaimRule, NutritionRowId, RetentionFactors, RuleBook } from "../core/nutrition";
import { RULES } from "./diet-rules";
import { LABEL_LAYOUTS } from "./label-layouts";

const EU = "EU 1924/2006, annex";
const CODEX = "Codex CAC/GL 23-1997, table of conditions";
const INDIA = "FSSAI Advertising and Claims Regulations 2018, schedule I";
const KJ = 4.184;

/** What the diet says and what a claim asks are one rule. */
const NO_ADDED_SUGAR = RULES.get("no-added-sugar");

/** Conditions that the European, the Codex and the Indian book share, each under its own name; per 100 g of a solid. */
const per100 = (source: string): ClaimRule[] => [
  { claim: "low energy", all: [{ row: "energy", per: "100 g", most: 40 * KJ }], source },
  { claim: "low fat", all: [{ row: "fat", per: "100 g", most: 3 }], source },
  { claim: "fat-free", all: [{ row: "fat", per: "100 g", most: 0.5 }], source },
  {
    claim: "low saturated fat", all: [{ row: "saturatedFat", per: "100 g", most: 1.5 }, { row: "saturatedFat", per: "energy", most: 0.1 }], source,
    note: "Trans fat would count too; it is not computed here.",
  },
  { claim: "sugars-free", all: [{ row: "totalSugars", per: "100 g", most: 0.5 }], source },
  { claim: "no added sugars", keeps: NO_ADDED_SUGAR, source, note: "Anything used for its sweetness counts as added: date paste, syrup, juice. Sweeteners that hold no sugars do not; lemon, vanilla and tamarind flavour." },
  { claim: "low sodium", all: [{ row: "sodium", per: "100 g", most: 120 }], source },
  { claim: "source of fibre", any: [{ row: "fibre", per: "100 g", least: 3 }, { row: "fibre", per: "100 kcal", least: 1.5 }], source },
  { claim: "high in fibre", any: [{ row: "fibre", per: "100 g", least: 6 }, { row: "fibre", per: "100 kcal", least: 3 }], source },
];

type PerDay = readonly (readonly [row: NutritionRowId, name: string, perDay: number])[];

/** A source of a vitamin or mineral: a share of the day's reference in 100 g; high is twice that. */
const sourceOf = (rows: PerDay, share: number, source: string): ClaimRule[] =>
  rows.flatMap(([row, name, perDay]) => [
    { claim: `source of ${name}`, all: [{ row, per: "100 g" as const, least: perDay * share }], source },
    { claim: `high in ${name}`, all: [{ row, per: "100 g" as const, least: perDay * share * 2 }], source },
  ]);

/** The Codex takes any of three: a share of the day's reference in 100 g, 5 % of it in 100 kcal, or the share in a serving; high is twice each. */
const codexSourceOf = (rows: PerDay, share: number): ClaimRule[] =>
  rows.flatMap(([row, name, perDay]) =>
    ([["source of", 1], ["high in", 2]] as const).map(([words, times]) => ({
      claim: `${words} ${name}`, source: CODEX,
      any: [
        { row, per: "100 g" as const, least: perDay * share * times },
        { row, per: "100 kcal" as const, least: perDay * 0.05 * times },
        { row, per: "serving" as const, least: perDay * share * times },
      ],
    })),
  );

const EU_INTAKES = {
  energy: 8400, fat: 70, saturatedFat: 20, availableCarbohydrate: 260, totalSugars: 90, protein: 50, salt: 6,
  calcium: 800, iron: 14, magnesium: 375, zinc: 10, phosphorus: 700, vitaminA: 800, folate: 200, vitaminC: 80,
} as const;
const CODEX_INTAKES = { protein: 50, calcium: 1000, iron: 14, magnesium: 310, zinc: 11, phosphorus: 700, vitaminA: 800, folate: 400, vitaminC: 100, saturatedFat: 20, sodium: 2000 } as const;
const US_INTAKES = {
  energy: 2000 * KJ, fat: 78, saturatedFat: 20, fibre: 28, addedSugars: 50, protein: 50, sodium: 2300,
  calcium: 1300, iron: 18, magnesium: 420, zinc: 11, phosphorus: 1250, vitaminA: 900, folate: 400, vitaminC: 90,
} as const;

const minerals = (intakes: Readonly<Record<"calcium" | "iron" | "magnesium" | "zinc" | "folate" | "vitaminC" | "vitaminA", number>>) =>
  [
    ["calcium", "calcium", intakes.calcium], ["iron", "iron", intakes.iron], ["magnesium", "magnesium", intakes.magnesium], ["zinc", "zinc", intakes.zinc],
    ["folate", "folate", intakes.folate], ["vitaminC", "vitamin C", intakes.vitaminC], ["vitaminA", "vitamin A", intakes.vitaminA],
  ] as const;

/** Of a reference amount of 30 g or less a "low" claim has to hold in 50 g too. */
const inFifty = (row: NutritionRowId, most: number) => ({ upTo: 30, all: [{ row, per: "50 g" as const, most }] });
/** US claims go by the reference amount customarily consumed; a serving of this sweet stands for it. */
const US_NOTE = "By the reference amount of the regulation; a serving here stands for it.";

/** Laws and standards, each with its reference intakes and the nutrition claims that are surely its own. */
export const RULE_BOOKS: readonly RuleBook[] = [
  {
    id: "eu", label: LABEL_LAYOUTS.eu, name: "European Union", intakeSource: "EU 1169/2011, annex XIII", intakes: EU_INTAKES,
    claims: [
      ...per100(EU),
      { claim: "low sugars", all: [{ row: "totalSugars", per: "100 g", most: 5 }], source: EU },
      { claim: "reduced sugars", less: { row: "totalSugars", share: 0.3, noMore: ["energy"] }, source: EU },
      { claim: "energy-reduced", less: { row: "energy", share: 0.3 }, source: EU },
      { claim: "source of protein", all: [{ row: "protein", per: "energy", least: 0.12 }], source: EU },
      { claim: "high in protein", all: [{ row: "protein", per: "energy", least: 0.2 }], source: EU },
      { claim: "source of omega-3 fatty acids", all: [{ row: "alphaLinolenic", per: "100 g", least: 0.3 }, { row: "alphaLinolenic", per: "100 kcal", least: 0.3 }], source: `${EU}, amended by 116/2010` },
      ...sourceOf(minerals(EU_INTAKES), 0.15, EU),
    ],
  },
  {
    id: "codex", label: LABEL_LAYOUTS.codex, name: "Codex", intakeSource: "Codex CXG 2-1985, nutrient reference values", intakes: CODEX_INTAKES,
    claims: [
      ...per100(CODEX),
      { claim: "reduced sugars", less: { row: "totalSugars", share: 0.25 }, source: "Codex CAC/GL 23-1997, comparative claims" },
      ...codexSourceOf([["protein", "protein", CODEX_INTAKES.protein]], 0.1),
      ...codexSourceOf(minerals(CODEX_INTAKES), 0.15),
    ],
  },
  {
    id: "us", label: LABEL_LAYOUTS.us, name: "United States", intakeSource: "21 CFR 101.9, daily values for adults", intakes: US_INTAKES,
    claims: [
      { claim: "sugar-free", all: [{ row: "totalSugars", per: "serving", most: 0.5, strictly: true }], source: "21 CFR 101.60(c)", note: US_NOTE },
      { claim: "no added sugar", keeps: NO_ADDED_SUGAR, source: "21 CFR 101.60(c)(2)" },
      { claim: "reduced sugar", less: { row: "totalSugars", share: 0.25 }, source: "21 CFR 101.60(c)(5)" },
      { claim: "low calorie", all: [{ row: "energy", per: "serving", most: 40 * KJ }], small: inFifty("energy", 40 * KJ), source: "21 CFR 101.60(b)", note: US_NOTE },
      { claim: "low fat", all: [{ row: "fat", per: "serving", most: 3 }], small: inFifty("fat", 3), source: "21 CFR 101.62(b)", note: US_NOTE },
      { claim: "low in saturated fat", all: [{ row: "saturatedFat", per: "serving", most: 1 }, { row: "saturatedFat", per: "energy", most: 0.15 }], source: "21 CFR 101.62(c)", note: US_NOTE },
      { claim: "low sodium", all: [{ row: "sodium", per: "serving", most: 140 }], small: inFifty("sodium", 140), source: "21 CFR 101.61", note: US_NOTE },
      { claim: "good source of fibre", all: [{ row: "fibre", per: "serving", least: US_INTAKES.fibre * 0.1 }], source: "21 CFR 101.54(c)", note: `${US_NOTE} Where the sweet is not low in fat, the claim has to say how much fat it holds.` },
      { claim: "high in fibre", all: [{ row: "fibre", per: "serving", least: US_INTAKES.fibre * 0.2 }], source: "21 CFR 101.54(b)", note: US_NOTE },
      { claim: "good source of calcium", all: [{ row: "calcium", per: "serving", least: US_INTAKES.calcium * 0.1 }], source: "21 CFR 101.54(c)", note: US_NOTE },
      { claim: "good source of iron", all: [{ row: "iron", per: "serving", least: US_INTAKES.iron * 0.1 }], source: "21 CFR 101.54(c)", note: US_NOTE },
    ],
  },
  {
    id: "india", label: LABEL_LAYOUTS.india, name: "India", intakeSource: "FSSAI Labelling and Display Regulations 2020, for 2,000 kcal a day",
    intakes: { energy: 2000 * KJ, fat: 67, saturatedFat: 22, addedSugars: 50, sodium: 2000 },
    claims: [...per100(INDIA), { claim: "low sugars", all: [{ row: "totalSugars", per: "100 g", most: 5 }], source: INDIA }],
  },
];

/** What wet heat leaves of a micronutrient; class values for boiled and simmered food, wide (rule of thumb). */
export const RETENTION: RetentionFactors = {
  vitaminC: { left: 0.55, sd: 0.15 },
  folate: { left: 0.65, sd: 0.12 },
  vitaminA: { left: 0.9, sd: 0.06 },
};
