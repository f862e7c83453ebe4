import type { Role } from "../core/food";
import type { Archetype } from "../core/recipe";
import type { ArchetypeProfile, Candidate, SolverProperty, SubstitutionTables } from "../core/substitution";

type BandRow = readonly [SolverProperty, band: number, weight: number];
const profile = (archetype: Archetype, solved: boolean, ...rows: readonly BandRow[]): readonly [Archetype, ArchetypeProfile] => [
  archetype, { archetype, solved, bands: rows.map(([property, band, weight]) => ({ property, band, weight })) },
];

const LADOO: readonly BandRow[] = [["binding", 0.1, 3], ["dry", 0.1, 3], ["fat", 0.06, 3], ["sweetness", 0.08, 3], ["water", 0.25, 3], ["solidFat", 0.4, 1.5], ["solutes", 0.12, 1.5], ["grain", 0.4, 0.6], ["protein", 0.5, 0.2]];

/** What each kind of sweet keeps, and how closely (rules of thumb). */
const PROFILES: SubstitutionTables["profiles"] = new Map([
  profile("pudding", true, ["sweetness", 0.08, 3], ["body", 0.15, 3], ["water", 0.03, 1.5], ["fat", 0.15, 1.5], ["creaminess", 0.2, 1.2], ["chew", 0.15, 2], ["solutes", 0.3, 0.6], ["protein", 0.5, 0.1]),
  profile("flour halwa", true, ["sweetness", 0.08, 3], ["body", 0.15, 3], ["fat", 0.12, 2], ["water", 0.08, 2], ["solutes", 0.2, 1], ["grain", 0.35, 0.6], ["solidFat", 0.5, 0.6], ["protein", 0.5, 0.2]),
  profile("vegetable halwa", false, ["sweetness", 0.08, 3], ["water", 0.05, 2], ["fat", 0.12, 2], ["dry", 0.15, 2], ["creaminess", 0.25, 1.5], ["solutes", 0.2, 1], ["solidFat", 0.6, 0.3], ["protein", 0.5, 0.1]),
  profile("ladoo", false, ...LADOO),
  profile("set pudding", false, ["gel", 0.12, 4], ["sweetness", 0.08, 3], ["water", 0.04, 1.5], ["fat", 0.2, 1.2], ["creaminess", 0.25, 1], ["body", 0.25, 1], ["solutes", 0.25, 0.8], ["protein", 0.5, 0.1]),
  profile("fruit-bound", false, ...LADOO),
]);

const PUDDING: readonly Archetype[] = ["pudding"];
const HALWA: readonly Archetype[] = ["flour halwa"];
const BOTH: readonly Archetype[] = ["pudding", "flour halwa"];
const candidate = (role: Role, foodId: string, least: number, most: number, affinity: number, archetypes: readonly Archetype[]): Candidate => ({ role, foodId, least, most, affinity, archetypes });

