export * from "./rules";
export * from "./findings";
export * from "./house-rules";
