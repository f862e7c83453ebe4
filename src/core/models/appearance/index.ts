export * from "./colour";
export * from "./flavour";
