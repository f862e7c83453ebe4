import { relativeHalfWidth, type Figure } from "../../core/numeric";
import { formatNumber, formatToSpread, inEnergyUnit, type HouseholdUnits } from "../../core/units";
import { propertyOf, type PropertyId } from "../../core/evaluate";
import { bodyWords } from "../../core/models/texture";
import type { Constants } from "../../core/food";

/** By what a figure is put into words: the anchors of body, and the household's unit of energy. */
export interface FigureManner {
  readonly constants: Pick<Constants, "bodyAnchors">;
  readonly energy: HouseholdUnits["energy"];
}

export const isBody = (id: PropertyId): boolean => id.startsWith("body.");

/** A value given in a core unit, and its unit, as the household reads it. */
export const inHouseUnit = (value: number, unit: string, { energy }: Pick<FigureManner, "energy">): { readonly value: number; readonly unit: string } =>
  unit === "kJ" ? { value: inEnergyUnit(value, energy), unit: energy } : { value, unit };

/** A plain amount of a property with its unit: "3.3 g", "210 kcal". */
export function amountText(amount: number, spread: number, id: PropertyId, manner: Pick<FigureManner, "energy">): string {
  const { value, unit } = inHouseUnit(amount, propertyOf(id).unit, manner);
  return `${formatToSpread(value, (spread * value) / (amount || 1))}${unit ? ` ${unit}` : ""}`;
}

/** An amount that somebody set, with no more digits than were given: "8 g". */
export function givenText(amount: number, id: PropertyId, manner: Pick<FigureManner, "energy">): string {
  const { value, unit } = inHouseUnit(amount, propertyOf(id).unit, manner);
  return `${formatNumber(Number(value.toPrecision(3)))}${unit ? ` ${unit}` : ""}`;
}

/** A figure as a short text with its unit; body speaks in words, never in a bare step. */
export const figureText = (figure: Figure, id: PropertyId, manner: FigureManner): string =>
  isBody(id) ? bodyWords(figure.value, manner.constants) : amountText(figure.value, (figure.high - figure.low) / 2, id, manner);

/** The 80 % interval in words: "10.4 to 13.1 g"; for body a range of words. */
export function rangeText(figure: Figure, id: PropertyId, manner: FigureManner): string {
  if (isBody(id)) {
    const [low, high] = [bodyWords(figure.low, manner.constants), bodyWords(figure.high, manner.constants)];
    return low === high ? low : `${low} to ${high}`;
  }
  if (relativeHalfWidth(figure) < 0.005) return figureText(figure, id, manner);
  const unit = propertyOf(id).unit;
  const [low, high] = [inHouseUnit(figure.low, unit, manner), inHouseUnit(figure.high, unit, manner)];
  const half = (high.value - low.value) / 2;
  return `${formatToSpread(low.value, half)} to ${formatToSpread(high.value, half)}${low.unit ? ` ${low.unit}` : ""}`;
}
