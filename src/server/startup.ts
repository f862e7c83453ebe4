import { closeDatabase, getDatabase } from "./database";

/** Opens the database (migrating, seeding); a server without its data ends at once with the reason. Closes it at the end. */
export async function startUp(): Promise<void> {
  try {
    await getDatabase();
  } catch (error) {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  }
  for (const signal of ["SIGINT", "SIGTERM"] as const) process.once(signal, () => void closeDatabase().finally(() => process.exit(0)));
}
