import { methodFor, withOwnWords, type VersionHazard } from "../adaptation";
import { evaluateVersion, type Kitchen } from "../kitchen";
import { textOf, type MethodStep, type MethodTimes, type Tool } from "../method";
import { kitchenMeasure } from "../recipe";
import { partedPortions, partedWords, standingOf, tableVerdict, type TableVerdict } from "../substitution";
import { whoseRules } from "../table";
import { groundOfBench, laidBench, type BenchQuestion } from "./bench-ground";

/** One step to cook by. */
export interface MethodStepView extends Pick<MethodStep, "id" | "minutes" | "attention" | "cue"> {
  readonly text: string;
  /** The part that it makes, by name; null for the sweet itself. */
  readonly part: string | null;
  readonly hazards: readonly Pick<VersionHazard, "grade" | "what" | "mend">[];
}

/** A piece of the whole time. */
export interface TimePiece extends Pick<MethodStep, "id" | "attention"> {
  /** Minutes from the beginning. */
  readonly start: number;
  readonly end: number;
}

/** A version's method to cook by: what to get ready, what is done long before, the steps with their times. */
export interface MethodView {
  /** What lies on Swap, by its name; null where that is the recipe as handed down. */
  readonly label: string | null;
  /** What is known of it at its table: it is cooked by, so that it says so on screen and on paper. */
  readonly verdict: TableVerdict;
  /** Lines of the recipe that are not read. */
  readonly unread: number;
  readonly servings: number;
  /** Finished, g. */
  readonly grams: number;
  readonly ready: readonly { readonly name: string; readonly grams: number; readonly measure: string }[];
  readonly tools: readonly Tool[];
  /** What begins hours before: the night before, where it is served the next day. */
  readonly before: readonly MethodStepView[];
  readonly steps: readonly MethodStepView[];
  /** Of the steps, not of what is done before. */
  readonly strip: readonly TimePiece[];
  readonly times: MethodTimes;
}

/** From so many minutes of waiting on, something that is got ready is begun the night before. */
const NIGHT = 240;

/** What lies on the bench, as it is cooked. */
export function methodView({ recipe, table, bench }: Pick<BenchQuestion, "recipe" | "table" | "bench">, kitchen: Kitchen): MethodView {
  const { constants } = kitchen.reference;
  const ground = groundOfBench({ recipe, table, bench }, kitchen);
  const { read, written, problem } = ground;
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
  const byId = new Map(method.steps.map((step) => [step.id, step] as const));
  const told = words.flatMap((said): (MethodStepView & { readonly of: MethodStep })[] => {
    const step = byId.get(said.step);
    const text = textOf(said).trim();
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
        hazards: hazards.filter((each) => each.step === id && each.grade !== "sometimes").map(({ grade, what, mend }) => ({ grade, what, mend })),
      },
    ];
  });
  const isBefore = ({ of }: (typeof told)[number]) => of.origin.kind === "prepares" && of.attention === "unattended" && of.minutes.usual >= NIGHT;
  const cooked = told.filter((each) => !isBefore(each));
  let at = 0;
  const strip = cooked.map(({ id, attention, minutes }): TimePiece => ({ id, attention, start: at, end: (at += minutes.usual) }));
  const used = new Set(method.steps.flatMap(({ operations }) => operations));
  const plain = ({ of: _, ...step }: (typeof told)[number]): MethodStepView => step;
  return {
    label: laid ? laid.state.label : null,
    verdict: tableVerdict(standing, judged, table, partedWords(partedPortions(read, standing, problem.rules), whoseRules(table))),
    unread: read.unresolved.length,
    servings: table.servings,
    grams: evaluated.figures.yield.value,
    ready: version.rows.flatMap(({ food, grams }) =>
      food && grams > 0 ? [{ name: food.name, grams, measure: kitchenMeasure(food, grams, read.measures)?.text ?? "" }] : [],
    ),
    tools: Object.entries(kitchen.handling.tools).flatMap(([operation, tool]) => ([...used].some((each) => each === operation) ? [tool] : [])),
    before: told.filter(isBefore).map(plain),
    steps: cooked.map(plain),
    strip,
    times: times.now,
  };
}
