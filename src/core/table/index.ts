export { LIMIT_IDS, LIMIT_NAMES, type Limit, type LimitId } from "./limits";
export {
  AGE_BANDS,
  ageOf,
  ALLERGIES,
  EATER_KEYS,
  isAllergyRule,
  isNotAsked,
  NO_EATERS,
  withAge,
  type AgeBand,
  type Eater,
  type EatersDocument,
} from "./eaters";
export { BATCH_BY, rulesAt, type DiningTable, type Seat } from "./dining-table";
export {
  askedAt,
  eatenAt,
  fastsNotToday,
  hasChildren,
  keepAll,
  madeBy,
  notAsked,
  onDay,
  portionOf,
  seat,
  seatedAnew,
  serveSeat,
  staleSeats,
  unkept,
  unseat,
  whoseRules,
  keptAt,
} from "./seats";
export { AIMS, GOAL_NAMES, GOALS, wishText, withoutWish, withWish, type Aim, type GoalId, type Wish } from "./wishes";
