import { type Estimate, Z80, withShare } from "../numeric";
import { FILLING, fillingIn, FIXED_MILLILITRES, MASS_GRAMS, MEASURE_SHARE, formatGrams, type HouseholdMeasures } from "../units";
import type { Food } from "../food";
import { nearestFraction } from "./kitchen-measure";
import type { StatedAmount } from "./scan-amount";
import { PARTS, SIZED_LIKE } from "./vocabulary";

export interface Weighed {
  readonly kind: "weighed";
  readonly grams: Estimate;
  /** Water that comes with it, where it is measured as cooked. */
  readonly water?: Estimate;
  /** The measure as stated, with usual fractions: "1/2 cup"; empty where it was weighed. */
  readonly measure: string;
  /** How it was reached: "1 cup of fine semolina = 167 g ± 8 %". */
  readonly how: string;
}
export interface Unweighed {
  readonly kind: "unweighed";
  readonly why: string;
  /** What it would be, to be asked. */
  readonly guess?: { readonly label: string; readonly grams: number };
}

/** Millilitres of measures that no jug states (rules of thumb). */
const LOOSE_MILLILITRES: Readonly<Record<string, readonly [millilitres: number, share: number]>> = {
  handful: [55, MEASURE_SHARE.handful],
  ladle: [90, MEASURE_SHARE.handful],
  pinch: [0.31, MEASURE_SHARE.pinch],
  dash: [0.62, MEASURE_SHARE.pinch],
  drop: [0.05, MEASURE_SHARE.pinch],
  knob: [15, MEASURE_SHARE.handful],
  glass: [200, MEASURE_SHARE.handful],
  shot: [40, MEASURE_SHARE.handful],
  vati: [180, MEASURE_SHARE.handful],
  mug: [280, MEASURE_SHARE.handful],
  ...Object.fromEntries(Object.entries(SIZED_LIKE).map(([like, millilitres]) => [`${like}-sized`, [millilitres, MEASURE_SHARE.pinch] as const])),
};
/** How much more or less a loose measure holds where it is called large or small (rule of thumb). */
const SIZED = { large: 1.5, small: 0.7 } as const;
const OWN = ["cup", "katori", "tablespoon", "teaspoon"] as const;
const millilitresOf = (unit: string, measures: HouseholdMeasures): number | undefined => {
  if (unit === "dessertspoon") return 2 * measures.teaspoon;
  const own = OWN.find((each) => each === unit);
  return own ? measures[own] : FIXED_MILLILITRES[unit];
};
const SPOONS: readonly string[] = ["tablespoon", "teaspoon"];
export const COOKED = /\b(?:cooked|boiled|steamed)\b/i;
/** How much wider the interval is where the food is chopped, grated or ground. */
const FORM_SHARE = 0.1;
/** What fruit, vegetables and roots weigh once they are made smooth, g per ml, where the food has no figure of its own (rule of thumb: near water). */
const SMOOTH_DENSITY = 1.03;
const SMOOTH = /\b(?:pur[ée]ed?|pulp(?:ed)?|blended|liqui[ds]i[sz]ed|sieved)\b/i;
const PULPY: readonly Food["family"][] = ["fruit", "vegetable", "root"];
/** How much wider the interval is when only the family's density is known. */
const FAMILY_SHARE = 0.2;

/**
 * What stated amounts of a food weigh, g, with the uncertainty of the measure. A range ("6 to 7") counts as its middle,
 * its width added to the uncertainty. `familyDensity` is g per ml of the food's family, used where its own is unknown.
 */
export function measureAmounts(
  amounts: readonly StatedAmount[],
  food: Food,
  words: string,
  familyDensity: number | null,
  measures: HouseholdMeasures,
): Weighed | Unweighed {
  let value = 0;
  let variance = 0;
  const terms: string[] = [];
  const stated: string[] = [];
  if (food.cooked && COOKED.test(words)) return cookedBefore(amounts, food, food.cooked, measures);
  for (const amount of amounts) {
    const one = gramsOfOne(amount, { food, words, familyDensity, measures });
    if (typeof one === "string") return { kind: "unweighed", why: one };
    const count = amount.upper === null ? amount.quantity : (amount.quantity + amount.upper) / 2;
    const grams = withShare(count * one.grams, one.share);
    const rangeSd = amount.upper === null ? 0 : (Math.abs(amount.upper - amount.quantity) * one.grams) / Math.sqrt(12);
    value += grams.value;
    variance += grams.sd ** 2 + rangeSd ** 2;
    terms.push(`${quantityWords(amount)} ${one.words(count)}`.trim());
    if (amount.unit === null || !(amount.unit in MASS_GRAMS))
      stated.push(`${amount.upper === null ? nearestFraction(amount.quantity).text : quantityWords(amount)} ${one.words(count)}`.trim());
  }
  const grams = { value, sd: Math.sqrt(variance) };
  const share = Math.round((100 * Z80 * grams.sd) / value);
  return {
    kind: "weighed",
    grams,
    measure: stated.join(" + "),
    how: `${terms.join(" + ")} of ${food.name.toLowerCase()} = ${formatGrams(value)} g ± ${share} %`,
  };
}

