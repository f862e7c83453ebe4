export { COOK_LIMITS, type CookEvent, type CookHappening, type CookKind } from "./event";
export type { CookPlan, PlannedFood, PlannedStep } from "./plan";
export {
  alarmWords,
  lastToTakeBack,
  missedBetween,
  problemOf,
  secondsLeft,
  sessionOf,
  transition,
  type CookAction,
  type CookSession,
  type CookStep,
  type CookTimer,
} from "./session";
export { storyOf } from "./story";
