/**
 * Piecewise linear interpolation through points of rising x; held constant outside them. Empty input gives 0.
 * @unit of y
 * @range between the points' y
 * @source linear interpolation
 */
export function interpolate(points: readonly (readonly [x: number, y: number])[], x: number): number {
  let before = points[0];
  if (!before) return 0;
  if (x <= before[0]) return before[1];
  for (const point of points) {
    if (x <= point[0]) {
      const span = point[0] - before[0];
      return span === 0 ? point[1] : before[1] + ((point[1] - before[1]) * (x - before[0])) / span;
    }
    before = point;
  }
  return before[1];
}

/**
 * Slope of `interpolate` at x; 0 outside the points, and at a point the slope before it.
 * @unit of y per unit of x
 * @range any
 * @source linear interpolation
 */
export function slopeAt(points: readonly (readonly [x: number, y: number])[], x: number): number {
  for (const [i, point] of points.entries()) {
    const before = points[i - 1];
    if (before && x > before[0] && x <= point[0]) return point[0] === before[0] ? 0 : (point[1] - before[1]) / (point[0] - before[0]);
  }
  return 0;
}
