import type { ReadRecipe, Recipe, StepId } from "../recipe";
import { coconutMilkFrom, fat, salt } from "./amounts";
import { cardamom, coconutMilk, honey, jaggeryInMilk, sweetener } from "./going-in";
import { flourRoasted, grainBefore, grainToasted, riceKind, riceRinsed, roastedAgain, soakingWater } from "./grain";
import { caramel, extracts, lid, liquid, setting, stirring, vegetable } from "./pot";
import { jaggery, nuts } from "./preparing";
import { thickenedBy } from "./thickening";
import { AS_WRITTEN, WAY_IDS, type WayGround, type WayId, type WayPicks, type WayRule } from "./way";
import { writingOf } from "./writing";

/** Of the rules, what needs no ground of its own. */
const RULES: Readonly<Record<Exclude<WayId, "thickened by">, WayRule>> = {
  "rice rinsed": riceRinsed,
  "rice kind": riceKind,
  "soaking water": soakingWater,
  "grain before": grainBefore,
  "grain toasted": grainToasted,
  "vermicelli roasted again": roastedAgain,
  "flour roasted": flourRoasted,
  liquid,
  lid,
  vegetable,
  "sweetener goes in": sweetener,
  jaggery,
  "jaggery in milk": jaggeryInMilk,
  honey,
  caramel,
  "coconut milk": coconutMilk,
  "coconut milk from": coconutMilkFrom,
  extracts,
  stirring,
  cardamom,
  nuts,
  fat,
  salt,
  setting,
};
const ruleOf = (id: WayId, ground: WayGround): WayRule => (id === "thickened by" ? thickenedBy(ground) : RULES[id]);

/** Where a recipe stands at a parting of ways: how it does it, null where it tells none of them. */
export interface Fork {
  readonly way: WayId;
  readonly written: string | null;
}

/** The partings that a recipe comes to. */
export function forksOf(read: ReadRecipe, ground: WayGround): Fork[] {
  if (read.steps.length === 0) return [];
  const at = writingOf(read, ground.constants);
  return WAY_IDS.flatMap((way) => {
    const written = ruleOf(way, ground).written(at);
    return written === undefined ? [] : [{ way, written }];
  });
}

/**
 * A recipe done in another way: read again, it does it so, and nothing else that was known of it is lost. Null where its words
 * cannot be written so.
 */
export function inWay(read: ReadRecipe, way: WayId, option: string, ground: WayGround): ReadRecipe | null {
  const rule = ruleOf(way, ground);
  const at = writingOf(read, ground.constants);
  const written = rule.written(at);
  if (written === undefined || written === option) return null;
  const recipe = rule.write(at, option);
  if (recipe === null || isSame(recipe, read.recipe)) return null;
  const after = ground.open(recipe);
  const is = rule.written(writingOf(after, ground.constants));
  // How generous a recipe is with its fat is not told by its words.
  const isRead = is === option || is === undefined || way === "fat";
  return isRead && isWhole(read, after, way, ground) ? after : null;
}

const isSame = (a: Recipe, b: Recipe): boolean => JSON.stringify([a.lines, a.steps]) === JSON.stringify([b.lines, b.steps]);

/** What is done at another time or to another degree: as much is cooked and weighed as before, but for water that comes with it. */
const SAME_MASS: readonly WayId[] = [
  "sweetener goes in",
  "jaggery",
  "jaggery in milk",
  "honey",
  "coconut milk",
  "cardamom",
  "stirring",
  "setting",
  "liquid",
  "rice kind",
];
const SAME_SHARE = 0.03;
/** These are about how much is driven off, or goes in; others change that by no more than a share. */
const OTHER_MASS: readonly WayId[] = ["lid", "thickened by", "fat", "coconut milk", "grain before"];
const FAR_SHARE = 0.15;

