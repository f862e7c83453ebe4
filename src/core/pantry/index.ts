export { EMPTY_PANTRY, PANTRY_KEYS, kitchenFoods, namesOf, type PantryDocument, type Pressing } from "./kitchen-foods";
export { foodFromLabel, packetFit, splitStarch } from "./label-food";
export { foodMeant, isCompound, type Additive, type Packet, type PacketIngredient, type PacketMeaning, type PacketTables } from "./packet";
export { EMPTY_LABEL, foodFromMaking, whyUnmakeable, type Label, type OwnFood, type PantryTables } from "./own-food";
export { PRICE_UNITS, priceUnitsOf, type Price } from "./price";
export { WEIGHED_UNITS, weighedMeasures, type Weighing } from "./weighing";
export { ownFoodProblems } from "./own-food-problems";
