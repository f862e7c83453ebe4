import type { Limit, LimitId } from "../table";

/** One run of the solver on a problem: what it favours, what is fixed, what is relaxed. */
export interface Run {
  /** Share of the recipe's sweetness aimed at. */
  readonly sweetnessFactor: number;
  /** Cost of free sugars per tenth of the recipe's. */
  readonly freeSugarWeight: number;
  /** Multiplies the cost of each new ingredient. */
  readonly noveltyWeight: number;
  /** Sets of used lead slots to stay at least two exchanges away from. */
  readonly cuts: readonly ReadonlySet<string>[];
  /** Which slots are used, once that is settled; null lets the solver choose. */
  readonly used: ReadonlySet<string> | null;
  /** Grams already rounded. */
  readonly fixed: ReadonlyMap<string, number>;
  /** Ratio of body-giving protein to serum at which its square is linearised. */
  readonly proteinRatio: number;
  /** A gel that sets by itself is given its amount: the body of the rest is not held against the recipe's. */
  readonly isGelled: boolean;
  /** Limits left aside. */
  readonly without: ReadonlySet<LimitId>;
  /** The one limit to bring as low as the rest allows, instead of keeping close to the recipe. */
  readonly minimised: Limit | null;
}

/** The plain run: as close to the recipe as can be, nothing fixed or relaxed. `proteinRatio` is the recipe's own. */
export const plainRun = (proteinRatio: number): Run => ({
  sweetnessFactor: 1,
  freeSugarWeight: 0,
  noveltyWeight: 1,
  cuts: [],
  used: null,
  fixed: new Map(),
  proteinRatio,
  isGelled: false,
  without: new Set(),
  minimised: null,
});
