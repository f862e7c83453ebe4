import {
  methodFor,
  recipeInput,
  rowsWithoutFood,
  sinceWords,
  stored,
  withOwnWords,
  withWayWords,
  type MadeMethod,
  type StoredBench,
  type VersionHazard,
} from "../adaptation";
import { whyUnknown, type EvaluationInput } from "../evaluate";
import { evaluateVersion, openBench, type Kitchen } from "../kitchen";
import type { StepWords } from "../method";
import { kitchenMeasure } from "../recipe";
import {
  allergyStates,
  beamReadings,
  fitWords,
  goalProperty,
  insideCount,
  partedPortions,
  partedWords,
  rowFindings,
  scaledFor,
  standingOf,
  tableVerdict,
  versionNotes,
  wishWords,
  type AdaptationProblem,
  type AllergyState,
  type BeamReading,
  type Note,
  type Order,
  type VersionRow,
} from "../substitution";
import { GOALS, whoseRules, type DiningTable, type GoalId, type Wish } from "../table";
import { capital } from "../units";
import { endingWithoutSolver, toldEnding, type ToldEnding } from "./bench-ending";
import { groundOfBench, laidBench, withBatch, type BenchGround, type BenchQuestion, type Ground } from "./bench-ground";
import { eatersRow, type EaterStanding } from "./eaters-row";
import type { Broken } from "./found-foods";
import type { Anchors, NamedFood } from "./recipe-view";
import { palatesOf, type Palate } from "./palates";
import { isReadWhole, toldFigures, type ToldFigures } from "./told-figures";
import { toldWays, wayWords, type ToldWay } from "./told-ways";

/** A row of the ledger, in words. */
export interface ToldRow extends Omit<VersionRow, "food"> {
  /** Null where the line is left out. */
  readonly food: NamedFood | null;
  readonly measure: string;
  /** What it was in the recipe; null for a food that was added. */
  readonly was: { readonly name: string; readonly measure: string; readonly grams: number } | null;
  /** The gravest of what the rules make of it. */
  readonly breaks: Broken | null;
}

/** All that the Swap station shows and that has to be computed; it can be cloned. */
export interface BenchView {
  readonly thread: { readonly asked: number; readonly lines: number; readonly steps: number };
  /** Lines that are in no version: what they are of, or how much, is not known. */
  readonly unread: number;
  readonly anchors: Anchors;
  /** Names of the table's rules, by their ids. */
  readonly ruleNames: Readonly<Record<string, string>>;
  /** Places of lines and steps. */
  readonly order: Order;
  /** What lies on the bench, for recipe and table as they are: as handed down where nothing that can be laid does. */
  readonly bench: StoredBench;
  /** Whether it was worked on before, and does not give way. */
  readonly isLaid: boolean;
  /** What has changed since it was worked on, in words. */
  readonly since: readonly string[];
  /** Rows of it whose food is no longer in the pantry: then it cannot be laid. */
  readonly gone: number;
  /** The recipe itself as a bench. */
  readonly handedDown: StoredBench;
  readonly rows: readonly ToldRow[];
  readonly before: ToldFigures;
  readonly after: ToldFigures;
  readonly beams: readonly BeamReading[];
  readonly notes: readonly Note[];
  /** Of those who like it other than it is made here: how they will find it. */
  readonly palates: readonly Palate[];
  /** Each who sits at the table. */
  readonly eaters: readonly EaterStanding[];
  /** The verdict in few words, and whether it is that a rule is broken. */
  readonly fit: string;
  readonly isNotFor: boolean;
  readonly allergies: readonly AllergyState[];
  /** What is asked of versions, in words. */
  readonly wishes: readonly { readonly wish: Wish; readonly words: string }[];
  /** What the recipe itself comes to, by what a goal can be set for. */
  readonly goals: Readonly<Record<GoalId, number>>;
  /** Portions that are parted from the pot, in words. */
  readonly parted: readonly string[];
  readonly steps: readonly StepWords[];
  /** The ways in which the household makes it, other than it is written. */
  readonly ways: readonly ToldWay[];
  /** What can go wrong in them, and how long they take. */
  readonly hazards: readonly VersionHazard[];
  readonly times: MadeMethod["times"];
  /** Foods of which nobody has said how they are handled, by id and name. */
  readonly unhandled: readonly { readonly id: string; readonly name: string }[];
  /** How the search for versions ends, where no solver is needed to tell. */
  readonly ending: ToldEnding | null;
}

