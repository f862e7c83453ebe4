import type { Food, FoodPart } from "../food";

/** What an additive is known as, does, and may come from. */
export interface Additive {
  /** "E322"; of what has no number, a word ("flavouring"). */
  readonly code: string;
  readonly name: string;
  /** Other names that packets print. */
  readonly synonyms: readonly string[];
  /** What it is there for: "emulsifier". */
  readonly does: string;
  /** The food of the tables that it is, by id; null where it is none. */
  readonly foodId: string | null;
  /** What it is, or may be, made of, as far as a rule may ask; empty where no rule asks about it. */
  readonly parts: readonly FoodPart[];
  readonly allergens: Food["allergens"];
  /** Minerals that it brings and no fit can tell, by name of the nutrient. */
  readonly brings: readonly ("calcium" | "iron" | "potassium")[];
}

/** What one ingredient of a packet stands for: a food, an additive, nothing that a rule asks about (the maker says so); null where that is not known. */
export type PacketMeaning =
  { readonly kind: "food"; readonly id: string } | { readonly kind: "additive"; readonly code: string } | { readonly kind: "harmless" } | null;

/** One ingredient as the packet lists it; what stands in brackets behind it follows, a depth further in. */
export interface PacketIngredient {
  readonly words: string;
  /** Per cent of the whole, as printed; null where it does not say. */
  readonly percent: number | null;
  readonly depth: number;
  readonly means: PacketMeaning;
}

/** What a packet says beside its nutrition table. */
export interface Packet {
  /** As it was pasted. */
  readonly text: string;
  /** In the order of the packet, which is that of their mass. */
  readonly ingredients: readonly PacketIngredient[];
  /** Up to which ISO date it is at its best, or must be used; null where it does not say. */
  readonly keeps: { readonly kind: "best before" | "use by"; readonly day: string } | null;
}

/** What packets are read by. */
export interface PacketTables {
  readonly additives: ReadonlyMap<string, Additive>;
  /** What packets call foods that recipes call otherwise: words to the id of a food. */
  readonly names: ReadonlyMap<string, string>;
  /** Foods known by what they are made of alone, by id. */
  readonly namedOnly: ReadonlyMap<string, Food>;
}

/** Whether an ingredient has others in brackets behind it: it is made of those. */
export const isCompound = (ingredients: readonly PacketIngredient[], place: number): boolean =>
  (ingredients[place + 1]?.depth ?? 0) > (ingredients[place]?.depth ?? 0);

/** The food that an ingredient is, with figures or without; null where it is none. */
export function foodMeant(means: PacketMeaning, foods: ReadonlyMap<string, Food>, { additives, namedOnly }: PacketTables): Food | null {
  if (means?.kind === "food") return foods.get(means.id) ?? namedOnly.get(means.id) ?? null;
  if (means?.kind !== "additive") return null;
  const id = additives.get(means.code)?.foodId ?? null;
  return id === null ? null : (foods.get(id) ?? null);
}

/** The traits that rules ask about, of all that a packet lists. */
export interface PacketTraits {
  readonly parts: readonly FoodPart[];
  readonly allergens: Food["allergens"];
  readonly mayContain: Food["mayContain"];
  /** Ingredients whose meaning is not known, as printed. */
  readonly unknown: readonly string[];
}

const partOf = ({ name, family, nature, origin }: Food): FoodPart => ({
  name: name.toLowerCase(),
  family,
  plant: nature?.botanical ?? null,
  origin,
  alcohol: false,
  sure: true,
});

/** Not understood: any rule may ask about it. */
const notUnderstood = (words: string): FoodPart => ({
  name: `“${words}”, which is not understood`,
  family: "essence",
  plant: null,
  origin: "unknown",
  alcohol: false,
  sure: false,
});

/** What a packet's ingredients bring that rules ask about: each listed food as a part, its own parts and allergens, the sources of additives. */
export function packetTraits({ ingredients }: Packet, foods: ReadonlyMap<string, Food>, tables: PacketTables): PacketTraits {
  const parts: FoodPart[] = [];
  const allergens = new Set<Food["allergens"][number]>();
  const mayContain: Food["mayContain"][number][] = [];
  const unknown: string[] = [];
  for (const [place, { words, means }] of ingredients.entries()) {
    // What it is made of is listed behind it; a list may be short, so that what it is called by counts where that is of an animal.
    if (isCompound(ingredients, place)) {
      const whole = foodMeant(means, foods, tables);
      if (whole && whole.origin !== "plant" && whole.origin !== "mineral") parts.push(partOf(whole));
      continue;
    }
    if (means?.kind === "harmless") continue;
    if (means?.kind === "additive") {
      const additive = tables.additives.get(means.code);
      for (const allergen of additive?.allergens ?? []) allergens.add(allergen);
      parts.push(...(additive?.parts ?? [notUnderstood(words)]));
      continue;
    }
    const food = foodMeant(means, foods, tables);
    if (!food) {
      parts.push(notUnderstood(words));
      unknown.push(words);
      continue;
    }
    for (const allergen of food.allergens) allergens.add(allergen);
    if (food.family !== "water") parts.push(partOf(food));
    parts.push(...food.parts);
    mayContain.push(...food.mayContain);
  }
  return { parts, allergens: [...allergens], mayContain, unknown };
}
