import type { Constants } from "../food";
import { hazardsOf, lotsOf, potsOf, type Hazard, type Lots } from "../hazards";
import { NO_EQUIPMENT, type Equipment } from "../household";
import {
  mentionsOfLines,
  methodInOwnOrder,
  methodOf,
  namedLines,
  textOf,
  timesOf,
  withClassesNamed,
  withOwnSteps,
  wordsOf,
  type HandlingTables,
  type Method,
  type MethodTimes,
  type OwnSteps,
  type StepWords,
} from "../method";
import type { ReadRecipe } from "../recipe";
import { scaledFor, type Version, type VersionRow } from "../substitution";
import type { DiningTable } from "../table";

/** A hazard of a version; `isOwn` where the recipe itself runs it at that step, as its maker does. */
export interface VersionHazard extends Hazard {
  readonly isOwn: boolean;
}

/** How a version is made, the same in words, and what can go wrong. */
export interface MadeMethod {
  readonly method: Method;
  readonly words: readonly StepWords[];
  readonly hazards: readonly VersionHazard[];
  /** How long it takes, and the recipe as handed down. */
  readonly times: { readonly now: MethodTimes; readonly recipe: MethodTimes };
}

/** What a method is made with: tables, and what the household cooks with. */
export interface MadeWith {
  readonly handling: HandlingTables;
  readonly constants: Constants;
  readonly equipment?: Equipment | undefined;
}

/**
 * How a version is made, and the same in words. What surely goes wrong changes the step itself, where the recipe as handed down
 * does not run it too: what its maker does is warned of, not rewritten. `written`: the recipe as it was handed down, where `read`
 * is the same in other ways.
 */
export function methodFor(
  read: ReadRecipe,
  version: Version,
  table: DiningTable,
  { handling, constants, equipment = NO_EQUIPMENT }: MadeWith,
  own?: OwnSteps,
  written: ReadRecipe = read,
): MadeMethod {
  const changed = new Set(version.rows.flatMap(({ line, change }) => (line !== null && (change === "replaced" || change === "left out") ? [line] : [])));
  const made = (read: ReadRecipe, of: Version, evaporation: number, set?: OwnSteps) => {
    const built = methodOf({ read, handling, evaporation, constants }, of);
    const steps = read.steps.map(({ step }) => step);
    const lines = namedLines(read);
    const told = wordsOf(built, of, { steps, lines, handling, measures: read.measures, constants });
    const method = set ? methodInOwnOrder(built, set) : built;
    const words = set ? withOwnSteps(told, set, { method, rows: of.rows, find: mentionsOfLines(lines) }) : told;
    const said = new Map(words.map((each) => [each.step, textOf(each)] as const));
    const saidOf = ({ id }: Method["steps"][number]) => said.get(id) ?? "";
    const hazards = hazardsOf({ method, textOf: saidOf, version: of, archetype: read.archetype, serve: table.serve });
    const lots = lotsOf(potsOf(method, saidOf, of), of.evaporation, equipment);
    return { method: inLots(method, lots), words: words.map((each) => withLots(each, lots)), hazards };
  };
  const { method, words, hazards } = made(withClassesNamed(read, changed), version, scaledFor(read, table.servings).evaporation.value, own);
  const isChanged = own !== undefined || written !== read || version.rows.some(({ change }) => change !== "as is");
  const handed = isChanged
    ? ofRecipe(written, table, equipment, () => {
        const { lines, evaporation } = scaledFor(written, table.servings);
        const rows = lines.map((line): VersionRow => ({ ...line, line: line.id, change: "as is", why: "" }));
        return made(written, { rows, evaporation: evaporation.value }, evaporation.value);
      })
    : { method, hazards };
  const runs = new Set(handed.hazards.map(({ family, grade, step }) => `${family} ${grade} ${step}`));
  const found = hazards.map((hazard): VersionHazard => {
    const isOwn = runs.has(`${hazard.family} ${hazard.grade} ${hazard.step}`);
    return { ...hazard, isOwn, change: isOwn ? null : hazard.change };
  });
  return { method, words: words.map((step) => withChanges(step, found)), hazards: found, times: { now: timesOf(method), recipe: timesOf(handed.method) } };
}

/** The steps that are done in lots take as many times as long. */
function inLots(method: Method, lots: readonly Lots[]): Method {
  if (lots.length === 0) return method;
  const of = new Map(lots.map((each) => [each.step, each.lots] as const));
  const times = ({ shortest, usual, longest }: Method["steps"][number]["minutes"], by: number) => ({
    shortest: shortest * by,
    usual: usual * by,
    longest: longest * by,
  });
  return {
    ...method,
    steps: method.steps.map((step) => {
      const count = of.get(step.id) ?? 1;
      return count < 2 ? step : { ...step, minutes: times(step.minutes, count), lots: count };
    }),
  };
}

/** What is said of lots where they begin; the maker's own words are left alone. */
function withLots(words: StepWords, lots: readonly Lots[]): StepWords {
  const text = words.isOwn ? undefined : lots.find(({ step }) => step === words.step)?.text;
  if (!text) return words;
  return {
    ...words,
    segments: [...words.segments, { text: ` ${text}`, kind: "changed" }],
    why: [words.why, "what it is done in is too small"].filter(Boolean).join(", "),
  };
}

type OwnMethod = Pick<MadeMethod, "method"> & { readonly hazards: readonly Hazard[] };
/** The recipe's own method at a number of servings and a temperature, kept for as long as its reading is. */
const ownMethods = new WeakMap<ReadRecipe, WeakMap<Equipment, Map<string, OwnMethod>>>();
function ofRecipe(read: ReadRecipe, { servings, serve }: DiningTable, equipment: Equipment, make: () => OwnMethod): OwnMethod {
  const of = ownMethods.get(read) ?? new WeakMap<Equipment, Map<string, OwnMethod>>();
  ownMethods.set(read, of);
  const known = of.get(equipment) ?? new Map<string, OwnMethod>();
  of.set(equipment, known);
  const found = known.get(`${servings} ${serve}`) ?? make();
  if (known.size < MOST_KEPT) known.set(`${servings} ${serve}`, found);
  return found;
}
const MOST_KEPT = 20;

/** A step's words with what its hazards put before and behind them. */
function withChanges(words: StepWords, hazards: readonly VersionHazard[]): StepWords {
  // The maker's own words are not changed: they are only warned of.
  const mine = (words.isOwn ? [] : hazards).flatMap(({ step, change, what }) => (step === words.step && change ? [{ ...change, what }] : []));
  const texts = (place: "before" | "behind") => [...new Set(mine.filter((each) => each.place === place).map(({ text }) => text))];
  const [before, behind] = [texts("before"), texts("behind")];
  if (mine.length === 0) return words;
  return {
    ...words,
    segments: [
      ...before.map((text) => ({ text: `${text} `, kind: "changed" as const })),
      ...words.segments,
      ...behind.map((text) => ({ text: ` ${text}`, kind: "changed" as const })),
    ],
    why: [...new Set([words.why, ...mine.map(({ what }) => what)])].filter(Boolean).join(", "),
  };
}
