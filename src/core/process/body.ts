import { interpolate, slopeAt } from "../numeric";
import { INDEX, SUGAR_INDICES, sumOf, type Constants, type Food } from "../food";
import { bodyOfIndex, givesProteinBody, thickeningPerGram, type Cooled, type ThickeningConstants } from "./thickening";

export type BodyConstants = ThickeningConstants & Pick<Constants, "agarGel" | "cultured">;

/** What body rests on, each a sum over what is in the pot. */
export interface BodySums {
  /** g */
  readonly mass: number;
  /** Water + 0.62·(all sugars), g. */
  readonly serum: number;
  /** Thickening of starch, fibre, particles and gums, as X·V/100. */
  readonly thick: number;
  /** The same of egg, in a mixture with milk. */
  readonly egg: number;
  /** Protein that gives body by its square, and protein that was set by souring or a salt, g. */
  readonly protein: number;
  readonly cultured: number;
  /** Agar and gelatine, g. */
  readonly agar: number;
  readonly gelatine: number;
  /** Of the thickening, what the house's own batches have made surer, times by how much. */
  readonly known: number;
}
export const BODY_SUMS = ["mass", "serum", "thick", "egg", "protein", "cultured", "agar", "gelatine", "known"] as const satisfies readonly (keyof BodySums)[];

/** What one gram of a food adds to each of them; linear in its composition. */
export function bodyPerGram(
  food: Food,
  composition: ArrayLike<number>,
  cooled: Cooled,
  cookMinutes: number | null,
  constants: BodyConstants,
): Readonly<Record<keyof BodySums, number>> {
  const { starch, fibre, particles, egg, other, known } = thickeningPerGram(food, composition, cooled, cookMinutes, constants);
  const protein = (composition[INDEX.protein] ?? 0) / 100;
  const { agar, gelatine, cultured } = food.thickening;
  return {
    mass: 1,
    serum: ((composition[INDEX.water] ?? 0) + constants.body.value.sugarInSerum * sumOf(composition, SUGAR_INDICES)) / 100,
    thick: starch + fibre + particles + other,
    egg,
    protein: givesProteinBody(food, constants) ? protein : 0,
    cultured: cultured && food.thickening.proteinCounts ? protein : 0,
    agar: agar ? 1 : 0,
    gelatine: gelatine ? 1 : 0,
    known,
  };
}

/** The index X of a finished sweet and the parts it is made of. */
export interface BodyIndex {
  readonly x: number;
  readonly serum: number;
  /** Grams of the protein that gives body by its square, what it adds to X, and what cultured protein adds. */
  readonly protein: number;
  readonly fromProtein: number;
  readonly fromCultured: number;
  readonly fromEgg: number;
  /** Agar and gelatine, % of the finished sweet. */
  readonly agarPercent: number;
  readonly gelatinePercent: number;
}

const LEAST_SERUM = 1e-9;
/** From so much milk protein on, % of the serum, egg sets as in a mixture with milk. */
const MILKY = 0.5;

/** X = 100·(thickening + egg)/V + 0.022·m·p² + 1.2·max(0, p′ − 0.65), p and p′ the two proteins as % of the serum V. */
export function bodyIndexOf(sums: BodySums, cooled: Cooled, { body, egg, cultured }: BodyConstants): BodyIndex {
  const serum = Math.max(LEAST_SERUM, sums.serum);
  const p = (100 * sums.protein) / serum;
  const set = (100 * sums.cultured) / serum;
  const fromProtein = body.value.protein * (cooled === "chilled" ? body.value.proteinChilled : 1) * p * p;
  const fromCultured = cultured.value.perPercent * Math.max(0, set - cultured.value.from);
  const fromEgg = (100 * sums.egg * (p > MILKY ? 1 : egg.value.withoutMilk)) / serum;
  const share = (grams: number) => (sums.mass > 0 ? (100 * grams) / sums.mass : 0);
  return {
    x: (100 * sums.thick) / serum + fromEgg + fromProtein + fromCultured,
    serum,
    protein: sums.protein,
    fromProtein,
    fromCultured,
    fromEgg,
    agarPercent: share(sums.agar),
    gelatinePercent: share(sums.gelatine),
  };
}

/** Body of a sweet, with what moves it. */
export interface SlopedBody {
  /** 0 to 10 */
  readonly step: number;
  readonly slopes: BodySums;
  /** By how much ln X is surer by the house's own batches, as a standard deviation. */
  readonly surer: number;
}

/** Body hot or chilled of these sums, 0 to 10, with its derivative by each of them. A sweet set with agar or gelatine reads the larger of its own body and the gel's. */
export function bodyWithSlopes(sums: BodySums, cooled: Cooled, constants: BodyConstants): SlopedBody {
  const index = bodyIndexOf(sums, cooled, constants);
  const step = bodyOfIndex(index.x, constants);
  if (cooled === "chilled") {
    const gels = [
      ["agar", constants.agarGel.value, index.agarPercent],
      ["gelatine", constants.gelatineGel.value.chilled, index.gelatinePercent],
    ] as const;
    for (const [gel, table, percent] of gels) {
      const set = interpolate(table, percent);
      if (percent === 0 || set <= step) continue;
      const slope = slopeAt(table, percent);
      return { step: set, surer: 0, slopes: { ...NO_BODY, [gel]: (slope * 100) / sums.mass, mass: (-slope * percent) / sums.mass } };
    }
  }
  const { serum } = index;
  const p = (100 * sums.protein) / serum;
  const isSet = index.fromCultured > 0;
  const byX = index.x > 0 ? (10 / constants.body.value.scale) * Math.exp(-index.x / constants.body.value.scale) : 0;
  const { perPercent } = constants.cultured.value;
  const byProtein = constants.body.value.protein * (cooled === "chilled" ? constants.body.value.proteinChilled : 1) * 2 * p;
  const bySerum = -((100 * sums.thick) / serum + index.fromEgg + byProtein * p + (isSet ? (perPercent * 100 * sums.cultured) / serum : 0)) / serum;
  return {
    step,
    surer: index.x > 0 ? (100 * sums.known) / serum / index.x : 0,
    slopes: {
      ...NO_BODY,
      serum: sums.serum > LEAST_SERUM ? byX * bySerum : 0,
      thick: (byX * 100) / serum,
      egg: (byX * 100 * (p > MILKY ? 1 : constants.egg.value.withoutMilk)) / serum,
      protein: (byX * byProtein * 100) / serum,
      cultured: isSet ? (byX * perPercent * 100) / serum : 0,
    },
  };
}
export const NO_BODY: BodySums = { mass: 0, serum: 0, thick: 0, egg: 0, protein: 0, cultured: 0, agar: 0, gelatine: 0, known: 0 };
