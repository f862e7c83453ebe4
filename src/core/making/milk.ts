import { capital, grams, type Grams } from "../units";
import { INDEX, MICRONUTRIENTS, NUTRIENTS, type Food, type Micronutrient, type Nutrient } from "../food";
import { withShare, Z80, type Estimate } from "../numeric";
import { pressOut } from "../process";
import type { Contents, Made, MadePart, MakingProblem, MilkMaking } from "./making";
import type { MakingTables, MilkMaterial } from "./tables";

/** A weighed pot or pulp, half the 80 % interval as a share. */
const WEIGHED_SHARE = 0.02;
const STRUCTURE: readonly Nutrient[] = [
  "fat",
  "protein",
  "starch",
  "solubleFibre",
  "insolubleFibre",
  "organicAcids",
  "ash",
  "erythritol",
  "xylitol",
  "allulose",
];
const FATS: readonly (Nutrient | Micronutrient)[] = ["fat", "saturatedFat", "alphaLinolenic", "vitaminA"];
const FREELY: readonly (Nutrient | Micronutrient)[] = ["sodium", "potassium", "organicAcids", "vitaminC", "folate"];
const BOUND: readonly (Nutrient | Micronutrient)[] = ["calcium", "iron", "zinc", "oxalate", "phytate"];

/** Share of a nutrient that can leave the material with water; of available carbohydrate see `groundFrom`. */
function leavingOf(nutrient: Nutrient | Micronutrient, { leaving }: MilkMaterial, { leavingOthers }: MakingTables): number {
  if (nutrient === "water") return 1;
  if (FATS.includes(nutrient)) return leaving.fat;
  if (nutrient === "protein") return leaving.protein;
  if (nutrient === "starch") return leaving.starch;
  if (nutrient === "solubleFibre") return leavingOthers.solubleFibre;
  if (nutrient === "insolubleFibre") return leavingOthers.insolubleFibre;
  if (FREELY.includes(nutrient)) return leavingOthers.soluble;
  if (BOUND.includes(nutrient)) return leavingOthers.bound;
  return nutrient === "ash" || nutrient === "magnesium" || nutrient === "phosphorus" ? leavingOthers.ash : leaving.sugars;
}

/** The material as it goes into the mixer: drained after soaking, its dry matter as the table has it. */
function groundFrom(food: Food, making: MilkMaking, material: MilkMaterial, tables: MakingTables) {
  const tableWater = food.per100g[INDEX.water] ?? 0;
  const drier = material.waterAsUsed === null ? 1 : (100 - material.waterAsUsed) / (100 - tableWater);
  const scale = (making.grams / 100) * drier;
  const amounts = [...food.per100g, ...food.micro.map((amount) => amount ?? 0)].map((amount) => amount * scale);
  const of = (nutrient: Nutrient) => amounts[INDEX[nutrient]] ?? 0;
  const leaving = [...NUTRIENTS, ...MICRONUTRIENTS].map((nutrient) => leavingOf(nutrient, material, tables));
  const starch = of("starch");
  const rest = Math.max(0, of("availableCarbohydrate") - starch);
  const carbohydrate = starch + rest;
  leaving[INDEX.availableCarbohydrate] = carbohydrate > 0 ? (starch * material.leaving.starch + rest * material.leaving.sugars) / carbohydrate : 0;
  const solids = STRUCTURE.reduce((sum, nutrient) => sum + of(nutrient), 0) + rest;
  const staying =
    STRUCTURE.reduce((sum, nutrient) => sum + of(nutrient) * (1 - leavingOf(nutrient, material, tables)), 0) + rest * (1 - material.leaving.sugars);
  // What the table's parts leave of 100 g counts as water, so that no mass is lost or made.
  const soakWater = soakedGrams(material, grams(Math.max(0, making.grams)), making.soaked) - making.grams;
  amounts[INDEX.water] = Math.max(0, making.grams - solids) + soakWater;
  return { grams: making.grams + soakWater, soakWater, amounts, leaving, staying };
}

/**
 * What so many grams weigh after so many hours in water, drained: swells towards its most, two thirds of it within a third of the usual time.
 * @unit g
 * @range at least what went in, at most its fullest
 * @source rule of thumb, by the uptakes of the making tables
 */
export function soakedGrams({ soak }: MilkMaterial, dry: Grams, hours: number): Grams {
  if (!soak || hours <= 0) return dry;
  return grams(dry * (1 + soak.swells * (1 - Math.exp((-3 * hours) / soak.usual))));
}

/**
 * g of liquid that a gram of the pressed-out solids holds.
 * @unit g per g
 * @range above 0
 * @source what is weighed, learned, or else the making tables
 */
