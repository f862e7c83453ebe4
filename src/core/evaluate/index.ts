export { AMOUNTS, PROPERTY_IDS, describeProperty, type Amount, type PropertyId } from "./properties";
export { evaluate, evaluatePoint, type Evaluation, type EvaluationInput, type Figures } from "./evaluate";
export { explain } from "./explain";
export { compareLikeness, compareLimit, type Deviation, type DeviationState } from "./deviation";
