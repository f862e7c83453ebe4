import Type from "typebox";
import { SAID_REASONS, STOCK_KINDS, STOCK_LIMITS, STOCK_PLACES } from "../../../core/stock";
import { amount, compiled, isoDay, oneOf, only, orNull, some, text } from "./shapes";

const { grams, name, note } = STOCK_LIMITS;
const id = text(80, 1);
const SAID = {
  foodId: orNull(text(100, 1)),
  name: text(name, 1),
  kind: oneOf(STOCK_KINDS),
  place: oneOf(STOCK_PLACES),
  gotOn: isoDay,
  useBy: orNull(isoDay),
  note: text(note),
};
/** Something put in stock; its id is made where it is typed, so that what is sent twice is one. */
export const validatePutIn = compiled(only({ id, ...SAID, grams: some(grams) }));
/** What is said of it, over the revision that was read. */
export const validateStockSaid = compiled(only(SAID));
/** Less of it, g and why; or what it weighs now. */
export const validateStockMove = compiled(
  Type.Union([only({ id, why: oneOf(SAID_REASONS), grams: some(grams) }), only({ id, why: Type.Literal("weighed"), grams: amount(0, grams) })]),
);
