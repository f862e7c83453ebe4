import type { ValidateFunction } from "ajv";
import { MOVE_REASONS, STOCK_KINDS, STOCK_LIMITS, STOCK_PLACES } from "../../core/stock";
import { SERVING_TEMPERATURES } from "../../core/food";
import { MOST_TESTS } from "../../core/sensory";
import { COOK_LIMITS } from "../../core/cook";
import * as db from "../../db";
import { ajv } from "../http/ajv";
import { MOST_REVISION } from "../http/checked";
import { HOUSEHOLD_KEY } from "../kitchen/sources";
import { GATHERING, GATHERING_PLAN, GIVEN_ENTRIES } from "../http/schemas/gathering";
import { COOK_EVENT, COOK_GROUND, COOK_PLAN, PHOTO } from "../http/schemas/cook";
import { ANY_BENCH, TABLE, VERSION_LIMITS } from "../http/schemas/documents";
import { EATER_LISTS, RULE_LISTS, validateHousehold } from "../http/schemas/household";
import { PANTRY_LISTS } from "../http/schemas/pantry";
import { STORED_RECIPE } from "../http/schemas/recipe";
import { ANSWERS, RUN_RESULT } from "../http/schemas/practice";
import { TASTING_ANSWER, TRIANGLE } from "../http/schemas/taste";
import { SNAPSHOT_SCHEMA } from "../http/schemas/snapshot";

const text = { type: "string", minLength: 1, maxLength: 200 } as const;
const time = { type: "string", pattern: "^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}(\\.\\d{1,9})?(Z|[+-]\\d{2}(:?\\d{2}){0,2})$" } as const;
const timeOrNull = { anyOf: [time, { type: "null" }] } as const;
const revision = { type: "integer", minimum: 0, maximum: MOST_REVISION } as const;
const counted = { ...revision, minimum: 1 } as const;
const row = (properties: Record<string, object>) => ({ type: "object", additionalProperties: false, required: Object.keys(properties), properties });
const orNull = (schema: unknown) => ({ anyOf: [schema as object, { type: "null" }] });

const person = orNull(text);
const day = { type: "string", pattern: "^\\d{4}-\\d{2}-\\d{2}$" } as const;
const MOST_KEY = 1000;
/** A row of a list, whose things are as the list's own schema has them. */
const listed = ({ items }: { readonly items: object }) =>
  ajv.compile(
    row({ id: { ...text, maxLength: MOST_KEY }, place: { type: "integer", minimum: 0 }, document: items, written_at: timeOrNull, person_id: person }),
  );

