import { groundOf, methodFor, stored, withOwnWords, type StoredBench, type VersionHazard } from "../adaptation";
import { cuesOf, type Cue } from "../cues";
import { isEatenFrozen } from "../evaluate";
import { potsOf } from "../hazards";
import { evaluateVersion, type Kitchen } from "../kitchen";
import { derivedBatches, type DerivedBatch } from "../leftovers";
import {
  atOnce,
  handlingKindOf,
  mentionsOfLines,
  namedLines,
  potLines,
  textOf,
  timePieces,
  type MethodStep,
  type MethodTimes,
  type RowShare,
  type TimePiece,
  type Tool,
} from "../method";
import type { Role } from "../food";
import { kitchenMeasure, yieldText, type LineId, type ReadRecipe, type StepId } from "../recipe";
import { partedPortions, partedWords, scaledFor, standingOf, tableVerdict, versionInput, type TableVerdict, type Version } from "../substitution";
import { whoseRules, type DiningTable } from "../table";
import { groundOfBench, laidBench, withBatch, type BenchQuestion } from "./bench-ground";
import { toldWays, type ToldWay } from "./told-ways";

/** One step to cook by. */
export interface MethodStepView extends Pick<MethodStep, "id" | "minutes" | "attention" | "cue" | "heat"> {
  readonly text: string;
  /** The part that it makes, by name; null for the sweet itself. */
  readonly part: string | null;
  readonly hazards: readonly Pick<VersionHazard, "grade" | "what" | "mend">[];
  /** How it looks, sounds, smells and feels when it is done. */
  readonly cues: readonly Cue[];
  /** What has to be done with both hands at once. */
  readonly atOnce: string | null;
  /** What goes in at it, and all that is in its pot by then. */
  readonly takes: readonly RowShare[];
  readonly pot: readonly RowShare[];
  /** What is done in it, the main thing first. */
  readonly operation: MethodStep["operation"];
  /** By how much its minutes are other than told, as the house's own batches took, by ln. */
  readonly learned?: number;
  /** In how many lots it is done; absent where in one. */
  readonly lots?: number;
  /** Water that it drives off, g. */
  readonly driven: number;
  /** In a pressure cooker: minutes at pressure, and until it comes up to it, a rule of thumb by what is in it; null of others. */
  readonly pressure: { readonly minutes: number; readonly comingUp: number } | null;
}

/** A version's method to cook by: what to get ready, what is done long before, the steps with their times. */
export interface MethodView {
  /** What lies on Swap, by its name; null where that is the recipe as handed down. */
  readonly label: string | null;
  /** What is known of it at its table: it is cooked by, so that it says so on screen and on paper. */
  readonly verdict: TableVerdict;
  /** What the thread tells of lines. */
  readonly thread: { readonly asked: number; readonly lines: number; readonly steps: number };
  /** What lies on the bench as it is laid for this recipe and table, and whether it has to be laid anew there. */
  readonly bench: StoredBench;
  readonly isStale: boolean;
  /** What is done in another way than it is written. */
  readonly ways: readonly ToldWay[];
  readonly servings: number;
  /** Finished, g. */
  readonly grams: number;
  readonly ready: readonly {
    readonly id: LineId;
    readonly food: string;
    readonly name: string;
    readonly grams: number;
    readonly measure: string;
    readonly role: Role;
  }[];
  readonly tools: readonly Tool[];
  /** Into what it goes in the end, by count, g and (where it sets in something) ml of each; null of what is spooned. */
  readonly dishes: { readonly count: number; readonly grams: number; readonly ml: number | null; readonly what: string } | null;
  /** What begins hours before: the night before, where it is served the next day. */
  readonly before: readonly MethodStepView[];
  readonly steps: readonly MethodStepView[];
  /** Of the steps, not of what is done before. */
  readonly strip: readonly TimePiece[];
  readonly times: MethodTimes;
  /** What can be made of what it leaves over. */
  readonly leftovers: readonly ToldLeftover[];
}

