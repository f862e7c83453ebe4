import { solveQP } from "quadprog";
import { fail, succeed, type Result } from "./result";

/** Σ coefficients·x is at least (or, of an equality, just) `bound`. */
export interface LinearConstraint {
  readonly coefficients: readonly number[];
  readonly bound: number;
}

/** A sum of squares over x: of each row, ((Σ coefficients·x − bound)·weight)². */
export interface SquaredRow extends LinearConstraint {
  readonly weight: number;
}

export interface LeastSquares {
  /** How many numbers are sought. */
  readonly size: number;
  readonly rows: readonly SquaredRow[];
  readonly equalities: readonly LinearConstraint[];
  readonly atLeast: readonly LinearConstraint[];
}

/** Keeps the sum of squares strictly convex where the rows leave a number open. */
const RIDGE = 1e-9;

/** Counted from 1, as the solver counts; what stands at 0 is not looked at. */
const fromOne = <T>(list: readonly T[], unused: T): readonly T[] => [unused, ...list];

/**
 * The x of least squares under linear constraints (dual method of Goldfarb and Idnani 1983). Fails where no x meets the constraints.
 */
export function leastSquares({ size, rows, equalities, atLeast }: LeastSquares): Result<readonly number[], "no solution"> {
  const places = Array.from({ length: size }, (_, place) => place);
  const hessian = places.map((i) =>
    places.map((k) => rows.reduce((sum, row) => sum + row.weight ** 2 * (row.coefficients[i] ?? 0) * (row.coefficients[k] ?? 0), i === k ? RIDGE : 0)),
  );
  const linear = places.map((i) => rows.reduce((sum, row) => sum + row.weight ** 2 * (row.coefficients[i] ?? 0) * row.bound, 0));
  const constraints = [...equalities, ...atLeast];
  const { solution, message } = solveQP(
    fromOne(
      hessian.map((line) => fromOne(line, 0)),
      [],
    ),
    fromOne(linear, 0),
    fromOne(
      places.map((i) =>
        fromOne(
          constraints.map(({ coefficients }) => coefficients[i] ?? 0),
          0,
        ),
      ),
      [],
    ),
    fromOne(
      constraints.map(({ bound }) => bound),
      0,
    ),
    equalities.length,
  );
  const found = solution.slice(1);
  return message === "" && found.length === size && found.every(Number.isFinite) ? succeed(found) : fail("no solution");
}
