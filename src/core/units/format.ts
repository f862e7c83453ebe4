/**
 * A number as text with no more digits than its spread bears: the last digit shown is the one the 80 % half width
 * begins in, and never more than three significant ones.
 */
export function formatToSpread(value: number, halfWidth: number): string {
  if (!Number.isFinite(value)) return "unknown";
  const magnitude = Math.abs(value);
  if (magnitude < 1e-9) return "0";
  const bySpread = halfWidth > 0 ? -Math.floor(Math.log10(halfWidth)) : 3;
  const bySize = 2 - Math.floor(Math.log10(magnitude));
  const decimals = Math.max(0, Math.min(bySpread, bySize, 3));
  return groupThousands(value.toFixed(decimals));
}

/** Grams as a kitchen reads them: two digits of a trace, 0.1 g below 10, whole grams to 500, then by 5. */
export function formatGrams(grams: number): string {
  if (grams > 0 && grams < 0.1) return String(Number(grams.toPrecision(2)));
  if (grams < 10) return trimZero(grams.toFixed(1));
  return groupThousands(String(grams < 500 ? Math.round(grams) : Math.round(grams / 5) * 5));
}

/** Less than this no kitchen scale tells, g. */
const LEAST_TOLD = 0.05;
/** Grams beside a measure: "78 g"; nothing where they are less than a scale tells and the measure says it ("12 strands"). */
export const gramsBeside = (grams: number, measure: string): string => (grams < LEAST_TOLD && measure !== "" ? "" : `${formatGrams(grams)} g`);

/** A relative change as signed whole per cent: "+12 %", "−9 %", "0 %". */
export function formatChange(share: number): string {
  const percent = Math.round(share * 100);
  return percent === 0 ? "0 %" : `${percent > 0 ? "+" : "−"}${Math.abs(percent)} %`;
}

/** A number with all its digits, thousands set apart: 12,345. Without the platform's own formatting, whose first use costs a phone a tenth of a second. */
export const formatNumber = (value: number): string => groupThousands(String(value));

const trimZero = (text: string) => text.replace(/\.0$/, "");

function groupThousands(text: string): string {
  const [whole = "", fraction] = text.split(".");
  const digits = whole.replace("-", "");
  const groups: string[] = [];
  for (let end = digits.length; end > 0; end -= 3) groups.unshift(digits.slice(Math.max(0, end - 3), end));
  const grouped = `${whole.startsWith("-") ? "-" : ""}${groups.join(",")}`;
  return fraction ? `${grouped}.${fraction}` : grouped;
}

/** "1 serving", "5.5 servings". */
export const servingsText = (servings: number): string => `${formatNumber(servings)} ${servings === 1 ? "serving" : "servings"}`;

/** With its first letter large, or small. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
export const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
