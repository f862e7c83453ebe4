import { stored, withOwnWords, type StoredBench } from "../adaptation";
import { ATTRIBUTE_WORDS, counted, type Counted } from "../sensory";
import { propertyOf, valueOf, type EvaluationInput, type PropertyId } from "../evaluate";
import { learnedKey, type Food, type LearnedFactor, type ServingTemperature } from "../food";
import type { Kitchen } from "../kitchen";
import { learn } from "../learning";
import { normalBelow } from "../numeric";
import { bodyOfIndex, indexOfBody } from "../process";
import { kitchenMeasure } from "../recipe";
import { limitProperty, mayEnter, newRowId, versionInput, type VersionRow } from "../substitution";
import { capital, formatGrams, lowerFirst } from "../units";
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

/** One way to bring a change about. */
export interface NextTimeWay {
  /** The row of the version; null for a food that is new in it. */
  readonly row: string | null;
  readonly food: string;
  readonly name: string;
  /** More (above 0) or less (below 0), g, of the whole batch. */
  readonly grams: number;
  readonly measure: string;
  /** Limits of the table that it would pass, in words. */
  readonly over: readonly string[];
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
/** Sweeteners that may be offered beside the version's own. */
const OTHERS = ["jaggery", "date-paste"];

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
  const left = stands.unknown.map((name) => `Nobody knows what ${name} holds: nothing is worked out from this batch.`);
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
          `${capital(attribute)}: ${little} too little, ${right} just right, ${much} too much. How many grams that is, no model tells.`,
      ),
    ],
  };
}

/** What is to be laid on the bench: the version as it was cooked, with one way of one change. */
export interface NextTimeDraft {
  readonly change: NextTimeChange;
  /** Null: cooked down further, or less far. */
  readonly way: NextTimeWay | null;
  /** What the batch was of: its name, and its version by id. */
  readonly label: string;
  readonly from: string | null;
}

/** A version as it was cooked, with a change for next time, as a bench; why it changed is said at its row. */
export function nextTimeBench(
  { tastings: _, endedAt: __, ...question }: NextTimeQuestion,
  { change, way, label, from }: NextTimeDraft,
  kitchen: Kitchen,
): StoredBench {
  const { bench, table } = question;
  const stands = stoveStanding(question, kitchen);
  const { version, input, ground } = stands;
  const { attribute, counts, share, cookedTo: weight } = change;
  const said =
    counts.little > counts.much
      ? `${counts.little} of ${totalOf(counts)} found it ${ATTRIBUTE_WORDS[attribute].little}`
      : `${counts.much} of ${totalOf(counts)} found it ${ATTRIBUTE_WORDS[attribute].much}`;
  const added = way !== null && way.row === null ? kitchen.reference.foods.get(way.food) : undefined;
  const rows = version.rows.map((row) =>
    way !== null && row.id === way.row
      ? { ...row, grams: row.grams + way.grams, change: row.change === "as is" ? ("amount" as const) : row.change, why: said }
      : row,
  );
  const all = [
    ...rows,
    ...(added && way ? [{ id: newRowId(rows), line: null, food: added, grams: way.grams, role: added.role, change: "added" as const, why: said }] : []),
  ];
  // All of it less what it comes to is what is driven off.
  const mass = input.lines.reduce((sum, { grams }) => sum + grams, 0);
  const evaporation = way === null && weight !== null ? mass - weight : input.evaporation.value;
  const words =
    attribute === "sweetness" ? `${Math.abs(Math.round(100 * share))} % ${share > 0 ? "sweeter" : "less sweet"}` : share > 0 ? "thicker" : "thinner";
  const state = {
    label: `${label}, ${words}`.slice(0, LONGEST_LABEL),
    version: { rows: all, evaporation },
    byHand: true,
    ...(from === null ? {} : { from }),
    ...(bench?.steps ? { steps: bench.steps } : {}),
    ...(bench?.ways ? { ways: bench.ways } : {}),
  };
  return stored(state, ground.read, table);
}
const LONGEST_LABEL = 100;
const totalOf = ({ little, right, much }: Counted): number => little + right + much;

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
  const tried = changes.map((change) => ({ change, right: just(Math.log(1 + change)) }));
  const best = Math.max(...tried.map(({ right }) => right));
  const now = just(0);
  const pulled = counts.little > 0 && counts.much > 0;
  const chosen = tried.filter(({ right }) => right >= best - AS_GOOD * palates.length).sort((a, b) => Math.abs(a.change) - Math.abs(b.change))[0];
  if (!chosen || best - now < WORTH * palates.length)
    return pulled ? `${name}: some want more and some less; as it is it is right for as many as it can be.` : `${name}: leave it as it is.`;
  const after = scale.value(Math.exp(at + Math.log(scale.index(usual)) + Math.log(1 + chosen.change)));
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
    ways: attribute === "sweetness" ? sweetenerWays(id, after, ground) : [],
    cookedTo: attribute === "body" ? cookedTo(id, after, ground) : null,
    weighed: stands.figures.yield.value,
    apart: pulled && attribute === "sweetness" ? apartWords(usual, palates, ground) : null,
  };
}

