import { interval, type Figure } from "../../core/numeric";
import { SERVING_TEMPERATURES, type Food } from "../../core/food";
import { findings } from "../../core/models/diet";
import { KILOJOULES_PER_KILOCALORIE } from "../../core/units";
import { openTable } from "../../core/kitchen";
import { evaluate, qualitiesOf, whyUnknown, type Amount, type EvaluationInput, type Figures, type PropertyId } from "../../core/evaluate";
import { methodFor } from "../../core/adaptation";
import { textOf } from "../../core/method";
import { isReadWhole } from "../../core/views";
import { type LineId, type ReadRecipe, type Recipe, type StepId } from "../../core/recipe";
import {
  inOrder,
  limitFindings,
  standingOf,
  versionInput,
  type Version,
  versionLines,
  judgedLines,
  listedIn,
  stepFindings,
  type AdaptationProblem,
  type Ending,
  type Proposal,
} from "../../core/substitution";
import type { DiningTable } from "../../core/table";
import { MODEL_VERSION } from "../../data";
import { amountKey, TOLD_AMOUNTS, validateAdapt } from "../http/schemas/adapt";
import { checked } from "../http/checked";
import { recipeOf, sentAt, tableOf, unresolvedWords, USUAL_KITCHEN } from "./request";
import { proposeOnServer } from "./solver-queue";

const DEFAULT_PROPOSALS = 3;
/** Answers one request of the open interface: read, judge, work out versions, all from what was sent. */
export async function adapt(body: unknown, left: AbortSignal): Promise<object> {
  const request = checked(validateAdapt, body);
  const { parsed, read } = recipeOf(request.recipe);
  const table = tableOf(request, read);
  const problem = openTable(read, table, USUAL_KITCHEN, request.maxProposals ?? DEFAULT_PROPOSALS);
  const ending = await proposeOnServer(problem, left);

  const { questions } = standingOf(problem, null);
  const { steps } = problem.order;
  const lineAt = (line: LineId | null) => (line === null ? null : sentAt(line, parsed));
  const stepAt = (step: StepId | null) => (step === null ? null : steps.indexOf(step));
  const found = inOrder([...findings(judgedLines(read), problem.rules), ...limitFindings(problem)], problem.order);
  return {
    model: { version: MODEL_VERSION },
    scale: { factor: table.servings / read.recipe.servings },
    recipe: {
      lines: problem.lines.map((line) => ({
        text: read.byLine.get(line.id)?.line.text ?? "",
        food: foodJson(line.food),
        grams: interval({ value: line.grams, sd: line.sd }),
        role: line.role,
      })),
      unresolved: read.unresolved.map((line) => unresolvedJson(read, parsed, line)),
      properties: propertiesJson(problem, evaluate(problem, USUAL_KITCHEN.reference.constants).figures, read),
    },
    findings: [
      ...found.map(({ line, rule, school, verdict, reason }) => ({ line: lineAt(line), rule, school, verdict, reason })),
      ...stepFindings(read, listedIn(read), problem.rules).map(({ step, rule, school, verdict, reason }) => ({
        line: null,
        step: stepAt(step),
        rule,
        school,
        verdict,
        reason,
      })),
    ],
    proposals: ending.kind === "proposals" ? ending.proposals.map((proposal) => proposalJson(proposal, problem, read, table, ending.recipeFigures)) : [],
    ending: {
      ...endingJson(ending),
      answers: questions.map(({ line, step, limit, text }) => ({ line: lineAt(line), step: stepAt(step), limit, question: text })),
    },
  };
}

const foodJson = ({ id, name, provenance }: Food) => ({ id, name, provenance });

const scale = (figure: Figure, factor: number): Figure => ({ value: figure.value * factor, low: figure.low * factor, high: figure.high * factor });

function propertiesJson(input: EvaluationInput, figures: Figures, read: ReadRecipe): object {
  const { constants } = USUAL_KITCHEN.reference;
  const unknown = whyUnknown(input, constants);
  const orWhy = (id: PropertyId) => (unknown[id] === undefined ? figures[id] : { value: null, reason: unknown[id] });
  const { colour, notes, keeping } = qualitiesOf(input, figures, isReadWhole(read), constants);
  const byTemperature = (group: "sweetness" | "body") => Object.fromEntries(SERVING_TEMPERATURES.map((serve) => [serve, figures[`${group}.${serve}`]]));
  const amounts = (group: "per100g" | "serving") => {
    const named = (wanted: readonly Amount[]) => wanted.map((amount) => [amountKey(amount), figures[`${group}.${amount}`]] as const);
    return {
      ...Object.fromEntries(named(TOLD_AMOUNTS)),
      energy_kcal: scale(figures[`${group}.energy`], 1 / KILOJOULES_PER_KILOCALORIE),
      freeSugars_g: { who: figures[`${group}.freeSugarsWho`], uk: figures[`${group}.freeSugarsUk`] },
    };
  };
  return {
    yield_g: figures.yield,
    servings: input.servings,
    sweetness: byTemperature("sweetness"),
    body: byTemperature("body"),
    per100g: amounts("per100g"),
    perServing: amounts("serving"),
    glycaemicLoad: figures["serving.glycaemicLoad"],
    suppression_percent: figures.suppression,
    binding: orWhy("binding"),
    waterActivity: orWhy("waterActivity"),
    ice_percent: orWhy("ice"),
    keeping:
      typeof keeping === "string"
        ? { room_days: null, fridge_days: null, reason: keeping }
        : { room_days: keeping.roomDays, fridge_days: keeping.fridgeDays, kind: keeping.kind, by: keeping.by },
    colour: { value: colour.step, low: colour.low, high: colour.high, words: colour.words, by: colour.by },
    notes: notes.map(({ note, strength, from }) => ({ note, strength, from })),
  };
}

