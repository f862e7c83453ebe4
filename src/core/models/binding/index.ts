export * from "./binding";
