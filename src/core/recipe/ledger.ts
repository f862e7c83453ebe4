import type { Estimate } from "../numeric";
import type { Constants } from "../food";
import type { Structure } from "./components";
import type { Operation } from "./operations";
import { Pot } from "./pot";
import type { LineReading } from "./read-line";
import type { ReadStepWithTakes } from "./read-steps";
import type { BalancedLine, LineId, Recipe, StepId } from "./recipe";
import { pressingSteps, takeStep, type LedgerEntry, type LedgerMass } from "./take-step";
import { treatmentIn } from "./treat";
import { potOf, putLine, straightIn, type LedgerProblem, type Walk } from "./walk";

/** A line as it ends in the sweet. */
export type LedgerLine = BalancedLine & { readonly id: LineId };

export interface Ledger {
  readonly entries: readonly LedgerEntry[];
  /** What the sweet itself weighs when done, g, what stays on the tools taken off. */
  readonly finished: Estimate;
  /** Of its spread, what comes from the amounts that went in (standard deviation), g. */
  readonly amountsSd: number;
  /** Components served beside it. */
  readonly apart: readonly LedgerMass[];
  /** Water driven off less water taken up, over all that is eaten, g. */
  readonly net: Estimate;
  /** Of that, in components served apart. */
  readonly netApart: number;
  /** Open cooking in all, minutes. */
  readonly openMinutes: number;
  /** Whether any step says how much is driven off, or none heats anything. */
  readonly known: boolean;
  /** Water taken up in soaking, or that came with what was cooked before, g. */
  readonly takenUp: number;
  readonly problems: readonly LedgerProblem[];
  readonly lines: readonly LedgerLine[];
  /** For lines that are pressed here: the steps that do it. */
  readonly pressedIn: ReadonlyMap<LineId, readonly StepId[]>;
}

/** Operations by which water goes, how much unless a time is told is not known. */
const HEATED: readonly Operation[] = ["simmer", "reduce", "dissolve", "roast", "fry", "caramelise", "temper"];

/**
 * The mass balance of a recipe, step by step: what goes into which pot, water driven off and taken up, what leaves
 * otherwise, what each pot holds after. Total, water and fat are kept: what goes in is what is there and what left.
 * Rates and shares are rules of thumb (`Constants.process`, `evaporationFlux`); a weighed pot goes before them.
 */
export function ledgerOf(
  recipe: Recipe,
  readings: readonly LineReading[],
  steps: readonly ReadStepWithTakes[],
  structure: Structure,
  constants: Constants,
  pantry: Walk["pantry"],
): Ledger {
  const walk: Walk = {
    recipe,
    readings,
    byLine: new Map(readings.map((reading) => [reading.line.id, reading] as const)),
    steps,
    structure,
    constants,
    pantry,
    pots: new Map(),
    wastes: new Map(),
    pressings: new Map(),
    poured: new Map(),
    used: new Map(),
    problems: [...structure.problems],
    openMinutes: 0,
    known: false,
    takenUp: 0,
  };
  const entries = steps.length === 0 ? [allAtOnce(walk)] : [...steps.map((step, at) => takeStep(walk, step, at)), ...broughtTogether(walk)];
  const sweet = potOf(walk, undefined);
  const apart = [...walk.pots].flatMap(([id, pot]) => {
    const part = structure.components.get(id);
    const rest = 1 - (walk.poured.get(id) ?? 0);
    return part?.use.kind === "apart" && rest > 1e-6 ? [{ name: part.name, pot: new Pot(), rest, of: pot }] : [];
  });
  for (const { pot, of, rest } of apart) pot.pour(of, rest);
  const netApart = apart.reduce((sum, { pot }) => sum + pot.net, 0);
  return {
    entries,
    finished: { value: sweet.mass, sd: Math.hypot(sweet.netSd(), Math.sqrt(sweet.linesVariance)) },
    amountsSd: Math.sqrt(sweet.linesVariance),
    apart: apart.map(({ name, pot }) => ({ name, grams: pot.mass })),
    net: { value: sweet.net + netApart, sd: Math.hypot(sweet.netSd(), ...apart.map(({ pot }) => pot.netSd())) },
    netApart,
    openMinutes: walk.openMinutes,
    known: walk.known || (steps.length > 0 && !steps.some(({ operations }) => operations.some((operation) => HEATED.includes(operation)))),
    takenUp: walk.takenUp,
    problems: walk.problems,
    lines: linesOf(
      walk,
      sweet,
      apart.map(({ pot }) => pot),
    ),
    pressedIn: new Map([...walk.pressings].map(([line, { until, component }]) => [line, pressingSteps(walk, line, until, component)] as const)),
  };
}