export const ROWS: Readonly<Record<db.TableName, ValidateFunction>> = {
  recipe: ajv.compile(
    row({
      id: text,
      title: text,
      document: STORED_RECIPE,
      revision: counted,
      created_at: time,
      updated_at: time,
      deleted_at: timeOrNull,
      person_id: person,
    }),
  ),
  adaptation: ajv.compile(
    row({
      recipe_id: text,
      dining_table: orNull(TABLE),
      table_revision: revision,
      bench: orNull(ANY_BENCH),
      bench_revision: revision,
      updated_at: time,
      person_id: person,
    }),
  ),
  version: ajv.compile(
    row({
      id: text,
      recipe_id: orNull(text),
      title: text,
      label: { type: "string", maxLength: 200 },
      snapshot: SNAPSHOT_SCHEMA,
      kept_at: time,
      deleted_at: timeOrNull,
      parent_id: orNull(text),
      why: { type: "string", maxLength: VERSION_LIMITS.why },
      whom: { type: "string", maxLength: VERSION_LIMITS.whom },
      person_id: person,
    }),
  ),
  batch: ajv.compile(
    row({
      id: text,
      recipe_id: orNull(text),
      version_id: orNull(text),
      title: text,
      label: orNull({ type: "string", maxLength: 200 }),
      plan: COOK_PLAN,
      ground: COOK_GROUND,
      begun_at: time,
      ended_at: timeOrNull,
      got: orNull({ type: "number", exclusiveMinimum: 0, maximum: COOK_LIMITS.grams }),
      deleted_at: timeOrNull,
    }),
  ),
  cook_event: ajv.compile(row({ batch_id: text, place: { type: "integer", minimum: 1, maximum: COOK_LIMITS.events }, id: text, event: COOK_EVENT })),
  photo: ajv.compile(row({ batch_id: text, ...PHOTO, width: counted, height: counted, taken_at: time })),
  bench_state: ajv.compile(row({ recipe_id: text, revision: counted, bench: ANY_BENCH, replaced_at: time, person_id: person })),
  recipe_revision: ajv.compile(row({ recipe_id: text, revision: counted, document: STORED_RECIPE, replaced_at: time, person_id: person })),
  setting: ajv.compile({
    ...row({ key: text, value: {}, revision: counted, person_id: person }),
    if: { type: "object", properties: { key: { const: HOUSEHOLD_KEY } } },
    then: { type: "object", properties: { value: validateHousehold.schema as object } },
  }),
  collection: ajv.compile(row({ name: { enum: Object.keys(db.COLLECTIONS) }, revision: counted })),
  eater: listed(EATER_LISTS.eaters),
  own_food: listed(PANTRY_LISTS.foods),
  weighing: listed(PANTRY_LISTS.weighings),
  price: listed(PANTRY_LISTS.prices),
  pressing: listed(PANTRY_LISTS.pressings),
  food_name: listed(PANTRY_LISTS.names),
  own_rule: listed(RULE_LISTS.own),
  rule_answer: listed(RULE_LISTS.answers),
  tasting: ajv.compile(
    row({
      id: text,
      batch_id: text,
      eater_id: orNull(text),
      name: text,
      is_guest: { type: "boolean" },
      served: { enum: SERVING_TEMPERATURES },
      answer: TASTING_ANSWER,
      tasted_at: time,
    }),
  ),
  triangle_test: ajv.compile(
    row({
      id: text,
      batch_a: text,
      batch_b: text,
      ...TRIANGLE,
      seed: { type: "integer", minimum: -(2 ** 31), maximum: 2 ** 31 - 1 },
      server_id: orNull(text),
      server: text,
      begun_at: time,
      ended_at: timeOrNull,
    }),
  ),
  triangle_answer: ajv.compile(
    row({
      id: text,
      test_id: text,
      place: { type: "integer", minimum: 1, maximum: MOST_TESTS },
      eater_id: orNull(text),
      name: text,
      is_guest: { type: "boolean" },
      code: text,
      saw: { type: "boolean" },
      answered_at: time,
    }),
  ),
  practice_run: ajv.compile(
    row({
      id: text,
      kind: { enum: db.PRACTICES },
      eater_id: orNull(text),
      seed: { type: "integer", minimum: 0, maximum: 2 ** 31 - 1 },
      answer: { anyOf: Object.values(ANSWERS) },
      result: RUN_RESULT,
      at: time,
    }),
  ),
  stock: ajv.compile(
    row({
      id: text,
      food_id: orNull(text),
      name: { type: "string", minLength: 1, maxLength: 200 },
      kind: { enum: STOCK_KINDS },
      place: { enum: STOCK_PLACES },
      got_on: day,
      use_by: orNull(day),
      note: { type: "string", maxLength: STOCK_LIMITS.note },
      batch_id: orNull(text),
      revision: counted,
      written_at: time,
      person_id: person,
    }),
  ),
  stock_move: ajv.compile(
    row({
      id: text,
      stock_id: text,
      grams: { type: "number", minimum: -STOCK_LIMITS.grams, maximum: STOCK_LIMITS.grams },
      why: { enum: MOVE_REASONS },
      batch_id: orNull(text),
      at: time,
      person_id: person,
    }),
  ),
  gathering: ajv.compile(
    row({
      id: text,
      title: text,
      ready_at: time,
      document: GATHERING,
      revision: counted,
      plan: orNull(GATHERING_PLAN),
      calendar: GIVEN_ENTRIES,
      created_at: time,
      updated_at: time,
      deleted_at: timeOrNull,
      person_id: person,
    }),
  ),
  gathering_tick: ajv.compile(row({ gathering_id: text, what: { ...text, maxLength: 400 }, is_done: { type: "boolean" }, at: time, person_id: person })),
};
