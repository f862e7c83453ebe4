import { ATTRIBUTE_WORDS, counted, type Counted } from "../sensory";
import { propertyOf, valueOf, type PropertyId } from "../evaluate";
import { learnedKey, type LearnedFactor, type ServingTemperature } from "../food";
import type { Kitchen } from "../kitchen";
import { learn } from "../learning";
import { normalBelow } from "../numeric";
import { bodyOfIndex, indexOfBody } from "../process";
import { apartWords } from "./next-time-apart";
import { waysTo, type Means, type NextTimeWay } from "./next-time-ways";
import { palateOutcomes, type EaterTasting } from "./palate-outcomes";
import { drivenBy, type Constants } from "./stove-aim";
import { stoveStanding, type StoveQuestion, type StoveStanding } from "./stove-standing";

/** What somebody said of a batch; a guest is no eater of the household. */
export interface SaidOfBatch extends Omit<EaterTasting, "eater"> {
  readonly eater: string | null;
  readonly name: string;
}
/** A batch that was tasted, and is to be made again. */
export interface NextTimeQuestion extends StoveQuestion {
  readonly tastings: readonly SaidOfBatch[];
  /** When it was done, ms. */
  readonly endedAt: number;
}

/** The smallest change of one figure that makes it just right for as many as can be. */
export interface NextTimeChange {
  readonly attribute: "sweetness" | "body";
  readonly counts: Counted;
  /** What it was and would be, as served, in the figure's own unit. */
  readonly before: number;
  readonly after: number;
  readonly unit: string;
  /** How much more of it, share; below 0 less. */
  readonly share: number;
  /** For how many of those who tasted it is expected to be just right, as it was and then. */
  readonly rightNow: number;
  readonly rightThen: number;
  readonly of: number;
  readonly ways: readonly NextTimeWay[];
  /** What it weighs when it is cooked down so much further, or less far, g; null where that is no way. */
  readonly cookedTo: number | null;
  /** What it weighed, g. */
  readonly weighed: number;
  /** Where some want more and some want less: what to do at the table, in words; null where they agree. */
  readonly apart: string | null;
}

export interface NextTime {
  readonly served: ServingTemperature;
  readonly changes: readonly NextTimeChange[];
  /** What nothing is proposed about, and why. */
  readonly left: readonly string[];
}

/** What is proposed has to make it right for so many more, expected, as a share of those who tasted; and of what does as well, the smallest. */
const WORTH = 0.05;
const AS_GOOD = 0.02;
/** Changes that are looked at, as a share: so small that nobody tells two apart. */
const SMALLEST = 0.01;
const LARGEST = 0.45;
/** By what of it each is changed, and what may be offered beside. */
const SWEETER: Means = { roles: ["sweetener"], others: ["jaggery", "date-paste"] };
const THICKER: Means = { roles: ["liquid", "thickener"], others: [] };

/**
 * What to change next time: of sweetness and body the smallest change that makes it just right for the most of those who tasted, by what
 * each is known to want, in grams of what is in it. From few answers no more than that is told.
 */
export function nextTime(question: NextTimeQuestion, kitchen: Kitchen): NextTime {
  const { tastings, endedAt, table, bench, ...stove } = question;
  const served = mostOften(tastings.map((each) => each.served)) ?? table.serve;
  const alike = tastings.filter((each) => each.served === served);
  const stands = stoveStanding({ ...stove, table, bench }, kitchen);
  const counts = counted(alike.map(({ answer }) => answer));
  const unread = stands.ground.read.unresolved.length;
  const left = [
    ...stands.unknown.map((name) => `Nobody knows what ${name} holds: nothing is worked out from this batch.`),
    ...(unread > 0 ? [`${unread === 1 ? "A line" : `${unread} lines`} of the recipe not read: nothing is worked out from this batch.`] : []),
  ];
  if (left.length > 0) return { served, changes: [], left };
  const found = (["sweetness", ...(stands.isBound ? [] : (["body"] as const))] as const).map((attribute) => {
    const of = counts.find((each) => each.attribute === attribute);
    return of ? changeOf(attribute, of, { stands, alike, served, endedAt, question, kitchen }) : null;
  });
  const others = counts.filter(({ attribute, little, much }) => attribute !== "sweetness" && attribute !== "body" && little + much > 0);
  return {
    served,
    changes: found.flatMap((each) => (each && typeof each !== "string" ? [each] : [])),
    left: [
      ...found.flatMap((each) => (typeof each === "string" ? [each] : [])),
      ...others.map(
        ({ attribute, little, right, much }) =>
          `${ATTRIBUTE_WORDS[attribute].name}: ${countWords({ attribute, little, right, much })}. How many grams that is, no model tells.`,
      ),
    ],
  };
}

