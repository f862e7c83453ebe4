export { learn, type Outcome } from "./learn";
export { KINDS_LEARNED, kindOf, type LearnedKind } from "./kinds";
export { learningGains, type LearningGain } from "./gains";
