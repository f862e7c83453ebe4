import type { Role } from "../food";
import type { Archetype } from "../recipe";

/** Properties that the solver keeps close to the recipe's. All are linear in the amounts, or linearised. */
export const SOLVER_PROPERTIES = [
  "sweetness",
  "body",
  "water",
  "fat",
  "creaminess",
  "chew",
  "solutes",
  "protein",
  "dry",
  "solidFat",
  "grain",
  "gel",
  "binding",
  "freezing",
] as const;
export type SolverProperty = (typeof SOLVER_PROPERTIES)[number];

/** How close a property should stay (relative half-width of the band) and how much it counts. */
export interface Band {
  readonly property: SolverProperty;
  readonly band: number;
  readonly weight: number;
}

export interface ArchetypeProfile {
  readonly archetype: Archetype;
  /** The roles whose foods make it what it is. */
  readonly lead: readonly Role[];
  /** Why no whole version is worked out for this kind; null where some are. */
  readonly refused: string | null;
  readonly bands: readonly Band[];
}

/** A food that can take a role in one kind of sweet: least and most, % of the finished mass, and how well it suits. */
export interface Candidate {
  readonly role: Role;
  readonly foodId: string;
  readonly least: number;
  readonly most: number;
  /** Cost of using it at all; below 0 where custom favours it. */
  readonly affinity: number;
  readonly archetypes: readonly Archetype[];
}

/** Pairs of foods that do not go well together, with what it costs to use both. */
export interface Clash {
  readonly foods: readonly [string, string];
  readonly cost: number;
  readonly why: string;
}

export interface SubstitutionTables {
  readonly profiles: ReadonlyMap<Archetype, ArchetypeProfile>;
  /** Least band of a property, g per 100 g (X units for body). */
  readonly floors: Readonly<Partial<Record<SolverProperty, number>>>;
  readonly candidates: readonly Candidate[];
  readonly clashes: readonly Clash[];
  /** Foods that the custom of a fast takes first, by id: what using one costs less. */
  readonly fastFavours: ReadonlyMap<string, number>;
  /** Particle class of a food that gives body: 0 smooth, 1 flour, 2 semolina, 3 cracked, 4 whole. */
  readonly grainClasses: ReadonlyMap<string, number>;
}