/** Something small of its own, from what is left over. */
export interface ToldLeftover extends Pick<DerivedBatch, "kind" | "title" | "from" | "words" | "brings" | "by"> {
  readonly adds: readonly { readonly name: string; readonly grams: number; readonly low: number; readonly high: number; readonly measure: string }[];
  /** What it comes to: g, sweetness as served, g as sugar in 100 g, and free sugars of all of it, g. */
  readonly grams: number;
  readonly sweetness: number;
  readonly freeSugars: number;
}

/** From so many minutes of waiting on, something that is got ready is begun the night before. */
const NIGHT = 240;

/** What lies on the bench, as it is cooked. */
export function methodView({ recipe, table, bench }: Pick<BenchQuestion, "recipe" | "table" | "bench">, kitchen: Kitchen): MethodView {
  const { constants } = kitchen.reference;
  const ground = groundOfBench({ recipe, table, bench }, kitchen);
  const { read, written, problem, taken } = ground;
  const laid = laidBench(bench, ground, table, kitchen);
  const state = laid?.state ?? ground.handedDown;
  const own = "steps" in state ? state.steps : undefined;
  const { version } = state;
  const { method, words, hazards, times } = methodFor(
    read,
    version,
    table,
    { handling: kitchen.handling, constants, equipment: kitchen.household.equipment },
    own,
    written,
  );
  const partNames = new Map(recipe.components?.map(({ id, name }) => [id, name] as const) ?? []);
  const evaluated = evaluateVersion(version, read, table, kitchen);
  const judged = withOwnWords(problem, read, version, own, kitchen.reading.find);
  const standing = standingOf(judged, version, evaluated.figures);
  const said = new Map(words.map((each) => [each.step, textOf(each).trim()] as const));
  const input = versionInput(version, groundOf(read, table));
  const find = mentionsOfLines(namedLines(read));
  const rowOf = new Map(version.rows.flatMap((row) => (row.line === null ? [] : [[row.line, row] as const])));
  const inPot = (row: (typeof version.rows)[number] | undefined) => (row?.food ? [{ food: row.food, grams: row.grams, kind: handlingKindOf(row.food) }] : []);
  const byRow = new Map(version.rows.map((row) => [row.id, row] as const));
  const named = new Map([
    ...read.steps.map(({ step }) => [step.id, find(step.text).flatMap(({ key }) => inPot(rowOf.get(key)))] as const),
    ...method.steps.flatMap(({ id, origin }) =>
      origin.kind === "prepares" ? [[id, [...preparedFrom(said.get(id) ?? "", kitchen), ...inPot(byRow.get(origin.line))]] as const] : [],
    ),
  ]);
  const cues = cuesOf({
    named,
    pots: potsOf(method, ({ id }) => said.get(id) ?? "", version),
    archetype: read.archetype,
    mass: input.lines.reduce((sum, { apart, grams }) => sum + (apart ? 0 : grams), 0),
    figures: evaluated.figures,
    isEatenCold: table.serve === "chilled" || isEatenFrozen(evaluated.figures),
    levels: levelsOf(read, method.steps, laid === null ? table.servings / read.recipe.servings : null),
    caramel: input.lines.find(({ treated }) => treated?.caramel)?.treated?.caramel ?? null,
    tables: kitchen.cues,
    constants,
  });
  const byId = new Map(method.steps.map((step) => [step.id, step] as const));
  const lines = potLines(method);
  const drivenAt = drivenBySteps(read, method.steps, version.evaporation, scaledFor(read, table.servings).evaporation.value);
  const told = words.flatMap((each): (MethodStepView & { readonly of: MethodStep })[] => {
    const step = byId.get(each.step);
    const text = said.get(each.step) ?? "";
    if (!step || text === "") return [];
    const { id, minutes, attention, cue, part } = step;
    return [
      {
        of: step,
        id,
        text,
        minutes,
        attention,
        cue,
        part: part === null ? null : (partNames.get(part) ?? null),
        hazards: hazards.filter((hazard) => hazard.step === id && hazard.grade !== "sometimes").map(({ grade, what, mend }) => ({ grade, what, mend })),
        cues: cues.get(id) ?? [],
        atOnce: atOnce({ ...step, text }),
        operation: step.operation,
        ...(step.learned === undefined ? {} : { learned: step.learned }),
        ...(step.lots === undefined ? {} : { lots: step.lots }),
        heat: step.heat,
        takes: lines.get(id)?.takes ?? [],
        pot: lines.get(id)?.pot ?? [],
        driven: drivenAt.get(id) ?? 0,
        pressure: step.operations.includes("pressure") ? underPressure(step, lines.get(id)?.pot ?? [], version) : null,
      },
    ];
  });
  const isBefore = ({ of }: (typeof told)[number]) => of.origin.kind === "prepares" && of.attention === "unattended" && of.minutes.usual >= NIGHT;
  const cooked = told.filter((each) => !isBefore(each));
  const used = new Set(method.steps.flatMap(({ operations }) => operations));
  const plain = ({ of: _, ...step }: (typeof told)[number]): MethodStepView => step;
  return {
    label: laid ? laid.state.label : null,
    verdict: tableVerdict(standing, judged, table, partedWords(partedPortions(read, standing, problem.rules), whoseRules(table))),
    thread: { asked: read.unresolved.length, lines: read.lines.length, steps: recipe.steps.length },
    bench: stored(withBatch(state, ground), read, table),
    isStale: (laid?.since.length ?? 0) > 0,
    ways: toldWays(taken, kitchen),
    servings: table.servings,
    grams: evaluated.figures.yield.value,
    ready: version.rows.flatMap(({ id, food, grams, role }) =>
      food && grams > 0 ? [{ id, food: food.id, role, name: food.name, grams, measure: kitchenMeasure(food, grams, read.measures)?.text ?? "" }] : [],
    ),
    tools: Object.entries(kitchen.handling.tools).flatMap(([operation, tool]) => ([...used].some((each) => each === operation) ? [tool] : [])),
    dishes: dishesOf(read, table, evaluated.figures.yield.value),
    before: told.filter(isBefore).map(plain),
    steps: cooked.map(plain),
    strip: timePieces(cooked.map(({ of, text }) => ({ ...of, text }))),
    times: times.now,
    // What is left of a sweet that is not known to be for this table is not known to be either.
    leftovers:
      read.unresolved.length > 0 || [...standing.breaches.map(({ limit }) => limit), ...standing.questions.map(({ limit }) => limit)].includes(null)
        ? []
        : derivedBatches({
            read,
            version,
            input,
            figures: evaluated.figures,
            scale: table.servings / read.recipe.servings,
            problem,
            foods: kitchen.reference.foods,
            tables: kitchen.pantryTables,
            isPressedAtHome: (food) => kitchen.handling.foods.get(food)?.prepare?.operations.includes("press") === true,
            menders: kitchen.menders,
          }).map((batch) => toldLeftover(batch, table.serve, read)),
  };
}

