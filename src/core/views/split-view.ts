import { methodFor, stored, type StoredBench } from "../adaptation";
import { evaluateVersion, openTable, type Kitchen } from "../kitchen";
import { textOf } from "../method";
import { kitchenMeasure } from "../recipe";
import {
  beamReadings,
  fitWords,
  insideCount,
  linesBefore,
  massBefore,
  openRoles,
  partingPlaces,
  standingOf,
  tableVerdict,
  type AdaptationProblem,
  type Ending,
  type Proposal,
} from "../substitution";
import { portionOf, type DiningTable } from "../table";

import { keepsItself } from "./bench-ending";
import { groundFor, withBatch, type BenchGround, type Ground } from "./bench-ground";

/** Some of a table, who can all eat of one portion. */
export interface PotGroup {
  /** By id, and by name. */
  readonly eaters: readonly string[];
  readonly names: readonly string[];
  readonly servings: number;
  /** Why the sweet as handed down is not for them, in few words; empty where it is. */
  readonly needs: readonly string[];
}

/** How a pot could be split: for whom, and before which steps (by place, from 1) at the latest. */
export interface SplitPlan {
  readonly groups: readonly PotGroup[];
  /** The places to try, the latest first: there least is done twice. */
  readonly places: readonly number[];
}

interface Grouped extends PotGroup {
  readonly table: DiningTable;
  readonly problem: AdaptationProblem;
}

/** What each needs of whom the sweet as handed down is not for; who needs the same shares a portion. */
function groupsOf({ read }: Ground, table: DiningTable, kitchen: Kitchen): readonly Grouped[] {
  const byNeeds = new Map<string, string[]>();
  for (const { eater } of table.seats ?? []) {
    const problem = openTable(read, portionOf(table, [eater]), kitchen);
    const needs = standingOf(problem, null).breaches.map(({ rule }) => rule);
    const key = [...new Set([...needs, ...openRoles(problem).passed.map(({ id, most }) => `${id} ${most}`)])].sort().join("; ");
    byNeeds.set(key, [...(byNeeds.get(key) ?? []), eater]);
  }
  // Of many, all who need something share one portion.
  const parted = [...byNeeds];
  const needing = parted.filter(([key]) => key !== "");
  const shared: typeof parted =
    parted.length > MOST_GROUPS
      ? [...parted.filter(([key]) => key === ""), [needing.map(([key]) => key).join("; "), needing.flatMap(([, eaters]) => eaters)]]
      : parted;
  return shared
    .map(([key, eaters]): Grouped => {
      const portion = portionOf(table, eaters);
      const problem = openTable(read, portion, kitchen);
      const shorts = standingOf(problem, null).breaches.map(({ short }) => short);
      return {
        eaters,
        names: (portion.seats ?? []).map(({ name }) => name),
        servings: portion.servings,
        needs: key === "" ? [] : [...new Set(shorts)],
        table: portion,
        problem,
      };
    })
    .sort((a, b) => a.needs.length - b.needs.length || b.servings - a.servings);
}

/** So many portions are cooked beside each other at the most. */
const MOST_GROUPS = 3;

/** How the pot of a table could be split; null where all who sit there need the same, or one pot has to do. */
export function splitPlan(at: BenchGround, kitchen: Kitchen): SplitPlan | null {
  const ground = groundFor(at, kitchen);
  const groups = groupsOf(ground, at.table, kitchen);
  if (groups.length < 2 || groups.every(({ needs }) => needs.length === 0)) return null;
  const { read, problem } = ground;
  const standing = standingOf(problem, null);
  const allowed = groups
    .filter(({ needs }) => needs.length > 0)
    .map((group) =>
      partingPlaces(
        read,
        standing,
        problem.rules.filter(({ id }) => group.problem.rules.some((rule) => rule.id === id)),
      ),
    );
  const places = (allowed[0] ?? []).filter((place) => allowed.every((each) => each.includes(place)));
  // Places with the same base differ only in what is done twice.
  const bases = new Set<string>();
  const distinct = places.filter((place) => {
    const base = linesBefore(read, place).join(" ");
    return base !== "" && !bases.has(base) && bases.add(base);
  });
  return { groups: groups.map(({ table: _, problem: __, ...group }) => group), places: distinct };
}

