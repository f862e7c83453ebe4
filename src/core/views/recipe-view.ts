import { recipeInput } from "../adaptation";
import { proposeAmount } from "../evaluate";
import type { Constants, Food, Reference, Role } from "../food";
import { evaluateRecipe, openRecipe, type Kitchen } from "../kitchen";
import { interval, type Figure } from "../numeric";
import {
  halvedCan,
  halvedCanWords,
  ratiosFor,
  writersCup,
  type LedgerEntry,
  type LedgerMass,
  type LedgerProblem,
  type LineId,
  type LineReading,
  type PartId,
  type ReadRecipe,
  type ReadStepWithTakes,
  type ReadTake,
  type Recipe,
  type StepId,
} from "../recipe";
import type { Rule } from "../models/diet";
import { rulesAt, type DiningTable } from "../table";
import { brokenBy, type Broken } from "./found-foods";
import { isReadWhole, toldFigures, type ToldFigures } from "./told-figures";

/** In words what a step of body is. */
export type Anchors = Pick<Constants, "bodyAnchors">;

/** A food as it is offered: by its name. */
export type NamedFood = Pick<Food, "id" | "name">;

/** What one line was read as. */
export interface ToldLine {
  readonly id: LineId;
  readonly kind: LineReading["kind"];
  /** What it names, in its own words. */
  readonly description: string;
  /** Null where none is known. */
  readonly food: NamedFood | null;
  readonly role: Role | null;
  /** Null unless it is read. */
  readonly grams: number | null;
  /** How the grams were reached. */
  readonly how: string;
  /** Its words name no food yet: what answers them may be what they mean here from now on. */
  readonly isNewName: boolean;
  /** What is asked, and why; empty where nothing is. */
  readonly why: string;
  /** Foods that it may be: the likeliest first of those that the table's rules and the line's own purpose let stand. */
  readonly foods: readonly (NamedFood & { readonly breaks: Broken | null })[];
  /** Where more foods stand in it with amounts of their own: all of them, each as a line of its own; else empty. */
  readonly apart: readonly string[];
  /** What to mind before it is measured; null where there is nothing. */
  readonly heed: string | null;
  /** Amounts that it may be. */
  readonly amounts: readonly { readonly label: string; readonly grams: number }[];
  /** For an amount that is asked: what would bring the sweet to what is usual for its kind. */
  readonly proposal: ReturnType<typeof proposeAmount>;
  /** Ratios at which it could be kept. */
  readonly ratios: ReturnType<typeof ratiosFor>;
}

/** What goes in at a step: a line with its grams, or a part of the sweet. */
export interface ToldTake extends Pick<ReadTake, "share" | "why"> {
  readonly id: LineId;
  readonly name: string;
  /** Of the share that goes in; null for a part. */
  readonly grams: number | null;
}

/** What one step was read as. */
export interface ToldStep extends Pick<ReadStepWithTakes, "operation" | "heat" | "covered" | "minutes" | "timed" | "attention" | "cue" | "equipment"> {
  readonly id: StepId;
  /** Whether heat and lid count in it. */
  readonly isWet: boolean;
  readonly takes: readonly ToldTake[];
  /** What the pot weighs after it, g; null where that is not in the ledger. */
  readonly after: number | null;
  readonly problems: readonly LedgerProblem[];
}

/** One row of the ledger of mass. */
export interface ToldEntry extends Omit<LedgerEntry, "step" | "component"> {
  /** The step's number; "then" for what comes after the last, "all" where there are no steps. */
  readonly name: string;
  /** The part that is made; null for the sweet itself. */
  readonly part: string | null;
}

/** What the Recipe station shows from. */
export interface RecipeQuestion {
  readonly recipe: Recipe;
  readonly table: DiningTable;
}

