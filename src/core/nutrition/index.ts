export { judgeClaims, type ClaimFinding, type ClaimRule, type ClaimVerdict, type RuleBook } from "./claims";
export type { LabelLayout, LabelRounding } from "./label-layout";
export { labelPanel, rounded, type LabelPanel } from "./label-panel";
export { nutritionProfile, type Basis, type NutritionProfile, type NutritionRow, type RetentionFactors } from "./profile";
export { describeRow, type NutritionRowId } from "./rows";
