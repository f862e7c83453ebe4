import type { Allergen, Family, Food, Handled, Origin } from "../food";
import { foodsIn, make, type Made, type MadePart, type Making, type MakingTables, type Unmakeable } from "../making";
import type { Packet, PacketTables } from "./packet";

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
  readonly made:
    { readonly kind: "label"; readonly label: Label; readonly packet?: Packet } | { readonly kind: "made"; readonly making: Making; readonly part: string };
  /** g per ml; null where it is only weighed. */
  readonly density: number | null;
  readonly note: string;
  readonly revision: number;
  /** How it goes into the pot; absent where nobody has said. */
  readonly handled?: Handled;
}

/** Fills in what the models need of a food from its family. */
export type FamilyTraits = (
  family: Family,
  traits: Partial<Pick<Food, "origin" | "allergens" | "mayContain" | "density">>,
) => Omit<Food, "id" | "name" | "provenance" | "source" | "revision" | "per100g" | "sd" | "micro" | "microSd" | "unknown" | "lookAlikes" | "family">;

/** What own foods rest on beside the shipped foods. */
export interface PantryTables {
  readonly traits: FamilyTraits;
  readonly making: MakingTables;
  readonly packet: PacketTables;
}

/** Why a making gives nothing, in words. */
export const whyUnmakeable = ({ kind, foodId }: Unmakeable): string =>
  kind === "no such food" ? `The food “${foodId}” that it is made of is not in the pantry.` : `“${foodId}” is no material of this maker.`;

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
  const base = ownTraits(own, traits);
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

const pickOwn = ({ id, name, synonyms, revision, note, lookAlikes, density, origin }: ReturnType<typeof ownTraits>) => ({
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

/** What the maker has said of an own food, and what its family implies. */
export const ownTraits = (own: OwnFood, traits: FamilyTraits) => ({
  ...traits(own.family, { origin: own.origin, allergens: own.allergens, mayContain: traces(own), density: own.density }),
  id: own.id,
  name: own.name,
  synonyms: own.synonyms,
  family: own.family,
  revision: own.revision,
  note: own.note || null,
  lookAlikes: [],
  ...(own.handled ? { handled: own.handled } : {}),
});
