import Type, { type Static } from "typebox";
import { GATHERING_LIMITS, type Gathering, type GatheringPlan } from "../../../core/plan";
import { ruleIds } from "./household";
import { amount, compiled, distinct, isoDay, list, only, orNull, schemaOf, some, text } from "./shapes";

const { title, name, note, sweets, guests, people, servings, away, pins, before } = GATHERING_LIMITS;
const id = text(80, 1);
const hour = Type.String({ pattern: "^([01]\\d|2[0-3]):[0-5]\\d$" });
const count = (least: number, most: number) => Type.Integer({ minimum: least, maximum: most });
const MINUTES = 100_000;

const SWEET = only({
  id,
  recipe: id,
  version: orNull(id),
  title: text(300, 1),
  label: orNull(text(200)),
  servings: some(servings),
  takeHome: amount(0, servings),
  before: count(0, before),
});
const GUEST = only({ id, name: text(name, 1), count: count(1, people), rules: ruleIds, isAsked: Type.Boolean() });

/** A gathering as it is edited and stored. */
export const GATHERING = only({
  title: text(title, 1),
  day: isoDay,
  hour,
  timeZone: text(60, 1),
  eaters: distinct(id, 100),
  guests: list(GUEST, guests),
  sweets: list(SWEET, sweets),
  cooks: count(1, 8),
  burners: orNull(count(0, 12)),
  quiet: Type.Union([only({ from: hour, to: hour }), Type.Null()]),
  away: list(only({ id, day: isoDay, from: hour, to: hour }), away),
  noTasteBefore: orNull(hour),
  begin: Type.Union([only({ day: isoDay, hour }), Type.Null()]),
  pins: Type.Unsafe<Record<string, string>>({
    type: "object",
    maxProperties: pins,
    propertyNames: { maxLength: 300 },
    additionalProperties: { type: "string", pattern: "^\\d{4}-\\d{2}-\\d{2}T([01]\\d|2[0-3]):[0-5]\\d$" },
  }),
  note: text(note),
});
export const validateGathering = schemaOf<Gathering>()(GATHERING);

/** A new one; its id is made where it is typed, so that what is sent twice is one. */
export const validateNewGathering = compiled(only({ id, document: GATHERING }));

const minute = amount(-MINUTES, MINUTES);
/** What a gathering was solved to. */
export const GATHERING_PLAN = only({
  key: text(60, 1),
  placed: list(only({ id: text(300, 1), start: minute, end: minute, pan: orNull(text(80)) }), 800),
  solvedAt: amount(0, 1e15),
  latestStart: Type.Optional(minute),
});
export const validatePlan = schemaOf<GatheringPlan>()(GATHERING_PLAN);

/** Something that is ticked off, or not any more; when, ms. */
export const validateTicks = compiled(only({ ticks: list(only({ what: text(400, 1), isDone: Type.Boolean(), at: amount(0, 1e15) }), 500) }));

const GIVEN = only({
  sequence: count(0, 1_000_000),
  start: amount(-1e15, 1e15),
  minutes: amount(0, MINUTES),
  title: text(400),
  words: text(6000),
  isCancelled: Type.Boolean(),
});
/** Entries as calendars were last given them. */
export const GIVEN_ENTRIES = Type.Unsafe<Record<string, Static<typeof GIVEN>>>({
  type: "object",
  maxProperties: 5000,
  propertyNames: { maxLength: 400 },
  additionalProperties: GIVEN,
});
export const validateGiven = compiled(GIVEN_ENTRIES);
