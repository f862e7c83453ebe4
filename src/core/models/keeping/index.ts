export * from "./keeping";
export * from "./water-activity";
