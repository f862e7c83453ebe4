export * from "./task";
export { planBounds } from "./bounds";
export { clashesOf, type GivesWay, type PlanClash } from "./gives-way";
export { orderProblem, solvePlan, type SolvedPlan } from "./solve";
export {
  eatenThere,
  fastsNotOver,
  GATHERING_LIMITS,
  gatheringProblems,
  minuteOf,
  momentOfMinute,
  peopleOf,
  readyAt,
  type Gathering,
  type GatheringGuest,
  type GatheringProblem,
  type GatheringSweet,
} from "./gathering";
export { shortWords, STANDS, sweetTasks, taskId, type SweetTasks } from "./sweet-tasks";
export { breaksOf, forecastOf, gatheringProblem, planKey, planKitchen, WIDEST_ON_BURNER, type Forecast, type GatheringPlan } from "./problem";
export { askedFor, shoppingList, type ShoppingList, type ShoppingNeed, type ShoppingRow, type SoldIn, type SweetCost } from "./shopping";
export { entriesOf, givenNow, type GivenEntry, type PlanEntry } from "./entries";
export { axisOf, placeOn, type PlanAxis } from "./axis";
export { handsOf } from "./place";
