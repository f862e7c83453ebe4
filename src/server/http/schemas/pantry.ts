import Type from "typebox";
import { ALLERGENS, FAMILIES, ORIGINS } from "../../../core/food";
import type { Making } from "../../../core/making";
import { PRICE_UNITS, type PantryDocument } from "../../../core/pantry";
import { amount, atLeastOne, distinct, isoDay, list, oneOf, only, orNull, schemaOf, some, text } from "./shapes";

const grams = amount(0, 1_000_000);
const someGrams = some(1_000_000);
const weighed = orNull(someGrams);
const allergens = distinct(oneOf(ALLERGENS), 30);
const printed = orNull(amount(0, 100_000));
const foodId = text(100, 1);
const at = text(40);

const label = only({
  per: some(10_000),
  energy: printed,
  energyUnit: oneOf(["kcal", "kJ"]),
  fat: printed,
  saturatedFat: printed,
  carbohydrate: printed,
  includesFibre: Type.Boolean(),
  sugars: printed,
  fibre: printed,
  protein: printed,
  salt: printed,
  saltUnit: oneOf(["g salt", "mg sodium"]),
});

const kind = <const Kind extends Making["kind"]>(name: Kind) => ({ kind: Type.Literal(name) });
const squeeze = oneOf(["hard", "loose"]);
const sugar = { sugar: foodId, grams: someGrams, water: grams };
const making = Type.Union([
  only({ ...kind("mixture"), parts: list(only({ foodId, grams: someGrams }), 60), finished: weighed }),
  only({
    ...kind("milk"),
    material: foodId,
    grams: someGrams,
    soaked: amount(0, 96),
    presses: atLeastOne(grams, 4),
    squeeze,
    holds: orNull(some(50)),
    weighedMilk: weighed,
    weighedPulp: weighed,
  }),
  only({ ...kind("paste"), fruit: foodId, grams: someGrams, water: grams, finished: weighed }),
  only({ ...kind("syrup"), ...sugar, filtered: Type.Boolean(), percent: amount(5, 99) }),
  only({ ...kind("caramel"), ...sugar, stage: oneOf(["light", "amber", "dark"]) }),
  only({ ...kind("roast"), flour: foodId, grams: someGrams, stage: oneOf(["pale", "golden", "deep"]), finished: weighed }),
]);

const meaning = Type.Union([
  only({ kind: Type.Literal("food"), id: foodId }),
  only({ kind: Type.Literal("additive"), code: text(40, 1) }),
  only({ kind: Type.Literal("harmless") }),
  Type.Null(),
]);
const packet = only({
  text: text(10_000),
  ingredients: list(only({ words: text(160), percent: orNull(amount(0, 100)), depth: Type.Integer({ minimum: 0, maximum: 3 }), means: meaning }), 80),
  keeps: Type.Union([only({ kind: oneOf(["best before", "use by"]), day: isoDay }), Type.Null()]),
});

const ownFood = only({
  id: Type.String({ pattern: "^own-[a-z0-9-]{1,80}$" }),
  name: text(100, 1),
  synonyms: list(text(60, 1), 20),
  family: oneOf(FAMILIES),
  origin: oneOf(ORIGINS),
  allergens,
  traces: allergens,
  made: Type.Union([only({ kind: Type.Literal("label"), label, packet: Type.Optional(packet) }), only({ kind: Type.Literal("made"), making, part: text(20) })]),
  density: orNull(some(25)),
  note: text(500),
  revision: Type.Integer({ minimum: 1, maximum: 1_000_000 }),
  handled: Type.Optional(only({ state: oneOf(["raw", "ready"]), texture: oneOf(["dry", "wet"]), minutes: amount(0, 600) })),
});

/** What a pantry lists; what came after the first two may be absent where it was stored before. */
export const PANTRY_LISTS = {
  foods: list(ownFood, 2000),
  weighings: list(only({ id: text(40), foodId: text(100), unit: text(30, 1), form: text(30), grams: some(100_000), at }), 20_000),
  prices: list(only({ foodId, price: amount(0, 10_000_000), amount: some(1_000_000), unit: oneOf(PRICE_UNITS), at }), 5000),
  pressings: list(only({ id: text(40), material: foodId, squeeze, holds: some(50), at }), 5000),
  names: list(only({ words: text(80, 1), foodId, at }), 2000),
};
const { foods, weighings, prices, pressings, names } = PANTRY_LISTS;

type SentPantry = Pick<PantryDocument, "foods" | "weighings"> & Partial<PantryDocument>;
export const validatePantry = schemaOf<SentPantry>()(
  only({ foods, weighings, prices: Type.Optional(prices), pressings: Type.Optional(pressings), names: Type.Optional(names) }),
);