function unresolvedJson(read: ReadRecipe, sent: Recipe, id: LineId): object {
  const each = read.byLine.get(id);
  const guesses =
    each?.kind === "food unknown"
      ? each.guesses.map(({ id, name }) => ({ id, name }))
      : each?.kind === "amount unknown"
        ? each.guesses.map(({ grams, label }) => ({ id: each.food.id, name: `${label} of ${each.food.name.toLowerCase()}`, grams }))
        : [];
  return { line: sentAt(id, sent), text: each?.line.text ?? "", why: unresolvedWords(each), guesses };
}

/** A version's steps: their words, what each does, and what can go wrong; takes point to the proposal's lines by place, hazards to its steps. */
function methodJson(version: Version, read: ReadRecipe, table: DiningTable, placeOf: (step: StepId) => number): object {
  const { method, words, hazards, times } = methodFor(read, version, table, { handling: USUAL_KITCHEN.handling, constants: USUAL_KITCHEN.reference.constants });
  const held = version.rows.filter((row) => row.food && row.grams > 0);
  const said = new Map(words.map((each) => [each.step, each] as const));
  const steps = method.steps.map((step) => {
    const told = said.get(step.id);
    return {
      text: told ? textOf(told) : "",
      from: told?.from == null ? null : placeOf(told.from),
      why: told?.why ?? "",
      operation: step.operation,
      minutes: step.minutes,
      heat: step.heat,
      cue: step.cue,
      takes: step.takes.flatMap(({ of, share }) => {
        const line = of.kind === "line" ? held.findIndex(({ id }) => id === of.id) : -1;
        return line < 0 ? [] : [{ line, grams: share * (held[line]?.grams ?? 0) }];
      }),
    };
  });
  return {
    steps,
    hazards: hazards.map(({ step, family, grade, what, mend, school, change, isOwn }) => ({
      step: method.steps.findIndex(({ id }) => id === step),
      family,
      grade,
      what,
      mend,
      school,
      changed: change?.text ?? null,
      asHandedDown: isOwn,
    })),
    minutes: { ...times.now, asHandedDown: times.recipe.all },
  };
}

function proposalJson(proposal: Proposal, problem: AdaptationProblem, read: ReadRecipe, table: DiningTable, recipeFigures: Figures): object {
  const { version, figures } = proposal;
  const lines = versionLines(version, problem.lines);
  const held = version.rows.filter((row) => row.food && row.grams > 0);
  const unread = read.unresolved.map((line) => ({
    kind: "ask" as const,
    text: `"${read.byLine.get(line)?.line.text ?? ""}" could not be read and is not in this version; whether it fits this table is not known.`,
  }));
  return {
    label: proposal.label,
    reason: proposal.reason,
    lines: held.map((row, i) => ({
      text: row.line === null ? "" : (read.byLine.get(row.line)?.line.text ?? ""),
      food: row.food ? foodJson(row.food) : null,
      grams: interval({ value: row.grams, sd: lines[i]?.sd ?? 0 }),
      role: row.role,
      ...(row.change === "as is" ? {} : { change: row.why ? `${row.change}: ${row.why}` : row.change }),
    })),
    ...methodJson(version, read, table, (step) => problem.order.steps.indexOf(step)),
    properties: propertiesJson(versionInput(version, problem), figures, read),
    deviations: proposal.beams.map((beam) => {
      const base = beam.limit ?? Math.max(1e-9, recipeFigures[beam.id].value);
      return {
        property: beam.id,
        kind: beam.deviation.kind,
        state: beam.deviation.state,
        relative: { value: beam.deviation.relative, low: figures[beam.id].low / base - 1, high: figures[beam.id].high / base - 1 },
        limit: beam.limit,
      };
    }),
    notes: [...unread, ...proposal.notes],
    solver: proposal.solver,
  };
}

function endingJson(ending: Ending): object {
  const empty = { clashes: [] };
  switch (ending.kind) {
    case "proposals":
      return { kind: ending.kind, reason: `${ending.proposals.length} found`, ...empty };
    case "nothing-to-change":
      return { kind: ending.kind, reason: "The recipe as it stands breaks no rule and no limit of this table.", ...empty };
    case "cannot-tell":
      return { kind: ending.kind, reason: "It cannot be said whether the recipe fits this table before what is asked is answered.", ...empty };
    case "change-by-hand":
      return {
        kind: ending.kind,
        reason: `What breaks a rule stands beside a line or in a step; change it there: ${ending.breaches.map(({ reason }) => reason).join("; ")}.`,
        ...empty,
      };
    case "no-version-fits":
      return {
        kind: ending.kind,
        reason: ending.relation === "any" ? "Easing any one of these is enough." : "Each of these has to be eased.",
        relation: ending.relation,
        clashes: ending.clashes.map(({ limit, given, needed }) => ({ limit, given, needed })),
      };
    case "time-ran-out":
      return { kind: ending.kind, reason: "The time was up before a version was found.", ...empty };
    case "failed":
      return { kind: ending.kind, reason: ending.why, ...empty };
  }
}
