import Type from "typebox";
import { SERVING_TEMPERATURES } from "../../../core/food";
import { ATTRIBUTES, LIKING, MOST_TESTS, TRIANGLE_AIMS, type TastingAnswer } from "../../../core/sensory";
import { amount, atLeastOne, compiled, distinct, oneOf, only, orNull, text } from "./shapes";

const id = text(80, 1);
const step = Type.Unsafe<-2 | -1 | 0 | 1 | 2>({ type: "integer", minimum: -2, maximum: 2 });
/** What somebody said of a sweet, as it is sent and stored. */
export const TASTING_ANSWER = only({
  steps: Type.Unsafe<TastingAnswer["steps"]>({
    type: "object",
    additionalProperties: false,
    properties: Object.fromEntries(ATTRIBUTES.map((attribute) => [attribute, step])),
  }),
  liking: Type.Unsafe<number | null>({ type: ["integer", "null"], minimum: LIKING.least, maximum: LIKING.most }),
  word: text(500),
});
/** A guest: rules by what makes them ill, by id, and what else does, in their words; both empty where they said that nothing does. */
const guest = only({ name: text(60, 1), rules: distinct(text(80, 1), 60), other: text(200) });
/** Who may taste, with the guests that are named. */
export const validateGuests = compiled(only({ guests: atLeastOne(guest, 20) }));
/** Who tasted: an eater by id, or a guest who was asked about allergies. */
const WHO = {
  eater: orNull(id),
  guest: Type.Union([Type.Null(), guest]),
  // Somebody has settled what had to be asked.
  isSettled: Type.Boolean(),
};
/** What somebody said. */
export const validateTasting = compiled(only({ id, ...WHO, served: oneOf(SERVING_TEMPERATURES), answer: TASTING_ANSWER }));
/** A triangle test of two batches, the share of eaters that matters, and who serves: an eater by id, or anybody by name. */
export const TRIANGLE = {
  aim: oneOf(TRIANGLE_AIMS),
  tell: amount(0.1, 0.9),
  planned: Type.Integer({ minimum: 3, maximum: MOST_TESTS }),
  served: oneOf(SERVING_TEMPERATURES),
};
export const validateTriangle = compiled(only({ id, batches: distinct(id, 2, 2), ...TRIANGLE, server: only({ eater: orNull(id), name: text(60, 1) }) }));
/** The code of the cup that was chosen, of which set. */
export const validateTriangleAnswer = compiled(only({ id, ...WHO, place: Type.Integer({ minimum: 1, maximum: MOST_TESTS }), code: text(3, 3) }));
export const validateSaw = compiled(only({ saw: Type.Boolean() }));
/** One way of a change for next time: by so much of a food, or (null) by how far it is cooked down. */
export const validateNextTime = compiled(only({ attribute: oneOf(["sweetness", "body"]), food: orNull(text(100, 1)) }));
