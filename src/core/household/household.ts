import type { HouseholdMeasures, HouseholdUnits } from "../units";
import type { Equipment } from "./equipment";
import type { Place } from "./place";

/** Nothing that was learned is used, or single quantities are learned anew from a moment on (ms), by key. */
export interface LearningWish {
  readonly isOff?: boolean;
  readonly anew?: Readonly<Record<string, number>>;
}

export interface Household {
  readonly measures: HouseholdMeasures;
  readonly units: HouseholdUnits;
  /** Where it lives: by it fasting days, sun and moon are reckoned. Absent until it is said. */
  readonly place?: Place | null;
  /** How high it lives, m above the sea: water and syrups boil at less there. Absent until it is said: the sea. */
  readonly altitude?: number;
  /** What it cooks with. Absent until it is said. */
  readonly equipment?: Equipment;
  /** The school that it usually holds to, a rule's id by the part before its stroke; of free sugars "who" or "uk". */
  readonly schools?: Readonly<Record<string, string>>;
  /** How it usually does what is done in several ways, by way; what is absent is done as each recipe has it. */
  readonly ways?: Readonly<Record<string, string>>;
  /** The difference in sweetness that is just noticed here, as a share, by its own palate ladder. Absent: as is usual. */
  readonly noticed?: number;
  /** Days that it lets its own sweets stand at the most, by kind of sweet: shorter than is usual, never longer. */
  readonly keeping?: Readonly<Record<string, { readonly room?: number; readonly fridge?: number; readonly freezer?: number }>>;
  /** By whose rules its labels are laid out, by id. Absent: the first of the books. */
  readonly labelBook?: string;
  /** What it wants of what its batches teach. Absent until it is said: all is used. */
  readonly learning?: LearningWish;
  /** Whether the first steps were taken or skipped. */
  readonly setUp?: boolean;
}

/**
 * What holds until a household says otherwise. Cup 240 ml and spoons of 15 and 5 ml are the usual sizes of measuring
 * sets; a katori of 150 ml is a rule of thumb: they run from about 100 to 200 ml.
 */
export const USUAL_HOUSEHOLD: Household = {
  measures: { cup: 240, katori: 150, tablespoon: 15, teaspoon: 5, words: "cups" },
  units: { energy: "kcal", temperature: "celsius", currency: "" },
};

/** A household as it may be stored: the currency came later. */
export type StoredHousehold = Omit<Household, "units"> & { readonly units: Omit<HouseholdUnits, "currency"> & Partial<Pick<HouseholdUnits, "currency">> };

/** A household as it was stored, with the usual where an earlier one says nothing. */
export const completeHousehold = (stored: StoredHousehold): Household => ({ ...stored, units: { ...USUAL_HOUSEHOLD.units, ...stored.units } });
