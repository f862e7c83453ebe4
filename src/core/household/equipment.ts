export const BURNER_KINDS = ["gas", "induction", "electric"] as const;
type BurnerKind = (typeof BURNER_KINDS)[number];

/** A round pan. */
export interface Pan {
  readonly id: string;
  readonly name: string;
  /** Across at the brim and deep, cm. */
  readonly diameter: number;
  readonly depth: number;
  /** Empty, g: taken off what the scale says. Null where it was not weighed. */
  readonly mass: number | null;
  /** Allergens that are cooked in it at other times, by id. */
  readonly sharedWith: readonly string[];
}

export interface Burner {
  readonly id: string;
  readonly name: string;
  readonly kind: BurnerKind;
  /** At its highest, kW. */
  readonly power: number;
}

/** A tool that is there; of one that is not, the household says nothing. */
export interface Tool {
  readonly sharedWith: readonly string[];
}

/** What a household cooks with. The first pan and the first burner are the usual ones. */
export interface Equipment {
  readonly pans: readonly Pan[];
  readonly burners: readonly Burner[];
  /** Litres of its jar to the brim, where they were measured. */
  readonly mixer: (Tool & { readonly litres?: number }) | null;
  /** Litres to the brim. */
  readonly pressureCooker: (Tool & { readonly litres: number }) | null;
  /** Absent, or null, where there is none. */
  readonly steamer?: { readonly litres: number } | null;
  /** Litres that are usually free in the fridge; null where nobody says. */
  readonly fridge: number | null;
}

/** A mixer whose jar nobody has measured, litres: a rule of thumb. */
export const USUAL_JAR = 1.5;

export const NO_EQUIPMENT: Equipment = { pans: [], burners: [], mixer: null, pressureCooker: null, fridge: null };

/**
 * What a round pan holds to the brim, ml; centimetres.
 * @unit ml
 * @range 0 or more
 * @source volume of a cylinder
 */
export const panVolume = ({ diameter, depth }: Pick<Pan, "diameter" | "depth">): number => (Math.PI * diameter * diameter * depth) / 4;
