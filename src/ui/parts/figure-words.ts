import { relativeHalfWidth, type Figure } from "../../core/numeric";
import { formatToSpread } from "../../core/units";
import { describeProperty, type PropertyId } from "../../core/evaluate";
import { bodyWords } from "../../core/models/texture";
import type { Constants } from "../../core/food";

type BodyAnchors = Pick<Constants, "bodyAnchors">;
export const isBody = (id: PropertyId): boolean => id.startsWith("body.");

/** A figure as a short text with its unit; body speaks in words, never in a bare step. */
export function figureText(figure: Figure, id: PropertyId, constants: BodyAnchors): string {
  if (isBody(id)) return bodyWords(figure.value, constants);
  const { unit } = describeProperty(id);
  return `${formatToSpread(figure.value, (figure.high - figure.low) / 2)}${unit ? ` ${unit}` : ""}`;
}

/** The 80 % interval in words: "10.4 to 13.1 g"; for body a range of words. */
export function rangeText(figure: Figure, id: PropertyId, constants: BodyAnchors): string {
  if (isBody(id)) {
    const [low, high] = [bodyWords(figure.low, constants), bodyWords(figure.high, constants)];
    return low === high ? low : `${low} to ${high}`;
  }
  const { unit } = describeProperty(id);
  const half = (figure.high - figure.low) / 2;
  if (relativeHalfWidth(figure) < 0.005) return figureText(figure, id, constants);
  return `${formatToSpread(figure.low, half)} to ${formatToSpread(figure.high, half)}${unit ? ` ${unit}` : ""}`;
}
