import Type from "typebox";
import { COOK_LIMITS, FRUIT_SWEETNESSES, HOLDS, type CookEvent, type CookPlan } from "../../../core/cook";
import { ROLES, SERVING_TEMPERATURES } from "../../../core/food";
import { BURNER_KINDS } from "../../../core/household";
import { STOCK_PLACES } from "../../../core/stock";
import { ATTENTIONS, HEATS, OPERATIONS, RECIPE_LIMITS } from "../../../core/recipe";
import type { CookGround } from "../../../core/views";
import { BENCH, TABLE } from "./documents";
import { STORED_RECIPE } from "./recipe";
import { amount, atLeastOne, compiled, isoDay, list, oneOf, only, orNull, schemaOf, some, text } from "./shapes";

const id = text(80, 1);
const words = text(COOK_LIMITS.text);
const said = text(COOK_LIMITS.text, 1);
const name = text(COOK_LIMITS.name, 1);
const grams = amount(0, 1_000_000);
const of = <const Kind extends string>(kind: Kind) => Type.Literal(kind);

// By the clock of where it happened, ms; far below what a date holds.
const made = { id, at: Type.Integer({ minimum: 0, maximum: 10_000_000_000_000 }) };
const centimetres = amount(0, 100_000);
const SET_UP = only({
  pan: Type.Union([Type.Null(), only({ name, diameter: centimetres, grams: orNull(grams) })]),
  burner: Type.Union([Type.Null(), only({ name, kind: oneOf(BURNER_KINDS), power: amount(0, 20) })]),
  tasting: Type.Boolean(),
});
/** One event, as it comes in; what it says is judged by the core, against the session. */
export const COOK_EVENT = Type.Union([
  only({ ...made, kind: of("started") }),
  only({ ...made, kind: of("ready"), food: id, isReady: Type.Boolean() }),
  only({ ...made, kind: of("done"), step: id }),
  only({ ...made, kind: of("skipped"), step: id }),
  only({ ...made, kind: of("went to"), step: id }),
  only({ ...made, kind: of("lot done"), step: id }),
  only({ ...made, kind: of("goes on"), step: id, who: orNull(name) }),
  only({ ...made, kind: of("step added"), step: id, text: said, after: orNull(id) }),
  only({ ...made, kind: of("note"), text: said, step: orNull(id) }),
  only({ ...made, kind: of("timer started"), timer: id, step: orNull(id), label: name, seconds: amount(0, 10_000_000) }),
  only({ ...made, kind: of("timer longer"), timer: id, seconds: amount(0, 10_000_000) }),
  only({ ...made, kind: of("timer stopped"), timer: id }),
  only({ ...made, kind: of("put in"), line: orNull(id), food: orNull(text(100, 1)), name, grams, word: text(COOK_LIMITS.name) }),
  only({ ...made, kind: of("set up"), setUp: SET_UP }),
  only({ ...made, kind: of("heat"), heat: oneOf(HEATS) }),
  only({ ...made, kind: of("held back"), line: id, grams }),
  only({ ...made, kind: of("enough"), line: id }),
  only({ ...made, kind: of("amount set"), line: id, grams }),
  only({
    ...made,
    kind: of("fruit tasted"),
    line: id,
    sweetness: Type.Union([only({ by: of("tongue"), is: oneOf(FRUIT_SWEETNESSES) }), only({ by: of("refractometer"), brix: amount(-100, 1000) })]),
  }),
  only({ ...made, kind: of("stop at"), grams: orNull(grams) }),
  only({ ...made, kind: of("weighed"), grams, pan: grams }),
  only({ ...made, kind: of("depth"), centimetres, diameter: centimetres, grams, sd: grams }),
  only({ ...made, kind: of("temperature"), celsius: amount(-1000, 10_000), place: Type.Optional(text(60)) }),
  only({
    ...made,
    kind: of("set aside"),
    name,
    grams: orNull(grams),
    day: Type.Optional(isoDay),
    serve: Type.Optional(oneOf(SERVING_TEMPERATURES)),
    sugar: Type.Optional(grams),
  }),
  only({
    ...made,
    kind: of("turned out"),
    when: oneOf(["hot", "chilled"]),
    body: orNull(amount(0, 10)),
    off: text(COOK_LIMITS.text),
    holds: Type.Optional(orNull(oneOf(HOLDS))),
  }),
  only({ ...made, kind: of("ended"), grams: orNull(grams) }),
  only({ ...made, kind: of("stock"), isTaken: Type.Boolean() }),
  only({ ...made, kind: of("left over"), grams, place: oneOf(STOCK_PLACES), useBy: orNull(isoDay), what: Type.Optional(name) }),
  only({ ...made, kind: of("taken up again") }),
  only({ ...made, kind: of("taken back"), event: id }),
]);
/** Events of one batch, in the order in which they happened. */
export const validateCookEvents = schemaOf<{ readonly events: readonly CookEvent[] }>()(only({ events: atLeastOne(COOK_EVENT, 200) }));

