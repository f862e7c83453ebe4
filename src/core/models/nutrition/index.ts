export * from "./nutrition";
