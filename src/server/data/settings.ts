import { cache } from "react";
import * as db from "../../db";
import { getDatabase } from "./database";

/** All that the household has set: read once for a page, anew for every other request. */
const storedSettings = cache(async () => db.readSettings(await getDatabase()));

export const storedSetting = async (key: string): Promise<db.StoredSetting> => (await storedSettings()).get(key) ?? db.NEVER_SAVED;
