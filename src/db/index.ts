export type { Database } from "./database";
export { openPglite } from "./pglite";
export { FolderInUse } from "./lock";
export * from "./recipes";
export * from "./adaptations";
export * from "./versions";
export * from "./settings";
