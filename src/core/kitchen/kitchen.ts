import type { CautionRule, LookAlikes } from "../cautions";
import type { CueTables } from "../cues";
import { NOTHING_LEARNED, type Constants, type Food, type Learned, type Reference } from "../food";
import { NO_EQUIPMENT, USUAL_HOUSEHOLD, type Household } from "../household";
import type { HandlingTables } from "../method";
import { householdRules, NO_HOUSE_RULES, type HouseRules, type Rule } from "../models/diet";
import type { RetentionFactors, RuleBook } from "../nutrition";
import { EMPTY_PANTRY, kitchenFoods, type PantryDocument, type PantryTables } from "../pantry";
import { boilingPointsAt, kitchenConstants } from "../process";
import { withOwnCandidates } from "./own-candidates";
import { createFoodFinder, createFoodMatcher, type ReadingContext } from "../recipe";
import type { Mender } from "../rescue";
import type { SubstitutionTables } from "../substitution";
import type { Way } from "../ways";

/** All that ships with the app and that is computed with: foods, constants, rules, tables. */
export interface ShippedTables {
  readonly reference: Reference;
  /** Every rule by id, single allergens among them; and those of them that a table can choose. */
  readonly rules: ReadonlyMap<string, Rule>;
  readonly diets: readonly Rule[];
  readonly substitution: SubstitutionTables;
  readonly handling: HandlingTables;
  /** When an operation on a food is done. */
  readonly cues: CueTables;
  /** What is done in several ways, each with its reason. */
  readonly ways: readonly Way[];
  /** What mends a pot that went wrong. */
  readonly menders: readonly Mender[];
  /** Foods that are taken for one another, with what tells them apart. */
  readonly lookAlikes: readonly LookAlikes[];
  readonly cautions: readonly CautionRule[];
  /** What claims are held against. */
  readonly books: readonly RuleBook[];
  readonly retention: RetentionFactors;
  /** What own foods rest on: what a family implies, and how foods are made at home. */
  readonly pantryTables: PantryTables;
  /** g per ml of a family's foods, where a food has none of its own. */
  readonly familyDensity: ReadingContext["familyDensity"];
  /** Foods known by what they are made of alone: they are found in words, and never measured. */
  readonly namedOnly: readonly Food[];
}

/** What a household has told of itself, and what its batches have taught. */
export interface KitchenSources {
  readonly pantry: PantryDocument;
  readonly household: Household;
  readonly house: HouseRules;
  readonly learned: Learned;
}

/** A household that has told nothing yet. */
export const USUAL_SOURCES: KitchenSources = { pantry: EMPTY_PANTRY, household: USUAL_HOUSEHOLD, house: NO_HOUSE_RULES, learned: NOTHING_LEARNED };

/** All that is computed from, of one household: what ships, with its own foods, weighings, measures, pan and rules laid over. */
export interface Kitchen extends Omit<ShippedTables, "familyDensity" | "namedOnly"> {
  readonly household: Household;
  /** What reading a text needs; the index of the foods is built on first use. */
  readonly reading: ReadingContext;
}

/** The same result for the same object, as long as that is held. */
export function kept<K extends object, V>(make: (key: K) => V): (key: K) => V {
  const made = new WeakMap<K, { readonly value: V }>();
  return (key) => {
    const found = made.get(key) ?? { value: make(key) };
    made.set(key, found);
    return found.value;
  };
}

/** The constants of a house that has found out what difference in sweetness it notices. */
const noticedHere = (constants: Constants, sweetness: number): Constants => ({
  ...constants,
  noticeable: { ...constants.noticeable, value: { ...constants.noticeable.value, sweetness } },
});

/** So many heights are remembered. */
const MOST_HEIGHTS = 20;

/** How kitchens are put together over shipped tables: the same kitchen for the same documents, and what they share once. */
export function kitchensOver(tables: ShippedTables): (sources: KitchenSources) => Kitchen {
  const { reference, familyDensity, namedOnly, pantryTables, ...shared } = tables;
  const foodsOf = kept((pantry: PantryDocument) => kept((measures: Household["measures"]) => kitchenFoods(reference.foods, pantry, measures, pantryTables)));
  const constantsOf = kept((equipment: Household["equipment"] & object) =>
    kept((learned: Learned) => {
      const constants = kitchenConstants(reference.constants, equipment, learned);
      const noticing = new Map<number, Constants>();
      return (noticed?: number): Constants => {
        if (noticed === undefined) return constants;
        const found = noticing.get(noticed) ?? noticedHere(constants, noticed);
        noticing.set(noticed, found);
        return found;
      };
    }),
  );
  const tablesAt = new Map<number, PantryTables>([[0, pantryTables]]);
  const tablesOf = (altitude = 0): PantryTables => {
    const { making } = pantryTables;
    const found = tablesAt.get(altitude) ?? { ...pantryTables, making: { ...making, boiling: boilingPointsAt(altitude, making.boiling) } };
    if (tablesAt.size > MOST_HEIGHTS) tablesAt.clear();
    tablesAt.set(altitude, found);
    return found;
  };
  const rulesOf = kept((house: HouseRules) => {
    const rules = householdRules(tables.rules, house);
    const shipped = new Set(tables.diets.map(({ id }) => id));
    return { rules, diets: [...rules.values()].filter(({ id, kind }) => shipped.has(id) || kind === "own") };
  });
  const indexOf = kept((foods: Reference["foods"]) => ({
    matcher: createFoodMatcher(foods.values()),
    find: createFoodFinder([...foods.values(), ...namedOnly]),
  }));
  const candidatesOf = kept((foods: Reference["foods"]) => withOwnCandidates(shared.substitution, reference.foods, foods));
  const kitchenOf = kept((foods: Reference["foods"]) =>
    kept((constants: Reference["constants"]) =>
      kept((rules: ReturnType<typeof rulesOf>) =>
        kept((household: Household): Kitchen => {
          let reading: ReadingContext | null = null;
          const lifted = tablesOf(household.altitude);
          return {
            ...shared,
            ...rules,
            substitution: candidatesOf(foods),
            pantryTables: lifted,
            reference: { ...reference, foods, constants },
            household,
            get reading(): ReadingContext {
              return (reading ??= { foods, ...indexOf(foods), familyDensity, measures: household.measures, tables: lifted });
            },
          };
        }),
      ),
    ),
  );
  return ({ pantry, household, house, learned }) =>
    kitchenOf(foodsOf(pantry)(household.measures))(
      constantsOf(household.equipment ?? NO_EQUIPMENT)(household.learning?.isOff ? NOTHING_LEARNED : learned)(household.noticed),
    )(rulesOf(house))(household);
}
