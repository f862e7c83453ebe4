import Type, { type Static } from "typebox";
import { ATTENTIONS } from "../../../core/recipe";
import { OBSTACLES } from "../../../core/plan";
import { listOf, number, object, text as words } from "./described";
import { amount, atLeastOne, compiled, list, oneOf, only, some, text } from "./shapes";

const id = Type.String({ minLength: 1, maxLength: 80, pattern: "^[^\\n]+$" });
const moment = Type.String({ minLength: 10, maxLength: 40, description: "Day, hour and zone, ISO 8601." });
const windows = Type.Optional(list(only({ from: moment, to: moment }), 100));
const count = (most: number) => Type.Integer({ minimum: 0, maximum: most });

const STEP = only({
  id,
  words: Type.Optional(text(1000)),
  minutes: amount(0, 20_000),
  attention: Type.Optional(oneOf(ATTENTIONS)),
  handsFirst_min: Type.Optional(
    Type.Number({ minimum: 0, maximum: 20_000, description: "So many of its first minutes need hands, though it waits by itself." }),
  ),
  after: Type.Optional(Type.Array(id, { maxItems: 50, description: "Steps of the same sweet that are done before; the one above where this is absent." })),
  within_min: Type.Optional(Type.Number({ minimum: 0, maximum: 20_000, description: "Each of these ended no longer than so many minutes before." })),
  burner: Type.Optional(Type.Boolean()),
  oven: Type.Optional(Type.Boolean()),
  mixer: Type.Optional(Type.Boolean()),
  tastes: Type.Optional(Type.Boolean()),
  fridge_l: Type.Optional(amount(0, 1000)),
  pot: Type.Optional(id),
});
/** Sweets with their steps, a kitchen, hours: what the open interface plans. */
export const SCHEDULE_REQUEST = only({
  ready: moment,
  now: Type.Optional(moment),
  sweets: atLeastOne(
    only({
      id,
      name: Type.Optional(text(200)),
      readyBy: Type.Optional(moment),
      freshFor_min: Type.Optional(some(50_000)),
      bestFor_min: Type.Optional(
        Type.Number({
          exclusiveMinimum: 0,
          maximum: 50_000,
          description: "Best where it is done no sooner before it is ready: it gives way before anything clashes.",
        }),
      ),
      steps: atLeastOne(STEP, 60),
      pots: Type.Optional(list(only({ id, ml: some(100_000) }), 20)),
    }),
    8,
  ),
  kitchen: only({
    cooks: Type.Optional(Type.Integer({ minimum: 1, maximum: 8 })),
    burners: count(12),
    ovens: Type.Optional(count(4)),
    mixers: Type.Optional(count(4)),
    pans: Type.Optional(list(only({ id: Type.Optional(id), name: Type.Optional(text(80)), ml: some(100_000) }), 30)),
    fridge_l: Type.Optional(amount(0, 2000)),
    quiet: windows,
    away: windows,
    nights: windows,
    notTasting: windows,
  }),
  pinned: Type.Optional(list(only({ sweet: id, step: id, at: moment }), 200)),
  seed: Type.Optional(Type.Integer({ minimum: 0, maximum: 2_147_483_647 })),
});
export type ScheduleRequest = Static<typeof SCHEDULE_REQUEST>;
export const validateSchedule = compiled(SCHEDULE_REQUEST);

const stepOf = { sweet: words, step: words };
export const scheduleResponseSchema = object({
  kind: { enum: ["planned", "clash"] },
  begin: { type: ["string", "null"] },
  steps: listOf(object({ ...stepOf, start: words, end: words, pan: { type: ["string", "null"] } })),
  bounds: object({ criticalPath_min: number, chain: listOf(object(stepOf)), handsInAll_min: number, latestBegin: { type: ["string", "null"] } }),
  twoThingsInHand_min: number,
  clashes: listOf(
    object({
      ...stepOf,
      because: { enum: [...OBSTACLES] },
      givesWay: listOf(object({ kind: words, ml: number, litres: number, minutes: number }, ["ml", "litres", "minutes"])),
    }),
  ),
});
