export { AMOUNT_IDS } from "../models/nutrition";
export { describeAmount, LATER_PROPERTY_IDS, PROPERTIES, PROPERTY_IDS, propertyOf, type Amount, type LaterPropertyId, type PropertyId } from "./properties";
export { evaluate, evaluatePoint, whyUnknown, type Evaluation, type EvaluationInput, type Figures } from "./evaluate";
export { explain, type Working } from "./explain";
export { proposeAmount } from "./propose-amount";
export { bodyHolds, compareLikeness, compareLimit, type Deviation, type DeviationState } from "./deviation";
