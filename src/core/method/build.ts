import type { Constants } from "../food";
import { readStep, type Operation, type FindMentions, type LineId, type ReadRecipe, type ReadStepWithTakes, type StepId, type StepReading } from "../recipe";
import type { Version, VersionRow } from "../substitution";
import { notBaked, setsWithoutOven } from "./baking";
import { usualMethod } from "./usual";
import { inOwnTime } from "./own-times";
import { cookingOf, type DrivenGround } from "./driven-off";
import { handlingOf, isHandlingAsked, minutesToDone } from "./handling";
import { namesIn, shortName } from "./names";
import { inTheirPlaces, isWet, stepBeside } from "./places";
import { outOfPlace, sentencesWithout, type SentenceGround } from "./rebuild";
import type { GoesIn, HandlingStep, HandlingTables, Method, MethodStep, MethodTake } from "./step";
import { plainText } from "./without";

/** What a method is built from. */
export interface MethodGround {
  readonly read: Pick<ReadRecipe, "lines" | "byLine" | "steps" | "ledger" | "evaporation" | "archetype" | "structure">;
  readonly handling: HandlingTables;
  /** Water that the recipe drives off for this many servings, g. */
  readonly evaporation: number;
  readonly constants: DrivenGround["constants"] & Pick<Constants, "usualMethods" | "gelatinisationMinutes" | "learned">;
}

/** A recipe's step in a version, with what its sentences now do. */
interface Rebuilt {
  readonly step: Writable<MethodStep>;
  readonly reading: StepReading;
}

/**
 * How a version is made: the recipe's steps with what the version puts into them. A sentence that does not hold for what stands
 * there now is said anew, or goes; a step of which nothing is left falls away, as does what a row was pressed by where another food
 * stands for it. Foods of another kind, and foods that are added, go in beside what is handled as they are, else by a step of
 * their own, at the place that their handling tells; what has to be got ready comes first; what is raw is cooked until it is done.
 */
export function methodOf(ground: MethodGround, version: Version): Method {
  const method = builtOf(ground, version);
  return { ...method, steps: method.steps.map((step) => inOwnTime(step, ground.constants.learned)) };
}

