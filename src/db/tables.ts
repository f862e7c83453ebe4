/** All tables that hold what people made, those that others point to first. */
export const TABLES = [
  ["eater", "id"],
  ["own_food", "id"],
  ["weighing", "id"],
  ["price", "id"],
  ["pressing", "id"],
  ["food_name", "id"],
  ["own_rule", "id"],
  ["rule_answer", "id"],
  ["collection", "name"],
  ["recipe", "id"],
  ["adaptation", "recipe_id"],
  ["version", "id"],
  ["recipe_revision", "recipe_id, revision"],
  ["bench_state", "recipe_id, revision"],
  ["setting", "key"],
  ["batch", "id"],
  ["cook_event", "batch_id, place"],
  ["photo", "batch_id"],
  ["stock", "id"],
  ["stock_move", "id"],
  ["tasting", "id"],
  ["triangle_test", "id"],
  ["triangle_answer", "id"],
  ["practice_run", "id"],
  ["gathering", "id"],
  ["gathering_tick", "gathering_id, what"],
] as const;
export type TableName = (typeof TABLES)[number][0];

/** A row as JSON text, just as the database wrote it: no figure passes through a float. */
export interface DumpedRow {
  readonly table: TableName;
  readonly row: string;
}
export interface Dump {
  /** Number of the last migration that the rows fit. */
  readonly schema: number;
  /** ISO time. */
  readonly made: string;
  readonly rows: readonly DumpedRow[];
}