/** All that the Recipe station shows and that has to be computed; it can be cloned. */
export interface RecipeView {
  readonly thread: { readonly asked: number; readonly lines: number; readonly steps: number };
  readonly anchors: Anchors;
  /** The kind of sweet that the lines tell of. */
  readonly archetype: string;
  /** What the kind is told by, in few words. */
  readonly archetypeWhy: string;
  /** The writer's own cup, where it can be told from the lines. */
  readonly cup: ReturnType<typeof writersCup>;
  /** One for each line and step of the recipe, in their order; a step without text has none. */
  readonly lines: readonly ToldLine[];
  readonly steps: readonly ToldStep[];
  /** What steps name and no line lists: by the step's number, in the step's words. */
  readonly unlisted: readonly { readonly step: number; readonly words: string }[];
  /** What each part comes to, g; null where that is not known. */
  readonly parts: readonly { readonly id: PartId; readonly name: string; readonly yields: number | null }[];
  /** What of the whole does not add up. */
  readonly problems: readonly LedgerProblem[];
  readonly ledger: { readonly entries: readonly ToldEntry[]; readonly finished: Figure; readonly apart: readonly LedgerMass[] };
  /** Driven off in all: g, and how that is known. */
  readonly evaporation: { readonly grams: number; readonly how: string };
  /** Of the recipe as handed down, in its own servings. */
  readonly told: ToldFigures;
}

/** What the Recipe station shows of a recipe, in a kitchen. */
export function recipeView({ recipe, table }: RecipeQuestion, kitchen: Kitchen): RecipeView {
  const { constants } = kitchen.reference;
  const read = openRecipe(recipe, kitchen);
  const { ledger, structure, readings } = read;
  const evaluated = evaluateRecipe(read, { ...table, servings: recipe.servings }, kitchen);
  return {
    thread: { asked: read.unresolved.length, lines: read.lines.length, steps: recipe.steps.length },
    anchors: { bodyAnchors: constants.bodyAnchors },
    archetype: read.archetypeGuess.archetype,
    archetypeWhy: read.archetypeGuess.why,
    cup: writersCup(recipe.lines),
    lines: readings.map((reading) => toldLine(reading, read, rulesAt(table, kitchen.rules), kitchen)),
    unlisted: toldUnlisted(read),
    steps: read.steps.map((step, at) => toldStep(step, at, read)),
    parts: [...structure.components.values()].map(({ id, name }) => ({
      id,
      name,
      yields: ledger.entries.findLast(({ component }) => component === id)?.after.mass ?? null,
    })),
    problems: ledger.problems.filter((problem) => stepOf(problem) === null),
    ledger: { entries: toldEntries(read), finished: interval(ledger.finished, 0), apart: ledger.apart },
    evaporation: { grams: read.evaporation.grams.value, how: read.evaporation.how },
    told: toldFigures(evaluated, isReadWhole(read), constants),
  };
}

const named = ({ id, name }: Food): NamedFood => ({ id, name });

function toldLine(reading: LineReading, read: ReadRecipe, rules: readonly Rule[], { reference, reading: by }: Kitchen): ToldLine {
  const { foods, constants } = reference;
  const halved = halvedCan(reading, constants);
  const isFood = reading.kind === "read" || reading.kind === "amount unknown";
  return {
    id: reading.line.id,
    kind: reading.kind,
    description: "description" in reading ? reading.description : "",
    food: isFood ? named(reading.food) : null,
    role: isFood ? reading.role : null,
    grams: reading.kind === "read" ? reading.grams.value : null,
    how: reading.kind === "read" ? reading.how : "",
    isNewName: reading.kind === "food unknown" && by.matcher.known(reading.description) === null,
    why: "why" in reading ? reading.why : "apart" in reading ? "More foods stand in it, each with its own amount" : "",
    foods: reading.kind === "food unknown" ? guessesOf(reading, rules, foods) : [],
    heed: halved && halvedCanWords(halved),
    apart: ("apart" in reading && reading.apart) || [],
    amounts: reading.kind === "amount unknown" ? reading.guesses.map(({ label, grams }) => ({ label, grams })) : [],
    proposal: reading.kind === "amount unknown" ? amountProposal(reading, read, constants) : null,
    ratios: isFood ? ratiosFor(read.readings, reading.line.id) : [],
  };
}

