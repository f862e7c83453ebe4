export {
  AFTER_THE_END,
  COOK_LIMITS,
  FRUIT_SWEETNESSES,
  HOLDS,
  isCookEvent,
  type CookEvent,
  type CookHappening,
  type FruitSweetness,
  type Holds,
  type StoveSetUp,
} from "./event";
export { forecast, gramsByStick, rateSeen, TABLE_RATE_SD, type Forecast, type PotWeight } from "./forecast";
export type { CookPlan } from "./plan";
export { weightsNow, type CookAction, type CookSession, type CookTimer } from "./session";
export { growingSession, sessionOf, transition } from "./transition";
export { goneIn } from "./gone-in";
export { heatNow, stoveLines, stoveState, type StoveLine, type StoveState } from "./stove";
export { alarmWords, missedBetween, nextTimer, secondsLeft, stirring } from "./timers";
export { weighedRuns } from "./weighed-runs";
export { whereItIs } from "./where-it-is";
export { oddWeight } from "./odd-weight";
export { problemOf } from "./problems";
export { lastToTakeBack } from "./take-back";
export { storyOf } from "./story";
