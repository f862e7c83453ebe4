import type { Highs } from "highs";
import type { LinearModel, SolveOptions, SolverOutcome, SolverPort } from "../../core/numeric";

/** Row-wise sparse arrays of a model, as HiGHS takes them. */
function sparse(model: LinearModel): { starts: Int32Array; indices: Int32Array; values: Float64Array } {
  const count = model.rows.reduce((sum, row) => sum + row.terms.length, 0);
  const starts = new Int32Array(model.rows.length + 1);
  const indices = new Int32Array(count);
  const values = new Float64Array(count);
  let at = 0;
  model.rows.forEach((row, r) => {
    starts[r] = at;
    for (const [column, coefficient] of row.terms) {
      indices[at] = column;
      values[at++] = coefficient;
    }
  });
  starts[model.rows.length] = at;
  return { starts, indices, values };
}

/** A solver port over a loaded HiGHS; every solve runs to its end on this thread, so it belongs in a worker. */
export function createHighsPort(highs: Highs): SolverPort {
  return async (model, options) => {
    try {
      return solve(highs, model, options);
    } catch (error) {
      return { kind: "failed", why: error instanceof Error ? error.message : String(error) };
    }
  };
}

function solve(highs: Highs, model: LinearModel, options: SolveOptions): SolverOutcome {
  const { modelStatus, variableType } = highs.constants;
  const integer = model.columns.some((column) => column.integer);
  const { starts, indices, values } = sparse(model);
  const instance = highs.createModel({
    numCols: model.columns.length,
    numRows: model.rows.length,
    colCost: model.columns.map((column) => column.cost),
    colLower: model.columns.map((column) => column.lower),
    colUpper: model.columns.map((column) => column.upper),
    rowLower: model.rows.map((row) => row.lower),
    rowUpper: model.rows.map((row) => row.upper),
    matrix: { format: "csr", numRows: model.rows.length, numCols: model.columns.length, starts, indices, values },
    ...(integer ? { integrality: model.columns.map((column) => (column.integer ? variableType.integer : variableType.continuous)) } : {}),
  });
  try {
    instance.options.set({
      output_flag: false,
      time_limit: options.timeLimitSeconds,
      mip_rel_gap: options.relativeGap,
      mip_abs_gap: 0.05,
      mip_allow_restart: false,
      mip_heuristic_effort: 0,
    });
    instance.run();
    const status = instance.getModelStatus();
    const gapOf = () => (integer ? Number(instance.info.get("mip_gap")) : 0);
    if (status === modelStatus.optimal)
      return { kind: "optimal", values: Float64Array.from(instance.getSolution().colValue), objective: instance.getObjectiveValue(), gap: gapOf() };
    if (status === modelStatus.infeasible || status === modelStatus.unboundedOrInfeasible) return { kind: "infeasible" };
    if (status === modelStatus.timeLimit || status === modelStatus.iterationLimit) {
      const has = Number(instance.info.get("primal_solution_status")) === highs.constants.solutionStatus.feasible;
      return {
        kind: "time ran out",
        incumbent: has ? { values: Float64Array.from(instance.getSolution().colValue), objective: instance.getObjectiveValue() } : null,
        gap: gapOf(),
        bound: integer ? Number(instance.info.get("mip_dual_bound")) : -Infinity,
      };
    }
    return { kind: "failed", why: `model status ${status}` };
  } finally {
    instance.dispose();
  }
}