function builtOf({ read, handling, evaporation, constants }: MethodGround, version: Version): Method {
  const asked = version.rows.flatMap(({ id, food, change }) =>
    food && (change === "replaced" || change === "added") && isHandlingAsked(food, handling) ? [id] : [],
  );
  const usual = (): Method => ({
    steps: [...preparations(version, handling), ...usualMethod(version, read.archetype, constants)],
    needless: [],
    outOfPlace: [],
    simmers: true,
    asked,
  });
  if (read.steps.length === 0) return usual();
  const rowOf = new Map(version.rows.flatMap((row) => (row.line === null ? [] : [[row.line, row] as const])));
  const why = needlessPressing(version, read.ledger);
  const { lines, find } = namesIn(read);
  const ground: SentenceGround = {
    find,
    foodOf: new Map(lines.map(({ id, food }) => [id, food] as const)),
    rowOf,
    process: constants.process.value,
  };
  const open = read.steps.filter(({ step }) => !why.has(step.id));
  const { moved, unprepared } = outOfPlace(open, ground);
  const gone = new Set([...moved, ...version.rows.flatMap(({ line, food }) => (line !== null && food === null ? [line] : []))]);
  const needsNoOven = setsWithoutOven(version, lines, read.archetype);
  const namedAt = open.map(({ step }) => [step.id, new Set(ground.find(step.text).map(({ key }) => key))] as const);
  const timesNamed = (line: LineId) => namedAt.filter(([, named]) => named.has(line)).map(([step]) => step);
  const namedIn = new Map(lines.map(({ id }) => [id, timesNamed(id)] as const));
  const rebuilt = open.flatMap((each): Rebuilt[] => {
    const takesPart = each.takes.some(({ of }) => of.kind === "component");
    const elsewhere = (line: LineId) => (namedIn.get(line) ?? []).some((step) => step !== each.step.id);
    const unmade = unprepared.get(each.step.id);
    const without = sentencesWithout(each, takesPart, unmade ? new Set([...gone, ...unmade]) : gone, elsewhere, ground);
    const sentences = needsNoOven && each.step.component === undefined ? without.map((sentence) => notBaked(each.step.text, sentence)) : without;
    const named = namedAt.find(([step]) => step === each.step.id)?.[1] ?? new Set<LineId>();
    const rows = concerned(each, named, rowOf);
    const reasons = [...new Set(rows.flatMap(({ change, why: reason }) => (change !== "amount" && reason ? [reason] : [])))];
    if (sentences.length > 0 && sentences.every(({ is }) => is === "gone")) {
      why.set(each.step.id, reasons.join(", ") || "nothing is left to do");
      return [];
    }
    const isAsItWas = sentences.every(({ is }) => is === "kept");
    const reading = isAsItWas ? each : readStep({ ...each.step, text: plainText(each.step.text, sentences, lines) }, constants.process.value);
    const takes = takesOf(each, rowOf).filter(({ of }) => !moved.has(of.id));
    return [{ step: { ...plain(reading), takes, reasons, sentences }, reading }];
  });
  if (rebuilt.length === 0) return usual();
  const steps = rebuilt.map(({ step }) => step);
  const kept = open.filter(({ step }) => steps.some(({ id }) => id === step.id));

  waterFor(steps, version, read);
  putTheRest(steps, moved, version, read.steps, ground.find);
  const simmers = steps.some(isWet);
  const waiting: { readonly row: VersionRow; readonly how: HandlingStep }[] = [];
  for (const row of version.rows) {
    if (!row.food || (row.change !== "added" && (row.line === null || !moved.has(row.line)))) continue;
    const how = handlingOf(row.food, handling, simmers, constants).add ?? STIR_IN;
    const there = stepBeside(row, how, steps, kept, rowOf, moved, handling, version);
    if (!there) {
      waiting.push({ row, how });
      continue;
    }
    there.takes = [...there.takes, whole(row)];
    there.reasons = [...new Set([...there.reasons, ...(row.why ? [row.why] : [])])];
  }

  const goesIn = new Map<StepId, GoesIn>();
  const after = waiting.map(({ row, how }): Writable<MethodStep> => {
    if (how.goesIn) goesIn.set(`adds-${row.id}`, how.goesIn);
    return { ...ofHandling(how, `adds-${row.id}`, { kind: "adds", line: row.id }, row.why ? [row.why] : []), takes: [whole(row)] };
  });
  const readings = new Map(rebuilt.map(({ step: { id }, reading }) => [id, reading] as const));
  const cooking = cookingOf(steps, after, version, {
    ledger: read.ledger,
    recipe: read.steps,
    readings,
    atLeast: minutesUntilDone(steps, readings, version, constants),
    evaporation,
    ownEvaporation: read.evaporation.grams.value,
    constants,
  });
  for (const step of [...steps, ...after]) {
    const set = cooking.get(step.id);
    if (!set) continue;
    const minutes = set.open + set.covered;
    const of = minutes / Math.max(1, step.minutes.usual);
    step.cooking = set;
    if (minutes > 0) step.minutes = { shortest: Math.round(step.minutes.shortest * of), usual: minutes, longest: Math.round(step.minutes.longest * of) };
    step.reasons = [...new Set([...step.reasons, set.why])];
  }
  return {
    steps: [...preparations(version, handling), ...inTheirPlaces(steps, after, goesIn, version)],
    needless: [...why].map(([step, reason]) => ({ step, why: `needless: ${reason}` })),
    outOfPlace: [...moved],
    simmers,
    asked,
  };
}