/** What is to be cooked: a kept version, or the recipe as it was handed down. */
/** A JPEG, base64, and which shade was picked from it. */
const shade = orNull(Type.String({ pattern: "^#[0-9a-f]{6}$" }));
const jpeg = (most: number) => Type.String({ minLength: 100, maxLength: most, pattern: "^[A-Za-z0-9+/]+={0,2}$" });
export const PHOTO = { jpeg: jpeg(1_398_104), shade };
// One that is too large is said in bytes, where it is taken in.
export const validatePhoto = compiled(only({ jpeg: jpeg(2_000_000), shade }));
export const validateShade = compiled(only({ shade }));

const OF = { recipeId: text(60, 1), versionId: orNull(text(60, 1)) };
export const validateStart = compiled(only(OF));
/** A batch to be made as another was. */
export const validateAsLastTime = compiled(only({ like: text(80, 1) }));
/** A batch that is entered after the fact: when, what it weighed, how it turned out. */
export const validateAfterwards = compiled(
  only({
    ...OF,
    // Made at the page, so that what is sent twice is there once.
    id: Type.String({ pattern: "^[A-Za-z0-9-]{1,80}$" }),
    at: made.at,
    grams: orNull(some(COOK_LIMITS.grams)),
    body: orNull(amount(0, 10)),
    holds: orNull(oneOf(HOLDS)),
    note: text(COOK_LIMITS.text),
  }),
);

const share = amount(-1, 2);
const optional = Type.Optional(share);
const DRAWING = Type.Union([
  only({
    instrument: of("pan"),
    contents: oneOf(["liquid", "grains", "mass", "crumbs", "lumps"]),
    bubbles: optional,
    trail: optional,
    away: optional,
    fat: optional,
  }),
  only({ instrument: of("pot"), level: share, from: optional, foam: optional, steam: optional }),
  only({ instrument: of("spoon"), body: amount(0, 10) }),
  only({ instrument: of("ball"), holds: share, fat: optional }),
  only({ instrument: of("thread"), threads: amount(0, 5), reach: share }),
  only({ instrument: of("glass"), drop: oneOf(["cloud", "soft ball", "hard ball", "thread"]) }),
  only({ instrument: of("plate"), set: share }),
  only({ instrument: of("pieces"), shape: oneOf(["grain", "nut", "round", "puff", "shred"]), core: optional, swell: optional, burst: optional }),
  only({ instrument: of("skewer"), clings: share, cracks: optional }),
  only({ instrument: of("cloth"), drips: share }),
]);
const step = amount(0, 5);
const three = <S extends Parameters<typeof Type.Tuple>[0][number]>(each: S) => Type.Tuple([each, each, each], { minItems: 3, maxItems: 3 });
const CUE = only({
  id: text(80, 1),
  of: text(80),
  told: list(only({ sense: oneOf(["sight", "sound", "smell", "touch", "bite", "test"]), words: three(words) }), 6),
  draw: three(DRAWING),
  shade: orNull(only({ steps: three(step), words: three(text(40)) })),
  by: orNull(text(300)),
});
const minutes = amount(0, 1_000_000);
const shares = list(only({ line: id, share: amount(0, 1) }), 2 * RECIPE_LIMITS.lines);
const text5 = text(5 * RECIPE_LIMITS.stepCharacters);
/** What is cooked, as it was when it began. */
export const COOK_PLAN = only({
  title: text(200, 1),
  label: orNull(text(100)),
  servings: some(1000),
  grams,
  serve: oneOf(SERVING_TEMPERATURES),
  notFor: list(text(200), 100),
  unread: Type.Integer({ minimum: 0, maximum: 10_000 }),
  steps: list(
    only({
      id,
      text: text5,
      part: orNull(text(200)),
      minutes: only({ shortest: minutes, usual: minutes, longest: minutes }),
      attention: oneOf(ATTENTIONS),
      cue: orNull(text5),
      cues: list(CUE, 4),
      hazards: list(only({ what: words, mend: words }), 60),
      atOnce: orNull(text(200)),
      isBefore: Type.Boolean(),
      takes: shares,
      pot: shares,
      operation: Type.Optional(oneOf(OPERATIONS)),
      learned: Type.Optional(amount(-5, 5)),
      lots: Type.Optional(Type.Integer({ minimum: 2, maximum: 20 })),
      heat: orNull(oneOf(HEATS)),
      driven: amount(-1_000_000, 1_000_000),
      pressure: Type.Union([Type.Null(), only({ minutes, comingUp: minutes })]),
    }),
    4 * RECIPE_LIMITS.steps,
  ),
  lines: list(only({ id, food: text(100), name: text(200), grams, measure: text(100), role: oneOf(ROLES) }), 2 * RECIPE_LIMITS.lines),
  tools: list(text(200), 40),
});
export const validatePlan = schemaOf<CookPlan>()(COOK_PLAN);
/** From what it was begun: the recipe, the table and what lay on the bench then. */
export const COOK_GROUND = only({ recipe: STORED_RECIPE, table: TABLE, bench: Type.Union([Type.Null(), BENCH]) });
export const validateGround = schemaOf<CookGround>()(COOK_GROUND);
