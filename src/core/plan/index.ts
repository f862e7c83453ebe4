export * from "./task";
export { planBounds } from "./bounds";
export { clashesOf, type GivesWay, type PlanClash } from "./gives-way";
export { orderProblem, solvePlan, type SolvedPlan } from "./solve";
export {
  eatenThere,
  GATHERING_LIMITS,
  gatheringProblems,
  minuteOf,
  newGathering,
  momentOfMinute,
  peopleOf,
  readyAt,
  type Gathering,
  type GatheringProblem,
} from "./gathering";
export { shortWords, STANDS, sweetTasks, taskId, type SweetTasks } from "./sweet-tasks";
export { behindOf, forecastOf, gatheringProblem, planKey, planKitchen, type GatheringPlan } from "./problem";
export { askedFor, shoppingList, type ShoppingList, type ShoppingNeed } from "./shopping";
export { entriesOf, givenNow, type GivenEntry } from "./entries";
export { axisOf, placeOn, type PlanAxis } from "./axis";
export { handsOf } from "./claims";
export { canProve, provePlan, type Proven } from "./prove";
