import { MICRONUTRIENTS, NUTRIENTS, type Allergen, type Family, type Food, type Nutrient, type Origin } from "../food";
import { foodsIn, make, type Made, type MadePart, type Making, type MakingTables, type Unmakeable } from "../making";

/** What a pack says of its food; null where it says nothing, which is not the same as none. Grams but for energy and sodium. */
export interface Label {
  /** Grams that the amounts are for: 100, or a serving. */
  readonly per: number;
  readonly energy: number | null;
  readonly energyUnit: "kcal" | "kJ";
  readonly fat: number | null;
  readonly saturatedFat: number | null;
  readonly carbohydrate: number | null;
  /** American packs count fibre as carbohydrate. */
  readonly includesFibre: boolean;
  readonly sugars: number | null;
  readonly fibre: number | null;
  readonly protein: number | null;
  /** In `saltUnit`. */
  readonly salt: number | null;
  readonly saltUnit: "g salt" | "mg sodium";
}

export const EMPTY_LABEL: Label = {
  per: 100,
  energy: null,
  energyUnit: "kcal",
  fat: null,
  saturatedFat: null,
  carbohydrate: null,
  includesFibre: false,
  sugars: null,
  fibre: null,
  protein: null,
  salt: null,
  saltUnit: "g salt",
};

/** A food of the household's own: from a pack's label, or made at home of other foods (`part` names which thing of a making). */
export interface OwnFood {
  readonly id: string;
  readonly name: string;
  readonly synonyms: readonly string[];
  readonly family: Family;
  readonly origin: Origin;
  readonly allergens: readonly Allergen[];
  /** What the pack says it may contain traces of. */
  readonly traces: readonly Allergen[];
  readonly made: { readonly kind: "label"; readonly label: Label } | { readonly kind: "made"; readonly making: Making; readonly part: string };
  /** g per ml; null where it is only weighed. */
  readonly density: number | null;
  readonly note: string;
  readonly revision: number;
}

/** One thing that is wrong, or doubtful, with an own food: where, what, and how to mend it. */
/** Fills in what the models need of a food from its family. */
export type FamilyTraits = (
  family: Family,
  traits: Partial<Pick<Food, "origin" | "allergens" | "mayContain" | "density">>,
) => Omit<Food, "id" | "name" | "provenance" | "source" | "revision" | "per100g" | "sd" | "micro" | "microSd" | "unknown" | "lookAlikes" | "family">;

/** What own foods rest on beside the shipped foods. */
export interface PantryTables {
  readonly traits: FamilyTraits;
  readonly making: MakingTables;
}

/** Why a making gives nothing, in words. */
export const whyUnmakeable = ({ kind, foodId }: Unmakeable): string =>
  kind === "no such food" ? `The food “${foodId}” that it is made of is not in the pantry.` : `“${foodId}” is no material of this maker.`;

/** Labels may be off by this much of each amount (usual tolerances of food law are about 20 %; standard deviation). */
const LABEL_SHARE = 0.1;
/** Which sugars they are, and whether the rest is starch, a label does not say: standard deviation of each, as a share. */
const KIND_SHARE = 0.3;
const STARCHY: readonly Family[] = ["cereal", "pseudo-cereal", "pulse", "root", "starch"];
/** Ash beside salt, g per 100 g, where a label is silent on it (rule of thumb). */
const OTHER_ASH = 0.8;

const sugarsOf = (family: Family): readonly (readonly [Nutrient, number])[] =>
  family === "dairy"
    ? [["lactose", 1]]
    : family === "fruit"
      ? [
          ["fructose", 0.5],
          ["glucose", 0.5],
        ]
      : [["sucrose", 1]];

