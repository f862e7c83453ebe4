import Type, { type Static } from "typebox";
import { KEEPING_KINDS } from "../../../core/models/keeping";
import { AMOUNT_IDS, describeAmount, type Amount } from "../../../core/evaluate";
import { baseOf } from "../../../core/models/diet";
import { HAZARD_FAMILIES, HAZARD_GRADES } from "../../../core/hazards";
import { ALLERGENS, SERVING_TEMPERATURES } from "../../../core/food";
import { FAULTS } from "../../../core/rescue";
import { RULES } from "../../../data";
import { figure, listOf, number, object, text } from "./described";
import { amount, atLeastOne, compiled, list, oneOf, only, some } from "./shapes";

/** Diets that are limits: their ids, and the limit that they set unless another is given, a serving. */
export const LIMIT_DIETS = { "low-free-sugars": 5, "blood-sugar-aware": 10, "low-saturated-fat": 5 } as const;

/** Diets and fasts by id; the single allergens among the rules are asked for by `avoidAllergens`, or here as "no-cashew". */
const DIET_IDS: readonly string[] = [...new Set([...RULES.keys()].map(baseOf)), ...Object.keys(LIMIT_DIETS)];

/** The schools of a diet by the words that ask for them: "usual" for the one taken without. */
export const schoolsOf = (id: string): readonly string[] =>
  id === "low-free-sugars"
    ? ["uk", "who"]
    : ["usual", ...[...RULES.keys()].filter((each) => each.startsWith(`${id}/`)).map((each) => each.slice(id.length + 1))];

const SCHOOLS = `One of the schools of the diet: ${DIET_IDS.filter((id) => schoolsOf(id).length > 1)
  .map((id) => `${id} (${schoolsOf(id).join(", ")})`)
  .join("; ")}. All others have one: usual.`;

const bound = <const Key extends string>(key: Key) => ({ [key]: amount(0, 100_000) }) as Record<Key, ReturnType<typeof amount>>;

/** A recipe and its table, as every question of the open interface takes them. */
const TABLE_REQUEST = {
  recipe: Type.Unsafe<unknown>({ type: ["object", "array"], description: "A schema.org Recipe as JSON-LD, alone, in a list, or inside @graph." }),
  diets: Type.Optional(
    list(
      only({ id: Type.Unsafe<string>({ type: "string", enum: DIET_IDS }), school: Type.Optional(Type.String({ maxLength: 40, description: SCHOOLS })) }),
      40,
    ),
  ),
  limits: Type.Optional(
    only({
      freeSugars: Type.Optional(only({ ...bound("max_g"), school: Type.Optional(oneOf(["uk", "who"])) })),
      energy: Type.Optional(only(bound("max_kJ"))),
      saturatedFat: Type.Optional(only(bound("max_g"))),
      glycaemicLoad: Type.Optional(only(bound("max"))),
      sodium: Type.Optional(only(bound("max_mg"))),
    }),
  ),
  avoidAllergens: Type.Optional(list(oneOf(ALLERGENS), 40)),
  servings: Type.Optional(some(1000)),
  serve: Type.Optional(oneOf(SERVING_TEMPERATURES)),
};
export const ADAPT_REQUEST = only({ ...TABLE_REQUEST, maxProposals: Type.Optional(Type.Integer({ minimum: 1, maximum: 5 })) });
export const validateAdapt = compiled(ADAPT_REQUEST);

export const RESCUE_REQUEST = only({
  ...TABLE_REQUEST,
  fault: Type.Union([oneOf(FAULTS), atLeastOne(oneOf(FAULTS), FAULTS.length)]),
  notAtHand: Type.Optional(
    Type.Array(Type.String({ minLength: 1, maxLength: 100 }), { maxItems: 200, description: "Ids of foods that nobody has at hand: no way out takes them." }),
  ),
  pot: Type.Optional(
    only({
      grams: Type.Optional(amount(0, 1_000_000)),
      celsius: Type.Optional(Type.Number({ minimum: -30, maximum: 200, description: "How warm it is; judged as it will be eaten." })),
      upToStep: Type.Optional(
        Type.Integer({ minimum: 1, maximum: 1000, description: "The step, from 1, up to which it was cooked; all of it is in where this is absent." }),
      ),
    }),
  ),
});
export const validateRescue = compiled(RESCUE_REQUEST);
export type TableRequest = Omit<Static<typeof ADAPT_REQUEST>, "maxProposals">;

