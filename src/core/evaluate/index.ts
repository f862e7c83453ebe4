export type { EvaluationInput } from "./input";
export { AMOUNT_IDS } from "../models/nutrition";
export {
  describeAmount,
  KEPT_PROPERTY_IDS,
  LATER_PROPERTY_IDS,
  PROPERTIES,
  PROPERTY_IDS,
  propertyOf,
  type Amount,
  type KeptPropertyId,
  type PropertyId,
} from "./properties";
export { bindingShares, bodyShares } from "./shares";
export { evaluate, evaluatePoint, spreadOf, valueOf, whyUnknown, type Evaluation, type Figures, type KeptFigures } from "./evaluate";
export { qualitiesOf, type Qualities } from "./qualities";
export { DRAWS, drawnFigures } from "./draws";
export { explain } from "./explain";
export type { Working } from "./working";
export { proposeAmount } from "./propose-amount";
export { bodyHolds, isEatenFrozen, compareLikeness, compareLimit, type Deviation, type DeviationState } from "./deviation";
