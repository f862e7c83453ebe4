import type { Constants } from "../food";
import { hazardsOf, type Hazard } from "../hazards";
import {
  mentionsOfLines,
  methodInOwnOrder,
  methodOf,
  namedLines,
  textOf,
  timesOf,
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

/**
 * How a version is made, and the same in words. What surely goes wrong changes the step itself, where the recipe as handed down
 * does not run it too: what its maker does is warned of, not rewritten.
 */
export function methodFor(read: ReadRecipe, version: Version, table: DiningTable, handling: HandlingTables, constants: Constants, own?: OwnSteps): MadeMethod {
  const { lines, evaporation } = scaledFor(read, table.servings);
  const made = (of: Version, set?: OwnSteps) => {
    const built = methodOf({ read, handling, evaporation: evaporation.value, constants }, of);
    const steps = read.steps.map(({ step }) => step);
    const lines = namedLines(read);
    const told = wordsOf(built, of, { steps, lines, handling, measures: read.measures, constants });
    const method = set ? methodInOwnOrder(built, set) : built;
    const words = set ? withOwnSteps(told, set, { method, rows: of.rows, find: mentionsOfLines(lines) }) : told;
    const said = new Map(words.map((each) => [each.step, textOf(each)] as const));
    const hazards = hazardsOf({ method, textOf: ({ id }) => said.get(id) ?? "", version: of, archetype: read.archetype, serve: table.serve });
    return { method, words, hazards };
  };
  const { method, words, hazards } = made(version, own);
  const isChanged = own !== undefined || version.rows.some(({ change }) => change !== "as is");
  const handedDown = lines.map((line): VersionRow => ({ ...line, line: line.id, change: "as is", why: "" }));
  const handed = isChanged ? ofRecipe(read, table, () => made({ rows: handedDown, evaporation: evaporation.value })) : { method, hazards };
  const runs = new Set(handed.hazards.map(({ family, grade, step }) => `${family} ${grade} ${step}`));
  const found = hazards.map((hazard): VersionHazard => {
    const isOwn = runs.has(`${hazard.family} ${hazard.grade} ${hazard.step}`);
    return { ...hazard, isOwn, change: isOwn ? null : hazard.change };
  });
  return { method, words: words.map((step) => withChanges(step, found)), hazards: found, times: { now: timesOf(method), recipe: timesOf(handed.method) } };
}

type OwnMethod = Pick<MadeMethod, "method"> & { readonly hazards: readonly Hazard[] };
/** The recipe's own method at a number of servings and a temperature, kept for as long as its reading is. */
const ownMethods = new WeakMap<ReadRecipe, Map<string, OwnMethod>>();
function ofRecipe(read: ReadRecipe, { servings, serve }: DiningTable, make: () => OwnMethod): OwnMethod {
  const known = ownMethods.get(read) ?? new Map<string, OwnMethod>();
  ownMethods.set(read, known);
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
