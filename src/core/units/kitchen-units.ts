/** Millilitres in the volume units that are the same in every kitchen; cups and spoons are the household's. */
export const FIXED_MILLILITRES: Readonly<Record<string, number>> = {
  milliliter: 1,
  liter: 1000,
  deciliter: 100,
  centiliter: 10,
  fluidounce: 29.57,
  pint: 473.2,
  quart: 946.4,
};

/** Grams in the mass units of recipes. */
export const MASS_GRAMS: Readonly<Record<string, number>> = {
  gram: 1,
  kilogram: 1000,
  milligram: 0.001,
  ounce: 28.35,
  pound: 453.6,
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
