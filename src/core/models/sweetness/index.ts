export * from "./sweetness";
export { levelOf, LIKINGS, type Level, type Liking } from "./liking";
