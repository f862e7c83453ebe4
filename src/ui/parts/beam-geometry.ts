/** Measures of a beam in its own viewBox: where the pivot is, how long its arm, its strings and its pointer are. */
export interface BeamGeometry {
  readonly width: number;
  readonly height: number;
  readonly pivotX: number;
  readonly pivotY: number;
  readonly arm: number;
  readonly string: number;
  readonly panHalf: number;
  readonly panDepth: number;
  /** How far the pointer and the wedge reach from the pivot. */
  readonly reach: number;
}

/** With figures and words around it. */
export const LARGE: BeamGeometry = { width: 180, height: 62, pivotX: 90, pivotY: 21, arm: 56, string: 17, panHalf: 16, panDepth: 7, reach: 75 };
/** Beside a figure that speaks for it. */
export const SMALL: BeamGeometry = { width: 54, height: 26, pivotX: 27, pivotY: 9, arm: 18.5, string: 6.5, panHalf: 6, panDepth: 3, reach: 25 };

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** A point at `radius` from the pivot on the right side, the beam tilted by `degrees` (positive is down). */
export function onRight({ pivotX, pivotY }: BeamGeometry, degrees: number, radius: number): readonly [x: number, y: number] {
  return [pivotX + radius * Math.cos(radians(degrees)), pivotY + radius * Math.sin(radians(degrees))];
}

/** Where both pans hang at a tilt. */
export function panPositions(
  { pivotX, pivotY, arm }: BeamGeometry,
  degrees: number,
): { readonly left: readonly [number, number]; readonly right: readonly [number, number] } {
  const dx = arm * Math.cos(radians(degrees));
  const dy = arm * Math.sin(radians(degrees));
  return { left: [pivotX - dx, pivotY - dy], right: [pivotX + dx, pivotY + dy] };
}

/** Tilt of a relative deviation, as the models define it; for the edges of a wedge. */
export const tiltOfShare = (share: number): number => 16 * (1 - Math.exp(-share / 0.25));

const point = ([x, y]: readonly [number, number]) => `${x.toFixed(2)} ${y.toFixed(2)}`;

/** The sector between two tilts, on the right side, from the pivot to the pointer's reach. */
export function sector(beam: BeamGeometry, from: number, to: number): string {
  const { reach } = beam;
  return `M${beam.pivotX} ${beam.pivotY}L${point(onRight(beam, from, reach))}A${reach} ${reach} 0 0 ${to > from ? 1 : 0} ${point(onRight(beam, to, reach))}Z`;
}

/** A bracket over the interval between two tilts, just beyond the pointer. */
export function bracket(beam: BeamGeometry, low: number, high: number): string {
  const [inner, outer] = [beam.reach + 1.5, beam.reach + 5];
  return `M${point(onRight(beam, low, inner))}L${point(onRight(beam, low, outer))}A${outer} ${outer} 0 0 ${high > low ? 1 : 0} ${point(onRight(beam, high, outer))}L${point(onRight(beam, high, inner))}`;
}

/** Tilt of a swinging beam `seconds` after it was let go at `from` above its rest: rest + from·e^(−5t)·cos 9t. */
export const swing = (rest: number, from: number, seconds: number): number => rest + from * Math.exp(-5 * seconds) * Math.cos(9 * seconds);
