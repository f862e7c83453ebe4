import { uniformInt } from "pure-rand/distribution/uniformInt";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import type { Figure } from "../numeric";
import type { Constants } from "../food";
import type { EvaluationInput } from "./input";
import { figuresOfSums, summed } from "./point";
import { PROPERTIES, type PropertyId } from "./properties";
import { SUMS } from "./sums";

export const DRAWS = 4000;
/** Quantiles of the standard normal that draws are taken from: fine enough for an 80 % interval, and quick. */
const QUANTILES = 4096;

/**
 * Quantile of the standard normal, by the rational approximation of Acklam (2003).
 * @unit standard deviations
 * @range p above 0 and below 1; relative error below 1.2e-9
 * @source Acklam 2003
 */
function normalQuantile(p: number): number {
  const [a, b, c, d] = [
    [-3.969683028665376e1, 2.209460984245205e2, -2.759285104469687e2, 1.38357751867269e2, -3.066479806614716e1, 2.506628277459239],
    [-5.447609879822406e1, 1.615858368580409e2, -1.556989798598866e2, 6.680131188771972e1, -1.328068155288572e1, 1],
    [-7.784894002430293e-3, -3.223964580411365e-1, -2.400758277161838, -2.549732539343734, 4.374664141464968, 2.938163982698783],
    [7.784695709041462e-3, 3.224671290700398e-1, 2.445134137142996, 3.754408661907416, 1],
  ] as const;
  const polynomial = (coefficients: readonly number[], x: number) => coefficients.reduce((sum, coefficient) => sum * x + coefficient, 0);
  const tail = 0.02425;
  if (p < tail) {
    const q = Math.sqrt(-2 * Math.log(p));
    return polynomial(c, q) / polynomial(d, q);
  }
  if (p > 1 - tail) return -normalQuantile(1 - p);
  const q = p - 0.5;
  return (polynomial(a, q * q) * q) / polynomial(b, q * q);
}
const NORMAL = Float64Array.from({ length: QUANTILES }, (_, i) => normalQuantile((i + 0.5) / QUANTILES));

/**
 * Properties by Monte Carlo: amounts, composition, what is driven off and each model's own spread are drawn as normal, nothing below 0,
 * and all models asked each time. Gives the 10 % and 90 % quantiles beside the figure itself; the same for the same seed. `onDrawn`
 * takes all values of each property, in rising order.
 */
export function drawnFigures(
  input: EvaluationInput,
  ids: readonly PropertyId[],
  constants: Constants,
  seed: number,
  draws = DRAWS,
  onDrawn: (at: number, values: Float64Array) => void = () => undefined,
): readonly Figure[] {
  const whole = summed(input, constants);
  const { contributions } = whole;
  const random = xoroshiro128plus(seed);
  let [bits, left] = [0, 0];
  /** Two draws of 12 bits each from every number. */
  const normal = (): number => {
    if (left === 0) {
      bits = uniformInt(random, 0, 0xffffff);
      left = 2;
    }
    left--;
    const at = bits & (QUANTILES - 1);
    bits >>>= 12;
    return NORMAL[at] ?? 0;
  };
  const wanted = ids.flatMap((id) => PROPERTIES.find((property) => property.id === id) ?? []);
  const centre = wanted.map(({ value }) => value(whole.of));
  const drawn = wanted.map(() => new Float64Array(draws));
  const sums = new Float64Array(SUMS.length);
  for (let draw = 0; draw < draws; draw++) {
    sums.fill(0);
    for (let i = 0; i < contributions.length; i++) {
      const { perGram, spreads } = contributions[i] ?? NOTHING;
      const { grams = 0, sd = 0 } = input.lines[i] ?? {};
      const own = sd > 0 ? Math.max(0, grams + sd * normal()) : grams;
      for (let at = 0; at < perGram.length; at++) sums[at] = (sums[at] ?? 0) + own * (perGram[at] ?? 0);
      for (const spread of spreads) {
        const off = own * Math.max(spread.least, normal());
        for (let k = 0; k < spread.sums.length; k++) {
          const at = spread.sums[k] ?? 0;
          sums[at] = (sums[at] ?? 0) + off * (spread.by[k] ?? 0);
        }
      }
    }
    const of = figuresOfSums(
      sums,
      { ...input, evaporation: { ...input.evaporation, value: input.evaporation.value + input.evaporation.sd * normal() } },
      constants,
    );
    for (const [k, { value, modelSd, most = Infinity }] of wanted.entries()) {
      const figure = value(of);
      const into = drawn[k];
      if (into) into[draw] = Math.min(most, Math.max(0, figure + modelSd(figure, of) * normal()));
    }
  }
  return drawn.map((values, k) => {
    values.sort();
    onDrawn(k, values);
    const at = (share: number) => values[Math.min(draws - 1, Math.floor(share * draws))] ?? 0;
    return { value: centre[k] ?? 0, low: at(0.1), high: at(0.9) };
  });
}
const NOTHING = { perGram: new Float64Array(0), spreads: [] } as const;