/** The food that a label describes. Water is what is left of 100 g. */
export function foodFromLabel(own: OwnFood, label: Label, traits: FamilyTraits): Food {
  const to100 = 100 / label.per;
  const stated = (amount: number | null) => (amount === null ? null : amount * to100);
  const [fat, saturated, fibre] = [stated(label.fat), stated(label.saturatedFat), stated(label.fibre)];
  const [protein, sugars] = [stated(label.protein), stated(label.sugars)];
  const total = stated(label.carbohydrate);
  const carbohydrate = total === null ? null : Math.max(0, total - (label.includesFibre ? (fibre ?? 0) : 0));
  const salt = stated(label.salt);
  const sodium = salt === null ? null : label.saltUnit === "mg sodium" ? salt : salt * 400;
  const amounts: Partial<Record<Nutrient, number>> = {};
  const unknown: Nutrient[] = [];
  const put = (nutrient: Nutrient, amount: number | null) => {
    if (amount === null) unknown.push(nutrient);
    else amounts[nutrient] = amount;
  };
  put("fat", fat);
  put("saturatedFat", saturated);
  put("availableCarbohydrate", carbohydrate);
  put("protein", protein);
  put("sodium", sodium);
  // Soluble and insoluble are not told apart: half and half.
  put("solubleFibre", fibre === null ? null : fibre / 2);
  put("insolubleFibre", fibre === null ? null : fibre / 2);
  for (const [sugar, share] of sugarsOf(own.family)) put(sugar, sugars === null ? null : sugars * share);
  if (STARCHY.includes(own.family)) put("starch", carbohydrate === null || sugars === null ? null : Math.max(0, carbohydrate - sugars));
  unknown.push("potassium", "calcium", "iron");
  const ash = (sodium ?? 0) / 400 + OTHER_ASH;
  const rest = 100 - (fat ?? 0) - (carbohydrate ?? 0) - (protein ?? 0) - (fibre ?? 0);
  amounts.ash = Math.min(ash, Math.max(0, rest));
  amounts.water = Math.max(0, rest - amounts.ash);
  if ([fat, carbohydrate, protein].includes(null)) unknown.push("water");
  const per100g = NUTRIENTS.map((nutrient) => amounts[nutrient] ?? 0);
  const kinds: readonly Nutrient[] = ["starch", "lactose", "fructose", "glucose", "sucrose", "solubleFibre", "insolubleFibre"];
  const sd = per100g.map((amount, n) => amount * (kinds.includes(NUTRIENTS[n] ?? "water") ? KIND_SHARE : LABEL_SHARE));
  const none = MICRONUTRIENTS.map(() => null);
  return { ...shared(own, traits), provenance: "label", source: "your own, from its label", per100g, sd, micro: none, microSd: none, unknown };
}

/**
 * The food that one part of a making is, with the traits of the food it is like (of a mixture: of its family); null where
 * a food that it is made of is not known.
 */
export function foodFromMaking(
  own: OwnFood,
  making: Making,
  partKey: string,
  foods: ReadonlyMap<string, Food>,
  { traits, making: tables }: PantryTables,
): Food | null {
  const made = make(making, foods, tables);
  const part = made.ok ? made.value.parts.find(({ key }) => key === partKey) : undefined;
  if (!part) return null;
  const like = making.kind === "mixture" ? undefined : foods.get(part.like);
  const sources = foodsIn(making).flatMap(({ foodId }) => foods.get(foodId) ?? []);
  const base = shared(own, traits);
  return {
    ...base,
    ...(like && { ...like, ...pickOwn(base), counted: making.kind === "roast" ? like.counted : [], cooked: null }),
    ...part.contents,
    provenance: "computed",
    source: `your own, of ${sources.map(({ name }) => name.toLowerCase()).join(", ")}`,
    allergens: [...new Set([...own.allergens, ...sources.flatMap(({ allergens }) => allergens)])],
    mayContain: [...traces(own), ...sources.flatMap(({ mayContain }) => mayContain)],
    parts: sources.flatMap(({ parts }) => parts),
    weighed: [],
    nature: natureOf(making, like ?? null, sources),
    pricePerGram: costPerGram(making, part, made.ok ? made.value : null, foods),
  };
}

const pickOwn = ({ id, name, synonyms, revision, note, lookAlikes, density, origin }: ReturnType<typeof shared>) => ({
  id,
  name,
  synonyms,
  revision,
  note,
  lookAlikes,
  density,
  origin,
});

/** By nature it is as what it is like, of the plant that it is made of where that is one. */
function natureOf(making: Making, like: Food | null, sources: readonly Food[]): Food["nature"] {
  if (!like?.nature) return null;
  const plants = new Set(sources.filter(({ family }) => family !== "water").map(({ nature }) => nature?.botanical ?? null));
  const [plant = null] = plants;
  return { ...like.nature, botanical: plants.size === 1 ? plant : null, processing: making.kind === "roast" ? "roasted" : like.nature.processing };
}

/** What a gram of a made food costs in what it is made of: milk bears all of it, pulp none. Null where a price is not known. */
function costPerGram(making: Making, part: MadePart, made: Made | null, foods: ReadonlyMap<string, Food>): number | null {
  if (part.key === "pulp") return 0;
  let cost = 0;
  for (const { foodId, grams } of foodsIn(making)) {
    const price = foodId === "water" ? 0 : (foods.get(foodId)?.pricePerGram ?? null);
    if (price === null) return null;
    cost += price * grams;
  }
  const whole = (made?.parts.find(({ key }) => key === "milk") ?? part).grams.value;
  return whole > 0 ? cost / whole : null;
}

const traces = (own: OwnFood): Food["mayContain"] => own.traces.map((allergen) => ({ allergen, why: "its pack says it may contain traces" }));

const shared = (own: OwnFood, traits: FamilyTraits) => ({
  ...traits(own.family, { origin: own.origin, allergens: own.allergens, mayContain: traces(own), density: own.density }),
  id: own.id,
  name: own.name,
  synonyms: own.synonyms,
  family: own.family,
  revision: own.revision,
  note: own.note || null,
  lookAlikes: [],
});
