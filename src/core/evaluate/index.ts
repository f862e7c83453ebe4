export { AMOUNTS, describeAmount, PROPERTIES, PROPERTY_IDS, propertyOf, type Amount, type PropertyId } from "./properties";
export { evaluate, evaluatePoint, type Evaluation, type EvaluationInput, type Figures } from "./evaluate";
export { explain, type Working } from "./explain";
export { proposeAmount } from "./propose-amount";
export { bodyHolds, compareLikeness, compareLimit, type Deviation, type DeviationState } from "./deviation";
