/** Geometry of the large beam, in its viewBox of 180 × 62. */
export const BEAM = { width: 180, height: 62, pivotX: 90, pivotY: 21, arm: 56, string: 17, panHalf: 16, panDepth: 7, reach: 75 } as const;

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** A point at `radius` from the pivot on the right side, the beam tilted by `degrees` (positive is down). */
export function onRight(degrees: number, radius: number): readonly [x: number, y: number] {
  return [BEAM.pivotX + radius * Math.cos(radians(degrees)), BEAM.pivotY + radius * Math.sin(radians(degrees))];
}

/** Where both pans hang at a tilt. */
export function panPositions(degrees: number): { readonly left: readonly [number, number]; readonly right: readonly [number, number] } {
  const dx = BEAM.arm * Math.cos(radians(degrees));
  const dy = BEAM.arm * Math.sin(radians(degrees));
  return { left: [BEAM.pivotX - dx, BEAM.pivotY - dy], right: [BEAM.pivotX + dx, BEAM.pivotY + dy] };
}

/** Tilt of a relative deviation, as the models define it; for the edges of a wedge. */
export const tiltOfShare = (share: number): number => 16 * (1 - Math.exp(-share / 0.25));

const point = ([x, y]: readonly [number, number]) => `${x.toFixed(2)} ${y.toFixed(2)}`;

/** The sector between two tilts, on the right side, from the pivot to the pointer's reach. */
export function sector(from: number, to: number): string {
  return `M${BEAM.pivotX} ${BEAM.pivotY}L${point(onRight(from, BEAM.reach))}A${BEAM.reach} ${BEAM.reach} 0 0 ${to > from ? 1 : 0} ${point(onRight(to, BEAM.reach))}Z`;
}

/** A bracket over the interval between two tilts, just beyond the pointer. */
export function bracket(low: number, high: number): string {
  const [inner, outer] = [BEAM.reach + 1.5, BEAM.reach + 5];
  return `M${point(onRight(low, inner))}L${point(onRight(low, outer))}A${outer} ${outer} 0 0 ${high > low ? 1 : 0} ${point(onRight(high, outer))}L${point(onRight(high, inner))}`;
}

/** Tilt of a swinging beam `seconds` after it was let go at `from` above its rest: rest + from·e^(−5t)·cos 9t. */
export const swing = (rest: number, from: number, seconds: number): number => rest + from * Math.exp(-5 * seconds) * Math.cos(9 * seconds);
