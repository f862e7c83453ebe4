import type { Constants, Food } from "../food";
import { mentionsOf, namesOfLine, type Operation, type FindMentions, type LineId, type ReadRecipe, type ReadStepWithTakes, type StepId } from "../recipe";
import type { Version, VersionRow } from "../substitution";
import { usualMethod } from "./usual";
import { cookingOf, type DrivenGround } from "./driven-off";
import type { GoesIn, Handling, HandlingStep, Method, MethodStep, MethodTake } from "./step";

/** A recipe's line as its steps may name it: what it was read as, without what is made of it on the way. */
export interface NamedLine {
  readonly id: LineId;
  readonly food: Food;
  /** The words of the line without its amount. */
  readonly description: string;
}

/** The lines of a recipe as its steps may name them. */
export const namedLines = (read: Pick<ReadRecipe, "lines" | "byLine">): NamedLine[] =>
  read.lines.map(({ id, food }) => {
    const reading = read.byLine.get(id);
    return { id, food, description: reading?.kind === "read" && reading.food.id === food.id ? reading.description : food.name };
  });

export const mentionsOfLines = (lines: readonly NamedLine[]): FindMentions<LineId> =>
  mentionsOf(lines.map(({ id, food, description }) => ({ key: id, names: namesOfLine(description, food) })));

/** What a method is built from. */
export interface MethodGround {
  readonly read: Pick<ReadRecipe, "lines" | "byLine" | "steps" | "ledger" | "evaporation" | "archetype">;
  readonly handling: ReadonlyMap<string, Handling>;
  /** Water that the recipe drives off for this many servings, g. */
  readonly evaporation: number;
  readonly constants: DrivenGround["constants"] & Pick<Constants, "usualMethods" | "gelatinisationMinutes">;
}

/**
 * How a version is made: the recipe's steps with what the version puts into them. What a row was pressed by falls away where
 * another food stands for it; foods that are added go in where most of their role does, else by a step of
 * their own before the sweetener; what has to be got ready comes first.
 */
export function methodOf({ read, handling, evaporation, constants }: MethodGround, version: Version): Method {
  if (read.steps.length === 0) return { steps: [...preparations(version, handling), ...usualMethod(version, read.archetype, constants)], needless: [] };
  const rowOf = new Map(version.rows.flatMap((row) => (row.line === null ? [] : [[row.line, row] as const])));
  const why = new Map<StepId, string>();
  const isGone = ({ change }: VersionRow) => change === "replaced" || change === "left out";
  // What is pressed together with another stays its step for as long as one of them is pressed.
  const pressedStill = new Set(version.rows.flatMap((row) => (row.line === null || isGone(row) ? [] : (read.ledger.pressedIn.get(row.line) ?? []))));
  for (const row of version.rows)
    if (row.line !== null && isGone(row)) for (const step of read.ledger.pressedIn.get(row.line) ?? []) if (!pressedStill.has(step)) why.set(step, row.why);

  const find = mentionsOfLines(namedLines(read));
  const kept = read.steps.filter(({ step }) => !why.has(step.id));
  const steps = kept.map((each): Writable<MethodStep> => {
    const named = new Set(find(each.step.text).map(({ key }) => key));
    const reasons = concerned(each, named, rowOf).flatMap(({ change, why: reason }) => (change !== "amount" && reason ? [reason] : []));
    return { ...plain(each), takes: takesOf(each, rowOf), reasons: [...new Set(reasons)] };
  });
  const waiting: VersionRow[] = [];
  for (const row of version.rows) {
    if (row.change !== "added" || !row.food) continue;
    const there = steps[besideAt(kept, row, rowOf)];
    if (!there) {
      waiting.push(row);
      continue;
    }
    there.takes = [...there.takes, whole(row)];
    there.reasons = [...new Set([...there.reasons, ...(row.why ? [row.why] : [])])];
  }

  const before = preparations(version, handling);
  const goesIn = new Map<StepId, GoesIn>();
  const after = waiting.map((row): MethodStep => {
    const how = (row.food && handling.get(row.food.id)?.add) ?? STIR_IN;
    if (how.goesIn) goesIn.set(`adds-${row.id}`, how.goesIn);
    return { ...ofHandling(how, `adds-${row.id}`, { kind: "adds", line: row.id }, row.why ? [row.why] : []), takes: [whole(row)] };
  });
  putTheRest(steps, version, read.steps, find);
  const cooking = cookingOf(steps, after, version, { read, evaporation, ownEvaporation: read.evaporation.grams.value, constants });
  for (const step of steps) {
    const set = cooking.get(step.id);
    if (!set) continue;
    const minutes = set.open + set.covered;
    const of = minutes / Math.max(1, step.minutes.usual);
    step.cooking = set;
    if (minutes > 0) step.minutes = { shortest: Math.round(step.minutes.shortest * of), usual: minutes, longest: Math.round(step.minutes.longest * of) };
    const isLess = version.evaporation < evaporation;
    step.reasons = [...new Set([...step.reasons, `${isLess ? "less" : "more"} is to boil away`])];
  }
  return {
    steps: [...before, ...inTheirPlaces(steps, after, goesIn, version)],
    needless: [...why].map(([step, reason]) => ({ step, why: `needless: ${reason}` })),
  };
}

