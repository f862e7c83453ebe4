import { getHousehold, HOUSEHOLD_KEY } from "./sources";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { checkedPlace } from "../../core/calendar";
import { checkedRevised } from "../http/checked";
import type { Household } from "../../core/household";
import { REFERENCE } from "../../data";
import { Refusal, type ProblemError } from "../http/problems";
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
  const longer = longerThanUsual(sent.document.keeping ?? {});
  if (longer) throw new Refusal(422, `The days cannot be kept so. ${longer.detail}`, [longer]);
  const connection = await getDatabase();
  return saveRevised(sent, "household", ({ document, revision }) => db.writeSetting(connection, HOUSEHOLD_KEY, document, revision), getHousehold);
}

/** A count of the household's own that is longer than is usual, or of a kind that there is not; null where there is none. */
function longerThanUsual(own: NonNullable<Household["keeping"]>): ProblemError | null {
  const { kinds } = REFERENCE.constants.keeping.value;
  for (const [kind, days] of Object.entries(own)) {
    const cap = kinds[kind];
    if (!cap) return { pointer: "/document/keeping", detail: `There is no kind of sweet called “${kind}”: ${Object.keys(kinds).join(", ")}.` };
    for (const place of ["room", "fridge", "freezer"] as const)
      if ((days[place] ?? 0) > cap[place])
        return {
          pointer: `/document/keeping/${kind}/${place}`,
          detail: `A sweet of the kind “${kind}” is kept ${cap[place]} days at the most (${place}): give as many or fewer.`,
        };
  }
  return null;
}
