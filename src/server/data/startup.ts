import { catchUpSearchIndex } from "../recipes/search-index";
import { layDemoWork } from "./demo-work";
import { closeDatabase, getDatabase } from "./database";

const LONGEST_MS = 3000;

/** Opens the database (migrating, seeding); a server without its data ends at once with the reason. Closes it at the end. */
export async function startUp(): Promise<void> {
  try {
    await getDatabase();
    // A few recipes are looked through before the first page; of many the rest comes behind it.
    await Promise.race([catchUpSearchIndex(), new Promise((resolve) => setTimeout(resolve, LONGEST_MS))]);
    await layDemoWork().catch((error: unknown) => console.error("The demo's work under way could not be laid:", error));
  } catch (error) {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  }
  for (const signal of ["SIGINT", "SIGTERM"] as const) process.once(signal, () => void closeDatabase().finally(() => process.exit(0)));
}
