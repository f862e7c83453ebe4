import { type Fraction } from "../units";
import { learnedKey, NOTHING_LEARNED, type Constants, type Learned } from "../food";
import type { Burner, Equipment } from "../household";

export type Heat = "steaming" | "simmer" | "brisk" | "rolling";

/** Water that a kilowatt in the pot can drive off, g per minute: from the latent heat, 2257 kJ/kg. */
const GRAMS_PER_KILOWATT = 26.6;
/** Share of a burner's power that reaches the pot: a rule of thumb; gas loses half beside it. */
const REACHES: Readonly<Record<Burner["kind"], number>> = { gas: 0.5, induction: 0.8, electric: 0.7 };

/**
 * The most water that a burner can drive off, g per minute.
 * @unit g per minute
 * @range 0 or more
 * @source latent heat of water; share that reaches the pot is a rule of thumb
 */
export const burnerCap = ({ kind, power }: Pick<Burner, "kind" | "power">): number => GRAMS_PER_KILOWATT * power * REACHES[kind];

/**
 * The power that reaches a pot, by the most water that its burner drives off (g per minute).
 * @unit kW
 * @range 0 or more
 * @source latent heat of water
 */
export const powerOf = (cap: number): number => cap / GRAMS_PER_KILOWATT;

/**
 * Water driven off an open pan, g per minute: flux × area, at most what the burner can (`cap`), × (1 − (solids/0.75)³), with solids the share of the pot that
 * is dissolved or suspended, fat aside (0 to 0.65; beyond that the rate is not known and 0 is returned).
 * Diameter in cm. Rule of thumb fitted on kitchen weighings.
 * @unit g per minute
 * @range solids 0 to 0.65
 * @source rule of thumb fitted on kitchen weighings
 */
export function evaporationRate(
  heat: Heat,
  diameter: number,
  solids: Fraction,
  flux: Constants["evaporationFlux"]["value"],
  cap: number | null = null,
): number {
  if (solids > 0.65) return 0;
  const areaSquareDecimetres = (Math.PI * diameter * diameter) / 400;
  return Math.min(flux[heat] * areaSquareDecimetres, cap ?? Infinity) * (1 - (Math.max(0, solids) / 0.75) ** 3);
}

/**
 * The same in the household's usual pan, as fast as its own batches have shown; in another that a recipe tells of, by the table.
 * @unit g per minute
 * @range solids 0 to 0.65
 * @source rule of thumb fitted on kitchen weighings, times what was learned
 */
export function rateHere(
  heat: Heat,
  solids: Fraction,
  { process, evaporationFlux }: Pick<Constants, "process" | "evaporationFlux">,
  told: number | null = null,
): number {
  const { pan, cap, rate } = process.value;
  const ratio = told === null || told === pan ? Math.exp(rate?.ln ?? 0) : 1;
  return ratio * evaporationRate(heat, told ?? pan, solids, evaporationFlux.value, cap);
}

/** The constants as this household's usual pan and burner and its own batches set them; the shipped ones where it has told nothing. */
export function kitchenConstants(constants: Constants, equipment: Equipment | undefined, learned: Learned = NOTHING_LEARNED): Constants {
  const [pan] = equipment?.pans ?? [];
  const [burner] = equipment?.burners ?? [];
  const isUsual = Object.keys(learned).length === 0;
  if (!pan && !burner && isUsual) return constants;
  const { process } = constants;
  return {
    ...constants,
    learned,
    process: {
      ...process,
      value: {
        ...process.value,
        ...(pan ? { pan: pan.diameter, rate: learned[learnedKey.rate(pan, burner ?? null)] ?? null } : {}),
        ...(burner ? { cap: burnerCap(burner) } : {}),
      },
    },
  };
}
