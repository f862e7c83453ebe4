import type { Estimate } from "../numeric";
import type { Food, Role, Treatment } from "../food";
import type { HouseholdMeasures } from "../units";
import { evaluate, type EvaluationInput, type KeptFigures } from "../evaluate";
import type { Method, OwnSteps, StepWords } from "../method";
import type { Archetype, ReadRecipe, Recipe } from "../recipe";
import { methodFor, type MadeWith, type VersionHazard } from "./method-for";
import { withWayWords, type WayChange } from "./way-words";
import {
  scaledFor,
  standingOf,
  partedPortions,
  partedWords,
  tableVerdict,
  versionInput,
  versionNotes,
  type AdaptationProblem,
  type Note,
  type TableVerdict,
  type Version,
  type VersionRow,
} from "../substitution";
import { whoseRules, type DiningTable } from "../table";

type MethodStep = Method["steps"][number];
/** A method as it is kept: what its sentences were made of is not. */
export interface KeptMethod extends Pick<Method, "needless"> {
  readonly steps: readonly (Omit<MethodStep, "sentences" | "cooking"> & { readonly cooking?: Partial<NonNullable<MethodStep["cooking"]>> })[];
}
const keptMethod = ({ steps, needless }: Method): KeptMethod => ({ steps: steps.map(({ sentences: _, ...step }) => step), needless });

export interface SnapshotLine {
  readonly food: Food;
  readonly grams: number;
  readonly sd: number;
  readonly role: Role;
  readonly apart?: boolean;
  readonly treated?: Treatment;
  readonly bought?: number;
}

export interface SnapshotInput {
  readonly lines: readonly SnapshotLine[];
  readonly evaporation: Estimate;
  readonly servings: number;
  readonly cookMinutes: number | null;
  readonly apart: number;
  /** Null in versions from before it was kept. */
  readonly archetype: Archetype | null;
}

/** A kept version: everything it was made from, and the figures as they were. */
export interface Snapshot {
  readonly modelVersion: string;
  readonly label: string;
  readonly recipe: Recipe;
  readonly table: DiningTable;
  /** The revisions of recipe and table that it was made on; null in versions from before they were noted. */
  readonly madeOn: { readonly recipe: number; readonly table: number } | null;
  readonly factor: number;
  readonly rows: readonly (Omit<VersionRow, "food"> & {
    readonly food: Food | null;
    readonly recipeFood: string | null;
    readonly recipeText: string | null;
    readonly recipeGrams: number | null;
  })[];
  /** The household's measures of that day, in which its cups and spoons are; absent in versions from before they could be set. */
  readonly measures?: HouseholdMeasures;
  /** How it is made; null in versions from before that was kept as more than words. */
  readonly method: KeptMethod | null;
  /** The same in words, as they were. */
  readonly steps: readonly StepWords[];
  /** The household's ways in which they are other than the recipe's; absent where none is. */
  readonly ways?: readonly KeptWay[];
  /** What the maker has set of them. */
  readonly ownSteps?: OwnSteps;
  /** What can go wrong in them; absent where it was kept before that was told. */
  readonly hazards?: readonly VersionHazard[];
  readonly notes: readonly Note[];
  /** What was known of it at its table; absent in versions from before it was judged. */
  readonly verdict?: TableVerdict;
  readonly asHandedDown: SnapshotSide;
  readonly forThisTable: SnapshotSide;
}

/** A way that was followed, by its ids and in words. */
export interface KeptWay {
  readonly way: string;
  readonly option: string;
  readonly what: string;
}

export interface SnapshotSide {
  readonly input: SnapshotInput;
  readonly figures: KeptFigures;
}

/** What of a recipe a version at this table is evaluated by. */
export const groundOf = (read: ReadRecipe, table: DiningTable) => ({
  ...scaledFor(read, table.servings),
  servings: table.servings,
  cookMinutes: read.cookMinutes,
  archetype: read.archetype,
});

/** The input of the recipe itself, for the table's servings. */
export function recipeInput(read: ReadRecipe, table: DiningTable): EvaluationInput {
  const { lines, evaporation, apart } = scaledFor(read, table.servings);
  return { lines, evaporation, apart, servings: table.servings, cookMinutes: read.cookMinutes, archetype: read.archetype };
}

/** Freezes a version with its recipe, table, foods and figures. */
export function snapshotOf(
  read: ReadRecipe,
  problem: AdaptationProblem,
  version: Version,
  table: DiningTable,
  label: string,
  { handling, equipment }: Pick<MadeWith, "handling" | "equipment">,
  madeOn: NonNullable<Snapshot["madeOn"]>,
  ownSteps?: OwnSteps,
  /** The recipe as it was handed down, and the ways of the household in which `read` is other than that. */
  { written, ways }: { readonly written: ReadRecipe; readonly ways: readonly (KeptWay & WayChange)[] } = { written: read, ways: [] },
): Snapshot {
  const before = recipeInput(written, table);
  const after = versionInput(version, groundOf(read, table));
  const { factor, lines } = scaledFor(read, table.servings);
  const { reference } = problem;
  const { figures } = evaluate(after, reference.constants);
  const standing = standingOf(problem, version, figures);
  const { method, words, hazards } = methodFor(read, version, table, { handling, constants: reference.constants, equipment }, ownSteps, written);
  return {
    modelVersion: reference.modelVersion,
    label,
    recipe: read.recipe,
    table,
    madeOn,
    factor,
    measures: read.measures,
    rows: version.rows.map((row) => {
      const source = row.line === null ? undefined : lines.find((line) => line.id === row.line);
      return {
        ...row,
        recipeFood: source?.food.name ?? null,
        recipeText: row.line === null ? null : (read.byLine.get(row.line)?.line.text ?? null),
        recipeGrams: source?.grams ?? null,
      };
    }),
    method: keptMethod(method),
    steps: withWayWords(words, written.recipe.steps, ways),
    ...(ways.length === 0 ? {} : { ways: ways.map(({ way, option, what }) => ({ way, option, what })) }),
    hazards,
    ...(ownSteps === undefined ? {} : { ownSteps }),
    notes: versionNotes(problem, version, figures),
    verdict: tableVerdict(standing, problem, table, partedWords(partedPortions(read, standing, problem.rules), whoseRules(table))),
    asHandedDown: { input: plain(before), figures: evaluate(before, reference.constants).figures },
    forThisTable: { input: plain(after), figures },
  };
}

const plain = (input: EvaluationInput): SnapshotInput => ({
  ...input,
  lines: input.lines.map(({ food, grams, sd, role, apart, treated, bought }) => ({ food, grams, sd, role, apart, treated, bought })),
});
