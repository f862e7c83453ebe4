import { type Celsius } from "../../units";
import { interpolate } from "../../numeric";
import { INDEX, type Constants } from "../../food";
import type { Balance } from "../../recipe";

type SweetnessConstants = Pick<Constants, "relativeSweetness" | "fructoseSweetness" | "rebaudioside">;

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
 * Grams of sucrose as sweet as 1 g of a food at a temperature, high-potency sweeteners apart.
 * @unit g sucrose per g
 * @range 0 or more, 5 to 60 °C
 * @source relative sweetness of the constants, each with its source
 */
export function sucroseEquivalentPerGram(composition: ArrayLike<number>, celsius: Celsius, constants: SweetnessConstants): number {
  let sum = 0;
  for (const [index, r] of relativeSweetness(celsius, constants)) sum += (composition[index] ?? 0) * r;
  return sum / 100;
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

/**
 * Sucrose equivalent of a finished sweet at a serving temperature in °C, g per 100 g: Σ sugarᵢ·rᵢ(T) per 100 g plus
 * rebaudioside A by its saturating curve. Suppression by acid, fat and thickness is not counted here.
 * @unit g sucrose per 100 g
 * @range 0 or more, 5 to 60 °C
 * @source a sum of relative sweetnesses; DuBois 1991 for rebaudioside A
 */
export function sweetness(sweet: Balance, celsius: Celsius, constants: SweetnessConstants): number {
  if (sweet.finishedMass <= 0) return 0;
  let sum = 0;
  for (const [index, r] of relativeSweetness(celsius, constants)) sum += (sweet.totals[index] ?? 0) * r;
  const steviol = sweet.totals[INDEX.steviolGlycosides] ?? 0;
  const potent = steviol > 0 ? rebaudiosideSweetness((steviol * 1e6) / sweet.finishedMass, constants.rebaudioside.value) : 0;
  return (100 * sum) / sweet.finishedMass + potent;
}
