export { EMPTY_PANTRY, PANTRY_KEYS, kitchenFoods, namesOf, type PantryDocument, type Pressing } from "./kitchen-foods";
export { EMPTY_LABEL, foodFromLabel, foodFromMaking, whyUnmakeable, type Label, type OwnFood, type PantryTables } from "./own-food";
export { PRICE_UNITS, priceUnitsOf, type Price } from "./price";
export { WEIGHED_UNITS, weighedMeasures, type Weighing } from "./weighing";
export { ownFoodProblems } from "./own-food-problems";
