export * from "./rules";
export * from "./findings";