/** Steps that only press what the version does not have, and why: what is pressed together with another stays for as long as one of them is pressed. */
function needlessPressing({ rows }: Version, { pressedIn }: ReadRecipe["ledger"]): Map<StepId, string> {
  const isGone = ({ change }: VersionRow) => change === "replaced" || change === "left out";
  const stepsOf = (of: readonly VersionRow[]) =>
    of.flatMap((row) => (row.line === null ? [] : (pressedIn.get(row.line) ?? []).map((step) => [step, row.why] as const)));
  const still = new Set(stepsOf(rows.filter((row) => !isGone(row))).map(([step]) => step));
  return new Map(stepsOf(rows.filter(isGone)).filter(([step]) => !still.has(step)));
}

/** The minutes that a step has to cook at the least, so that what the version puts in raw is done, by step. */
function minutesUntilDone(
  steps: readonly MethodStep[],
  readings: ReadonlyMap<StepId, StepReading>,
  { rows }: Version,
  constants: MethodGround["constants"],
): ReadonlyMap<StepId, number> {
  const atLeast = new Map<StepId, number>();
  const wet = (step: MethodStep) => {
    const reading = readings.get(step.id);
    if (!reading) return 0;
    const told = reading.open.reduce((sum, { minutes }) => sum + minutes, 0) + reading.coveredMinutes;
    if (reading.operations.includes("pressure")) return PRESSURE * Math.max(told, step.minutes.usual);
    return reading.heat === null
      ? ["bake", "steam"].includes(reading.operation)
        ? step.minutes.usual
        : 0
      : Math.max(told, reading.timed ? 0 : step.minutes.usual);
  };
  for (const { id, food, change } of rows) {
    const needed = food && (change === "replaced" || change === "added") ? minutesToDone(food, constants) : 0;
    const from = steps.findIndex(({ takes }) => takes.some(({ of, share }) => of.id === id && share > 0.5));
    const there = steps[from];
    if (needed === 0 || !there) continue;
    const later = steps.slice(from).filter(({ part }) => part === there.part || part === null);
    const cooks = later.find((step) => wet(step) > 0);
    const missing = needed - later.reduce((sum, step) => sum + wet(step), 0);
    if (cooks && missing > KEPT_UNDONE * needed) atLeast.set(cooks.id, Math.max(atLeast.get(cooks.id) ?? 0, Math.round(wet(cooks) + missing)));
  }
  return atLeast;
}
/** A minute under pressure counts so many of a simmer; short of done by less than this share, the recipe's minutes stay. */
const PRESSURE = 3;
const KEPT_UNDONE = 0.15;

/** What has to be got ready of foods that the recipe does not have. */
const preparations = (version: Version, { foods }: HandlingTables): MethodStep[] =>
  version.rows.flatMap((row): MethodStep[] => {
    const how = row.food && row.change !== "as is" && row.change !== "amount" ? foods.get(row.food.id)?.prepare : undefined;
    return how && row.food ? [ofHandling(how, `prepares-${row.id}`, { kind: "prepares", line: row.id }, [`for the ${shortName(row.food)}`])] : [];
  });

type Writable<T> = { -readonly [Key in keyof T]: T[Key] };
/** Shares closer to the whole than this are the whole. */
const ROUNDING = 1e-6;

/** What went in at a step that fell away goes in at the first that names it, else at the first one after that. */
function putTheRest(
  steps: readonly Writable<MethodStep>[],
  moved: ReadonlySet<LineId>,
  { rows }: Version,
  recipe: readonly ReadStepWithTakes[],
  find: FindMentions<LineId>,
): void {
  const texts = new Map(recipe.map(({ step }, at) => [step.id, { at, named: new Set(find(step.text).map(({ key }) => key)) }] as const));
  for (const row of rows) {
    if (!row.food || row.line === null || moved.has(row.line)) continue;
    const { line } = row;
    const put = steps.reduce((sum, { takes }) => sum + takes.reduce((all, { of, share }) => (of.id === row.id ? all + share : all), 0), 0);
    const gone = recipe.findIndex(({ step, takes }) => takes.some(({ of }) => of.id === line) && !steps.some(({ id }) => id === step.id));
    if (put > 1 - ROUNDING || gone < 0) continue;
    const there = steps.find(({ id }) => texts.get(id)?.named.has(line)) ?? steps.find(({ id }) => (texts.get(id)?.at ?? 0) > gone) ?? steps.at(-1);
    if (there) there.takes = [...there.takes, { of: { kind: "line", id: row.id }, share: 1 - put }];
  }
}

