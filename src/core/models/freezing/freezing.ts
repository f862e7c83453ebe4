import { INDEX, type Constants } from "../../food";

/** Grams in a sweet of what keeps its water from freezing, and the water. */
export const FREEZING_SOLUTES = ["sucrose", "hexoses", "maltose", "lactose", "erythritol", "xylitol", "allulose"] as const;
export const FREEZING_SUMS = ["water", ...FREEZING_SOLUTES] as const;
type Solute = (typeof FREEZING_SOLUTES)[number];
export type FreezingSums = Readonly<Record<(typeof FREEZING_SUMS)[number], number>>;
type FreezingConstants = Pick<Constants, "freezing">;

/**
 * A solute as the sucrose that lowers the freezing point as much: by the number of its molecules.
 * @unit g of sucrose
 * @range 0 or more
 * @source molar masses (Raoult; Leighton 1927 for mixes)
 */
export const asSucrose = (solute: Solute, grams: number, { freezing: { value } }: FreezingConstants): number =>
  (grams * value.molarMass.sucrose) / value.molarMass[solute];

/** What is dissolved, as g of sucrose, and the milk solids (without fat) whose salts count beside it, g: told by the lactose. */
export function dissolvedForFreezing(sums: FreezingSums, constants: FreezingConstants): { readonly equivalents: number; readonly milkSolids: number } {
  const { lactoseOfMilkSolids } = constants.freezing.value;
  return {
    equivalents: FREEZING_SOLUTES.reduce((sum, solute) => sum + asSucrose(solute, sums[solute], constants), 0),
    milkSolids: sums.lactose / lactoseOfMilkSolids,
  };
}

/**
 * Sugars of a gram of a food as sucrose, by how much they lower the freezing point.
 * @unit g per g
 * @range 0 to 3
 * @source as for a whole sweet
 */
export function freezingEquivalentPerGram(composition: ArrayLike<number>, constants: FreezingConstants): number {
  const of = (...indices: readonly number[]) => indices.reduce((sum, index) => sum + (composition[index] ?? 0), 0) / 100;
  return (
    of(INDEX.sucrose, INDEX.maltose, INDEX.lactose) +
    asSucrose("hexoses", of(INDEX.glucose, INDEX.fructose), constants) +
    asSucrose("erythritol", of(INDEX.erythritol), constants) +
    asSucrose("xylitol", of(INDEX.xylitol), constants) +
    asSucrose("allulose", of(INDEX.allulose), constants)
  );
}

/** Kelvins by which sucrose lowers the freezing point, by g in 100 g of water, and how that moves; straight on past the table's end. */
function lowering(per100g: number, { freezing: { value } }: FreezingConstants): readonly [kelvins: number, slope: number] {
  const { bySucrose } = value;
  const next = bySucrose.findIndex(([grams]) => grams > per100g);
  const at = next < 0 ? bySucrose.length - 1 : Math.max(1, next);
  const [fromGrams, from] = bySucrose[at - 1] ?? [0, 0];
  const [toGrams, to] = bySucrose[at] ?? [1, 1];
  const slope = (to - from) / (toGrams - fromGrams);
  return [from + (per100g - fromGrams) * slope, slope];
}

const MOST_STEPS = 60;
/** Less water than this is none, g. */
const LEAST_WATER = 1e-9;
/** Less than this share of the water, and nothing is dissolved in it. */
const NOTHING = 1e-12;