export interface SplitQuestion extends BenchGround {
  /** The step before which it is parted, by place. */
  readonly before: number;
}

/** What the solver is asked for one group: all that has gone in before stays. */
export function splitProblem({ before, group, ...at }: SplitQuestion & { readonly group: number }, kitchen: Kitchen): AdaptationProblem | null {
  const ground = groundFor(at, kitchen);
  const found = groupsOf(ground, at.table, kitchen)[group];
  if (!found || found.needs.length === 0) return null;
  const base = linesBefore(ground.read, before).filter((line) => ground.problem.lines.some(({ id }) => id === line));
  const stays = base.map((line) => ({ kind: "line stays" as const, line }));
  return { ...found.problem, maxProposals: 1, wishes: [...found.problem.wishes.filter((wish) => !("line" in wish && base.includes(wish.line))), ...stays] };
}

/** One portion of a pot that is split. */
export interface SplitPortion extends PotGroup {
  /** g of the base that are parted for it; null where that is not known. */
  readonly base: number | null;
  /** What goes into it otherwise than as handed down, with grams. */
  readonly exchanges: string;
  readonly inside: number;
  readonly of: number;
  readonly fit: string;
  /** Still to ask before it fits. */
  readonly questions: readonly string[];
  /** Allergens that it holds. */
  readonly allergens: readonly string[];
  /** What still goes into it, with grams. */
  readonly amounts: readonly { readonly name: string; readonly grams: number; readonly measure: string }[];
  /** How it goes on from where it is parted. */
  readonly steps: readonly string[];
  /** The whole of it as a version for those who eat it; null where it is the recipe as handed down. */
  readonly bench: StoredBench | null;
}

export interface SplitView {
  readonly before: number;
  /** What all have in common, step by step. */
  readonly together: readonly string[];
  readonly portions: readonly SplitPortion[];
  /** Minutes beside the pot that come once more for each further portion, as they usually take. */
  readonly twice: number;
}

/** How the pot is split before a step, of the solver's endings by group; null where a group has no version from there on. */
export function splitView({ before, endings, ...at }: SplitQuestion & { readonly endings: readonly (Ending | null)[] }, kitchen: Kitchen): SplitView | null {
  const ground = groundFor(at, kitchen);
  const { read, written, handedDown } = ground;
  const groups = groupsOf(ground, at.table, kitchen);
  const { constants } = kitchen.reference;
  const madeWith = { handling: kitchen.handling, constants, equipment: kitchen.household.equipment };
  const isBefore = (from: string | null) => from !== null && read.steps.findIndex(({ step }) => step.id === from) < before;
  const base = new Set(linesBefore(read, before));
  const whole = massBefore(read, before) * (at.table.servings / read.recipe.servings);
  const portions = groups.map((group, i): SplitPortion | null => {
    const ending = endings[i];
    const version = group.needs.length === 0 ? scaled(handedDown.version, group.servings / at.table.servings) : proposalIn(ending)?.version;
    if (!version) return null;
    const { figures } = evaluateVersion(version, read, group.table, kitchen);
    if (group.needs.length > 0 && !keepsWhole(version, group, at, ground, kitchen)) return null;
    const standing = standingOf(group.problem, version, figures);
    if (standing.breaches.length > 0) return null;
    const own = evaluateVersion(scaled(handedDown.version, group.servings / at.table.servings), read, group.table, kitchen);
    const beams = beamReadings(own.figures, figures, group.table.limits, group.table.serve, constants);
    const verdict = tableVerdict(standing, group.problem, group.table);
    const { words } = methodFor(read, version, group.table, madeWith, undefined, written);
    const last = words.findLastIndex(({ from }) => isBefore(from));
    const label = `Parted for ${group.names.join(", ")}`;
    return {
      eaters: group.eaters,
      names: group.names,
      servings: group.servings,
      needs: group.needs,
      base: whole > 0 ? (whole * group.servings) / at.table.servings : null,
      exchanges: group.needs.length === 0 ? "" : (proposalIn(ending)?.reason.split("; ")[0] ?? ""),
      ...insideCount(beams),
      fit: fitWords(verdict, insideCount(beams)),
      questions: verdict.questions,
      allergens: [...new Set(version.rows.flatMap(({ food, grams }) => (food && grams > 0 ? food.allergens : [])))].map((each) => each.replace("-", " ")),
      amounts: version.rows.flatMap(({ line, food, grams }) =>
        food && grams > 0 && (line === null || !base.has(line))
          ? [{ name: food.name, grams, measure: kitchenMeasure(food, grams, read.measures)?.text ?? "" }]
          : [],
      ),
      steps: words
        .slice(last + 1)
        .map(textOf)
        .filter((text) => text.trim() !== ""),
      bench: group.needs.length === 0 ? null : stored(withBatch({ label, version, byHand: true }, ground), read, group.table),
    };
  });
  if (portions.some((portion) => portion === null)) return null;
  const { words } = methodFor(read, handedDown.version, at.table, madeWith, undefined, written);
  const last = words.findLastIndex(({ from }) => isBefore(from));
  return {
    before,
    together: words.slice(0, last + 1).map(textOf),
    portions: portions.filter((portion) => portion !== null),
    twice: read.steps.slice(before).reduce((sum, { minutes, attention }) => sum + (attention === "unattended" ? 0 : minutes.usual), 0) * (groups.length - 1),
  };
}

