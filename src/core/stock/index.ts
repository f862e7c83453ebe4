export * from "./item";
export { byUse, dueOf, dueWords, madeFrom, takeOut, type MadeFrom, inOrderOfUse, type Due, type Needed } from "./use";
