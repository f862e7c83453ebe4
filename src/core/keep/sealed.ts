import { isNutOrSeed, TREE_NUTS, type Food } from "../food";
import type { BalancedLine } from "../recipe";

const NUTS: readonly string[] = [...TREE_NUTS, "peanut"];
const HOLDS: readonly (readonly [name: string, is: (food: Food) => boolean])[] = [
  ["milk", ({ origin, allergens }) => origin === "dairy" || allergens.includes("milk")],
  ["nuts or oily seeds", (food) => isNutOrSeed(food) || food.family === "nut" || food.allergens.some((each) => NUTS.includes(each))],
  ["coconut", ({ nature, allergens }) => nature?.botanical === "Cocos nucifera" || allergens.includes("coconut")],
];
const FOLLOW = "Follow a tested process for canning, or keep it cold as if it were open: closed off from air it keeps no longer.";

/**
 * Why a sweet may not be closed off from air and left in the room, in words: it holds milk, nuts or coconut, or so much free water that botulinum
 * may grow; null where neither is so.
 */
export function whyNotSealed(lines: readonly Pick<BalancedLine, "food" | "grams">[], activity: number | null, most: number): string | null {
  const there = lines.filter(({ grams }) => grams > 0);
  const holds = HOLDS.flatMap(([name, is]) => (there.some(({ food }) => is(food)) ? [name] : []));
  if (holds.length > 0) return `It holds ${holds.join(", ")}: without air botulinum can grow in it in the room, unseen and without smell. ${FOLLOW}`;
  const strange = there.find(({ food }) => food.nature === null);
  if (activity === null || strange)
    return `Not all that is in it is known${strange ? ` (${strange.food.name})` : ""}: it is not to be closed off from air in the room. ${FOLLOW}`;
  // 21 CFR 114.3: what is above 0.85 and not acid is "low-acid"; its acidity nobody has measured.
  if (activity > most) return `Its water activity may be ${activity.toFixed(2)}, over ${most}: without air botulinum can grow in it in the room. ${FOLLOW}`;
  return null;
}
