export { judgeClaims, type ClaimFinding, type ClaimRule, type ClaimVerdict, type RuleBook } from "./claims";
export { nutritionProfile, type Basis, type NutritionProfile, type NutritionRow, type RetentionFactors } from "./profile";
export { describeRow, type NutritionRowId } from "./rows";
