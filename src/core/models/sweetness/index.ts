export * from "./sweetness";
