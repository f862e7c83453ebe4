import Type from "typebox";
import { LADDER_STEPS } from "../../../core/practice";
import { amount, compiled, only, orNull, text } from "./shapes";

const grams = amount(0, 5000);
const TRY = { id: text(80, 1), eater: orNull(text(80, 1)), seed: Type.Integer({ minimum: 0, maximum: 2 ** 31 - 1 }) };
/** What is answered of each exercise; what it comes to is worked out here. */
export const ANSWERS = {
  "stop in time": only({ minutes: amount(0, 1000) }),
  "what went wrong": only({ liquid: grams, thickener: grams, sweetener: grams, "boil off": grams }),
  "guess the grams": only({ grams: Type.Number({ exclusiveMinimum: 0, maximum: 5000 }) }),
  "palate ladder": only({ step: Type.Unsafe<number>({ type: "number", enum: [...LADDER_STEPS] }), code: text(3, 3) }),
};
/** What a try came to, as it is kept. */
export const RUN_RESULT = only({
  miss: orNull(Type.Number()),
  food: Type.Optional(text(100, 1)),
  step: Type.Optional(Type.Number()),
  isRight: Type.Optional(Type.Boolean()),
});
const trial = <const Kind extends keyof typeof ANSWERS>(kind: Kind) => only({ ...TRY, kind: Type.Literal(kind), answer: ANSWERS[kind] });
export const validateTry = compiled(Type.Union([trial("stop in time"), trial("what went wrong"), trial("guess the grams"), trial("palate ladder")]));
export const validateForget = compiled(
  only({ eater: orNull(text(80, 1)), kind: Type.Unsafe<keyof typeof ANSWERS>({ type: "string", enum: Object.keys(ANSWERS) }) }),
);
