/** A mixed-integer linear programme in plain arrays: what the solver port takes. Minimised. */
export interface LinearModel {
  readonly columns: readonly Column[];
  readonly rows: readonly Row[];
}
export interface Column {
  readonly name: string;
  readonly lower: number;
  readonly upper: number;
  readonly cost: number;
  readonly integer: boolean;
}
export interface Row {
  readonly name: string;
  readonly lower: number;
  readonly upper: number;
  readonly terms: readonly (readonly [column: number, coefficient: number])[];
}

export interface SolveOptions {
  readonly timeLimitSeconds: number;
  readonly relativeGap: number;
}

/** Every ending of one solve, by name; no solution is better than its bound. */
export type SolverOutcome =
  | { readonly kind: "optimal"; readonly values: Float64Array; readonly objective: number; readonly gap: number }
  | {
      readonly kind: "time ran out";
      readonly incumbent: { readonly values: Float64Array; readonly objective: number } | null;
      readonly gap: number;
      readonly bound: number;
    }
  | { readonly kind: "infeasible" }
  | { readonly kind: "failed"; readonly why: string };

/** The port to a solver; HiGHS stands behind it in the app, another one in the tests. */
export type SolverPort = (model: LinearModel, options: SolveOptions) => Promise<SolverOutcome>;

/** Builds a model column by column and row by row; names must be unique. */
export class ModelBuilder {
  private readonly columns: Column[] = [];
  private readonly rows: Row[] = [];

  column(name: string, lower: number, upper: number, cost = 0, integer = false): number {
    this.columns.push({ name, lower, upper, cost, integer });
    return this.columns.length - 1;
  }

  binary(name: string, cost = 0): number {
    return this.column(name, 0, 1, cost, true);
  }

  row(name: string, lower: number, upper: number, terms: readonly (readonly [number, number])[]): void {
    const merged = new Map<number, number>();
    for (const [column, coefficient] of terms) merged.set(column, (merged.get(column) ?? 0) + coefficient);
    this.rows.push({ name, lower, upper, terms: [...merged].filter(([, coefficient]) => coefficient !== 0) });
  }

  build(): LinearModel {
    return { columns: this.columns, rows: this.rows };
  }
}