const byTemperature = object(Object.fromEntries(SERVING_TEMPERATURES.map((serve) => [serve, figure])));
/** Amounts that stand by themselves; free sugars stand together, by their schools. */
export const TOLD_AMOUNTS = AMOUNT_IDS.filter((amount) => !amount.startsWith("freeSugars"));
/** An amount's name with its unit: "fat_g". */
export const amountKey = (amount: Amount): string => [amount, describeAmount(amount).unit].filter(Boolean).join("_");
const amounts = object({
  ...Object.fromEntries(TOLD_AMOUNTS.map((amount) => [amountKey(amount), figure])),
  energy_kcal: figure,
  freeSugars_g: object({ who: figure, uk: figure }),
});
const figureOrReason = { anyOf: [figure, object({ value: { type: "null" }, reason: text })] };
export const propertiesSchema = object({
  yield_g: figure,
  servings: number,
  sweetness: byTemperature,
  body: byTemperature,
  per100g: amounts,
  perServing: amounts,
  glycaemicLoad: figure,
  suppression_percent: figure,
  binding: figureOrReason,
  waterActivity: figureOrReason,
  ice_percent: figureOrReason,
  keeping: {
    anyOf: [
      object({ room_days: number, fridge_days: number, kind: { enum: [...KEEPING_KINDS] }, by: { enum: ["kind", "water activity"] } }),
      object({ room_days: { type: "null" }, fridge_days: { type: "null" }, reason: text }),
    ],
  },
  colour: object({ value: number, low: number, high: number, words: text, by: { type: ["string", "null"] } }),
  notes: listOf(object({ note: text, strength: number, from: listOf(text) })),
});
const line = object(
  {
    text,
    food: object({ id: text, name: text, provenance: { enum: ["measured", "reference", "typical", "label", "computed"] } }),
    grams: figure,
    role: text,
    change: text,
  },
  ["change"],
);

export const adaptResponseSchema = object({
  model: object({ version: text }),
  scale: object({ factor: number }),
  recipe: object({
    lines: listOf(line),
    unresolved: listOf(
      object({ line: { type: ["integer", "null"] }, text, why: text, guesses: listOf(object({ id: text, name: text, grams: number }, ["grams"])) }),
    ),
    properties: { $ref: "#/components/schemas/Properties" },
  }),
  findings: listOf(
    object({ line: { type: ["integer", "null"] }, step: { type: "integer" }, rule: text, school: text, verdict: { enum: ["ask", "avoid"] }, reason: text }, [
      "step",
    ]),
  ),
  proposals: listOf(
    object({
      label: text,
      reason: text,
      lines: listOf(line),
      steps: listOf(
        object({
          text,
          from: { type: ["integer", "null"] },
          why: text,
          operation: text,
          minutes: object({ shortest: number, usual: number, longest: number }),
          heat: { type: ["string", "null"] },
          cue: { type: ["string", "null"] },
          takes: listOf(object({ line: { type: "integer" }, grams: number })),
        }),
      ),
      hazards: listOf(
        object({
          step: { type: "integer" },
          family: { enum: HAZARD_FAMILIES },
          grade: { enum: HAZARD_GRADES },
          what: text,
          mend: text,
          school: { type: ["string", "null"] },
          changed: { type: ["string", "null"] },
          asHandedDown: { type: "boolean" },
        }),
      ),
      minutes: object({ all: number, handsOn: number, unattended: number, asHandedDown: number }),
      properties: { $ref: "#/components/schemas/Properties" },
      deviations: listOf(
        object({
          property: text,
          kind: { enum: ["likeness", "limit"] },
          state: { enum: ["inside", "just inside", "outside", "free"] },
          relative: figure,
          limit: { type: ["number", "null"] },
        }),
      ),
      notes: listOf(object({ kind: { enum: ["breaks", "ask", "watch", "know"] }, text })),
      solver: object({ status: text, gap: number, milliseconds: number }),
    }),
  ),
  ending: object(
    {
      kind: { enum: ["proposals", "nothing-to-change", "cannot-tell", "change-by-hand", "no-version-fits", "time-ran-out", "failed"] },
      reason: text,
      relation: { enum: ["any", "all"] },
      answers: listOf(
        object({ line: { type: ["integer", "null"] }, step: { type: ["integer", "null"] }, limit: { type: ["string", "null"] }, question: text }),
      ),
      clashes: listOf(object({ limit: text, given: { type: ["number", "string"] }, needed: { type: ["number", "string"] } })),
    },
    ["relation"],
  ),
});

export const rescueResponseSchema = {
  oneOf: [
    object({ kind: { const: "question" }, reason: text }),
    object({
      kind: { const: "ways out" },
      model: object({ version: text }),
      pot_g: number,
      target: { type: ["string", "null"] },
      question: { type: ["string", "null"] },
      warmth: { type: ["string", "null"] },
      breaks: listOf(text),
      stillToGoIn: listOf(object({ name: text, grams: number })),
      unread: listOf({ type: ["integer", "null"] }),
      waysOut: listOf(
        object({
          kind: { enum: ["mend", "deed", "turn into", "throw away"] },
          words: text,
          or: listOf(text),
          minutes: number,
          adds: listOf(object({ food: object({ id: text, name: text }), grams: figure })),
          boilOff_g: { anyOf: [figure, { type: "null" }] },
          pot_g: number,
          allergens: listOf(text),
          overLimits: listOf(text),
          change: number,
          shifts: listOf(object({ property: text, before: number, after: number, noticed: { type: "boolean" } })),
        }),
      ),
      notAtThisTable: listOf(object({ name: text, reason: text })),
    }),
  ],
};
