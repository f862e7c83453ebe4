import { INDEX, learnedKey, SUGAR_INDICES, sumOf, UNLEARNED_SD, type BodyFamily, type Constants, type Food } from "../food";
import { minutes } from "../units";
import { gelatinisedShare } from "./gelatinisation";

/** What thickening is computed by. */
export type ThickeningConstants = Pick<
  Constants,
  "learned" | "body" | "starches" | "grain" | "pulse" | "particles" | "egg" | "gelatineGel" | "gelatinisationMinutes"
>;
export type Cooled = "hot" | "chilled";
type Starch = NonNullable<Food["thickening"]["starch"]>;

/** What one gram of a food adds to X·V/100 beside what its milk protein and its gels do. */
export interface Thickening {
  readonly starch: number;
  readonly fibre: number;
  /** Of ground nuts, seeds and coconut. */
  readonly particles: number;
  /** Of egg, in a mixture with milk. */
  readonly egg: number;
  /** Of mucilage, gums and melted gelatine. */
  readonly other: number;
  /** Of the above, what the house's own batches have made surer, times by how much: by ln, standard deviation. */
  readonly known: number;
}

/** How long a food cooks, in time constants of its starch; null where nothing is said. */
function timesCooked(food: Food, starch: Starch, cookMinutes: number | null, constants: ThickeningConstants): number | null {
  const cooked = food.treated?.minutes ?? cookMinutes;
  if (cooked === null) return null;
  const constant = constants.gelatinisationMinutes.value;
  const tau = starch.tau ?? (starch.form === "pearl" ? constant.pearl : constant[starch.grain]) ?? 1.5;
  return Math.max(0, cooked) / (tau * (food.treated?.soaked && starch.grain !== "ground" ? constants.grain.value.soaked : 1));
}

/**
 * Share of a food's starch that has gelatinised; all of it where no cooking time is stated.
 * @unit share
 * @range 0 to 1
 * @source first-order kinetics, time constant of the constants
 */
export function gelatinised(food: Food, cookMinutes: number | null, constants: ThickeningConstants): number {
  const { starch } = food.thickening;
  const times = starch ? timesCooked(food, starch, cookMinutes, constants) : null;
  return times === null ? 1 : gelatinisedShare(minutes(times), minutes(1));
}

/**
 * What of a starch comes out of its grain: w₀ + (w∞ − w₀)(1 − exp(−(u/2.8)²)), u the time constants it has cooked; of a
 * pulse by the share that is broken.
 * @unit share
 * @range 0 to 1
 * @source fitted on kitchen cases (rule of thumb)
 */
function outOfGrain(food: Food, starch: Starch, cookMinutes: number | null, constants: ThickeningConstants): number {
  const { start, end, endWithBran, spread, cookedThrough } = constants.grain.value;
  if (starch.grain === "ground") return start.ground;
  if (starch.kind === "pulse") return constants.pulse.value.least + (constants.pulse.value.most - constants.pulse.value.least) * brokenShare(food, constants);
  const first = start[starch.grain];
  const last = Math.max(first, starch.bran ? endWithBran : end);
  const times = timesCooked(food, starch, cookMinutes, constants) ?? cookedThrough;
  return first + (last - first) * (1 - Math.exp(-((times / spread) ** 2)));
}

const brokenShare = (food: Food, { pulse }: ThickeningConstants): number =>
  food.treated?.broken ?? pulse.value.broken[food.thickening.starch?.grain === "whole" ? "whole" : "split"];

/**
 * How finely a nut, a seed or coconut is ground; null where it is none of these.
 * @unit share
 * @range 0 (pieces) to 1 (paste)
 * @source form of the food and what the steps do (rule of thumb)
 */
export function particleFineness(food: Food, { particles }: ThickeningConstants): number | null {
  const { thickening, nature, family, treated } = food;
  const isNut = family === "nut" || family === "oilseed" || (nature?.botanical != null && nature.botanical in particles.value.perGram);
  if (
    !isNut ||
    family === "drink" ||
    family === "fat" ||
    family === "dairy" ||
    family === "sweetener" ||
    thickening.k !== undefined ||
    nature?.processing === "sweetened"
  )
    return null;
  const { fine, coarse } = particles.value.fineness;
  if (treated?.ground) return treated.ground === "fine" ? fine : coarse;
  if (nature?.form === "paste") return fine;
  return nature?.form === "flour" || nature?.form === "shreds" || (nature?.form === "flakes" && nature.botanical === "Cocos nucifera") ? coarse : 0;
}

function particlesOf(
  food: Food,
  composition: ArrayLike<number>,
  fineness: number,
  cooled: Cooled,
  cookMinutes: number | null,
  constants: ThickeningConstants,
): Thickening {
  const { perGram, other, starch: starchy, starchChilled } = constants.particles.value;
  const plant = food.nature?.botanical ?? "";
  const cooked = food.treated?.minutes ?? cookMinutes;
  // Raw starch stays among the particles.
  const heated = cooked === null || cooked > 0 ? (starchy[plant] ?? 0) : 0;
  const starch = heated > 0 ? (composition[INDEX.starch] ?? 0) / 100 : 0;
  const { ratio, surer } = asLearned(food, cooled, constants);
  const solid = 1 - ((composition[INDEX.water] ?? 0) + (composition[INDEX.fat] ?? 0) + sumOf(composition, SUGAR_INDICES)) / 100 - starch;
  const fromStarch = ratio * starch * heated * (cooled === "chilled" ? starchChilled : 1) * fineness;
  const particles = ratio * (perGram[plant] ?? other) * fineness * solid;
  return { starch: fromStarch, fibre: 0, particles, egg: 0, other: 0, known: surer * (fromStarch + particles) };
}

