/** What is used of the package: distribution functions and their inverses. */
declare module "jstat" {
  interface Distribution {
    cdf(x: number, ...of: number[]): number;
    inv(p: number, ...of: number[]): number;
  }
  const jStat: {
    readonly normal: Distribution;
    readonly studentt: Distribution;
    readonly beta: Distribution;
    readonly binomial: { cdf(successes: number, trials: number, chance: number): number };
  };
  export default jStat;
}