/** What no step took in goes where it belongs in the end: the innermost parts first. */
function broughtTogether(walk: Walk): LedgerEntry[] {
  const { components, into } = walk.structure;
  const depth = (id: string): number => {
    const next = into.get(id);
    return next === undefined ? 0 : 1 + depth(next);
  };
  const entries: LedgerEntry[] = [];
  for (const { id, name, use } of [...components.values()].sort((a, b) => depth(b.id) - depth(a.id))) {
    const pot = walk.pots.get(id);
    const rest = 1 - (walk.poured.get(id) ?? 0);
    if (!pot || pot.mass <= 0 || rest < 1e-3 || use.kind === "apart") continue;
    // What is poured on already takes no more: it goes where that went.
    let target = into.get(id);
    while (target !== undefined && (walk.poured.get(target) ?? 0) > 0) target = into.get(target);
    const together = potOf(walk, target);
    const { mass } = together.pour(pot, rest * (use.kind === "part" ? use.share : 1));
    entries.push({ step: null, component: target ?? null, went: [{ name, grams: mass }], driven: 0, how: "", away: [], after: together.state() });
  }
  return entries;
}

/** A recipe that tells no steps: all goes in at once. */
function allAtOnce(walk: Walk): LedgerEntry {
  const went: LedgerMass[] = [];
  const told: string[] = [];
  walk.readings.forEach((line) => {
    if (line.kind !== "read") return;
    const group = line.line.component;
    const sweet = potOf(walk, undefined);
    const { share, pot } = group === undefined ? { share: 1, pot: sweet } : straightIn(walk, group, sweet);
    const { item, told: cooked } = putLine(walk, pot, line, share);
    if (pot !== sweet) return;
    if (cooked) told.push(cooked);
    went.push({ name: line.food.name, grams: item.grams });
  });
  const pot = potOf(walk, undefined);
  return { step: null, component: null, went, driven: pot.net, how: told.join("; "), away: [], after: pot.state() };
}

/** The lines as they ended in the sweet and beside it. */
function linesOf({ readings, wastes, pressings }: Walk, sweet: Pot, apart: readonly Pot[]): LedgerLine[] {
  const gramsIn = (pot: Pot, id: LineId) => pot.items.reduce((sum, item) => sum + (item.line === id ? item.grams : 0), 0);
  return readings.flatMap((reading): LedgerLine[] => {
    const { id } = reading.line;
    const [inside, beside] = [gramsIn(sweet, id), apart.reduce((sum, pot) => sum + gramsIn(pot, id), 0)];
    const grams = inside + beside;
    if (reading.kind !== "read" || grams < 1e-6) return [];
    const { food = reading.food, grams: whole = reading.grams.value, sd = reading.grams.sd } = pressings.get(id)?.milk ?? {};
    const role = pressings.has(id) ? food.role : reading.role;
    const treated = pressings.has(id) ? undefined : treatmentIn([sweet, ...apart].flatMap(({ items }) => items.filter((item) => item.line === id)));
    const waste = wastes.get(id);
    return [
      {
        food,
        grams,
        sd: (sd * grams) / Math.max(1e-9, whole),
        role,
        id,
        ...(inside < 1e-6 ? { apart: true } : {}),
        ...(treated ? { treated } : {}),
        ...(waste === undefined ? {} : { bought: grams / (1 - waste) }),
      },
    ];
  });
}

/** From so much on it is asked how long it cooks, g. */
const ASKED_FROM = 50;
/** Where no step says how much boils away, that is asked at the last that heats the sweet itself. */
export function askingHowLong(ledger: Ledger, steps: readonly ReadStepWithTakes[], usual: number): Ledger {
  const at = steps.findLastIndex(({ operations, step }) => step.component === undefined && operations.some((operation) => HEATED.includes(operation)));
  const isAsked = ledger.problems.some((problem) => "step" in problem && problem.step === at);
  return usual < ASKED_FROM || at < 0 || isAsked ? ledger : { ...ledger, problems: [...ledger.problems, { kind: "cooking not told", step: at, usual }] };
}

/** The ledger with what is driven off in all as it is taken to be: set by hand, or usual for the kind. The difference is put at the last step of the sweet itself. */
export function withTotal(ledger: Ledger, total: Estimate, how: string): Ledger {
  const more = total.value - ledger.net.value;
  if (Math.abs(more) < 0.05) return ledger;
  const last = ledger.entries.findLastIndex(({ component }) => component === null);
  const there = ledger.entries[last]?.after.water ?? 0;
  const goes = Math.min(more, there);
  const entries = ledger.entries.map((entry, i) => {
    if (i !== last) return entry;
    const after = { ...entry.after, mass: entry.after.mass - goes, water: entry.after.water - goes };
    return { ...entry, driven: entry.driven + goes, how: [entry.how, how].filter(Boolean).join("; "), after };
  });
  const problems: readonly LedgerProblem[] =
    more > there + 0.5
      ? [...ledger.problems, { kind: "more water than there is", step: ledger.entries[last]?.step ?? -1, asked: total.value, there: there + ledger.net.value }]
      : ledger.problems;
  return { ...ledger, entries, problems, finished: { value: ledger.finished.value - goes, sd: Math.hypot(ledger.amountsSd, total.sd) } };
}