/** g of sucrose in 100 g of water that freezes no further where it is eaten. */
function endingStrength(constants: FreezingConstants): number {
  const { servedAt } = constants.freezing.value;
  let [low, high] = [0, MOST_STRENGTH];
  for (let i = 0; i < MOST_STEPS; i++) {
    const middle = (low + high) / 2;
    if (lowering(middle, constants)[0] < servedAt) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
const MOST_STRENGTH = 1000;

/**
 * Where freezing begins, and how much water is not ice yet where it is eaten: what freezes is water alone, so that the rest
 * becomes stronger until it freezes no further.
 * @unit K below 0 °C; g of water
 * @range 0 or more; at most all the water
 * @source freezing points of sucrose solutions, sugars by molar mass and milk salts by 2.37 K for as much as there is water (Leighton 1927; the freezing curve as in Goff and Hartel 2013)
 */
export function freezingOf(sums: FreezingSums, constants: FreezingConstants): { readonly from: number; readonly unfrozen: number } {
  const { saltLowering, servedAt } = constants.freezing.value;
  const { equivalents, milkSolids } = dissolvedForFreezing(sums, constants);
  const below = (water: number) => lowering((100 * equivalents) / water, constants)[0] + (saltLowering * milkSolids) / water;
  if (!(sums.water > LEAST_WATER)) return { from: 0, unfrozen: Math.max(0, sums.water) };
  if (equivalents + milkSolids <= NOTHING * sums.water) return { from: 0, unfrozen: 0 };
  const from = below(sums.water);
  if (from >= servedAt) return { from, unfrozen: sums.water };
  let [low, high] = [0, sums.water];
  for (let i = 0; i < MOST_STEPS; i++) {
    const middle = (low + high) / 2;
    if (below(middle) > servedAt) low = middle;
    else high = middle;
  }
  return { from, unfrozen: (low + high) / 2 };
}

/**
 * Ice where a frozen sweet is eaten, with its derivative by each sum.
 * @unit % of its water
 * @range 0 to 100
 * @source as for the water that is not ice; what starch and protein hold is not counted
 */
export function iceWithSlopes(sums: FreezingSums, constants: FreezingConstants): { readonly value: number; readonly slopes: FreezingSums } {
  const { unfrozen } = freezingOf(sums, constants);
  const slopes = Object.fromEntries(FREEZING_SUMS.map((sum) => [sum, 0])) as { -readonly [K in keyof FreezingSums]: number };
  const { water } = sums;
  if (!(water > LEAST_WATER) || unfrozen >= water) return { value: 0, slopes };
  const { saltLowering, lactoseOfMilkSolids } = constants.freezing.value;
  if (unfrozen === 0) {
    // The first of a solute keeps as much water as makes it as strong as it gets.
    for (const solute of FREEZING_SOLUTES) slopes[solute] = ((-100 / water) * 100 * asSucrose(solute, 1, constants)) / endingStrength(constants);
    // With nothing else in it milk's own ratio of lactose to salts holds.
    slopes.lactose = (-100 / water) * ofLactose(constants);
    return { value: 100, slopes };
  }
  const { equivalents, milkSolids } = dissolvedForFreezing(sums, constants);
  const [, slope] = lowering((100 * equivalents) / unfrozen, constants);
  // Implicit: lowering(100·equivalents/u) + salts/u stays what it is where it is eaten.
  const byUnfrozen = -(100 * slope * equivalents + saltLowering * milkSolids) / unfrozen ** 2;
  const perUnfrozen = -100 / water;
  const perEquivalent = (perUnfrozen * -((100 * slope) / unfrozen)) / byUnfrozen;
  for (const solute of FREEZING_SOLUTES) slopes[solute] = perEquivalent * asSucrose(solute, 1, constants);
  slopes.lactose += (perUnfrozen * -(saltLowering / lactoseOfMilkSolids / unfrozen)) / byUnfrozen;
  slopes.water = (100 * unfrozen) / water ** 2;
  return { value: 100 * (1 - unfrozen / water), slopes };
}

/** Water that a gram of lactose keeps with the salts that come with it, where nothing else is dissolved, g. */
function ofLactose(constants: FreezingConstants): number {
  const { saltLowering, lactoseOfMilkSolids, servedAt } = constants.freezing.value;
  let [low, high] = [0, MOST_STRENGTH];
  for (let i = 0; i < MOST_STEPS; i++) {
    const water = (low + high) / 2;
    if (lowering(100 / water, constants)[0] + saltLowering / lactoseOfMilkSolids / water > servedAt) low = water;
    else high = water;
  }
  return (low + high) / 2;
}

/** Half the 80 % interval of the ice from its model alone, % of the water: a rule of thumb. */
export const ICE_HALF_WIDTH = 4;

/** What so much ice is like to a spoon. */
export const iceWords = (percent: number, { freezing: { value } }: FreezingConstants): string =>
  value.words.find(([upTo]) => percent < upTo)?.[1] ?? "very hard";
