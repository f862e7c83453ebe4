export { LIMIT_IDS, LIMIT_NAMES, type Limit, type LimitId } from "./limits";
export { AGE_BANDS, ageOf, EATER_KEYS, isAllergyRule, isNotAsked, NO_EATERS, withAge, type AgeBand, type Eater, type EatersDocument } from "./eaters";
export { rulesAt, type DiningTable, type Seat } from "./dining-table";
export { askedAt, fastsNotToday, keepAll, notAsked, onDay, seat, serveSeat, staleSeats, unkept, unseat, whoseRules } from "./seats";