export const holdsOf = (making: MilkMaking, material: MilkMaterial, tables: MakingTables): number =>
  making.holds ?? material.holds * (making.squeeze === "loose" ? tables.looselyHolds : 1);

/**
 * Milk and pulp of one pressing (`pressOut`), all presses together and each for itself. A weighed pulp tells what the
 * pulp held; a weighed milk replaces the predicted mass.
 */
export function makeMilk(making: MilkMaking, food: Food, material: MilkMaterial, tables: MakingTables): Made {
  const ground = groundFrom(food, making, material, tables);
  const usual = holdsOf(making, material, tables);
  const wholeLiquid = ground.grams - ground.staying + making.presses.reduce((sum, water) => sum + water, 0);
  // A weight that cannot be is told of, and nothing is reckoned with it.
  const all = wholeLiquid + ground.staying;
  const weighedPulp = within(making.weighedPulp, ground.staying, all);
  const weighedMilk = within(making.weighedMilk, 0, all * (1 + WEIGHED_SHARE) - (weighedPulp ?? 0));
  const holds = weighedPulp === null ? usual : weighedPulp / ground.staying - 1;
  const { presses, pulp, lost } = pressOut(ground, making.presses, holds, tables.handlingLoss, INDEX.water);
  const pressed = presses.reduce((sum, press) => sum + press.grams, 0);
  const heldShare = weighedPulp === null ? (making.holds === null ? material.share : material.share / 2) : WEIGHED_SHARE;
  // What the pulp holds is off by a share; the first press gives that much less or more, later ones what went in.
  const heldSd = (heldShare * holds * ground.staying) / Z80;
  const milkGrams: Estimate = weighedMilk === null ? { value: pressed, sd: heldSd } : withShare(weighedMilk, WEIGHED_SHARE);
  const part = (key: string, name: string, amounts: readonly number[], grams: number, told: Estimate, like: string): MadePart[] =>
    grams > 0.05 ? [{ key, name, grams: told, contents: contentsFrom(amounts, grams, food, material.share), like }] : [];
  const together = presses[0]?.amounts.map((_, n) => presses.reduce((sum, press) => sum + (press.amounts[n] ?? 0), 0)) ?? [];
  const milk = capital(material.milk);
  return {
    parts: [
      ...part("milk", milk, together, pressed, milkGrams, material.milkLike),
      ...(presses.length > 1
        ? presses.flatMap((press, i) =>
            part(
              `press ${i + 1}`,
              `${milk}, press ${i + 1}`,
              press.amounts,
              press.grams,
              { value: press.grams, sd: i === 0 ? heldSd : (0.05 * press.grams) / Z80 },
              material.milkLike,
            ),
          )
        : []),
      ...part(
        "pulp",
        `${capital(material.milk.replace(/ milk$/, ""))} pulp, wet`,
        pulp.amounts,
        pulp.grams,
        weighedPulp === null ? withShare(pulp.grams, heldShare) : withShare(weighedPulp, WEIGHED_SHARE),
        material.pulpLike,
      ),
    ],
    went: [
      { name: food.name.toLowerCase(), grams: making.grams },
      { name: "water from soaking", grams: ground.soakWater },
      ...making.presses.map((grams, i) => ({ name: making.presses.length > 1 ? `water of press ${i + 1}` : "water", grams })),
    ].filter(({ grams }) => grams > 0),
    away: [{ name: "left on mixer, bowl and cloth", grams: lost.grams }],
    working: [
      { name: "solids that cannot leave, P", value: ground.staying, unit: "g" },
      {
        name:
          weighedPulp === null
            ? making.holds === null
              ? "liquid a gram of them holds, h, as usual"
              : "liquid a gram of them holds, h, as seen here"
            : "liquid a gram of them holds, h, from the weighed pulp",
        value: holds,
        unit: "g per g",
      },
      { name: "liquid in all, Λ", value: wholeLiquid, unit: "g" },
      { name: "of it the pulp holds, h·P", value: holds * ground.staying, unit: "g" },
      { name: "left on the tools, of each press", value: 100 * tables.handlingLoss, unit: "%" },
      { name: "milk, (Λ − h·P) less that", value: pressed, unit: "g" },
    ],
    problems: milkProblems(making, { pressed, staying: ground.staying, wholeLiquid, usual }),
  };
}

const within = (value: number | null, least: number, most: number) => (value !== null && value >= least && value <= most ? value : null);