const goesIn = ({ steps }: ReadRecipe): Map<string, number> => {
  const shares = new Map<string, number>();
  for (const { takes } of steps) for (const { of, share } of takes) shares.set(of.id, (shares.get(of.id) ?? 0) + share);
  return shares;
};
const cooked = (read: ReadRecipe, { constants }: WayGround): number => writingOf(read, constants).sites.reduce((sum, { wet }) => sum + wet, 0);

/** Whether a recipe that was written anew is still whole: each line goes in as it did, nothing is asked or named that was not, no sum is off. */
function isWhole(before: ReadRecipe, after: ReadRecipe, way: WayId, ground: WayGround): boolean {
  const [was, is] = [goesIn(before), goesIn(after)];
  const isLeftOut = (id: string) => after.recipe.lines.some((line) => line.id === id && line.choice.leftOut);
  const named = new Set(before.unlisted.map(unlistedName));
  const isWritten = ({ text }: Recipe["steps"][number]) => /[.!?)]\s*$/.test(text) || before.recipe.steps.some((step) => step.text === text);
  const more = after.lines.reduce((sum, { id, grams }) => sum + (before.lines.some((line) => line.id === id) ? 0 : grams), 0);
  const off = Math.abs(after.ledger.finished.value - before.ledger.finished.value) - more;
  const isOff = (share: number) => off > share * before.ledger.finished.value;
  return (
    after.recipe.steps.length > 0 &&
    after.recipe.steps.every(isWritten) &&
    after.archetype === before.archetype &&
    after.unresolved.length <= before.unresolved.length &&
    after.unlisted.every((each) => named.has(unlistedName(each)) || MADE_HERE.some((id) => id === each.food?.id)) &&
    after.ledger.problems.length <= before.ledger.problems.length &&
    [...was].every(([id, share]) => isLeftOut(id) || Math.abs((is.get(id) ?? 0) - share) < ROUNDING) &&
    after.lines.every(({ grams }) => Number.isFinite(grams) && grams >= 0) &&
    (OTHER_MASS.includes(way) || !isOff(FAR_SHARE)) &&
    (!SAME_MASS.includes(way) || isServedBeside(after) || (!isOff(SAME_SHARE) && cooked(after, ground) >= cooked(before, ground) - 1))
  );
}
/** What a way itself names beside the lines. */
const MADE_HERE = ["water", "fresh-coconut"] as const;
const isServedBeside = ({ recipe: { components } }: ReadRecipe): boolean => components?.some(({ use }) => use.kind === "apart") ?? false;
const ROUNDING = 0.01;
const unlistedName = ({ food, words }: ReadRecipe["unlisted"][number]): string => food?.id ?? words;

/** A recipe as a household makes it, and what of its ways was followed. */
export interface InWays {
  readonly read: ReadRecipe;
  readonly taken: readonly TakenWay[];
}
/** A way that was followed, and the steps that it wrote, changed or took away. */
export interface TakenWay {
  readonly way: WayId;
  readonly option: string;
  readonly steps: readonly StepId[];
}

function stepsBetween(before: Recipe, after: Recipe): StepId[] {
  const [was, is] = [before, after].map(({ steps }) => new Map(steps.map(({ id, text }) => [id, text] as const)));
  return [...new Set([...(was?.keys() ?? []), ...(is?.keys() ?? [])])].filter((id) => was?.get(id) !== is?.get(id));
}

/** A recipe in the ways that are held to, as far as its words can be written so. The same where none is. */
export function inWays(read: ReadRecipe, picks: WayPicks, ground: WayGround): InWays {
  const taken: TakenWay[] = [];
  let now = read;
  for (const way of WAY_IDS) {
    const option = picks[way];
    if (option === undefined || option === AS_WRITTEN) continue;
    const other = inWay(now, way, option, ground);
    if (other === null) continue;
    taken.push({ way, option, steps: stepsBetween(now.recipe, other.recipe) });
    now = other;
  }
  return { read: now, taken };
}
