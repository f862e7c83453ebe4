import type { Role } from "../core/food";
import type { Archetype } from "../core/recipe";
import type { ArchetypeProfile, Candidate, SolverProperty, SubstitutionTables } from "../core/substitution";

type BandRow = readonly [SolverProperty, band: number, weight: number];
const profile = (archetype: Archetype, lead: readonly Role[], ...rows: readonly BandRow[]): readonly [Archetype, ArchetypeProfile] => [
  archetype, { archetype, lead, refused: null, bands: rows.map(([property, band, weight]) => ({ property, band, weight })) },
];

const LADOO: readonly BandRow[] = [["binding", 0.1, 3], ["dry", 0.1, 3], ["fat", 0.06, 3], ["sweetness", 0.08, 3], ["water", 0.25, 3], ["solidFat", 0.4, 1.5], ["solutes", 0.12, 1.5], ["grain", 0.4, 0.6], ["protein", 0.5, 0.2]];

/** What each kind of sweet keeps, and how closely, and by which roles it is led (rules of thumb). */
const PROFILES: SubstitutionTables["profiles"] = new Map([
  profile("pudding", ["body", "liquid"], ["sweetness", 0.08, 3], ["body", 0.15, 3], ["water", 0.03, 1.5], ["fat", 0.15, 1.5], ["creaminess", 0.2, 1.2], ["chew", 0.15, 2], ["solutes", 0.3, 0.6], ["protein", 0.5, 0.1]),
  profile("flour halwa", ["body"], ["sweetness", 0.08, 3], ["body", 0.15, 3], ["fat", 0.12, 2], ["water", 0.08, 2], ["solutes", 0.2, 1], ["grain", 0.35, 0.6], ["solidFat", 0.5, 0.6], ["protein", 0.5, 0.2]),
  profile("pulse halwa", ["body"], ["sweetness", 0.08, 3], ["body", 0.2, 2], ["fat", 0.12, 2], ["water", 0.08, 2], ["solutes", 0.2, 1], ["solidFat", 0.5, 0.6], ["protein", 0.4, 0.4]),
  profile("vegetable halwa", ["bulk"], ["sweetness", 0.08, 3], ["water", 0.05, 2], ["fat", 0.12, 2], ["dry", 0.15, 2], ["creaminess", 0.25, 1.5], ["solutes", 0.2, 1], ["solidFat", 0.6, 0.3], ["protein", 0.5, 0.1]),
  profile("ladoo", ["body"], ...LADOO),
  profile("loose mix", ["body", "crunch"], ["dry", 0.1, 3], ["fat", 0.1, 2], ["sweetness", 0.08, 3], ["water", 0.25, 2], ["grain", 0.4, 0.6], ["protein", 0.5, 0.2]),
  profile("set pudding", ["liquid"], ["sweetness", 0.08, 3], ["body", 0.12, 4], ["water", 0.04, 1.5], ["fat", 0.2, 1.2], ["creaminess", 0.25, 1], ["solutes", 0.25, 0.8], ["protein", 0.5, 0.1]),
  profile("barfi", ["body"], ["dry", 0.06, 3], ["sweetness", 0.08, 3], ["fat", 0.12, 2.5], ["solutes", 0.1, 2.5], ["water", 0.2, 2], ["solidFat", 0.4, 1], ["creaminess", 0.25, 1], ["grain", 0.4, 0.6], ["protein", 0.5, 0.2]),
  profile("fruit-bound", ["bulk", "crunch"], ...LADOO),
  profile("frozen", ["liquid"], ["sweetness", 0.08, 3], ["solutes", 0.1, 3], ["freezing", 0.15, 1.5], ["fat", 0.15, 2], ["water", 0.03, 2], ["creaminess", 0.2, 1.5], ["body", 0.4, 1], ["protein", 0.4, 0.4]),
  profile("cultured", ["liquid"], ["sweetness", 0.08, 3], ["body", 0.15, 3], ["water", 0.03, 1.5], ["fat", 0.2, 1.5], ["protein", 0.3, 1], ["solutes", 0.25, 0.8]),
  profile("sauce", ["liquid"], ["sweetness", 0.08, 3], ["body", 0.15, 2.5], ["water", 0.05, 2], ["fat", 0.12, 2], ["solutes", 0.12, 2], ["creaminess", 0.2, 1]),
]);

