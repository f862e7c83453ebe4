import { MASS_GRAMS } from "../units";
import { linePartsOf } from "./line-parts";

/**
 * What a line says that its thing weighs, whatever that is: "500 g rose syrup". Null where it gives no mass, or a range of it.
 * @unit g
 * @range above 0
 * @source the line
 */
export function massStated(text: string): number | null {
  const [amount, ...more] = linePartsOf(text).parts.flatMap(({ amounts }) => amounts);
  const grams = amount?.unit == null ? undefined : MASS_GRAMS[amount.unit];
  return amount && grams !== undefined && amount.upper === null && amount.size === null && more.length === 0 && amount.quantity > 0
    ? amount.quantity * grams
    : null;
}
