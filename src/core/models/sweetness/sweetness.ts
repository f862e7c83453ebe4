import { type Celsius } from "../../units";
import { interpolate } from "../../numeric";
import { asTreated, INDEX, type Constants, type Food } from "../../food";
import type { Balance } from "../../recipe";

type SweetnessConstants = Pick<Constants, "relativeSweetness" | "fructoseSweetness" | "rebaudioside" | "caramelLoss" | "pieces">;

type Relative = readonly (readonly [index: number, r: number])[];
const known = new WeakMap<object, Map<number, Relative>>();

/** Relative sweetness (sucrose = 1) of each sugar and bulk sweetener at a temperature in °C, by nutrient index. */
export function relativeSweetness(celsius: Celsius, constants: SweetnessConstants): Relative {
  const byTemperature = known.get(constants) ?? new Map<number, Relative>();
  if (byTemperature.size === 0) known.set(constants, byTemperature);
  const found = byTemperature.get(celsius) ?? relativeSweetnessAt(celsius, constants);
  byTemperature.set(celsius, found);
  return found;
}

function relativeSweetnessAt(celsius: Celsius, constants: SweetnessConstants): Relative {
  const r = constants.relativeSweetness.value;
  return [
    [INDEX.sucrose, r.sucrose],
    [INDEX.glucose, r.glucose],
    [INDEX.lactose, r.lactose],
    [INDEX.maltose, r.maltose],
    [INDEX.erythritol, r.erythritol],
    [INDEX.xylitol, r.xylitol],
    [INDEX.allulose, r.allulose],
    [INDEX.fructose, interpolate(constants.fructoseSweetness.value, celsius)],
  ];
}

/**
 * Share of a food's sweetness that is tasted in the sweet: caramelised sugar loses some; fruit left in pieces gives up its
 * sugars with time, and what stays in them sweetens that mouthful alone.
 * @unit share
 * @range 0 to 1
 * @source rules of thumb of the constants
 */
export function tastedShare({ treated }: Food, { caramelLoss, pieces }: SweetnessConstants): number {
  if (!treated) return 1;
  const left = treated.caramel ? 1 - caramelLoss.value[treated.caramel] * (treated.caramelShare ?? 1) : 1;
  if (!treated.pieces || treated.ground) return left;
  const { least } = pieces.value;
  return left * (least + (1 - least) * (1 - Math.exp(-(treated.minutes ?? 0) / pieces.value[treated.pieces])));
}

/**
 * Grams of sucrose as sweet as 1 g of a food at a temperature, high-potency sweeteners apart.
 * @unit g sucrose per g
 * @range 0 or more, 5 to 60 °C
 * @source relative sweetness of the constants, each with its source
 */
export function sucroseEquivalentPerGram(food: Food, composition: ArrayLike<number>, celsius: Celsius, constants: SweetnessConstants): number {
  let sum = 0;
  for (const [index, r] of relativeSweetness(celsius, constants)) sum += (composition[index] ?? 0) * r;
  return (sum * tastedShare(food, constants)) / 100;
}

/**
 * Sucrose equivalent of rebaudioside A, g per 100 g of sweet, from its concentration in mg per kg (taken as mg/L). DuBois 1991.
 * @unit g sucrose per 100 g
 * @range 0 to 10
 * @source DuBois 1991
 */
export function rebaudiosideSweetness(milligramsPerKilogram: number, { maximum, half }: Constants["rebaudioside"]["value"]): number {
  return (maximum * milligramsPerKilogram) / (half + milligramsPerKilogram);
}

/** What sweetness rests on: grams as sucrose of all sugars, grams of steviol glycosides, grams of the finished sweet. */
export interface SweetnessSums {
  readonly sugars: number;
  readonly steviol: number;
  readonly mass: number;
}

/** Sucrose equivalent of these sums, g per 100 g, with its derivative by each: Σ sugarᵢ·rᵢ(T) per 100 g plus rebaudioside A by its saturating curve. */
export function sweetnessWithSlopes(
  { sugars, steviol, mass }: SweetnessSums,
  constants: SweetnessConstants,
): { readonly value: number; readonly slopes: SweetnessSums } {
  if (mass <= 0) return { value: 0, slopes: { sugars: 0, steviol: 0, mass: 0 } };
  const { maximum, half } = constants.rebaudioside.value;
  const concentration = (steviol * 1e6) / mass;
  const byConcentration = (maximum * half) / (half + concentration) ** 2;
  const value = (100 * sugars) / mass;
  return {
    value: value + (steviol > 0 ? rebaudiosideSweetness(concentration, constants.rebaudioside.value) : 0),
    slopes: { sugars: 100 / mass, steviol: (byConcentration * 1e6) / mass, mass: -(value + byConcentration * concentration) / mass },
  };
}

/**
 * Sucrose equivalent of a finished sweet at a serving temperature in °C, g per 100 g. Suppression by acid, fat and thickness is told apart.
 * @unit g sucrose per 100 g
 * @range 0 or more, 5 to 60 °C
 * @source a sum of relative sweetnesses; DuBois 1991 for rebaudioside A
 */
export function sweetness(sweet: Balance, celsius: Celsius, constants: SweetnessConstants): number {
  const sugars = sweet.lines.reduce((sum, line, i) => {
    const food = asTreated(line.food, line.treated);
    return sum + line.grams * sucroseEquivalentPerGram(food, sweet.compositions[i] ?? food.per100g, celsius, constants);
  }, 0);
  return sweetnessWithSlopes({ sugars, steviol: sweet.totals[INDEX.steviolGlycosides] ?? 0, mass: sweet.finishedMass }, constants).value;
}

/** What presses sweetness down or lifts it, each as a share of it: acid, thickness, fat, salt (rules of thumb; not counted in the sweetness itself). */
export interface Suppression {
  readonly acid: number;
  readonly thickness: number;
  readonly fat: number;
  readonly salt: number;
}
/** `acid`, `fat` and `salt` in g per 100 g; `body` at the temperature it is eaten at, 0 to 10. */
export function suppression(
  per100g: { readonly acid: number; readonly fat: number; readonly salt: number },
  body: number,
  { suppression: { value } }: Pick<Constants, "suppression">,
): Suppression {
  const ramp = (x: number, from: number, to: number) => Math.min(1, Math.max(0, (x - from) / (to - from)));
  const [thin, thick] = value.thickness.body;
  const [littleSalt, enoughSalt, tooMuch] = value.salt.percent;
  return {
    acid: -Math.min(value.acid.most, value.acid.perPercent * per100g.acid),
    thickness: -value.thickness.most * ramp(body, thin, thick),
    fat: -value.fat.most * ramp(per100g.fat, ...value.fat.percent),
    salt: value.salt.most * Math.min(ramp(per100g.salt, littleSalt, enoughSalt), 1 - ramp(per100g.salt, enoughSalt + 0.2, tooMuch)),
  };
}