/** What the Swap station shows of a bench, in a kitchen. */
export function benchView({ recipe, table, bench, proposals, revisions, laysFirst }: BenchQuestion, kitchen: Kitchen): BenchView {
  const { constants, foods } = kitchen.reference;
  const ground = groundOfBench({ recipe, table, bench }, kitchen);
  const { read, problem, before, handedDown, written, taken } = ground;
  const laid = laidBench(bench, ground, table, kitchen);
  const gone = rowsWithoutFood(bench, read, foods);
  const ending = endingWithoutSolver(proposals, revisions, ground, kitchen);
  const [first] = laysFirst && gone === 0 && ending?.kind === "proposals" ? ending.proposals : [];
  const state = laid?.state ?? (first ? { ...first, byHand: false } : handedDown);
  const { version } = state;
  const after = evaluateVersion(version, read, table, kitchen);
  const unknown = { ...whyUnknown(before.input, constants), ...whyUnknown(after.input, constants) };
  const beams = beamReadings(before.figures, after.figures, table.limits, table.serve, constants).filter(({ id }) => unknown[id] === undefined);
  const ownSteps = "steps" in state ? state.steps : undefined;
  const judged = withOwnWords(problem, read, version, ownSteps, kitchen.reading.find);
  const standing = standingOf(judged, version, after.figures);
  const parted = partedWords(partedPortions(read, standing, problem.rules), whoseRules(table));
  const verdict = tableVerdict(standing, judged, table, parted);
  const made = methodFor(read, version, table, { handling: kitchen.handling, constants, equipment: kitchen.household.equipment }, ownSteps, written);
  const palates = palatesOf(table, before.figures, after.figures, constants);
  return {
    thread: { asked: read.unresolved.length, lines: read.lines.length, steps: recipe.steps.length },
    unread: read.readings.filter((reading) => "why" in reading).length,
    anchors: { bodyAnchors: constants.bodyAnchors },
    ruleNames: Object.fromEntries(problem.rules.map(({ id, name }) => [id, name])),
    order: problem.order,
    bench: stored(withBatch(state, ground), read, table),
    ways: toldWays(taken, kitchen),
    isLaid: laid !== null,
    since: (laid?.since ?? []).map((change) => sinceWords(change, (rule) => kitchen.rules.get(rule)?.name ?? rule)),
    gone,
    handedDown: stored(withBatch(handedDown, ground), read, table),
    rows: version.rows.map((row) => toldRow(row, ground, table)),
    before: toldFigures(before, isReadWhole(read), constants),
    after: toldFigures(after, isReadWhole(read), constants),
    beams,
    palates,
    eaters: eatersRow(standing, table, palates),
    notes: versionNotes(judged, version, after.figures),
    fit: fitWords(verdict, insideCount(beams)),
    isNotFor: verdict.kind === "not for",
    allergies: allergyStates(standing, problem, table),
    wishes: problem.wishes.map((wish) => ({ wish, words: wishWords(wish, problem) })),
    goals: Object.fromEntries(GOALS.map((goal) => [goal, before.figures[goalProperty(goal, problem)].value])) as Record<GoalId, number>,
    parted,
    steps: withWayWords(
      made.words,
      written.recipe.steps,
      taken.map((each) => ({ what: wayWords(each, kitchen), steps: each.steps })),
    ),
    hazards: made.hazards,
    times: made.times,
    unhandled: made.method.asked.flatMap((row) => {
      const food = version.rows.find(({ id }) => id === row)?.food;
      return food ? [{ id: food.id, name: food.name }] : [];
    }),
    ending: ending && toldEnding(ending, ground, table),
  };
}

/** What a figure of the recipe, or of the version on the bench, is computed from. */
export function benchInput(
  { recipe, table, bench }: Pick<BenchQuestion, "recipe" | "table" | "bench">,
  side: "before" | "after",
  kitchen: Kitchen,
): EvaluationInput {
  const ground = groundOfBench({ recipe, table, bench }, kitchen);
  if (side === "before") return recipeInput(ground.written, table);
  return evaluateVersion((laidBench(bench, ground, table, kitchen)?.state ?? ground.handedDown).version, ground.read, table, kitchen).input;
}

/** What a row was in the recipe: its name, and its amount as written where the servings are the recipe's. */
function toldRow(row: VersionRow, { read, problem, written }: Ground, table: DiningTable): ToldRow {
  const { food, ...rest } = row;
  const isWritten = row.line !== null && written.recipe.lines.some(({ id }) => id === row.line);
  const source =
    row.line === null || !isWritten
      ? undefined
      : (scaledFor(written, table.servings).lines.find(({ id }) => id === row.line) ?? problem.lines.find(({ id }) => id === row.line));
  const reading = row.line === null ? undefined : read.byLine.get(row.line);
  const described = reading && "description" in reading && reading.description;
  const stated = reading?.kind === "read" && table.servings === read.recipe.servings ? reading.measure : "";
  const was = source
    ? {
        name: described ? capital(described) : source.food.name,
        measure: stated || (kitchenMeasure(source.food, source.grams, read.measures)?.text ?? ""),
        grams: source.grams,
      }
    : null;
  // What a way of the household's put in, or made more or less of, the recipe does not have.
  const isOfWay = row.change === "as is" && (!isWritten || (source !== undefined && Math.abs(source.grams - row.grams) > 0.005 * source.grams));
  return {
    ...rest,
    ...(isOfWay ? { change: isWritten ? ("amount" as const) : ("added" as const), why: "your way" } : {}),
    food: food && { id: food.id, name: food.name },
    measure: row.change === "as is" && !isOfWay ? (was?.measure ?? "") : food ? (kitchenMeasure(food, row.grams, read.measures)?.text ?? "") : "",
    was,
    breaks: gravest(row, problem),
  };
}

function gravest(row: VersionRow, problem: AdaptationProblem): Broken | null {
  const found = rowFindings(problem, row);
  const first = found.find(({ verdict }) => verdict === "avoid") ?? found[0];
  return first ? { short: first.short, isAsked: first.verdict === "ask" } : null;
}

/** Benches as they lay before, laid for recipe and table as they are; what cannot be laid, or is as the one before it, is left out. The latest first. */
export interface EarlierQuestion extends BenchGround {
  readonly benches: readonly StoredBench[];
  /** What lies on it now. */
  readonly now: StoredBench;
}

export function earlierBenches({ benches, now, ...at }: EarlierQuestion, kitchen: Kitchen): readonly StoredBench[] {
  const earlier: StoredBench[] = [];
  const held = ({ rows, evaporation, ways }: StoredBench) =>
    JSON.stringify([evaporation, ways, rows.map(({ id, foodId, grams, change }) => [id, foodId, grams, change])]);
  for (const bench of benches) {
    const { read } = groundOfBench({ ...at, bench }, kitchen);
    const state = openBench({ ...bench, byHand: true }, read, at.table, kitchen)?.state;
    const laid = state && stored(state, read, at.table);
    if (laid && held(laid) !== held(earlier[0] ?? now)) earlier.unshift(laid);
  }
  return earlier;
}
