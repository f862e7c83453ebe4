import { energyKilojoules, type Constants, type Food } from "../food";
import { make, type Making } from "../making";
import { KILOJOULES_PER_KILOCALORIE } from "../units";
import { foodFromLabel } from "./label-food";
import { isCompound, type Packet } from "./packet";
import { whyUnmakeable, type Label, type OwnFood, type PantryTables } from "./own-food";

export interface OwnFoodProblem {
  readonly field: string;
  readonly grave: boolean;
  readonly why: string;
}

/**
 * What is wrong with an own food, each with its field. Grave: a name or amounts that cannot be. Doubtful: energy that
 * contradicts the macronutrients by over 20 %, an amount that looks like another unit. `others` are the names in use.
 */
export function ownFoodProblems(
  own: OwnFood,
  others: ReadonlyMap<string, string>,
  foods: ReadonlyMap<string, Food>,
  constants: Pick<Constants, "energyPerGram">,
  tables: PantryTables,
): OwnFoodProblem[] {
  const { made } = own;
  return [
    ...nameProblems(own, others),
    ...(made.kind === "made"
      ? makingProblems(made.making, made.part, foods, tables)
      : [
          ...amountProblems(made.label),
          ...energyProblems(own, made.label, constants, tables),
          ...saltProblems(own, made.label),
          ...gaps(made.label),
          ...packetGaps(made.packet),
        ]),
  ];
}

const grave = (field: string, why: string): OwnFoodProblem => ({ field, grave: true, why });
const doubt = (field: string, why: string): OwnFoodProblem => ({ field, grave: false, why });

function nameProblems(own: OwnFood, others: ReadonlyMap<string, string>): OwnFoodProblem[] {
  const name = own.name.trim();
  const taken = others.get(name.toLowerCase());
  return [
    ...(name === "" ? [grave("name", "Give it a name.")] : []),
    ...(taken !== undefined && taken !== own.id
      ? [grave("name", `There is a food called “${name}” already. Add what tells this one apart, such as its maker or its strength.`)]
      : []),
  ];
}

function makingProblems(making: Making, part: string, foods: ReadonlyMap<string, Food>, tables: PantryTables): OwnFoodProblem[] {
  const made = make(making, foods, tables.making);
  if (!made.ok) return [grave("making", whyUnmakeable(made.error))];
  const comesOut = made.value.parts.some(({ key }) => key === part);
  return [...made.value.problems, ...(comesOut ? [] : [grave("part", "Nothing of that comes out of it.")])];
}

/** More than the whole, or a part that is more than what it is a part of, g. */
const ROUNDING = 0.05;
const isMore = (part: number | null, whole: number | null): boolean => part !== null && whole !== null && part > whole + ROUNDING;

function amountProblems(label: Label): OwnFoodProblem[] {
  const { fat, saturatedFat, carbohydrate, sugars, protein, fibre, includesFibre, per } = label;
  const together = (fat ?? 0) + (carbohydrate ?? 0) + (protein ?? 0) + (includesFibre ? 0 : (fibre ?? 0));
  return [
    ...(per <= 0 ? [grave("per", "The amounts are for some grams above 0.")] : []),
    ...(together > per * 1.02 + 0.5
      ? [
          grave(
            "carbohydrate",
            `Fat, carbohydrate, protein and fibre come to ${together.toFixed(1)} g, more than the ${per} g they are in. Are the amounts for another weight?`,
          ),
        ]
      : []),
    ...(isMore(saturatedFat, fat) ? [grave("saturatedFat", "Saturated fat is a part of the fat: it cannot be more.")] : []),
    ...(isMore(sugars, carbohydrate) ? [grave("sugars", "Sugars are a part of the carbohydrate: they cannot be more.")] : []),
  ];
}

/** Energy off by more than this share, and by more than so many kJ per 100 g, is doubted. */
const ENERGY_OFF = { share: 0.2, kilojoules: 40 };

function energyProblems(own: OwnFood, label: Label, constants: Pick<Constants, "energyPerGram">, tables: PantryTables): OwnFoodProblem[] {
  const { energy, energyUnit, per } = label;
  if (energy === null || per <= 0 || [label.fat, label.carbohydrate, label.protein].includes(null)) return [];
  const inKilocalories = energyUnit === "kcal";
  const unit = inKilocalories ? KILOJOULES_PER_KILOCALORIE : 1;
  const given = (energy * unit * 100) / per;
  const computed = energyKilojoules(foodFromLabel(own, { label }, { foods: new Map(), tables }).per100g, constants.energyPerGram.value);
  const off = computed > 0 ? given / computed : 1;
  if (Math.abs(off - 1) <= ENERGY_OFF.share || Math.abs(given - computed) <= ENERGY_OFF.kilojoules) return [];
  const inOtherUnit = inKilocalories ? off / KILOJOULES_PER_KILOCALORIE : off * KILOJOULES_PER_KILOCALORIE;
  if (Math.abs(inOtherUnit - 1) < ENERGY_OFF.share) return [doubt("energy", `This looks like ${inKilocalories ? "kJ" : "kcal"}, not ${energyUnit}.`)];
  const by = Math.abs(off - 1) > 1 ? "more than twice off" : `${Math.abs((off - 1) * 100).toFixed(0)} % off`;
  const comesTo = ((computed / unit / 100) * per).toFixed(0);
  return [doubt("energy", `Fat, carbohydrate, protein and fibre come to ${comesTo} ${energyUnit}: ${by}. Look at the label again.`)];
}

/** Sodium is so large a part of salt (label convention: × 2.5). */
const MILLIGRAMS_SODIUM_PER_GRAM_SALT = 400;

function saltProblems({ family }: OwnFood, { salt, saltUnit, per }: Label): OwnFoodProblem[] {
  if (salt === null || per <= 0) return [];
  const inSodium = saltUnit === "mg sodium";
  const saltPer100 = ((inSodium ? salt / MILLIGRAMS_SODIUM_PER_GRAM_SALT : salt) * 100) / per;
  const much = inSodium ? "That is a lot of sodium for a food. Are they milligrams?" : "That is a lot of salt. Is it milligrams of sodium?";
  return [
    ...(family !== "salt" && saltPer100 > 10 ? [doubt("salt", much)] : []),
    ...(inSodium && salt > 0 && salt < 1.5 ? [doubt("salt", "So few milligrams may be grams of salt.")] : []),
  ];
}

function packetGaps(packet: Packet | undefined): OwnFoodProblem[] {
  const open = (packet?.ingredients ?? []).filter(({ means }, place) => means === null && !isCompound(packet?.ingredients ?? [], place));
  if (open.length === 0) return [];
  const words = open.map(({ words: each }) => `“${each}”`).join(", ");
  return [doubt("packet", `Not understood in the list: ${words}. Until that is answered, every rule has to ask about this food.`)];
}

const gaps = ({ fat, carbohydrate, protein }: Label): OwnFoodProblem[] =>
  [fat, carbohydrate, protein].includes(null)
    ? [doubt("protein", "Fat, carbohydrate or protein is not given: figures of recipes with this food are “at least”.")]
    : [];
