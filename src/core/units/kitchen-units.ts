/** Millilitres in the volume units that are the same in every kitchen (ounce, pint and quart of the United States, by definition); cups and spoons are the household's. */
export const FIXED_MILLILITRES: Readonly<Record<string, number>> = {
  milliliter: 1,
  liter: 1000,
  deciliter: 100,
  centiliter: 10,
  fluidounce: 29.5735295625,
  pint: 473.176473,
  quart: 946.352946,
};

/** Grams in an avoirdupois ounce, by definition (International yard and pound agreement, 1959). */
export const GRAMS_PER_OUNCE = 28.349523125;

/** Grams in the mass units of recipes. */
export const MASS_GRAMS: Readonly<Record<string, number>> = {
  gram: 1,
  kilogram: 1000,
  milligram: 0.001,
  ounce: GRAMS_PER_OUNCE,
  pound: 16 * GRAMS_PER_OUNCE,
};

/**
 * Half the 80 % interval of a measure as a share of it (rules of thumb): how far two careful people differ.
 * Cups and spoons are of dry goods; liquids are read off more closely.
 */
export const MEASURE_SHARE = {
  mass: 0.02,
  cup: 0.08,
  liquid: 0.04,
  spoon: 0.1,
  piece: 0.15,
  handful: 0.25,
  pinch: 0.4,
  container: 0.03,
} as const;

/** How a cup or spoon of dry goods can be filled. */
export type Filling = "level" | "scant" | "heaped" | "rounded" | "generous" | "packed" | "loose" | "sifted";

/** What a filling holds, relative to a level one, and how much wider its interval is (rules of thumb): spoons heap higher than cups. */
export const FILLING: Readonly<Record<Filling, { readonly cup: number; readonly spoon: number; readonly share: number }>> = {
  level: { cup: 1, spoon: 1, share: 0 },
  scant: { cup: 0.92, spoon: 0.85, share: 0.06 },
  heaped: { cup: 1.2, spoon: 1.6, share: 0.2 },
  rounded: { cup: 1.1, spoon: 1.3, share: 0.12 },
  generous: { cup: 1.08, spoon: 1.2, share: 0.1 },
  packed: { cup: 1.25, spoon: 1.2, share: 0.1 },
  loose: { cup: 0.9, spoon: 0.9, share: 0.08 },
  sifted: { cup: 0.88, spoon: 0.88, share: 0.08 },
};

const FILLING_WORDS: readonly (readonly [RegExp, Filling])[] = [
  [/\bloose(?:ly)?\b/i, "loose"],
  [/\bsifted\b/i, "sifted"],
  [/\b(?:heaped|heaping)\b/i, "heaped"],
  [/\brounded\b/i, "rounded"],
  [/\bgenerous\b/i, "generous"],
  [/\bscant\b/i, "scant"],
  [/\b(?:packed|pressed down)\b/i, "packed"],
  [/\blevel(?:led)?\b/i, "level"],
];

/** The filling that words name, if any: "loosely packed" is loose. */
export const fillingIn = (words: string): Filling | null => FILLING_WORDS.find(([pattern]) => pattern.test(words))?.[1] ?? null;