/** A sweetener "for diabetics", "sugar-free": sugars are not what is looked for. */
const WITHOUT_SUGAR = /\b(?:diabet\w*|sugar[- ]?free|no (?:added )?sugar|without sugar|low[- ]carb|keto)\b/i;
const SWEETENER = /\bsweeteners?\b|\bsugar substitute\b/i;
/** What bakes and cooks like sugar and is none, by their ids. */
const WITHOUT_SUGARS = ["erythritol", "xylitol", "stevia"];
const MOST_GUESSES = 3;

/** What a line may be, those that a rule of the table or the line's own purpose speaks against after all others. */
function guessesOf({ guesses, line }: Extract<LineReading, { kind: "food unknown" }>, rules: readonly Rule[], foods: Reference["foods"]): ToldLine["foods"] {
  const isWithout = WITHOUT_SUGAR.test(line.text);
  const isAgainst = (food: Food) => isWithout && food.sugarClass === "added";
  const meant = isWithout && SWEETENER.test(line.text) ? WITHOUT_SUGARS.flatMap((id) => foods.get(id) ?? []) : [];
  return [...new Set([...meant, ...guesses])]
    .map((food, place) => ({ food, breaks: brokenBy(food, rules), place }))
    .sort((one, other) => (one.breaks || isAgainst(one.food) ? 1 : 0) - (other.breaks || isAgainst(other.food) ? 1 : 0) || one.place - other.place)
    .slice(0, MOST_GUESSES)
    .map(({ food, breaks }) => ({ ...named(food), breaks }));
}

/** For a line that tells no amount: how much would bring the sweet to what is usual for its kind. */
function amountProposal({ food, role }: { readonly food: Food; readonly role: Role }, read: ReadRecipe, constants: Constants): ToldLine["proposal"] {
  if (read.lines.length === 0) return null;
  const input = recipeInput(read, { rules: [], limits: [], servings: read.recipe.servings, serve: "hot" });
  return proposeAmount(input, food, role, read.archetype, constants);
}

/** Each thing once, at the first step that names it. What was made in the pot is none that a line could list. */
function toldUnlisted({ unlisted, recipe }: ReadRecipe): RecipeView["unlisted"] {
  const found = new Map<string, { readonly step: number; readonly words: string }>();
  for (const { words, made, step } of unlisted) {
    const key = words.toLowerCase();
    if (!made && !found.has(key)) found.set(key, { step: recipe.steps.findIndex(({ id }) => id === step) + 1, words });
  }
  return [...found.values()];
}

/** The place among the read steps that a problem is about; null where it is about the whole. */
const stepOf = (problem: LedgerProblem): number | null => ("step" in problem && problem.step >= 0 ? problem.step : null);

function toldStep(reading: ReadStepWithTakes, at: number, read: ReadRecipe): ToldStep {
  const { step, operation, heat, covered, minutes, timed, attention, cue, equipment } = reading;
  const { entries, problems } = read.ledger;
  return {
    id: step.id,
    operation,
    heat,
    covered,
    minutes,
    timed,
    attention,
    cue,
    equipment,
    isWet: operation === "simmer" || operation === "reduce" || reading.open.length > 0 || reading.coveredMinutes > 0,
    takes: reading.takes.map((take) => toldTake(take, read)),
    after: entries.find((entry) => entry.step === at)?.after.mass ?? null,
    problems: problems.filter((problem) => stepOf(problem) === at),
  };
}

function toldTake({ of, share, why }: ReadTake, { byLine, structure }: ReadRecipe): ToldTake {
  if (of.kind === "component") return { id: of.id, share, why, name: structure.components.get(of.id)?.name ?? "", grams: null };
  const reading = byLine.get(of.id);
  const food = reading?.kind === "read" ? reading : null;
  return { id: of.id, share, why, name: food?.food.name ?? "", grams: food ? food.grams.value * share : null };
}

function toldEntries({ ledger, steps, structure, recipe }: ReadRecipe): ToldEntry[] {
  const numberOf = (at: number) => String(recipe.steps.findIndex((step) => step === steps[at]?.step) + 1);
  return ledger.entries.map(({ step, component, ...entry }) => ({
    ...entry,
    name: step === null ? (steps.length > 0 ? "then" : "all") : numberOf(step),
    part: component === null ? null : (structure.components.get(component)?.name ?? null),
  }));
}
