import Type from "typebox";
import { benchFrom1, benchFrom2, type StoredBench, type StoredBench1, type StoredBench2, type StoredProposals } from "../../../core/adaptation";
import { PROPOSAL_PLANS } from "../../../core/substitution";
import { ROLES, SERVING_TEMPERATURES } from "../../../core/food";
import { RECIPE_LIMITS, type Recipe } from "../../../core/recipe";
import { AIMS, BATCH_BY, GOALS, type DiningTable } from "../../../core/table";
import { limits, ruleIds, tableParts, wayPicks } from "./household";
import { RECIPE } from "./recipe";
import { amount, atLeastOne, compiled, isoDay, list, oneOf, only, orNull, schemaOf, some, text } from "./shapes";

const grams = amount(0, 1_000_000);
const servings = some(1000);
const serve = oneOf(SERVING_TEMPERATURES);

const lineOf = text(60, 1);
const foodOf = text(100, 1);
const of = <const Kind extends string>(kind: Kind) => Type.Literal(kind);
const WISH = Type.Union([
  only({ kind: of("line stays"), line: lineOf }),
  only({ kind: of("line leaves"), line: lineOf }),
  only({ kind: of("line at most"), line: lineOf, grams }),
  only({ kind: of("food never"), food: foodOf }),
  only({ kind: of("food goes in"), food: foodOf, grams }),
  only({ kind: of("goal"), goal: oneOf(GOALS), aim: oneOf(AIMS), value: orNull(amount(0, 10_000)) }),
  only({ kind: of("cost at most"), most: amount(0, 1_000_000) }),
]);

export const TABLE = only({
  ...tableParts,
  servings,
  wishes: Type.Optional(list(WISH, 2 * RECIPE_LIMITS.lines)),
  batch: Type.Optional(oneOf(BATCH_BY)),
  serve,
  day: Type.Optional(orNull(isoDay)),
  hour: Type.Optional(orNull(Type.String({ pattern: "^([01]\\d|2[0-3]):[0-5]\\d$" }))),
});
export const validateTable = schemaOf<DiningTable>()(TABLE);

const rowPart = {
  foodId: orNull(text(100)),
  grams,
  role: oneOf(ROLES),
  change: oneOf(["as is", "amount", "replaced", "added", "left out"]),
  why: text(200),
};
const row2 = { ...rowPart, line: orNull(text(60)), was: orNull(only({ foodId: text(100), name: text(200), grams })) };
const rows = <Properties extends Parameters<typeof only>[0]>(properties: Properties) => list(only(properties), 2 * RECIPE_LIMITS.lines);
const benchPart = {
  from: Type.Optional(text(60)),
  label: text(100),
  // Below 0: water is taken up.
  evaporation: amount(-1_000_000, 1_000_000),
};
const benchPart2 = { ...benchPart, madeFor: only({ rules: ruleIds, limits, servings, serve }), byHand: Type.Boolean() };
const stepId = text(80, 1);
const ownSteps = only({
  texts: list(only({ step: stepId, text: text(RECIPE_LIMITS.stepCharacters, 1) }), 2 * RECIPE_LIMITS.steps),
  order: orNull(list(stepId, 4 * RECIPE_LIMITS.steps)),
});
export const BENCH = only({
  schema: Type.Literal(3),
  ...benchPart2,
  steps: Type.Optional(ownSteps),
  ways: Type.Optional(wayPicks),
  rows: rows({ ...row2, id: text(60, 1) }),
});
/** As benches were stored second, and first. */
const BENCH_2 = only({ schema: Type.Literal(2), ...benchPart2, rows: rows(row2) });
const BENCH_1 = only({ basis: text(20), ...benchPart, rows: rows({ ...rowPart, line: orNull(Type.Integer({ minimum: 0, maximum: RECIPE_LIMITS.lines })) }) });

export const validateBench = schemaOf<StoredBench>()(BENCH);
const validateBench2 = schemaOf<StoredBench2>()(BENCH_2);
const validateBench1 = schemaOf<StoredBench1>()(BENCH_1);
/** A bench as a window may send it. */
export const validateSentBench = schemaOf<StoredBench | StoredBench2>()(Type.Union([BENCH, BENCH_2]));
/** A bench as it may come in from a store, of whatever schema. */
export const ANY_BENCH = Type.Union([BENCH, BENCH_2, BENCH_1]);

/** A stored bench as it is today, of whatever schema it was stored in; null where it is none. */
export const readBench = (stored: unknown, recipe: Recipe, table: DiningTable): StoredBench | null =>
  validateBench(stored) ? stored : validateBench2(stored) ? benchFrom2(stored) : validateBench1(stored) ? benchFrom1(stored, recipe, table) : null;

const proposal = only({
  plan: oneOf(PROPOSAL_PLANS),
  label: text(300),
  solver: only({ status: oneOf(["optimal", "best so far"]), gap: Type.Number(), milliseconds: amount(0, 1e9) }),
  evaporation: benchPart.evaporation,
  rows: rows({ ...rowPart, id: text(60, 1), line: orNull(text(60)) }),
});
export const validateProposals = schemaOf<StoredProposals>()(only({ basis: text(4000, 1), proposals: atLeastOne(proposal, 10) }));

/** A table that recipes are sought for; `leave`: the recipe that it was set for, which is not looked at. */
export const validateSuited = schemaOf<{ readonly table: DiningTable; readonly leave: string | null }>()(only({ table: TABLE, leave: orNull(text(60)) }));

export const validatePaste = compiled(only({ text: text(2 * RECIPE_LIMITS.characters) }));
/** Recipes that were read and looked at, with the versions that came with them: each is checked as a kept one is. */
export const validateImport = compiled(
  only({
    recipes: atLeastOne(RECIPE, 200),
    versions: Type.Optional(list(only({ recipe: Type.Integer({ minimum: 0, maximum: 199 }), snapshot: Type.Unknown() }), 200)),
  }),
);
/** Of a pot that is split: who eats of it, and before which step (by place, from 1) it is parted. */
const PORTION = only({ eaters: atLeastOne(text(60, 1), 40), before: Type.Integer({ minimum: 1, maximum: RECIPE_LIMITS.steps }) });
export const validateKeep = compiled(only({ recipeId: text(60), bench: BENCH, notFor: Type.Optional(Type.Boolean()), portion: Type.Optional(PORTION) }));
/** Characters of what is told of a kept version. */
export const VERSION_LIMITS = { label: 100, why: 1000, whom: 2000 } as const;
export const validateDescription = compiled(only({ label: text(VERSION_LIMITS.label, 1), why: text(VERSION_LIMITS.why), whom: text(VERSION_LIMITS.whom) }));