/**
 * What each of the recipe's steps drives off in a version, g: as in the recipe, but for those whose cooking was set, which take what
 * is more or less; where none was, all of them in proportion.
 */
function drivenBySteps({ steps, ledger }: ReadRecipe, method: readonly MethodStep[], evaporation: number, ofRecipe: number): ReadonlyMap<StepId, number> {
  const all = ledger.entries.reduce((sum, { driven }) => sum + driven, 0);
  const scale = Math.abs(all) > 1 ? ofRecipe / all : 0;
  const base = new Map(
    ledger.entries.flatMap(({ step: at, driven }) => {
      const id = at === null ? undefined : steps[at]?.step.id;
      return id === undefined || !method.some((step) => step.id === id) ? [] : [[id, driven * scale] as const];
    }),
  );
  const sum = (ids: readonly StepId[]) => ids.reduce((grams, id) => grams + (base.get(id) ?? 0), 0);
  const kept = sum([...base.keys()]);
  const set = method.flatMap(({ id, cooking }) => (cooking && (base.get(id) ?? 0) > 0 ? [id] : []));
  const taken = set.length > 0 ? set : [...base.keys()];
  const there = sum(taken);
  if (Math.abs(there) < 1) return base;
  const ratio = (there + evaporation - kept) / there;
  return new Map([...base].map(([id, grams]) => [id, taken.includes(id) ? Math.max(0, ratio) * grams : grams]));
}