/** What is moved: sweetness as it is; of body what thickens, whose logarithm is learned. */
function scaleOf(attribute: "sweetness" | "body", constants: Constants) {
  const { sweetness, body } = constants.noticeable.value;
  const noticed = Math.log(1 + sweetness);
  return attribute === "sweetness"
    ? {
        index: (value: number) => value,
        value: (index: number) => index,
        just: (before: number, change: number) => [Math.log(before) + change - noticed, Math.log(before) + change + noticed] as const,
      }
    : {
        index: (value: number) => indexOfBody(value, constants),
        value: (index: number) => bodyOfIndex(index, constants),
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

/** Sweeteners of the version, and some that it may hold: how much more or less of each alone. */
function sweetenerWays(id: PropertyId, wanted: number, { stands, question: { table, bench }, kitchen }: ChangeGround): readonly NextTimeWay[] {
  const { version, input, by, ground } = stands;
  const { constants, foods } = kitchen.reference;
  const judged = withOwnWords(ground.problem, ground.read, version, bench?.steps, kitchen.reading.find);
  const inputOf = (rows: readonly VersionRow[]): EvaluationInput => ({ ...versionInput({ ...version, rows }, by), evaporation: input.evaporation });
  const isMore = wanted > valueOf(input, id, constants);
  const own = version.rows.filter(({ food, grams, role }) => food !== null && grams > 0 && role === "sweetener");
  const others = isMore
    ? OTHERS.flatMap((food) => foods.get(food) ?? []).filter((food) => mayEnter(food, judged) && !own.some((row) => row.food?.id === food.id))
    : [];
  const rowFor = (food: Food): VersionRow => ({ id: newRowId(version.rows), line: null, food, grams: 0, role: "sweetener", change: "added", why: "" });
  return [...own, ...others.map(rowFor)].flatMap((row): NextTimeWay[] => {
    const { food } = row;
    if (!food) return [];
    const isOwn = version.rows.some((each) => each.id === row.id);
    const rowsWith = (grams: number) =>
      isOwn ? version.rows.map((each) => (each.id === row.id ? { ...each, grams } : each)) : [...version.rows, { ...row, grams }];
    const at = (grams: number) => valueOf(inputOf(rowsWith(grams)), id, constants);
    const all = version.rows.reduce((sum, { grams }) => sum + grams, 0);
    let [low, high] = isMore ? [row.grams, row.grams + all] : [0, row.grams];
    if (at(high) < wanted || at(low) > wanted) return [];
    for (let i = 0; i < 30; i++) {
      const middle = (low + high) / 2;
      if (at(middle) < wanted) low = middle;
      else high = middle;
    }
    const change = (low + high) / 2 - row.grams;
    const grams = Math.abs(change) < 3 ? Math.round(10 * change) / 10 : Math.round(change);
    if (grams === 0) return [];
    const then = inputOf(rowsWith(row.grams + grams));
    const over = table.limits.flatMap((limit) => {
      const property = limitProperty(limit);
      const value = valueOf(then, property, constants);
      const { name, unit } = propertyOf(property);
      return value > limit.most * 1.001 ? [`then ${value.toFixed(1)} ${unit} of ${lowerFirst(name)} a serving, over the ${limit.most} that were set`] : [];
    });
    return [
      {
        row: isOwn ? row.id : null,
        food: food.id,
        name: food.name,
        grams,
        measure: kitchenMeasure(food, Math.abs(grams), ground.read.measures)?.text ?? "",
        over,
      },
    ];
  });
}

/** To what it is cooked down for a body, g of all of it; null where no cooking down or thinning brings it there. */
function cookedTo(id: PropertyId, wanted: number, { stands: { input, aim }, kitchen: { reference } }: ChangeGround): number | null {
  const { constants } = reference;
  const driven = drivenBy(input, { ...aim, body: id, wanted }, input.evaporation.value, constants);
  const then = { ...input, evaporation: { ...input.evaporation, value: driven } };
  return Math.abs(valueOf(then, id, constants) - wanted) < aim.noticed / 4 ? valueOf(then, "yield", constants) : null;
}

/** Made as those who want it least sweet have it, and how much sugar or syrup the others take at the table. */
function apartWords(usual: number, palates: readonly (LearnedFactor & { readonly name: string })[], { stands, question: { table } }: ChangeGround): string {
  const wanted = palates.map(({ ln, name }) => ({ name, level: usual * Math.exp(ln) })).sort((a, b) => a.level - b.level);
  const [least, most] = [wanted[0], wanted.at(-1)];
  if (!least || !most) return "";
  const serving = stands.figures.yield.value / Math.max(1, table.servings);
  const sugar = ((most.level - least.level) * serving) / 100;
  return `${least.name} wants it less sweet than ${most.name}. Make it for ${least.name}, and ${most.name} stirs about ${formatGrams(Math.max(1, Math.round(sugar)))} g of sugar, or as much of it in syrup, into a serving; or part the pot before it is sweetened.`;
}

/** The word that comes most often; null of none. */
function mostOften<T extends string>(words: readonly T[]): T | null {
  const counts = new Map<T, number>();
  for (const each of words) counts.set(each, (counts.get(each) ?? 0) + 1);
  return [...counts].sort(([, a], [, b]) => b - a)[0]?.[0] ?? null;
}
