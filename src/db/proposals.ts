import type { Connection } from "./database";
import { json, maybeOne } from "./rows";

/** What was worked out last for a recipe at its table; null where nothing was. */
export async function findProposals(db: Connection, recipeId: string): Promise<unknown> {
  return (await maybeOne(db, { document: json }, "SELECT document FROM proposal_set WHERE recipe_id = $1", [recipeId]))?.document ?? null;
}

/** Keeps what was worked out in the place of what was before; nothing where there is no such recipe. */
export async function saveProposals(db: Connection, recipeId: string, document: unknown): Promise<void> {
  await db.query(
    `INSERT INTO proposal_set (recipe_id, document) SELECT id, $2::jsonb FROM recipe WHERE id = $1
     ON CONFLICT (recipe_id) DO UPDATE SET document = excluded.document`,
    [recipeId, JSON.stringify(document)],
  );
}
