export { EMPTY_PANTRY, kitchenFoods, namesOf, type PantryDocument } from "./kitchen-foods";
export { EMPTY_LABEL, foodFromLabel, foodFromMixture, ownFoodProblems, type Label, type OwnFood } from "./own-food";
export { WEIGHED_UNITS, weighedMeasures, withWeighings, type Weighing } from "./weighing";
