import Type from "typebox";
import { SERVING_TEMPERATURES } from "../../../core/food";
import { ATTRIBUTES, LIKING, type TastingAnswer } from "../../../core/sensory";
import { atLeastOne, compiled, distinct, oneOf, only, orNull, text } from "./shapes";

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
/** What somebody said: an eater by id, or a guest who was asked about allergies. */
export const validateTasting = compiled(
  only({
    id,
    eater: orNull(id),
    guest: Type.Union([Type.Null(), guest]),
    served: oneOf(SERVING_TEMPERATURES),
    // Somebody has settled what had to be asked.
    isSettled: Type.Boolean(),
    answer: TASTING_ANSWER,
  }),
);
/** One way of a change for next time: by so much of a food, or (null) by how far it is cooked down. */
export const validateNextTime = compiled(only({ attribute: oneOf(["sweetness", "body"]), food: orNull(text(100, 1)) }));
