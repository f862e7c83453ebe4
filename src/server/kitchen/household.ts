import { getHousehold, HOUSEHOLD_KEY } from "./sources";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { checkedPlace } from "../../core/calendar";
import { checkedRevised } from "../http/checked";
import { Refusal } from "../http/problems";
import { saveRevised } from "../http/revised";
import { validateHousehold } from "../http/schemas/household";

export async function saveHousehold(body: unknown): Promise<number> {
  const sent = checkedRevised(validateHousehold, body);
  const place = sent.document.place ? checkedPlace(sent.document.place) : null;
  if (place && !place.ok)
    throw new Refusal(
      422,
      `The place cannot be reckoned with. ${place.error[0]?.why ?? ""}`,
      place.error.map(({ field, why }) => ({ pointer: `/document/place/${field}`, detail: why })),
    );
  const connection = await getDatabase();
  return saveRevised(sent, "household", ({ document, revision }) => db.writeSetting(connection, HOUSEHOLD_KEY, document, revision), getHousehold);
}