/** As what a food thickens, where that is learned of a house; null of what thickens otherwise: milk, egg, gums and gels. */
export function bodyFamilyOf(food: Food, constants: ThickeningConstants): BodyFamily | null {
  if ((particleFineness(food, constants) ?? 0) > 0) return "nuts";
  const { starch } = food.thickening;
  if (starch) return starch.kind;
  return food.family === "fruit" || food.family === "vegetable" || food.family === "root" ? "pulp" : null;
}

/** What one gram of a food adds to X·V/100 other than by milk protein and gels; linear in its composition. */
export function thickeningPerGram(
  food: Food,
  composition: ArrayLike<number>,
  cooled: Cooled,
  cookMinutes: number | null,
  constants: ThickeningConstants,
): Thickening {
  const fineness = particleFineness(food, constants);
  if (fineness !== null && fineness > 0) return particlesOf(food, composition, fineness, cooled, cookMinutes, constants);
  const { starch, k = 0, fibreShare, egg, gelatine } = food.thickening;
  const { body, starches } = constants;
  const isPulp = bodyFamilyOf(food, constants) === "pulp";
  const { ratio, surer } = asLearned(food, cooled, constants);
  let fromStarch = 0;
  let fibreCounts: number = fibreShare;
  if (starch) {
    const { e, f, chilled } = starches.value[starch.kind];
    const isPulse = starch.kind === "pulse" && starch.grain !== "ground";
    const broken = isPulse ? brokenShare(food, constants) : 1;
    if (isPulse) fibreCounts = fibreShare * broken;
    fromStarch =
      ratio *
      ((composition[INDEX.starch] ?? 0) / 100) *
      e *
      f[starch.form] *
      outOfGrain(food, starch, cookMinutes, constants) *
      (cooled === "chilled" ? (isPulse ? 1 + constants.pulse.value.chilled * broken : chilled) : 1) *
      gelatinised(food, cookMinutes, constants);
  }
  const fibre = ((composition[INDEX.solubleFibre] ?? 0) + (composition[INDEX.insolubleFibre] ?? 0)) / 100;
  const fromFibre = (isPulp ? ratio * body.value.pulp : body.value.fibre) * fibreCounts * fibre;
  return {
    starch: fromStarch,
    fibre: fromFibre,
    particles: 0,
    egg: egg ? eggPerGram(food, egg, composition, cooled, constants) : 0,
    // Melted gelatine thickens a little; set, it is a gel.
    other: (egg ? 0 : k) + (gelatine && cooled === "hot" ? constants.gelatineGel.value.hot : 0),
    known: surer * (fromStarch + (isPulp ? fromFibre : 0)),
  };
}

/** How much more a family thickens in this house than by the tables, and by how much surer that is, by ln. */
function asLearned(food: Food, cooled: Cooled, constants: ThickeningConstants): { readonly ratio: number; readonly surer: number } {
  const family = bodyFamilyOf(food, constants);
  const found = family === null ? undefined : constants.learned[learnedKey.body(cooled, family)];
  return found ? { ratio: Math.exp(found.ln), surer: Math.max(0, UNLEARNED_SD.body - found.sd) } : { ratio: 1, surer: 0 };
}

function eggPerGram(food: Food, part: "whole" | "yolk" | "white", composition: ArrayLike<number>, cooled: Cooled, { egg }: ThickeningConstants): number {
  const { baked, stirred, chilled } = egg.value;
  const heat = food.treated?.egg ?? "stirred";
  if (heat === "raw") return 0;
  return ((heat === "baked" ? baked[part] : stirred) * (cooled === "chilled" ? chilled : 1) * (composition[INDEX.protein] ?? 0)) / 100;
}

/** Whether the milk protein of a food gives body by the square of its share: not of egg, what was cultured, and ground nuts. */
export const givesProteinBody = (food: Food, constants: ThickeningConstants): boolean =>
  food.thickening.proteinCounts && !food.thickening.egg && !food.thickening.cultured && (particleFineness(food, constants) ?? 0) === 0;

/**
 * Body step (0 to 10) of an index X: 10·(1 − exp(−X/9.5)).
 * @unit step of body
 * @range 0 to 10
 * @source the scale's definition
 */
export const bodyOfIndex = (x: number, constants: Pick<Constants, "body">): number => 10 * (1 - Math.exp(-Math.max(0, x) / constants.body.value.scale));

/**
 * Index X of a body step; steps are cut to 0 … 9.99.
 * @unit index of thickening
 * @range 0 or more
 * @source inverse of bodyOfIndex
 */
export const indexOfBody = (step: number, constants: Pick<Constants, "body">): number =>
  -constants.body.value.scale * Math.log(1 - Math.min(9.99, Math.max(0, step)) / 10);