/** Per 100 g of what came out, with the spread of the food and that of the extraction, which are independent. */
function contentsFrom(amounts: readonly number[], grams: number, food: Food, share: number): Contents {
  const per100 = amounts.map((amount) => (100 * amount) / grams);
  const spreadOf = (amount: number, own: number, ownSd: number) => Math.hypot((amount * share) / Z80, own > 0 ? (amount * ownSd) / own : 0);
  const per100g = NUTRIENTS.map((_, n) => per100[n] ?? 0);
  const sd = per100g.map((amount, n) => spreadOf(amount, food.per100g[n] ?? 0, food.sd[n] ?? 0));
  // Water is what the solids leave: it is off by as much as they are together.
  sd[INDEX.water] = Math.sqrt(STRUCTURE.reduce((sum, nutrient) => sum + (sd[INDEX[nutrient]] ?? 0) ** 2, 0));
  const micro = food.micro.map((own, n) => (own === null ? null : (per100[NUTRIENTS.length + n] ?? 0)));
  const microSd = micro.map((amount, n) => (amount === null ? null : spreadOf(amount, food.micro[n] ?? 0, food.microSd[n] ?? 0)));
  return { per100g, sd, micro, microSd, unknown: food.unknown };
}

function milkProblems(
  making: MilkMaking,
  { pressed, staying, wholeLiquid, usual }: { readonly pressed: number; readonly staying: number; readonly wholeLiquid: number; readonly usual: number },
): MakingProblem[] {
  const problems: MakingProblem[] = [];
  const grave = (field: string, why: string) => problems.push({ field, grave: true, why });
  const all = wholeLiquid + staying;
  if (pressed <= 0.05)
    grave(
      "presses",
      `The pulp holds all the liquid: ${(usual * staying).toFixed(0)} g of it. Give more water, at least ${Math.ceil(Math.max(0, usual * staying - wholeLiquid) / 10 + 1) * 10} g more.`,
    );
  const { weighedMilk, weighedPulp } = making;
  if (weighedPulp !== null && weighedPulp > all) grave("weighedPulp", `No more than ${all.toFixed(0)} g went in. Is the bowl's weight in it?`);
  else if (weighedPulp !== null && weighedPulp < staying)
    grave("weighedPulp", `Pulp as dry as bone would weigh ${staying.toFixed(0)} g. Is the bowl's weight taken off twice?`);
  if (weighedMilk !== null && weighedMilk > all) grave("weighedMilk", `No more than ${all.toFixed(0)} g went in. Is the bowl's weight in it?`);
  else if (weighedMilk !== null && weighedPulp !== null && weighedMilk + weighedPulp > all * (1 + WEIGHED_SHARE))
    grave("weighedPulp", `Milk and pulp come to ${(weighedMilk + weighedPulp).toFixed(0)} g; ${all.toFixed(0)} g went in. Is a bowl's weight in one of them?`);
  else if (weighedMilk !== null && weighedPulp !== null && weighedMilk + weighedPulp < all * 0.85)
    problems.push({
      field: "weighedMilk",
      grave: false,
      why: `${(all - weighedMilk - weighedPulp).toFixed(0)} g of what went in are in neither. Was some spilt, or a press not weighed?`,
    });
  return problems;
}

/** The word for a milk of so many per cent of solids. */
export function strengthOf(contents: Contents, { strengths }: MakingTables): "drinking" | "cooking" | "thick" {
  const solids = 100 - (contents.per100g[INDEX.water] ?? 0);
  return solids < strengths.drinking ? "drinking" : solids > strengths.thick ? "thick" : "cooking";
}

/**
 * What this household's pulp holds, from weighed pulps of one material and squeeze: ln h, prior sd 0.20 about the usual
 * value, each weighing sd 0.10 (rule of thumb). Null while none is weighed.
 * @unit g per g
 * @range above 0
 * @source a normal mean with known spreads (conjugate); the spreads are rules of thumb
 */
export function learnedHolds(seen: readonly number[], usual: number): number | null {
  if (seen.length === 0 || usual <= 0) return null;
  const [prior, each] = [1 / 0.2 ** 2, 1 / 0.1 ** 2];
  const sum = seen.reduce((total, h) => total + each * Math.log(Math.max(0.05, h)), prior * Math.log(usual));
  return Math.exp(sum / (prior + each * seen.length));
}

/**
 * What the pulp of one making held, from its weight; null where it is not weighed.
 * @unit g per g
 * @range above 0
 * @source mass balance of the weighed pulp
 */
export function seenHolds(making: MilkMaking, food: Food, material: MilkMaterial, tables: MakingTables): number | null {
  if (making.weighedPulp === null) return null;
  const { staying } = groundFrom(food, making, material, tables);
  return staying > 0 && making.weighedPulp > staying ? making.weighedPulp / staying - 1 : null;
}