interface OneUnit {
  readonly grams: number;
  readonly share: number;
  readonly words: (count: number) => string;
}

/** What an amount is measured by: the food, the words beside it, its family's density, the household's vessels. */
interface MeasuredBy {
  readonly food: Food;
  readonly words: string;
  readonly familyDensity: number | null;
  readonly measures: HouseholdMeasures;
}

/** What one of a unit of a food weighs, by the first way that knows; in words why none does. */
function gramsOfOne(amount: StatedAmount, by: MeasuredBy): OneUnit | string {
  const { unit } = amount;
  return (
    ofSize(amount, by) ??
    ofMass(unit) ??
    asWeighedHere(amount, by) ??
    ofVolume(amount, by) ??
    ofPieces(unit, by) ??
    (unit === null ? `what one ${by.food.name.toLowerCase()} weighs is not known` : notKnown(unit, by.food))
  );
}

const notKnown = (unit: string, food: Food): string => `what a ${unit} of ${food.name.toLowerCase()} weighs is not known`;

/** A container whose size is told: a can of 400 ml. */
function ofSize({ unit, size }: StatedAmount, by: MeasuredBy): OneUnit | string | null {
  if (!size || (unit !== null && (unit in MASS_GRAMS || millilitresOf(unit, by.measures) !== undefined))) return null;
  const inner = gramsOfOne({ quantity: 1, upper: null, unit: size.unit, size: null, filling: null }, by);
  if (typeof inner === "string") return inner;
  const label = `${unit ?? "piece"} (${size.quantity} ${shortUnit(size.unit)})`;
  return { grams: inner.grams * size.quantity, share: Math.max(MEASURE_SHARE.container, inner.share / 2), words: () => label };
}

function ofMass(unit: string | null): OneUnit | null {
  const mass = unit === null ? undefined : MASS_GRAMS[unit];
  return mass === undefined ? null : { grams: mass, share: MEASURE_SHARE.mass, words: () => shortUnit(unit ?? "") };
}

/** How full a vessel is, as told; in words where that is not level. */
function fillingOf({ filling: told }: StatedAmount, { food, words }: MeasuredBy) {
  const filling = told ?? fillingIn(words);
  const filled = food.pours ? FILLING.level : FILLING[filling ?? "level"];
  return { filling, filled, filledWords: filling === null || filling === "level" || food.pours ? "" : `${filling} ` };
}

/** As the household has weighed it. */
function asWeighedHere(amount: StatedAmount, by: MeasuredBy): OneUnit | null {
  const { unit } = amount;
  const { filling, filled, filledWords } = fillingOf(amount, by);
  const own = weighedMeasure(by.food, unit ?? "piece", `${by.words} ${filling ?? ""}`);
  if (!own) return null;
  const more = own.form === filling || unit === null ? { cup: 1, spoon: 1, share: 0 } : filled;
  return {
    grams: own.grams * (SPOONS.includes(unit ?? "") ? more.spoon : more.cup),
    share: Math.hypot(own.share, more.share),
    words: (count) => (unit === null ? "" : `${filledWords}${plural(shortUnit(unit), count)}`),
  };
}

/** By volume and density: the form's own, the food's, or its family's. */
function ofVolume(amount: StatedAmount, by: MeasuredBy): OneUnit | string | null {
  const { unit } = amount;
  if (unit === null) return null;
  const loose = LOOSE_MILLILITRES[unit];
  const millilitres = loose?.[0] ?? millilitresOf(unit, by.measures);
  if (millilitres === undefined) return null;
  const { food } = by;
  const form = formIn(food, by.words);
  const smooth = form === undefined && PULPY.includes(food.family) && SMOOTH.test(by.words);
  const ownDensity = smooth ? SMOOTH_DENSITY : form === undefined ? food.density : (food.forms[form] ?? food.density);
  const density = ownDensity ?? by.familyDensity;
  if (density === null) return notKnown(unit, food);
  const { filling, filled, filledWords } = fillingOf(amount, by);
  // A form that is a filling by itself (brown sugar, packed) has its own density.
  const more = loose || form === filling ? FILLING.level : filled;
  // By the house's own eye, where it was practised; a pinch is no heap.
  const byEye = loose?.[1] === MEASURE_SHARE.handful ? by.measures.byEye?.[food.id] : undefined;
  const densityShare = ownDensity === null ? FAMILY_SHARE : form === undefined && !smooth ? 0 : FORM_SHARE;
  return {
    grams: (loose && amount.sized ? SIZED[amount.sized] : 1) * millilitres * density * (SPOONS.includes(unit) ? more.spoon : more.cup),
    share: Math.hypot(byEye ?? loose?.[1] ?? vesselShare(unit, food), more.share, densityShare),
    words: (count) => `${loose ? "" : filledWords}${plural(shortUnit(unit), count)}`,
  };
}

