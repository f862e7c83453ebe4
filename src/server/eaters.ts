import { cache } from "react";
import { NO_EATERS, type EatersDocument } from "../core/table";
import * as db from "../db";
import { getDatabase } from "./database";
import { checkedRevised } from "./door";
import { Refusal } from "./problem-details";
import { saveRevised, type Revised } from "./revised";
import { storedSetting } from "./settings";
import { validateEaters } from "./household-schema";
import { checkRules } from "./house-rules";

const KEY = "eaters";

/** Who eats at this household; nobody until somebody is named. */
export const getEaters = cache(async (): Promise<Revised<EatersDocument>> => {
  const { value, revision } = await storedSetting(KEY);
  return { document: validateEaters(value) ? value : NO_EATERS, revision };
});

export async function saveEaters(body: unknown): Promise<number> {
  const sent = checkedRevised(validateEaters, body);
  const names = sent.document.eaters.map(({ name }) => name.trim().toLowerCase());
  const twice = names.findIndex((name, i) => name === "" || names.indexOf(name) !== i);
  if (twice >= 0)
    throw new Refusal(
      422,
      names[twice] === ""
        ? "An eater needs a name, or a role."
        : `Two eaters are called “${sent.document.eaters[twice]?.name ?? ""}”. Give one of them another name.`,
      [{ pointer: `/document/eaters/${twice}/name`, detail: "Each needs a name of their own." }],
    );
  await checkRules(sent.document.eaters.map(({ rules }, i) => ({ pointer: `/document/eaters/${i}/rules`, rules })));
  const connection = await getDatabase();
  return saveRevised(sent, "list of eaters", ({ document, revision }) => db.writeSetting(connection, KEY, document, revision), getEaters);
}