const kinds = (...of: readonly Archetype[]): readonly Archetype[] => of;
const PUDDING = kinds("pudding");
const HALWA = kinds("flour halwa", "pulse halwa");
const SWEETENED = kinds("pudding", "set pudding", "frozen", "sauce", "cultured", "flour halwa", "pulse halwa", "vegetable halwa");
const MOIST = kinds("pudding", "set pudding", "frozen", "sauce", "flour halwa", "pulse halwa", "vegetable halwa");
const DRY = kinds("ladoo", "loose mix", "barfi", "fruit-bound");
const ALL = kinds("pudding", "flour halwa", "pulse halwa", "vegetable halwa", "ladoo", "loose mix", "set pudding", "barfi", "fruit-bound", "frozen", "cultured", "sauce");
const candidate = (role: Role, foodId: string, least: number, most: number, affinity: number, archetypes: readonly Archetype[]): Candidate => ({ role, foodId, least, most, affinity, archetypes });

/** Least and most in % of the finished sweet; affinity is a rule of thumb from how such sweets are made. */
const CANDIDATES: readonly Candidate[] = [
  candidate("liquid", "almond-milk-home", 15, 130, 0.1, MOIST),
  candidate("liquid", "soy-milk", 15, 130, 0.4, MOIST),
  candidate("liquid", "oat-drink", 15, 130, 0.5, MOIST),
  candidate("liquid", "coconut-milk", 5, 40, 0.3, kinds("pudding", "flour halwa", "pulse halwa", "set pudding")),
  candidate("liquid", "coconut-milk", 5, 90, 0.1, kinds("frozen", "sauce", "vegetable halwa", "barfi")),
  candidate("liquid", "coconut-milk-thin", 10, 110, 0.4, MOIST),
  candidate("liquid", "cashew-milk-home", 15, 120, 0.3, MOIST),
  candidate("liquid", "almond-drink", 15, 130, 0.8, MOIST),
  candidate("liquid", "rice-drink", 15, 110, 1, kinds("pudding", "flour halwa", "pulse halwa", "vegetable halwa")),
  candidate("liquid", "cow-milk", 15, 130, 0, MOIST),
  candidate("liquid", "lactose-free-milk", 15, 130, 0, ALL),

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

  candidate("body", "besan", 10, 65, 0.1, DRY),
  candidate("body", "moong-flour", 10, 65, 0.2, DRY),
  candidate("body", "whole-wheat-flour", 10, 65, 0.2, DRY),
  candidate("body", "semolina", 10, 60, 0.2, DRY),
  candidate("body", "ragi-flour", 10, 60, 0.3, DRY),
  candidate("body", "sorghum-flour", 10, 60, 0.3, DRY),
  candidate("body", "pearl-millet-flour", 10, 60, 0.3, DRY),
  candidate("body", "amaranth-flour", 10, 55, 0.3, DRY),
  candidate("body", "water-chestnut-flour", 10, 55, 0.3, DRY),
  candidate("body", "buckwheat-flour", 10, 55, 0.4, DRY),
  candidate("body", "popped-amaranth", 8, 50, 0.3, DRY),
  candidate("body", "sesame", 10, 70, 0.3, DRY),
  candidate("body", "peanut", 10, 70, 0.3, DRY),
  candidate("body", "almond", 10, 70, 0.4, DRY),
  candidate("body", "cashew", 10, 70, 0.4, DRY),
  candidate("body", "pumpkin-seeds", 10, 70, 0.3, DRY),
  candidate("body", "sunflower-seeds", 10, 70, 0.3, DRY),
  candidate("body", "melon-seeds", 10, 70, 0.3, DRY),
  candidate("body", "desiccated-coconut", 10, 70, 0.3, DRY),

  candidate("sweetener", "sugar", 1, 45, 0, ALL),
  candidate("sweetener", "jaggery", 1, 45, 0.1, ALL),
  candidate("sweetener", "jaggery-powder", 1, 45, 0.1, DRY),
  candidate("sweetener", "icing-sugar", 1, 45, 0, DRY),
  candidate("sweetener", "coconut-sugar", 1, 45, 0.4, ALL),
  candidate("sweetener", "palm-jaggery", 1, 45, 0.3, ALL),
  candidate("sweetener", "date-syrup", 1, 30, 0.4, ALL),
  candidate("sweetener", "date-paste", 2, 60, 0.2, ALL),
  candidate("sweetener", "fig-paste", 2, 60, 0.5, DRY),
  candidate("sweetener", "dates", 1, 6, 0.2, SWEETENED),
  candidate("sweetener", "dried-figs", 1, 6, 0.6, SWEETENED),
  candidate("sweetener", "raisins", 1, 5, 0.4, SWEETENED),
  candidate("sweetener", "maple-syrup", 1, 30, 0.6, SWEETENED),
  candidate("sweetener", "condensed-coconut-milk", 2, 40, 0.3, kinds("frozen", "sauce", "barfi", "pudding", "set pudding")),
  candidate("sweetener", "erythritol", 1, 7, 0.4, SWEETENED),
  candidate("sweetener", "erythritol", 1, 14, 0.6, DRY),
  candidate("sweetener", "xylitol", 1, 5, 0.7, SWEETENED),
  candidate("sweetener", "xylitol", 1, 12, 0.9, DRY),
  candidate("sweetener", "allulose", 1, 8, 1.6, ALL),
  candidate("sweetener", "stevia", 0.003, 0.03, 0.5, SWEETENED),

  candidate("richness", "ghee", 1, 35, 0, ALL),
  candidate("richness", "butter", 1, 30, 0.3, ALL),
  candidate("richness", "coconut-oil", 1, 30, 0.1, ALL),
  candidate("richness", "sunflower-oil", 1, 30, 0.4, ALL),
  candidate("richness", "sesame-oil", 1, 20, 0.8, kinds("flour halwa", "pulse halwa", "ladoo", "barfi")),
  candidate("richness", "groundnut-oil", 1, 30, 0.5, ALL),
  candidate("richness", "cocoa-butter", 1, 14, 0.7, kinds("flour halwa", "pulse halwa", "ladoo", "barfi")),
  candidate("richness", "coconut-cream", 2, 20, 0.4, PUDDING),
  candidate("richness", "coconut-cream", 2, 60, 0.2, kinds("set pudding", "frozen", "sauce")),

  candidate("thickener", "rice-flour", 0.5, 4, 0.1, PUDDING),
  candidate("thickener", "cornflour", 0.4, 2.5, 0.3, kinds("pudding", "sauce", "frozen", "cultured")),
  candidate("thickener", "cornflour", 0.4, 8, 0.2, kinds("set pudding")),
  candidate("thickener", "arrowroot", 0.4, 2.5, 0.3, kinds("pudding", "sauce", "frozen")),
  candidate("thickener", "arrowroot", 0.4, 8, 0.3, kinds("set pudding")),
  candidate("thickener", "fox-nut-flour", 0.5, 3, 0.3, PUDDING),
  candidate("setting", "agar", 0.15, 0.9, 0.1, kinds("set pudding")),
  candidate("setting", "gelatin", 0.5, 2, 0.2, kinds("set pudding")),
  candidate("setting", "egg", 3, 30, 0.2, kinds("set pudding")),
  candidate("setting", "cornflour", 1, 9, 0.3, kinds("set pudding")),
  candidate("setting", "arrowroot", 1, 9, 0.4, kinds("set pudding")),
  candidate("setting", "rice-flour", 1, 8, 0.5, kinds("set pudding")),
  candidate("bulk", "cashew-paste", 1, 6, 0.2, kinds("pudding", "set pudding", "vegetable halwa", "sauce")),
  candidate("bulk", "cashew-paste", 1, 14, 0.1, kinds("frozen")),
  candidate("bulk", "almond-paste", 1, 6, 0.2, MOIST),
  candidate("bulk", "melon-seed-paste", 1, 3.5, 0.4, kinds("pudding", "vegetable halwa")),
  candidate("bulk", "silken-tofu", 3, 15, 1.8, kinds("pudding", "set pudding", "frozen")),
  candidate("bulk", "fresh-coconut", 2, 10, 0.5, kinds("pudding", "flour halwa", "vegetable halwa")),
  candidate("bulk", "coconut-milk-powder", 1, 8, 0.4, kinds("frozen", "barfi", "vegetable halwa")),
  candidate("bulk", "date-paste", 5, 70, 0.1, kinds("fruit-bound")),
  candidate("bulk", "fig-paste", 5, 70, 0.2, kinds("fruit-bound")),

  candidate("crunch", "melon-seeds", 0.5, 8, 0.1, MOIST),
  candidate("crunch", "pumpkin-seeds", 0.5, 8, 0.1, MOIST),
  candidate("crunch", "sunflower-seeds", 0.5, 8, 0.3, MOIST),
  candidate("crunch", "almond", 0.5, 8, 0.2, MOIST),
  candidate("crunch", "cashew", 0.5, 8, 0.2, MOIST),
  candidate("crunch", "pistachio", 0.3, 6, 0.3, MOIST),
  candidate("crunch", "raisins", 0.5, 6, 0.4, MOIST),
  candidate("crunch", "melon-seeds", 1, 40, 0.1, DRY),
  candidate("crunch", "pumpkin-seeds", 1, 40, 0.1, DRY),
  candidate("crunch", "sunflower-seeds", 1, 40, 0.2, DRY),
  candidate("crunch", "sesame", 1, 30, 0.3, DRY),
  candidate("crunch", "almond", 1, 40, 0.2, DRY),
  candidate("crunch", "cashew", 1, 40, 0.2, DRY),
  candidate("crunch", "walnut", 1, 40, 0.3, DRY),
  candidate("crunch", "peanut", 1, 40, 0.3, DRY),
  candidate("crunch", "popped-amaranth", 1, 30, 0.4, DRY),
  candidate("crunch", "fox-nut", 1, 20, 0.4, DRY),
];

