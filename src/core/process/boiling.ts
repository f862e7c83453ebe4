import { interpolate } from "../numeric";
import { celsius, type Celsius } from "../units";

/** Boiling points of sugar solutions: per cent of dissolved solids, °C at sea level. */
export type BoilingPoints = readonly (readonly [percent: number, celsius: number])[];

/**
 * °C at which a syrup of so many per cent solids boils at sea level; straight lines between the table's points.
 * @unit °C
 * @range 0 to 100 % solids, at sea level
 * @source the table's source
 */
export const boilingPoint = (percent: number, table: BoilingPoints): Celsius => celsius(interpolate(table, percent));

/**
 * Per cent of solids of a syrup that boils at so many °C: the inverse of `boilingPoint`.
 * @unit % of solids
 * @range 100 °C to the table's last, at sea level
 * @source inverse of boilingPoint
 */
export const percentAtBoiling = (at: Celsius, table: BoilingPoints): number =>
  interpolate(
    table.map(([percent, boils]) => [boils, percent] as const),
    at,
  );

/** Metres of height for which water boils 1 °C lower. */
const METRES_PER_DEGREE = 300;

/** Boiling points at a height in m above the sea: all lower by as much as that of water (1 °C for some 300 m up to 3,000 m; rule of thumb). */
export const boilingPointsAt = (altitude: number, table: BoilingPoints): BoilingPoints =>
  altitude === 0 ? table : table.map(([percent, boils]) => [percent, boils - altitude / METRES_PER_DEGREE] as const);
