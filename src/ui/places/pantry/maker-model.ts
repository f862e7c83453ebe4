import type { Food } from "../../../core/food";
import {
  foodsIn,
  learnedHolds,
  make,
  holdsOf,
  type Made,
  type MadePart,
  type Making,
  type MakingKind,
  type MakingTables,
  type MilkMaking,
  type Unmakeable,
} from "../../../core/making";
import { foodFromMaking, type OwnFood, type PantryTables, type Pressing } from "../../../core/pantry";

export const KIND_WORDS: Readonly<Record<MakingKind, string>> = {
  milk: "Plant milk",
  paste: "Fruit paste",
  syrup: "Syrup",
  caramel: "Caramel",
  roast: "Roasted flour",
  mixture: "A mixture",
};

/** A milk as it is usually made of a material: 100 g of it, soaked and watered as usual. */
export function usualMilk(material: string, grams: number, tables: MakingTables): MilkMaking {
  const found = tables.milks.find(({ foodId }) => foodId === material) ?? tables.milks[0];
  return {
    kind: "milk",
    material: found?.foodId ?? material,
    grams,
    soaked: found?.soak?.usual ?? 0,
    presses: (found?.presses ?? [4]).map((water) => Math.round(water * grams)),
    squeeze: "hard",
    holds: null,
    weighedMilk: null,
    weighedPulp: null,
  };
}

/** Where a making of a kind starts; from a food where the address names one. */
export function blankMaking(kind: MakingKind, from: string | null, tables: MakingTables): Making {
  switch (kind) {
    case "milk":
      return usualMilk(from ?? "almond", 100, tables);
    case "paste": {
      const paste = tables.pastes.find(({ foodId }) => foodId === from) ?? tables.pastes[0];
      return { kind, fruit: paste?.foodId ?? "dates", grams: 200, water: Math.round(200 * (paste?.water ?? 0.25)), finished: null };
    }
    case "syrup":
      return { kind, sugar: tables.syrups.find(({ foodId }) => foodId === from)?.foodId ?? "jaggery", grams: 500, water: 250, filtered: true, percent: 75 };
    case "caramel":
      return { kind, sugar: "sugar", grams: 200, stage: "amber", water: 100 };
    case "roast":
      return { kind, flour: from ?? "besan", grams: 250, stage: "golden", finished: null };
    case "mixture":
      return { kind, parts: from ? [{ foodId: from, grams: 100 }] : [], finished: null };
  }
}

/** The making with what this household's pulp was seen to hold, where it was. */
export function withLearned(making: Making, pressings: readonly Pressing[], tables: MakingTables): Making {
  if (making.kind !== "milk" || making.holds !== null) return making;
  const material = tables.milks.find(({ foodId }) => foodId === making.material);
  if (!material) return making;
  const seen = pressings.filter((each) => each.material === making.material && each.squeeze === making.squeeze).map(({ holds }) => holds);
  return { ...making, holds: learnedHolds(seen, holdsOf(making, material, tables)) };
}

export interface MadeFood {
  readonly part: MadePart;
  readonly own: OwnFood;
  readonly food: Food;
}

/** What comes out of a making, each as the food that it would be in the pantry. */
export function madeFoods(
  making: Making,
  names: Readonly<Record<string, string>>,
  inUse: ReadonlyMap<string, string>,
  foods: ReadonlyMap<string, Food>,
  tables: PantryTables,
): { readonly made: Made | null; readonly unmakeable: Unmakeable | null; readonly out: readonly MadeFood[] } {
  const made = make(making, foods, tables.making);
  if (!made.ok) return { made: null, unmakeable: made.error, out: [] };
  return {
    made: made.value,
    unmakeable: null,
    out: made.value.parts.flatMap((part) => {
      const own = ownOf(making, part, names[part.key] ?? freeName(part.name, inUse), foods);
      const food = foodFromMaking(own, making, part.key, foods, tables);
      return food ? [{ part, own, food }] : [];
    }),
  };
}

function ownOf(making: Making, part: MadePart, name: string, foods: ReadonlyMap<string, Food>): OwnFood {
  const like = foods.get(part.like);
  const sources = foodsIn(making).flatMap(({ foodId }) => foods.get(foodId) ?? []);
  return {
    id: "",
    name,
    synonyms: [],
    family: like?.family ?? "sweetener",
    origin: sources.find(({ origin }) => origin !== "plant" && origin !== "mineral")?.origin ?? "plant",
    allergens: [],
    traces: [],
    made: { kind: "made", making, part: part.key },
    density: part.key === "pulp" || making.kind === "mixture" ? null : (like?.density ?? null),
    note: "",
    revision: 1,
  };
}

/** The name where no food has it yet, else the name with what tells it apart. */
function freeName(name: string, inUse: ReadonlyMap<string, string>): string {
  const homeMade = `${name}, home-made`;
  return [name, homeMade, ...Array.from({ length: 50 }, (_, i) => `${homeMade} ${i + 2}`)].find((each) => !inUse.has(each.toLowerCase())) ?? "";
}

export const newFoodId = (name: string): string => `own-${slugOf(name)}-${Date.now().toString(36)}`;

/** Words of a food's name as an address may hold them. */
const slugOf = (name: string): string =>
  name
    .toLowerCase()
    .normalize("NFKD")
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-|-$/g, "")
    .slice(0, 40) || "food";