/** Least and most in % of the finished sweet; affinity is a rule of thumb from how such sweets are made. */
const CANDIDATES: readonly Candidate[] = [
  candidate("liquid", "almond-milk-home", 15, 130, 0.1, BOTH),
  candidate("liquid", "soy-milk", 15, 130, 0.4, BOTH),
  candidate("liquid", "oat-drink", 15, 130, 0.5, BOTH),
  candidate("liquid", "coconut-milk", 5, 40, 0.3, BOTH),
  candidate("liquid", "coconut-milk-thin", 10, 110, 0.4, BOTH),
  candidate("liquid", "cashew-milk-home", 15, 120, 0.3, BOTH),
  candidate("liquid", "almond-drink", 15, 130, 0.8, BOTH),
  candidate("liquid", "rice-drink", 15, 110, 1, BOTH),
  candidate("liquid", "cow-milk", 15, 130, 0, PUDDING),

  candidate("body", "rice-flour", 2, 12, 0, PUDDING),
  candidate("body", "sago", 3, 14, 0.4, PUDDING),
  candidate("body", "white-rice", 3, 14, 0.1, PUDDING),
  candidate("body", "little-millet", 3, 14, 0.2, PUDDING),
  candidate("body", "foxtail-millet", 3, 14, 0.2, PUDDING),
  candidate("body", "barnyard-millet", 3, 14, 0.2, PUDDING),
  candidate("body", "amaranth", 3, 14, 0.5, PUDDING),
  candidate("body", "quinoa", 3, 14, 0.9, PUDDING),
  candidate("body", "fox-nut", 1.5, 6, 0.3, PUDDING),

  candidate("body", "semolina", 6, 30, 0, HALWA),
  candidate("body", "rice-semolina", 6, 30, 0.1, HALWA),
  candidate("body", "whole-wheat-flour", 6, 28, 0.2, HALWA),
  candidate("body", "little-millet", 6, 28, 0.2, HALWA),
  candidate("body", "amaranth-flour", 6, 26, 0.4, HALWA),
  candidate("body", "water-chestnut-flour", 5, 24, 0.3, HALWA),
  candidate("body", "buckwheat-flour", 6, 26, 0.4, HALWA),
  candidate("body", "barnyard-millet", 6, 28, 0.3, HALWA),
  candidate("body", "moong-flour", 6, 28, 0.4, HALWA),
  candidate("body", "besan", 6, 28, 0.4, HALWA),
  candidate("body", "ragi-flour", 6, 24, 0.5, HALWA),
  candidate("body", "sorghum-flour", 6, 26, 0.5, HALWA),
  candidate("body", "fox-nut-flour", 5, 20, 0.6, HALWA),

  candidate("sweetener", "sugar", 1, 40, 0, BOTH),
  candidate("sweetener", "jaggery", 1, 40, 0.1, BOTH),
  candidate("sweetener", "coconut-sugar", 1, 40, 0.4, BOTH),
  candidate("sweetener", "palm-jaggery", 1, 40, 0.3, BOTH),
  candidate("sweetener", "date-syrup", 1, 30, 0.4, BOTH),
  candidate("sweetener", "date-paste", 2, 40, 0.2, BOTH),
  candidate("sweetener", "dates", 1, 6, 0.2, BOTH),
  candidate("sweetener", "dried-figs", 1, 6, 0.6, BOTH),
  candidate("sweetener", "raisins", 1, 5, 0.4, BOTH),
  candidate("sweetener", "maple-syrup", 1, 30, 0.6, BOTH),
  candidate("sweetener", "erythritol", 1, 7, 0.4, BOTH),
  candidate("sweetener", "xylitol", 1, 5, 0.7, BOTH),
  candidate("sweetener", "allulose", 1, 10, 1.6, BOTH),
  candidate("sweetener", "stevia", 0.003, 0.03, 0.5, BOTH),

  candidate("richness", "ghee", 1, 35, 0, BOTH),
  candidate("richness", "coconut-oil", 1, 30, 0.1, BOTH),
  candidate("richness", "sunflower-oil", 1, 30, 0.4, BOTH),
  candidate("richness", "sesame-oil", 1, 20, 0.8, HALWA),
  candidate("richness", "groundnut-oil", 1, 30, 0.5, BOTH),
  candidate("richness", "cocoa-butter", 1, 12, 0.8, HALWA),
  candidate("richness", "coconut-cream", 2, 20, 0.4, PUDDING),

  candidate("thickener", "rice-flour", 0.5, 4, 0.1, PUDDING),
  candidate("thickener", "cornflour", 0.4, 2.5, 0.3, PUDDING),
  candidate("thickener", "arrowroot", 0.4, 2.5, 0.3, PUDDING),
  candidate("thickener", "fox-nut-flour", 0.5, 3, 0.3, PUDDING),
  candidate("bulk", "cashew-paste", 1, 6, 0.2, PUDDING),
  candidate("bulk", "almond-paste", 1, 6, 0.2, BOTH),
  candidate("bulk", "melon-seed-paste", 1, 3.5, 0.4, PUDDING),
  candidate("bulk", "silken-tofu", 3, 15, 1.8, PUDDING),
  candidate("bulk", "fresh-coconut", 2, 10, 0.5, BOTH),
  candidate("bulk", "inulin", 1, 5, 0.9, BOTH),

  candidate("crunch", "melon-seeds", 0.5, 8, 0.1, BOTH),
  candidate("crunch", "pumpkin-seeds", 0.5, 8, 0.1, BOTH),
  candidate("crunch", "sunflower-seeds", 0.5, 8, 0.3, BOTH),
  candidate("crunch", "almond", 0.5, 8, 0.2, BOTH),
  candidate("crunch", "cashew", 0.5, 8, 0.2, BOTH),
  candidate("crunch", "pistachio", 0.3, 6, 0.3, BOTH),
  candidate("crunch", "raisins", 0.5, 6, 0.4, BOTH),
];

/** The shipped tables of the substitution solver. */
export const SUBSTITUTION: SubstitutionTables = {
  profiles: PROFILES,
  floors: { water: 2, fat: 0.8, sweetness: 0.6, solutes: 1, dry: 1, protein: 0.8, creaminess: 0.6, solidFat: 0.6, chew: 0.4, body: 1, grain: 5, gel: 0.5, binding: 0.1 },
  candidates: CANDIDATES,
  clashes: [
    { foods: ["soy-milk", "jaggery"], cost: 2, why: "soya milk can curd with the acid and salts of jaggery" },
    { foods: ["soy-milk", "palm-jaggery"], cost: 2, why: "soya milk can curd with the acid and salts of palm jaggery" },
    { foods: ["soy-milk", "date-paste"], cost: 1.5, why: "soya milk can curd with the acid of date paste" },
    { foods: ["cow-milk", "jaggery"], cost: 2, why: "hot milk can curdle with the acid and salts of jaggery" },
    { foods: ["buffalo-milk", "jaggery"], cost: 2, why: "hot milk can curdle with the acid and salts of jaggery" },
    { foods: ["cow-milk", "date-paste"], cost: 1.5, why: "hot milk can curdle with the acid of date paste" },
  ],
  grainClasses: new Map([
    ["semolina", 2], ["rice-semolina", 2], ["bulgur", 3], ["little-millet", 2.5], ["barnyard-millet", 2.5], ["foxtail-millet", 2.5], ["amaranth", 2], ["white-rice", 4], ["brown-rice", 4], ["sago", 4],
    ["quinoa", 3], ["fox-nut", 4], ["vermicelli", 4], ["vermicelli-roasted", 4], ["kodo-millet", 2.5], ["rice-flakes", 3],
  ]),
};
