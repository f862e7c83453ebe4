export { COOK_LIMITS, type CookEvent, type CookHappening } from "./event";
export type { CookPlan } from "./plan";
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
  type CookTimer,
} from "./session";
export { storyOf } from "./story";