interface ChangeGround {
  readonly stands: StoveStanding;
  readonly alike: readonly SaidOfBatch[];
  readonly served: ServingTemperature;
  readonly endedAt: number;
  readonly question: NextTimeQuestion;
  readonly kitchen: Kitchen;
}

function changeOf(attribute: "sweetness" | "body", counts: Counted, ground: ChangeGround): NextTimeChange | string | null {
  const { stands, served, kitchen } = ground;
  const { constants } = kitchen.reference;
  const id: PropertyId = attribute === "sweetness" ? `sweetness.${served}` : served === "chilled" || served === "room" ? "body.chilled" : "body.hot";
  const [before, usual] = [stands.figures[id].value, stands.ground.before.figures[id].value];
  // Nobody would have it other.
  if (counts.little + counts.much === 0) return `${attribute === "sweetness" ? "Sweetness" : "Body"}: leave it as it is.`;
  const palates = palatesFrom(attribute, ground);
  const name = attribute === "sweetness" ? "Sweetness" : "Body";
  if (palates.length === 0 || !(before > 0) || !(usual > 0)) return `${name}: what was said, or so long after it was cooked, does not tell how much to change.`;
  const scale = scaleOf(attribute, constants);
  const at = Math.log(scale.index(before) / scale.index(usual));
  const just = (change: number) => {
    const [low, high] = scale.just(before, change);
    const from = Math.log(scale.index(usual));
    return palates.reduce((sum, { ln, sd }) => sum + normalBelow((high - from - ln) / sd) - normalBelow((low - from - ln) / sd), 0);
  };
  const changes = Array.from({ length: Math.round((2 * LARGEST) / SMALLEST) + 1 }, (_, i) => Math.round(100 * (i * SMALLEST - LARGEST)) / 100);
  // Where all whom it is off for want it more so, it is not made less so, whatever else is known of them.
  const asked = changes.filter((change) => (change >= 0 || counts.much > 0) && (change <= 0 || counts.little > 0));
  const tried = asked.map((change) => ({ change, right: just(Math.log(1 + change)) }));
  const best = Math.max(...tried.map(({ right }) => right));
  const now = just(0);
  const pulled = counts.little > 0 && counts.much > 0;
  const apart = pulled && attribute === "sweetness" ? apartWords(usual, palates, stands, ground.question.table.servings, served, constants) : null;
  const chosen = tried.filter(({ right }) => right >= best - AS_GOOD * palates.length).sort((a, b) => Math.abs(a.change) - Math.abs(b.change))[0];
  const after = chosen && scale.value(Math.exp(at + Math.log(scale.index(usual)) + Math.log(1 + chosen.change)));
  // What nobody would notice is no change.
  if (!chosen || after === undefined || best - now < WORTH * palates.length || !scale.isNoticed(before, after))
    return pulled
      ? `${name}: some want more and some less; as it is it is right for as many as it can be.${apart === null ? "" : ` ${apart}`}`
      : `${name}: ${offWords(counts)}; by all that is known of those who tasted it, no change makes it right for more of them.`;
  const ways = waysTo(id, after, attribute === "sweetness" ? SWEETER : THICKER, ground);
  const weight = attribute === "body" ? cookedTo(id, after, ground) : null;
  if (ways.length === 0 && weight === null)
    return `${name}: some would have it ${after > before ? "more" : "less"} so, and no amount of one thing in it does that.`;
  return {
    attribute,
    counts,
    before,
    after,
    unit: propertyOf(id).unit,
    share: chosen.change,
    rightNow: now,
    rightThen: chosen.right,
    of: palates.length,
    ways,
    cookedTo: weight,
    weighed: stands.figures.yield.value,
    apart,
  };
}

