/** The dual method of Goldfarb and Idnani; arrays count from 1. */
declare module "quadprog" {
  export function solveQP(
    hessian: readonly (readonly number[])[],
    linear: readonly number[],
    constraints: readonly (readonly number[])[],
    bounds: readonly number[],
    equalities: number,
  ): { readonly solution: readonly number[]; readonly message: string };
}
