export { type Result, succeed, fail } from "./result";
export { Z80, type Figure, type Estimate, withShare, interval, relativeHalfWidth } from "./interval";
export { atLeast, normalBelow, proportionAtMost, tWithin } from "./distributions";
export { interpolate, slopeAt } from "./interpolate";
export { leastSquares, type LinearConstraint, type SquaredRow } from "./quadratic";
export { ModelBuilder, type LinearModel, type SolveOptions, type SolverOutcome, type SolverPort } from "./linear-model";
