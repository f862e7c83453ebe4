export { judgeClaims, type ClaimFinding, type ClaimRule, type ClaimVerdict, type Condition, type RuleBook } from "./claims";
export { nutritionProfile, type Basis, type NutritionProfile, type NutritionRow, type RetentionFactors } from "./profile";
export { describeRow, isMicronutrient, NUTRITION_ROWS, type NutritionRowId } from "./rows";
