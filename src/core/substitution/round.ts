import { weighable, weighingStep } from "../units";
import { build, type Built } from "./build";
import { bodyRowPerGram, limitPerGram } from "./coefficients";
import { amountsOf, type Amount } from "./decode";
import type { SolverPort } from "../numeric";
import type { Opening } from "./open-roles";
import type { AdaptationProblem } from "./problem";
import type { Run } from "./run";
import type { Slot } from "./slots";
import type { Targets } from "./targets";

const LP = { timeLimitSeconds: 2, relativeGap: 0 };
const RELINEARISATIONS = 2;
/** A line that moved by less than this share is left as handed down. */
const HARDLY = 0.04;
const EXACTLY = 0.005;
/** So many of the largest amounts take up what rounding the others leaves. */
const BALANCING = 2;

export interface Rounded {
  readonly amounts: readonly Amount[];
  readonly evaporation: number;
  readonly built: Built;
}

/**
 * Rounds a solution line by line: each is set to a weighable amount and the rest solved again, so that no limit is
 * broken by rounding. First the protein term of body is linearised anew at the solution. Where the rounded lines cannot be
 * completed, amounts are told to the tenth of a gram.
 */
export async function roundAmounts(
  problem: AdaptationProblem,
  opening: Opening,
  targets: Targets,
  run: Run,
  used: ReadonlySet<string>,
  start: { readonly built: Built; readonly values: ArrayLike<number> },
  solve: SolverPort,
): Promise<Rounded> {
  const given = gelAmounts(start.built, used, targets);
  let settled: Run = { ...run, used, cuts: [], fixed: given, isGelled: given.size > 0 };
  let values: ArrayLike<number> = start.values;
  let built = start.built;
  for (let round = 0; round < RELINEARISATIONS; round++) {
    settled = { ...settled, proteinRatio: proteinRatio(problem, built, values) };
    const next = build(problem, opening, targets, settled);
    const outcome = await solve(next.model, LP);
    if (outcome.kind !== "optimal") break;
    [built, values] = [next, outcome.values];
  }

  const fixed = new Map<string, number>();
  const open = amountsOf(built, values).sort((a, b) => b.grams - a.grams);
  // What hardly moved stays exactly as handed down, where the rest can still be completed.
  for (const share of [HARDLY, EXACTLY]) {
    fixed.clear();
    for (const [key, grams] of given) fixed.set(key, grams);
    for (const { slot, grams } of open)
      if (slot.source && Math.abs(grams - slot.source.grams) <= share * slot.source.grams && isWanted(slot, slot.source.grams))
        fixed.set(slot.key, slot.source.grams);
    const kept = build(problem, opening, targets, { ...settled, fixed });
    const outcome = await solve(kept.model, LP);
    if (outcome.kind !== "optimal") continue;
    [built, values] = [kept, outcome.values];
    break;
  }
  // All but the two largest at once, where these can make up for it; else one after the other.
  const small = open.filter(({ slot }) => !fixed.has(slot.key)).slice(BALANCING);
  if (small.length > 0) {
    const tried = new Map([...fixed, ...small.map(({ slot, grams }) => [slot.key, tidy(wanted(slot, weighable(grams), grams))] as const)]);
    const next = build(problem, opening, targets, { ...settled, fixed: tried });
    const outcome = await solve(next.model, LP);
    if (outcome.kind === "optimal") {
      [built, values] = [next, outcome.values];
      for (const [key, grams] of tried) fixed.set(key, grams);
    }
  }
  for (const { slot } of open) {
    if (fixed.has(slot.key)) continue;
    const grams = amountsOf(built, values).find((amount) => amount.slot.key === slot.key)?.grams ?? 0;
    if (grams === 0) {
      fixed.set(slot.key, 0);
      continue;
    }
    const nearest = weighable(grams);
    const other = nearest > grams ? weighable(grams, true) : nearest < grams ? nearest + weighingStep(grams) : nearest;
    let done = false;
    for (const candidate of (nearest === other ? [nearest] : [nearest, other]).map((each) => wanted(slot, each, grams))) {
      const tried = build(problem, opening, targets, { ...settled, fixed: new Map([...fixed, [slot.key, tidy(candidate)]]) });
      const outcome = await solve(tried.model, LP);
      if (outcome.kind !== "optimal") continue;
      [built, values] = [tried, outcome.values];
      fixed.set(slot.key, tidy(candidate));
      done = true;
      break;
    }
    if (!done) fixed.set(slot.key, Math.round(grams * 100) / 100);
  }
  const last = build(problem, opening, targets, { ...settled, fixed });
  const outcome = await solve(last.model, LP);
  if (outcome.kind === "optimal") return { amounts: amountsOf(last, outcome.values), evaporation: outcome.values[last.e] ?? 0, built: last };
  // Where limits leave no room for what weighs easily, amounts are told to the tenth of a gram.
  const close = amountsOf(built, values).map(({ slot, grams }) => {
    const step = grams < 1 ? 1000 : 10;
    const isLimited = problem.limits.some((limit) => limitPerGram(slot, limit, problem) > 0);
    return { slot, grams: (isLimited ? Math.floor(grams * step) : Math.round(grams * step)) / step };
  });
  return { amounts: close, evaporation: values[built.e] ?? 0, built };
}

/** New agar or gelatine in the amount that sets to the recipe's own body. */
function gelAmounts({ slots }: Built, used: ReadonlySet<string>, { gelShare, finished }: Targets): ReadonlyMap<string, number> {
  return new Map(
    slots.flatMap(({ key, source, food: { thickening } }): [string, number][] => {
      const share = thickening.agar ? gelShare.agar : thickening.gelatine ? gelShare.gelatine : 0;
      return source === null && used.has(key) && share > 0 ? [[key, weighable(share * finished)]] : [];
    }),
  );
}

const isWanted = ({ asked }: Slot, grams: number): boolean => asked === null || (grams >= asked[0] - 1e-6 && grams <= asked[1] + 1e-6);
/** An amount that weighs easily; where the maker wants less or more than that, the solution's own. */
const wanted = (slot: Slot, easy: number, grams: number): number => (isWanted(slot, easy) ? easy : grams);

const tidy = (grams: number) => Math.round(grams * 1000) / 1000;

function proteinRatio(problem: AdaptationProblem, built: Built, values: ArrayLike<number>): number {
  let protein = 0,
    serum = -(values[built.e] ?? 0);
  for (const { slot, grams } of amountsOf(built, values)) {
    const part = bodyRowPerGram(slot, problem);
    protein += part.protein * grams;
    serum += part.serum * grams;
  }
  return serum > 0 ? protein / serum : 0;
}
