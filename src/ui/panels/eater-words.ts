import { baseOf } from "../../core/models/diet";
import type { RuleWords } from "../../core/views";
import { ageOf, isNotAsked, LIMIT_NAMES, type AgeBand, type Eater } from "../../core/table";

export const AGE_WORDS: Readonly<Record<AgeBand, string>> = {
  "under 1": "under 1 year",
  "1 to 5": "1 to 5 years",
  child: "child, from 5",
  adult: "grown up",
  older: "older",
};

/** An eater in one line: age, what they leave out, how they like it. */
export function lineOf(eater: Eater, rules: readonly Pick<RuleWords, "id" | "name">[]): string {
  const { taste = "as made here", portion = 1, onDays = [], until = {}, traces } = eater;
  const age = ageOf(eater);
  const kept = eater.rules.flatMap((id) => {
    const when = [onDays.includes(baseOf(id)) ? "on its days" : "", until[id] ? `until ${until[id]}` : ""].filter(Boolean).join(", ");
    return baseOf(id) === "small-child" ? [] : [wordsOf({ rules: [id], limits: [] }, rules) + (when && ` ${when}`)];
  });
  return (
    [
      age === "adult" ? "" : AGE_WORDS[age],
      ...kept,
      traces === "avoided" && kept.length > 0 ? "traces count" : "",
      eater.limits.length > 0 ? wordsOf({ rules: [], limits: eater.limits }, rules) : "",
      taste === "as made here" ? "" : `likes it ${taste}`,
      portion === 1 ? "" : `${portion} of a serving`,
      isNotAsked(eater) ? "not asked about allergies" : "",
    ]
      .filter(Boolean)
      .join(", ") || "leaves nothing out"
  );
}

/** What an eater leaves out, in words. */
export function wordsOf(
  { rules: ids, limits }: { readonly rules: readonly string[]; readonly limits: Eater["limits"] },
  rules: readonly Pick<RuleWords, "id" | "name">[],
): string {
  const names = ids.map((id) => (rules.find((rule) => rule.id === id)?.name ?? id).toLowerCase());
  const most = limits.map(({ id, most: amount }) => `${LIMIT_NAMES[id].name} at most ${amount} ${LIMIT_NAMES[id].unit}`.trim());
  return [...names, ...most].join(", ") || "leaves nothing out";
}
