export { readCsv, writeCsv } from "./csv";
export { ownFileKind, SHEET_DATA, upgraded, writeOwnFile, type SentVersion } from "./own-file";
export { writeJsonLd } from "./write-json-ld";
export { writeBatchCsv, writeBatchJson } from "./batch-file";
export {
  ingredientWords,
  NOTHING_MORE,
  writeMessage,
  writeSweetJsonLd,
  type SharedIngredient,
  type SharedStep,
  type SharedSweet,
  type ShareWishes,
} from "./shared-sweet";
export { asShared, recipeAsShared } from "./shared-version";
