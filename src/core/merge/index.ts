export { keyed, merged, type RowKeys } from "./merge";