/** The shipped tables of the substitution solver. */
export const SUBSTITUTION: SubstitutionTables = {
  profiles: PROFILES,
  floors: { water: 2, fat: 0.8, sweetness: 0.6, solutes: 1, freezing: 1, dry: 1, protein: 0.8, creaminess: 0.6, solidFat: 0.6, chew: 0.4, body: 1, grain: 5, gel: 0.5, binding: 0.1 },
  candidates: CANDIDATES,
  clashes: [
    { foods: ["soy-milk", "jaggery"], cost: 2, why: "soya milk can curd with the acid and salts of jaggery" },
    { foods: ["soy-milk", "palm-jaggery"], cost: 2, why: "soya milk can curd with the acid and salts of palm jaggery" },
    { foods: ["soy-milk", "date-paste"], cost: 1.5, why: "soya milk can curd with the acid of date paste" },
    { foods: ["cow-milk", "jaggery"], cost: 2, why: "hot milk can curdle with the acid and salts of jaggery" },
    { foods: ["buffalo-milk", "jaggery"], cost: 2, why: "hot milk can curdle with the acid and salts of jaggery" },
    { foods: ["cow-milk", "date-paste"], cost: 1.5, why: "hot milk can curdle with the acid of date paste" },
  ],
  fastFavours: new Map([
    ["barnyard-millet", 0.5], ["water-chestnut-flour", 0.5], ["amaranth-flour", 0.4], ["buckwheat-flour", 0.3], ["amaranth", 0.3], ["sago", 0.2], ["fox-nut", 0.2], ["popped-amaranth", 0.3],
  ]),
  grainClasses: new Map([
    ["semolina", 2], ["rice-semolina", 2], ["bulgur", 3], ["little-millet", 2.5], ["barnyard-millet", 2.5], ["foxtail-millet", 2.5], ["amaranth", 2], ["white-rice", 4], ["brown-rice", 4], ["sago", 4],
    ["quinoa", 3], ["fox-nut", 4], ["vermicelli", 4], ["vermicelli-roasted", 4], ["kodo-millet", 2.5], ["rice-flakes", 3],
  ]),
};
