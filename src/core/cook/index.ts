export { COOK_LIMITS, isCookEvent, type CookEvent, type CookHappening } from "./event";
export type { CookPlan } from "./plan";
export { alarmWords, missedBetween, secondsLeft, sessionOf, transition, type CookAction, type CookSession, type CookTimer } from "./session";
export { problemOf } from "./problems";
export { lastToTakeBack } from "./take-back";
export { storyOf } from "./story";