/** What has to be got ready of foods that the recipe does not have. */
const preparations = (version: Version, handling: ReadonlyMap<string, Handling>): MethodStep[] =>
  version.rows.flatMap((row): MethodStep[] => {
    const how = row.food && row.change !== "as is" && row.change !== "amount" ? handling.get(row.food.id)?.prepare : undefined;
    return how && row.food ? [ofHandling(how, `prepares-${row.id}`, { kind: "prepares", line: row.id }, [`for the ${shortName(row.food)}`])] : [];
  });

/** The recipe's steps with those that foods bring, each where it goes in. */
function inTheirPlaces(
  steps: readonly MethodStep[],
  added: readonly MethodStep[],
  goesIn: ReadonlyMap<StepId, GoesIn>,
  version: Version,
): readonly MethodStep[] {
  const own = steps.map((step, at) => ({ step, at })).filter(({ step }) => step.part === null);
  const isWet = ({ operations, heat }: MethodStep) => heat !== null || operations.some((operation) => WET.includes(operation));
  const liquid = new Set(version.rows.flatMap(({ id, role, food }) => (food && (role === "liquid" || food.id === "water") ? [id] : [])));
  const takesLiquid = ({ takes }: MethodStep) => takes.some(({ of }) => liquid.has(of.id));
  const poured = own.find(({ step }) => takesLiquid(step))?.at ?? 0;
  const simmers = own.find(({ step, at }) => at >= poured && isWet(step))?.at;
  const last = own.findLast(({ step }) => isWet(step))?.at;
  const usual = steps.length === 0 ? 0 : Math.min(steps.length, Math.max(1, sweetenedAt(steps, version)));
  const placeOf = (step: MethodStep): number => {
    switch (goesIn.get(step.id)) {
      case "once it simmers":
        return simmers === undefined ? usual : simmers + 1;
      case "off the heat":
        return last === undefined ? usual : last + 1;
      case "with the liquid":
        return steps.length === 0 ? 0 : poured + 1;
      case undefined:
        return usual;
    }
  };
  const places = added.map((step) => ({ step, place: placeOf(step) }));
  return Array.from({ length: steps.length + 1 }, (_, at) => [
    ...places.filter(({ place }) => place === at).map(({ step }) => step),
    ...steps.slice(at, at + 1),
  ]).flat();
}
const WET: readonly Operation[] = ["simmer", "reduce", "pressure", "steam", "bake"];

type Writable<T> = { -readonly [Key in keyof T]: T[Key] };
/** Shares closer to the whole than this are the whole. */
const ROUNDING = 1e-6;

/** What went in at a step that fell away goes in at the first that names it, else at the first one after that. */
function putTheRest(steps: readonly Writable<MethodStep>[], { rows }: Version, recipe: readonly ReadStepWithTakes[], find: FindMentions<LineId>): void {
  const texts = new Map(recipe.map(({ step }, at) => [step.id, { at, named: new Set(find(step.text).map(({ key }) => key)) }] as const));
  for (const row of rows) {
    if (!row.food || row.line === null) continue;
    const { line } = row;
    const put = steps.reduce((sum, { takes }) => sum + takes.reduce((all, { of, share }) => (of.id === row.id ? all + share : all), 0), 0);
    const gone = recipe.findIndex(({ step, takes }) => takes.some(({ of }) => of.id === line) && !steps.some(({ id }) => id === step.id));
    if (put > 1 - ROUNDING || gone < 0) continue;
    const there = steps.find(({ id }) => texts.get(id)?.named.has(line)) ?? steps.find(({ id }) => (texts.get(id)?.at ?? 0) > gone) ?? steps.at(-1);
    if (there) there.takes = [...there.takes, { of: { kind: "line", id: row.id }, share: 1 - put }];
  }
}

const whole = ({ id }: VersionRow): MethodTake => ({ of: { kind: "line", id }, share: 1 });

/** The step at which an added food goes in: where most of its role does, by grams, and is named; −1 where none does. */
function besideAt(steps: readonly ReadStepWithTakes[], { role }: VersionRow, rowOf: ReadonlyMap<LineId, VersionRow>): number {
  let [best, most] = [-1, 0];
  for (const [at, { takes }] of steps.entries())
    for (const { of, share, why } of takes) {
      const row = of.kind === "line" && why !== "not named" ? rowOf.get(of.id) : undefined;
      // What is left out still says where its role goes in.
      const grams = row?.role === role ? share * Math.max(row.grams, 1) : 0;
      if (grams > most) [best, most] = [at, grams];
    }
  return best;
}

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

const plain = ({ step, operations, operation, heat, covered, minutes, timed, attention, cue, equipment }: ReadStepWithTakes) => ({
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

/** The first step at which a sweetener goes in; -1 where none does. */
function sweetenedAt(steps: readonly MethodStep[], { rows }: Version): number {
  const sweet = new Set(rows.flatMap(({ id, role }) => (role === "sweetener" ? [id] : [])));
  return steps.findIndex(({ takes }) => takes.some(({ of }) => of.kind === "line" && sweet.has(of.id)));
}

/** A food as a sentence names it. */
export const shortName = (food: Food): string => (food.name.toLowerCase().split(/,| ?\(/)[0] ?? "").trim();
