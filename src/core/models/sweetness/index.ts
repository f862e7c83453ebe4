export * from "./sweetness";
export { levelOf, LIKINGS, type Liking } from "./liking";
