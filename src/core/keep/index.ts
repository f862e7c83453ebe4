export { storageOf, timeIn, type Storage, type StoragePlace, type StorageTime } from "./storage";
export { daysWords, keepingProblem, lastDay, timeWords } from "./last-day";
export { allergenClass, allergenWord } from "./allergens";
export { ingredientsOf, type LabelIngredient, type SweetContents } from "./ingredients";
export { datedLabel, LABEL_ENDS, PACKINGS, type DatedLabel, type LabelContents, type Packing } from "./label";
export { movedUntil } from "./moved";
