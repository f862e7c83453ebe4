import type { Food, GlycaemicIndex, Micronutrient, Nutrient } from "../../core/food";

/** What a table row may leave out: the loader fills it in from the family. */
export type Traits = Partial<
  Pick<
    Food,
    | "origin"
    | "allergens"
    | "mayContain"
    | "sugarClass"
    | "thickening"
    | "freeOil"
    | "solidFat"
    | "density"
    | "pours"
    | "counted"
    | "forms"
    | "role"
    | "note"
    | "synonyms"
  >
> & { readonly glycaemicIndex?: GlycaemicIndex };

/** A row written by hand: amounts per 100 g (minerals in mg); what is absent is nil. */
export interface FoodRow extends Traits {
  readonly id: string;
  readonly name: string;
  readonly family: Food["family"];
  readonly provenance: Food["provenance"];
  readonly source: string;
  /** Standard deviation as a share of each amount. */
  readonly spread: number;
  /** Absent where it is computed from what it is made of. */
  readonly per100g?: Readonly<Partial<Record<Nutrient, number>>>;
  /** Beside those, what is known: what is absent is unknown. */
  readonly micro?: Readonly<Partial<Record<Micronutrient, number>>>;
  /** Foods it is made of, by id, with their shares of its mass: what is known of all of them is computed from them. */
  readonly madeOf?: Readonly<Record<string, number>>;
  /** A milk pressed from 100 g of a food with so much water, as the maker of milks computes it. */
  readonly pressed?: { readonly of: string; readonly water: number };
}
