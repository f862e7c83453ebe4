export * from "./task";
export { planBounds } from "./bounds";
export { clashesOf, type GivesWay, type PlanClash } from "./gives-way";
export { orderProblem, solvePlan, type SolvedPlan } from "./solve";
