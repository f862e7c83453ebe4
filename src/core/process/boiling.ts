import { interpolate } from "../numeric";

/** Boiling points of sugar solutions: per cent of dissolved solids, °C at sea level. */
export type BoilingPoints = readonly (readonly [percent: number, celsius: number])[];

/** °C at which a syrup of so many per cent solids boils at sea level; straight lines between the table's points. */
export const boilingPoint = (percent: number, table: BoilingPoints): number => interpolate(table, percent);

/** Per cent of solids of a syrup that boils at so many °C: the inverse of `boilingPoint`. */
export const percentAtBoiling = (celsius: number, table: BoilingPoints): number =>
  interpolate(
    table.map(([percent, at]) => [at, percent] as const),
    celsius,
  );
