export * from "./body";
export * from "./mouthfeel";