/** Minutes until a pressure cooker is at pressure: 5 for little, 12 for 2.5 kg and more (rule of thumb). */
function underPressure({ minutes }: MethodStep, pot: readonly RowShare[], version: Version): MethodStepView["pressure"] {
  const grams = pot.reduce((sum, { line, share }) => sum + share * (version.rows.find(({ id }) => id === line)?.grams ?? 0), 0);
  return { minutes: minutes.usual, comingUp: Math.round(5 + 7 * Math.min(1, grams / 2500)) };
}

/** g per ml of what sets in a mould (rule of thumb). */
const SET_DENSITY = 1.08;
/** Pieces as the recipe counts them, so that each weighs what it did; cups or moulds of what sets, one a serving. */
function dishesOf({ recipe, archetype }: ReadRecipe, { servings }: DiningTable, grams: number): MethodView["dishes"] {
  const { makes } = recipe;
  if (makes?.kind === "pieces") {
    const count = Math.max(1, Math.round((makes.count * servings) / recipe.servings));
    return { count, grams: grams / count, ml: null, what: yieldText({ servings: count, makes: { ...makes, count } }) };
  }
  if (archetype !== "set pudding" && archetype !== "frozen") return null;
  const count = Math.max(1, Math.round(servings));
  return { count, grams: grams / count, ml: grams / count / SET_DENSITY, what: count === 1 ? "1 mould or cup" : `${count} moulds or cups` };
}

/** What something is got ready from, as its own words name it: all of it is looked at alike. */
const preparedFrom = (text: string, { reading }: Kitchen) =>
  [...new Set(reading.find(text).flatMap(({ food, meant }) => (meant && food.family !== "water" ? [food] : [])))].map((food) => ({
    food,
    grams: 1,
    kind: handlingKindOf(food),
  }));

/** What is made of leftovers, in figures: sweetness as it is served, free sugars of all of it. */
function toldLeftover(
  { kind, title, from, adds, words, brings, figures, by }: DerivedBatch,
  serve: DiningTable["serve"],
  { measures }: ReadRecipe,
): ToldLeftover {
  return {
    kind,
    title,
    from,
    words,
    brings: brings.map((allergen) => allergen.replace("-", " ")),
    by,
    adds: adds.map(({ food, grams, low, high }) => ({ name: food.name, grams, low, high, measure: kitchenMeasure(food, grams, measures)?.text ?? "" })),
    grams: figures.yield.value,
    sweetness: figures[serve === "hot" ? "sweetness.hot" : "sweetness.chilled"].value,
    freeSugars: (figures["serving.freeSugarsUk"].value * figures.yield.value) / Math.max(1e-9, figures.servingMass.value),
  };
}

/**
 * What is left of a pot after each step of the recipe that drives something off: the share is of the recipe as handed down, g of
 * this version where they are known. `scale` is of the recipe as handed down, null of a version.
 */
function levelsOf({ steps, ledger }: ReadRecipe, method: readonly MethodStep[], scale: number | null): Parameters<typeof cuesOf>[0]["levels"] {
  return new Map(
    ledger.entries.flatMap(({ step: at, driven, after }) => {
      const id = at === null ? undefined : steps[at]?.step.id;
      if (id === undefined || driven <= 0 || after.mass <= 0) return [];
      const set = method.find((step) => step.id === id)?.cooking?.left ?? null;
      return [
        [id, { share: after.mass / (after.mass + driven), grams: set ?? (scale === null ? null : scale * after.mass), isOfRecipe: scale !== null }] as const,
      ];
    }),
  );
}
