import { type Fraction } from "../units";
import type { Constants } from "../food";
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

/** The constants as this household's usual pan and burner set them; the shipped ones where it names none. */
export function kitchenConstants(constants: Constants, equipment: Equipment | undefined): Constants {
  const [pan] = equipment?.pans ?? [];
  const [burner] = equipment?.burners ?? [];
  if (!pan && !burner) return constants;
  const { process } = constants;
  return {
    ...constants,
    process: { ...process, value: { ...process.value, ...(pan ? { pan: pan.diameter } : {}), ...(burner ? { cap: burnerCap(burner) } : {}) } },
  };
}