type Soon<T> = T | Promise<T>;
/** What is asked on the way to where a pot parts; a worker may answer it. */
export interface SplitAsks {
  readonly plan: () => Soon<SplitPlan | null>;
  readonly problem: (before: number, group: number) => Soon<AdaptationProblem | null>;
  readonly solve: (problem: AdaptationProblem) => Promise<Ending>;
  readonly view: (before: number, endings: readonly (Ending | null)[]) => Soon<SplitView | null>;
  readonly onPlace?: (done: number, of: number) => void;
}
export interface LatestSplit {
  /** Null where there is nothing to part. */
  readonly plan: SplitPlan | null;
  /** Null where it does not part anywhere. */
  readonly view: SplitView | null;
}

/** How a pot is split at the latest place from which on every group has a version. */
export async function latestSplit({ plan: planned, problem: asked, solve, view: shown, onPlace }: SplitAsks): Promise<LatestSplit> {
  const plan = await planned();
  const places = plan?.places ?? [];
  for (const [done, before] of places.entries()) {
    onPlace?.(done, places.length);
    const endings: (Ending | null)[] = [];
    for (const group of (plan?.groups ?? []).keys()) {
      const problem = await asked(before, group);
      endings.push(problem && (await solve(problem)));
    }
    const view = await shown(before, endings);
    if (view) return { plan, view };
  }
  return { plan, view: null };
}

/** The same, all of it in one kitchen. */
export const splitIn = (at: BenchGround, kitchen: Kitchen, solve: SplitAsks["solve"]): Promise<LatestSplit> =>
  latestSplit({
    plan: () => splitPlan(at, kitchen),
    problem: (before, group) => splitProblem({ ...at, before, group }, kitchen),
    solve,
    view: (before, endings) => splitView({ ...at, before, endings }, kitchen),
  });

/** Whether it is itself read again, were the whole pot made so: of a part of a pot the same minutes drive off more. */
function keepsWhole(version: Proposal["version"], group: Grouped, { table }: BenchGround, ground: Ground, kitchen: Kitchen): boolean {
  const whole = scaled(version, table.servings / group.servings);
  return keepsItself({ version: whole, figures: evaluateVersion(whole, ground.read, table, kitchen).figures }, ground, table, kitchen);
}

const proposalIn = (ending: Ending | null | undefined): Proposal | undefined => (ending?.kind === "proposals" ? ending.proposals[0] : undefined);
const scaled = (version: Proposal["version"], factor: number): Proposal["version"] => ({
  evaporation: version.evaporation * factor,
  rows: version.rows.map((row) => ({ ...row, grams: row.grams * factor })),
});