/** Who would have it other: "2 of 3 found it too sweet". */
export const offWords = ({ attribute, little, right, much }: Counted): string =>
  `${Math.max(little, much)} of ${little + right + much} found it ${ATTRIBUTE_WORDS[attribute][little > much ? "little" : "much"]}`;

/** How many said what, without what nobody said: "2 too hard, 1 just right". */
const countWords = ({ attribute, little, right, much }: Counted): string =>
  [[little, ATTRIBUTE_WORDS[attribute].little] as const, [right, "just right"] as const, [much, ATTRIBUTE_WORDS[attribute].much] as const]
    .filter(([count]) => count > 0)
    .map(([count, word]) => `${count} ${word}`)
    .join(", ");

/** What is moved: sweetness as it is; of body what thickens, whose logarithm is learned. */
function scaleOf(attribute: "sweetness" | "body", constants: Constants) {
  const { sweetness, body } = constants.noticeable.value;
  const noticed = Math.log(1 + sweetness);
  return attribute === "sweetness"
    ? {
        index: (value: number) => value,
        value: (index: number) => index,
        isNoticed: (before: number, after: number) => Math.abs(Math.log(after / before)) > noticed / 2,
        just: (before: number, change: number) => [Math.log(before) + change - noticed, Math.log(before) + change + noticed] as const,
      }
    : {
        index: (value: number) => indexOfBody(value, constants),
        value: (index: number) => bodyOfIndex(index, constants),
        isNoticed: (before: number, after: number) => Math.abs(after - before) > body / 2,
        just: (before: number, change: number) => {
          const then = bodyOfIndex(indexOfBody(before, constants) * Math.exp(change), constants);
          return [Math.log(indexOfBody(Math.max(0.1, then - body), constants)), Math.log(indexOfBody(Math.min(9.9, then + body), constants))] as const;
        },
      };
}

/** What each who answered is known to want: by all their tastings, else by this one. */
function palatesFrom(
  attribute: "sweetness" | "body",
  { stands, alike, endedAt, kitchen }: ChangeGround,
): readonly (LearnedFactor & { readonly name: string })[] {
  const { constants } = kitchen.reference;
  const keyOf = attribute === "sweetness" ? learnedKey.wantedSweetness : learnedKey.wantedBody;
  return alike.flatMap(({ eater, name, ...said }, i) => {
    if (said.answer.steps[attribute] === undefined) return [];
    const known = eater === null ? undefined : constants.learned[keyOf(eater)];
    const alone =
      known ?? learn(palateOutcomes([{ ...said, eater: `${i}` }], endedAt, stands, constants).map((each) => ({ ...each, batch: "this" })))[keyOf(`${i}`)];
    return alone ? [{ ...alone, name }] : [];
  });
}

/** To what it is cooked down for a body, g of all of it; null where no cooking down or thinning brings it there. */
function cookedTo(id: PropertyId, wanted: number, { stands: { input, aim }, kitchen: { reference } }: ChangeGround): number | null {
  const { constants } = reference;
  // What is not cooked, or would take more than was poured in, is not cooked down.
  if (input.cookMinutes === 0 || !(input.evaporation.value > 0)) return null;
  const driven = drivenBy(input, { ...aim, body: id, wanted }, input.evaporation.value, constants);
  if (driven < 0) return null;
  const then = { ...input, evaporation: { ...input.evaporation, value: driven } };
  return Math.abs(valueOf(then, id, constants) - wanted) < aim.noticed / 4 ? valueOf(then, "yield", constants) : null;
}

/** The word that comes most often; null of none. */
function mostOften<T extends string>(words: readonly T[]): T | null {
  const counts = new Map<T, number>();
  for (const each of words) counts.set(each, (counts.get(each) ?? 0) + 1);
  return [...counts].sort(([, a], [, b]) => b - a)[0]?.[0] ?? null;
}
