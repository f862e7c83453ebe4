import { saveCollection } from "./collections";
import { checkedRevised } from "../http/checked";
import { checkRules } from "./house-rules";
import { validateEaters } from "../http/schemas/household";
import { EATERS, getEaters } from "./sources";
import { Refusal } from "../http/problems";

/** Saves who eats here; refused whole where two are called alike, or one keeps a rule that there is not. */
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
  return saveCollection(EATERS, sent, getEaters);
}
