import type { StoredProposals } from "../../core/adaptation";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { checked } from "../http/checked";
import { validateProposals } from "../http/schemas/documents";
import { requireRecipe } from "./recipes";

/** What was worked out last for a recipe at its table; null where nothing was, or what is there can no longer be read. */
export async function getProposals(recipeId: string): Promise<StoredProposals | null> {
  const stored = await db.findProposals(await getDatabase(), recipeId);
  return validateProposals(stored) ? stored : null;
}

/** Keeps what was worked out, so that it is not worked out again for the same basis. */
export async function saveProposals(recipeId: string, body: unknown): Promise<void> {
  const proposals = checked(validateProposals, body);
  await requireRecipe(recipeId);
  await db.saveProposals(await getDatabase(), recipeId, proposals);
}
