export * from "./item";
export { dueOf, dueWords, takeOut, inOrderOfUse, type Due, type Needed } from "./use";
