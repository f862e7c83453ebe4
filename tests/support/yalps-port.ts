import { solve } from "yalps";
import type { SolverPort } from "../../src/core/numeric";

/** A solver in plain JavaScript behind the same port, to check models against HiGHS. Lower bounds become rows. */
export const yalpsPort: SolverPort = async (model, options) => {
  const constraints = new Map<string, { min?: number; max?: number }>();
  const variables = model.columns.map((column) => new Map<string, number>([["cost", column.cost]]));
  const bound = (name: string, lower: number, upper: number) =>
    constraints.set(name, { ...(Number.isFinite(lower) ? { min: lower } : {}), ...(Number.isFinite(upper) ? { max: upper } : {}) });
  for (const row of model.rows) {
    bound(row.name, row.lower, row.upper);
    for (const [column, coefficient] of row.terms) variables[column]?.set(row.name, coefficient);
  }
  model.columns.forEach((column, i) => {
    if (column.lower === 0 && !Number.isFinite(column.upper)) return;
    bound(`bound_${column.name}`, column.lower, column.upper);
    variables[i]?.set(`bound_${column.name}`, 1);
  });
  const solution = solve(
    {
      direction: "minimize",
      objective: "cost",
      constraints,
      variables: new Map(model.columns.map((column, i) => [column.name, variables[i] ?? new Map<string, number>()])),
      integers: model.columns.filter((column) => column.integer).map((column) => column.name),
    },
    { timeout: options.timeLimitSeconds * 1000, tolerance: options.relativeGap, includeZeroVariables: true, maxIterations: 200_000 },
  );
  if (solution.status === "infeasible") return { kind: "infeasible" };
  if (solution.status !== "optimal") return { kind: "failed", why: solution.status };
  const values = new Map(solution.variables);
  return { kind: "optimal", objective: solution.result, gap: 0, values: Float64Array.from(model.columns, (column) => values.get(column.name) ?? 0) };
};