/** Where the water of a line is put to that of another, the step that needs it to melt or soak something takes it from there. */
function waterFor(steps: readonly Writable<MethodStep>[], { rows }: Version, { steps: recipe, lines }: MethodGround["read"]): void {
  const water = rows.find(({ food, grams }) => food?.id === "water" && grams > 0);
  if (!water) return;
  for (const { line, food, change } of rows) {
    const was = lines.find(({ id }) => id === line);
    if (food !== null || change !== "left out" || was?.food.id !== "water") continue;
    const at = recipe.find(({ takes, operations }) => operations.some((each) => NEEDS_WATER.includes(each)) && takes.some(({ of }) => of.id === line))?.step.id;
    const there = steps.find(({ id }) => id === at);
    const from = steps.find(({ takes }) => takes.some(({ of, share }) => of.id === water.id && share > 0.5));
    if (!there || !from || there === from) continue;
    const part = Math.min(MOST_OF_THE_WATER, was.grams / water.grams);
    from.takes = from.takes.map((take) => (take.of.id === water.id ? { ...take, share: take.share - part } : take));
    there.takes = [...there.takes, { of: { kind: "line", id: water.id }, share: part }];
  }
}
const NEEDS_WATER: readonly Operation[] = ["dissolve", "soak", "caramelise"];
const MOST_OF_THE_WATER = 0.3;

const whole = ({ id }: VersionRow): MethodTake => ({ of: { kind: "line", id }, share: 1 });

/** The rows that a step takes or names. */
function concerned({ takes }: ReadStepWithTakes, named: ReadonlySet<LineId>, rowOf: ReadonlyMap<LineId, VersionRow>): VersionRow[] {
  const taken = takes.flatMap(({ of }) => (of.kind === "line" ? [of.id] : []));
  return [...new Set([...named, ...taken])].flatMap((line) => rowOf.get(line) ?? []);
}

/** What goes in at a recipe's step in a version: what is left out no longer does. */
const takesOf = ({ takes }: ReadStepWithTakes, rowOf: ReadonlyMap<LineId, VersionRow>): MethodTake[] =>
  takes.flatMap(({ of, share }): MethodTake[] => {
    if (of.kind === "component") return [{ of: { kind: "part", id: of.id }, share }];
    const row = rowOf.get(of.id);
    return row?.food ? [{ of: { kind: "line", id: row.id }, share }] : [];
  });

const plain = ({ step, operations, operation, heat, covered, minutes, timed, attention, cue, equipment }: StepReading) => ({
  id: step.id,
  part: step.component ?? null,
  operations,
  operation,
  heat,
  covered,
  minutes,
  timed,
  attention,
  cue,
  tools: equipment,
  origin: { kind: "recipe" as const, step: step.id },
});

/** How a food goes in that brings no handling of its own. */
const STIR_IN: HandlingStep = { operations: ["mix"], minutes: { shortest: 1, usual: 2, longest: 5 }, attention: "hands on", words: "" };

const ofHandling = (how: HandlingStep, id: StepId, origin: MethodStep["origin"], reasons: readonly string[]): MethodStep => ({
  id,
  part: null,
  operations: how.operations,
  operation: how.operations[0],
  takes: [],
  heat: how.heat ?? null,
  covered: false,
  minutes: how.minutes,
  timed: true,
  attention: how.attention,
  cue: how.cue ?? null,
  tools: how.tools ?? [],
  origin,
  reasons,
});
