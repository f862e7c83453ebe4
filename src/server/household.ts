import { completeHousehold, USUAL_HOUSEHOLD, type Household } from "../core/units";
import * as db from "../db";
import { getDatabase } from "./database";
import { checkedRevised } from "./door";
import { saveRevised, type Revised } from "./revised";
import { validateHousehold } from "./schemas";

const KEY = "household";

/** The household's measures and units; the usual ones until they are set. */
export async function getHousehold(): Promise<Revised<Household>> {
  const { value, revision } = await db.readSetting(await getDatabase(), KEY);
  return { document: validateHousehold(value) ? completeHousehold(value) : USUAL_HOUSEHOLD, revision };
}

export async function saveHousehold(body: unknown): Promise<number> {
  const sent = checkedRevised(validateHousehold, body);
  const connection = await getDatabase();
  return saveRevised(sent, "household", ({ document, revision }) => db.writeSetting(connection, KEY, document, revision), getHousehold);
}
