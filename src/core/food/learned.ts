import type { StarchKind } from "./food";

/** What a house's own batches say of a quantity, beside what the tables have for it. */
export interface LearnedFactor {
  /** Logarithm of what it is by what the tables have. */
  readonly ln: number;
  /** Its standard deviation, for a batch that is still to come. */
  readonly sd: number;
  /** By how many batches. */
  readonly batches: number;
}

/** By key, as `learnedKey` makes them; what nothing was learned of is not in it. */
export type Learned = Readonly<Record<string, LearnedFactor>>;
export const NOTHING_LEARNED: Learned = {};

/** What thickens, as one house has it: a starch by its kind, fruit and vegetables by their pulp, ground nuts and seeds. */
export type BodyFamily = StarchKind | "pulp" | "nuts";

/** A name within a key, whose parts a stroke parts. */
const plain = (name: string): string => name.replaceAll("/", " ").trim();

/** What can be learned, with what it is of. */
export const learnedKey = {
  /** How fast a pan boils away on a burner. */
  rate: (pan: { readonly name: string; readonly diameter: number }, burner: { readonly name: string } | null) =>
    `rate/${plain(pan.name) || "pan"}, ${pan.diameter} cm/${plain(burner?.name ?? "")}`,
  /** How much a family thickens. */
  body: (cooled: "hot" | "chilled", family: BodyFamily) => `body/${cooled}/${family}`,
  /** How much binder a food takes up. */
  binding: (food: string) => `binding/${food}`,
  /** How long an operation takes. */
  time: (operation: string) => `time/${operation}`,
  /** How long something takes to cool, by where it stands. */
  cooling: (place: string) => `cooling/${place}`,
  /** How sweet, and how thick, an eater (by id) wants a sweet beside the recipe as it was handed down. */
  wantedSweetness: (eater: string) => `wanted sweetness/${plain(eater)}`,
  wantedBody: (eater: string) => `wanted body/${plain(eater)}`,
} as const;

/** A mark of what was learned, other where any of it is: what was worked out with it is told by this. Empty where nothing was. */
export function learnedMark(learned: Learned): string {
  const all = Object.entries(learned)
    .map(([key, { ln, sd }]) => `${key} ${ln.toFixed(4)} ${sd.toFixed(4)}`)
    .sort();
  if (all.length === 0) return "";
  // FNV-1a, 32 bits.
  let hash = 0x811c9dc5;
  for (const letter of all.join("\n")) hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 0x01000193);
  return (hash >>> 0).toString(36);
}

/**
 * How far houses are apart in what nobody has measured there, as a standard deviation of the logarithm: what a starch thickens and
 * what a flour takes up of binder (science.md §4 and §5), how fast a pan boils away on a burner. Rules of thumb.
 */
export const UNLEARNED_SD = { body: 0.2, binding: 0.2, rate: 0.38 } as const;
/** The same from batch to batch of one house: a flame is never set twice the same. */
export const BATCHES_SD = { rate: 0.18 } as const;
