export * from "./sweetness";
export { levelOf, LIKINGS, tastedLevel, type Liking } from "./liking";