const vesselShare = (unit: string, food: Food): number =>
  food.pours ? MEASURE_SHARE.liquid : unit === "cup" || unit === "katori" ? MEASURE_SHARE.cup : MEASURE_SHARE.spoon;

const CENTIMETRES_PER_INCH = 2.54;
/** By the piece, large, small or usual. */
function ofPieces(unit: string | null, { food, words }: MeasuredBy): OneUnit | null {
  const inch = unit === "centimeter" ? food.counted.find((counted) => counted.unit === "inch") : undefined;
  if (inch) return { grams: inch.grams / CENTIMETRES_PER_INCH, share: inch.share, words: () => "cm" };
  const named = food.counted.find((counted) => counted.unit === unit) ?? (unit === null || unit in PARTS ? countedIn(food, words) : undefined);
  if (!named) return null;
  const scale = /\blarge\b|\bbig\b/i.test(words) ? 1.2 : /\bsmall\b/i.test(words) ? 0.8 : 1;
  return { grams: named.grams * scale, share: named.share, words: (count) => (named.unit === "piece" ? "" : plural(named.unit, count)) };
}

/** The form that words name ("coarsely chopped"), as a word of its own: groundnuts are not ground. */
const formIn = (food: Food, words: string): string | undefined => Object.keys(food.forms).find((key) => new RegExp(`\\b${key}\\b`, "i").test(words));

/** Cooked grains and pulses hold more or less water: half the 80 % interval of what they weighed before, as a share. */
const COOKED_SHARE = 0.15;

/** A grain or pulse given as cooked: what it was before, and the water in it. */
function cookedBefore(
  amounts: readonly StatedAmount[],
  food: Food,
  { density, gain }: NonNullable<Food["cooked"]>,
  measures: HouseholdMeasures,
): Weighed | Unweighed {
  const [amount] = amounts;
  const mass = amount?.unit == null ? undefined : (MASS_GRAMS[amount.unit] ?? (millilitresOf(amount.unit, measures) ?? 0) * density);
  if (!amount || !mass) return { kind: "unweighed", why: `cooked ${food.name.toLowerCase()}: give what it weighs before it is cooked` };
  const count = amount.upper === null ? amount.quantity : (amount.quantity + amount.upper) / 2;
  const cooked = count * mass;
  const dry = withShare(cooked / gain, COOKED_SHARE);
  const unit = shortUnit(amount.unit ?? "");
  const isMass = (amount.unit ?? "") in MASS_GRAMS;
  return {
    kind: "weighed",
    grams: dry,
    water: { value: cooked - dry.value, sd: dry.sd },
    measure: isMass ? "" : `${nearestFraction(count).text} ${plural(unit, count)}`,
    how: `${quantityWords(amount)} ${plural(unit, count)} cooked = ${formatGrams(cooked)} g: ${formatGrams(dry.value)} g of ${food.name.toLowerCase()} and ${formatGrams(cooked - dry.value)} g of water ± ${Math.round(100 * COOKED_SHARE)} %`,
  };
}

/** The household's own weighing of a unit: of the form that the words name, else the plain one. */
const weighedMeasure = ({ weighed }: Food, unit: string, words: string) =>
  weighed.find((measure) => measure.unit === unit && measure.form !== "" && new RegExp(`\\b${measure.form}\\b`, "i").test(words)) ??
  weighed.find((measure) => measure.unit === unit && measure.form === "");

/** The counted unit a description names ("saffron strands"), else the piece. */
function countedIn(food: Food, words: string) {
  const lower = words.toLowerCase();
  return (
    food.counted.find((counted) => counted.unit !== "piece" && new RegExp(`\\b${counted.unit}(s|es)?\\b`).test(lower)) ??
    food.counted.find((counted) => counted.unit === "piece")
  );
}

const SHORT: Readonly<Record<string, string>> = {
  gram: "g",
  kilogram: "kg",
  milligram: "mg",
  milliliter: "ml",
  liter: "l",
  tablespoon: "tbsp",
  teaspoon: "tsp",
  ounce: "oz",
  pound: "lb",
  fluidounce: "fl oz",
};
const shortUnit = (unit: string) => SHORT[unit] ?? (unit.endsWith("-sized") ? `${unit} lump` : unit);
const UNCHANGED = new Set(["katori", "g", "kg", "mg", "ml", "l", "tbsp", "tsp", "oz", "lb", "fl oz"]);
const plural = (word: string, count: number) =>
  count <= 1 || UNCHANGED.has(word) ? word : word === "half" ? "halves" : /(ch|sh|s)$/.test(word) ? `${word}es` : `${word}s`;
const number = (x: number) => String(Math.round(x * 100) / 100);
const quantityWords = (amount: StatedAmount) => (amount.upper === null ? number(amount.quantity) : `${number(amount.quantity)} to ${number(amount.upper)}`);
