import { methodFor, writtenOut } from "../adaptation";
import { evaluateVersion, type Kitchen } from "../kitchen";
import type { LineId, Recipe } from "../recipe";
import { linesBefore, standingOf, type AdaptationProblem, type Ending, type Version, type VersionRow } from "../substitution";
import { keepsItself } from "./bench-ending";
import { groundFor, type BenchGround, type Ground } from "./bench-ground";

/** A base that all at the table can eat, other than as handed down. */
export interface SplitBase {
  /** For the whole table: changed in what goes in before it is parted, all else as handed down. */
  readonly version: Version;
  /** What is changed in it, with grams. */
  readonly exchanges: string;
  /** The same written out as a recipe, which is parted as any. */
  readonly recipe: Recipe;
}

/** Of a recipe's steps those (by place, from 1) before which something has gone in that somebody may not have, and after which something does: the latest first. */
export function basePlaces({ read, problem, taken }: Ground): readonly number[] {
  const { breaches, questions } = standingOf(problem, null);
  const breaking = new Set(breaches.flatMap(({ line }) => (line === null ? [] : [line])));
  // A base is written out from what is read: what is not, or is still asked about, would be left out of it unseen.
  if (taken.length > 0 || breaking.size === 0 || read.unresolved.length > 0 || questions.some(({ limit }) => limit === null)) return [];
  const seen = new Set<string>();
  return read.steps
    .flatMap((_, place) => {
      const base = new Set(linesBefore(read, place));
      const inBase = [...breaking].filter((line) => base.has(line));
      const key = [...base].join(" ");
      if (inBase.length === 0 || inBase.length === breaking.size || seen.has(key)) return [];
      seen.add(key);
      return [place];
    })
    .reverse();
}

interface BaseQuestion extends BenchGround {
  /** The step up to which it is cooked together, by place. */
  readonly before: number;
}

/** What the solver is asked for a base: what goes in by then, for everybody; all else stays, and is not judged. */
export function baseProblem({ before, ...at }: BaseQuestion, kitchen: Kitchen): AdaptationProblem {
  const { read, problem } = groundFor(at, kitchen);
  const base = new Set(linesBefore(read, before));
  const together = new Set(read.steps.slice(0, before).map(({ step }) => step.id));
  const isOfBase = (line: LineId) => base.has(line);
  return {
    ...problem,
    maxProposals: 1,
    // How sweet or dear a portion may be is settled where it is parted.
    limits: [],
    wishes: problem.wishes.filter((wish) => ("line" in wish ? isOfBase(wish.line) : "food" in wish)),
    parted: new Set(problem.lines.flatMap(({ id }) => (isOfBase(id) ? [] : [id]))),
    judged: problem.judged.filter(({ line }) => isOfBase(line)),
    unlisted: problem.unlisted.filter(({ step }) => together.has(step)),
    unsettled: problem.unsettled.filter(({ line }) => isOfBase(line)),
  };
}

/** The base that the solver found; null where it found none, or what it found is not itself when it is read again. */
export function splitBase({ before, ending, ...at }: BaseQuestion & { readonly ending: Ending }, kitchen: Kitchen): SplitBase | null {
  const [found] = ending.kind === "proposals" ? ending.proposals : [];
  if (!found) return null;
  const { version } = found;
  const ground = groundFor(at, kitchen);
  const { read, written } = ground;
  const base = new Set(linesBefore(read, before));
  // It is a base for all only as long as nothing else was moved.
  if (version.rows.some(({ line, change }) => line !== null && !base.has(line) && change !== "as is")) return null;
  if (!keepsItself({ version, figures: evaluateVersion(version, read, at.table, kitchen).figures }, ground, at.table, kitchen)) return null;
  const made = { handling: kitchen.handling, constants: kitchen.reference.constants, equipment: kitchen.household.equipment };
  const { words } = methodFor(read, version, at.table, made, undefined, written);
  const recipe = writtenOut(read, version, words, at.table);
  // Ways that the household holds to would be gone twice.
  if (!recipe || groundFor({ recipe, table: at.table }, kitchen).taken.length > 0) return null;
  return { version, recipe, exchanges: found.reason.split("; ")[0] ?? "" };
}

/** The ground of the base: the recipe as handed down, or with the base changed. */
export const groundWith = (at: BenchGround, base: SplitBase | null, kitchen: Kitchen): Ground =>
  groundFor(base ? { recipe: base.recipe, table: at.table } : at, kitchen);

/**
 * A version of the recipe with its base changed, as one of the recipe as handed down: by its lines, with what leaves it. `share`:
 * of the whole table's amounts.
 */
export function asOfRecipe(version: Version, base: SplitBase, { handedDown }: Ground, share: number): Version {
  const own = new Map(handedDown.version.rows.map((row) => [row.id, row] as const));
  const inBase = new Map(base.version.rows.map((row) => [row.id, row] as const));
  const rows = version.rows.map((row): VersionRow => {
    const source = row.line === null ? undefined : inBase.get(row.line);
    const line = source?.line ?? null;
    const was = line === null ? undefined : own.get(line);
    if (!was) return { ...row, id: row.line ?? `portion-${row.id}`, line: null, change: "added", why: row.why || (source?.why ?? "") };
    const isSame = row.food !== null && row.food.id === was.food?.id;
    const change = row.food === null ? "left out" : !isSame ? "replaced" : Math.abs(row.grams - share * was.grams) < 0.005 * was.grams ? "as is" : "amount";
    return { ...row, id: was.id, line, change, why: change === "as is" ? "" : row.why || (source?.why ?? "") };
  });
  const there = new Set(rows.map(({ id }) => id));
  const gone = base.version.rows.filter(({ line, food, id }) => line !== null && (food === null || !there.has(id)) && !there.has(line));
  return { evaporation: version.evaporation, rows: [...rows, ...gone.map((row) => ({ ...row, food: null, grams: 0, change: "left out" as const }))] };
}

/**
 * The step of the recipe as handed down that a place in the base's own steps stands before.
 * @unit place, from 0
 * @range 0 to the number of its steps
 * @source the ids of its steps, which the base's keep
 */
export function placeOf(before: number, base: SplitBase, { read }: Ground): number {
  const places = new Map(read.steps.map(({ step }, i) => [step.id, i] as const));
  for (const { id } of base.recipe.steps.slice(before)) {
    const place = places.get(id);
    if (place !== undefined) return place;
  }
  return read.steps.length;
}
