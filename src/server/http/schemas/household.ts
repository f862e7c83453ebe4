import Type from "typebox";
import { ALLERGENS, FAMILIES, FOOD_FORMS, NUTRIENTS, ORIGINS, PROCESSINGS, SUGAR_CLASSES } from "../../../core/food";
import { BURNER_KINDS, type StoredHousehold } from "../../../core/household";
import { TRACES, type HouseRules } from "../../../core/models/diet";
import { LIKINGS } from "../../../core/models/sweetness";
import { AGE_BANDS, LIMIT_IDS, type EatersDocument } from "../../../core/table";
import { ENERGY_UNITS, MEASURE_WORDS, TEMPERATURE_UNITS } from "../../../core/units";
import { amount, compiled, distinct, isoDay, list, oneOf, only, orNull, schemaOf, some, text } from "./shapes";

const id = text(60, 1);
const name = text(80, 1);
const note = text(1000);

const RULE_ID = "^[a-z0-9-]{1,60}(/[a-z0-9-]{1,40})?$";
/** The form of a rule's id, with its school after a stroke. Which there are is the household's matter: `server/kitchen/house-rules.ts`. */
const ruleId = Type.String({ pattern: RULE_ID });
export const ruleIds = distinct(ruleId, 60);
const baseIds = distinct(Type.String({ pattern: "^[a-z0-9-]{1,60}$" }), 60);
export const limits = list(only({ id: oneOf(LIMIT_IDS), most: amount(0, 100_000), school: oneOf(["uk", "who"]) }), LIMIT_IDS.length);

/** What somebody leaves out, at home and at a table. */
const person = {
  rules: ruleIds,
  limits,
  traces: Type.Optional(oneOf(TRACES)),
  onDays: Type.Optional(baseIds),
  asked: Type.Optional(isoDay),
  age: Type.Optional(oneOf(AGE_BANDS)),
  taste: Type.Optional(oneOf(LIKINGS)),
};

/** The parts of a table that are made of rules and of who keeps them. */
export const tableParts = {
  rules: ruleIds,
  limits,
  falls: Type.Optional(orNull(baseIds)),
  seats: Type.Optional(list(only({ eater: id, name, servings: some(100), ...person }), 40)),
  otherSweets: Type.Optional(list(only({ recipe: id, servings: some(100) }), 20)),
};

// The household stands below the foods, and knows allergens by their ids alone.
const sharedWith = distinct(Type.Unsafe<string>(oneOf(ALLERGENS)), ALLERGENS.length);
const equipment = only({
  pans: list(only({ id, name: text(80), diameter: amount(5, 80), depth: amount(1, 60), mass: orNull(amount(0, 50_000)), sharedWith }), 30),
  burners: list(only({ id, name: text(80), kind: oneOf(BURNER_KINDS), power: amount(0.1, 20) }), 12),
  mixer: orNull(only({ sharedWith, litres: Type.Optional(amount(0.1, 20)) })),
  steamer: Type.Optional(orNull(only({ litres: amount(0.2, 60) }))),
  pressureCooker: orNull(only({ sharedWith, litres: amount(0.5, 60) })),
  fridge: orNull(amount(0, 2000)),
});

const days = Type.Integer({ minimum: 0, maximum: 3650 });

/** Ways of cooking that are held to: by way, the option. */
export const wayPicks = Type.Unsafe<Record<string, string>>({
  type: "object",
  maxProperties: 60,
  propertyNames: { pattern: "^[a-z -]{1,60}$" },
  additionalProperties: text(60),
});
export const validateHousehold = schemaOf<StoredHousehold>()(
  only({
    measures: only({
      cup: amount(100, 500),
      katori: amount(50, 300),
      tablespoon: amount(5, 30),
      teaspoon: amount(2, 10),
      words: oneOf(MEASURE_WORDS),
      byEye: Type.Optional(
        Type.Unsafe<Record<string, number>>({
          type: "object",
          maxProperties: 500,
          propertyNames: { maxLength: 100, minLength: 1 },
          additionalProperties: amount(0.02, 1),
        }),
      ),
    }),
    units: only({ energy: oneOf(ENERGY_UNITS), temperature: oneOf(TEMPERATURE_UNITS), currency: Type.Optional(text(12)) }),
    place: Type.Optional(orNull(only({ latitude: amount(-90, 90), longitude: amount(-180, 180), timeZone: text(60, 1) }))),
    altitude: Type.Optional(amount(-450, 6000)),
    equipment: Type.Optional(equipment),
    schools: Type.Optional(
      Type.Unsafe<Record<string, string>>({
        type: "object",
        maxProperties: 60,
        propertyNames: { pattern: "^[A-Za-z0-9-]{1,60}$" },
        additionalProperties: text(101),
      }),
    ),
    ways: Type.Optional(wayPicks),
    noticed: Type.Optional(amount(0.02, 0.6)),
    learning: Type.Optional(
      only({
        isOff: Type.Optional(Type.Boolean()),
        anew: Type.Optional(
          Type.Unsafe<Record<string, number>>({
            type: "object",
            maxProperties: 500,
            propertyNames: { maxLength: 260, minLength: 1 },
            additionalProperties: amount(0, 8.64e15),
          }),
        ),
      }),
    ),
    keeping: Type.Optional(
      Type.Unsafe<NonNullable<StoredHousehold["keeping"]>>({
        type: "object",
        maxProperties: 60,
        propertyNames: { minLength: 1, maxLength: 60 },
        additionalProperties: only({ room: Type.Optional(days), fridge: Type.Optional(days), freezer: Type.Optional(days) }),
      }),
    ),
    labelBook: Type.Optional(text(40, 1)),
    setUp: Type.Optional(Type.Boolean()),
  }),
);
const eater = only({
  id,
  name,
  note,
  ...person,
  until: Type.Optional(
    Type.Unsafe<Record<string, string>>({ type: "object", maxProperties: 60, propertyNames: { pattern: RULE_ID }, additionalProperties: isoDay }),
  ),
  portion: Type.Optional(some(20)),
});
export const EATER_LISTS = { eaters: list(eater, 40) };
export const validateEaters = schemaOf<EatersDocument>()(only(EATER_LISTS));

const someOf = <const Values extends readonly string[]>(values: Values) => Type.Optional(distinct(oneOf(values), values.length, 1));
const names = Type.Optional(distinct(text(100, 1), 200, 1));
const always = Type.Optional(Type.Literal(true));
const clause = only({
  verdict: oneOf(["allowed", "ask", "avoid"]),
  because: text(300),
  when: only({
    origins: someOf(ORIGINS),
    families: someOf(FAMILIES),
    allergens: someOf(ALLERGENS),
    plants: names,
    forms: someOf(FOOD_FORMS),
    processings: someOf(PROCESSINGS),
    sugarClasses: someOf(SUGAR_CLASSES),
    above: Type.Optional(Type.Tuple([oneOf(NUTRIENTS), amount(0, 100)])),
    alcohol: always,
    part: always,
    foods: names,
  }),
});
export const RULE_LISTS = {
  own: list(only({ id: Type.String({ pattern: "^own-[a-z0-9-]{1,56}$" }), name, from: orNull(ruleId), note, clauses: list(clause, 100) }), 60),
  answers: list(only({ rule: ruleId, food: text(100, 1), question: text(400, 1), verdict: oneOf(["allowed", "avoid"]), day: isoDay, note: text(300) }), 1000),
};
const houseRules = only(RULE_LISTS);
export const validateHouseRules = schemaOf<HouseRules>()(houseRules);
export const validateTouched = compiled(only({ document: houseRules }));
