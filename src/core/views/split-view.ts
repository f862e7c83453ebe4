import { methodFor, stored, type StoredBench } from "../adaptation";
import { evaluateVersion, openTable, type Kitchen } from "../kitchen";
import { textOf } from "../method";
import { kitchenMeasure } from "../recipe";
import {
  beamReadings,
  changedShare,
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
import { asOfRecipe, basePlaces, groundWith, placeOf, type SplitBase } from "./split-base";

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
  /** Those up to which a base that is changed for all could go. */
  readonly bases: readonly number[];
}

/** A pot to be split: as handed down, or with a base that is changed for all. */
export interface SplitGround extends BenchGround {
  readonly base: SplitBase | null;
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
export function splitPlan({ base: changed, ...at }: SplitGround, kitchen: Kitchen): SplitPlan | null {
  const ground = groundWith(at, changed, kitchen);
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
  return { groups: groups.map(({ table: _, problem: __, ...group }) => group), places: distinct, bases: changed ? [] : basePlaces(ground) };
}

export interface SplitQuestion extends SplitGround {
  /** The step before which it is parted, by place. */
  readonly before: number;
}

/** What the solver is asked for one group: all that has gone in before stays. */
export function splitProblem({ before, group, base: changed, ...at }: SplitQuestion & { readonly group: number }, kitchen: Kitchen): AdaptationProblem | null {
  const ground = groundWith(at, changed, kitchen);
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
  /** What goes into it otherwise than into the base's recipe, with grams. */
  readonly exchanges: string;
  /** Of what goes into the sweet as handed down, the share that leaves this portion. */
  readonly changed: number;
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
  /** What is changed in the base for all, with grams; null where it is as handed down. */
  readonly base: string | null;
  /** What all have in common, step by step. */
  readonly together: readonly string[];
  readonly portions: readonly SplitPortion[];
  /** Minutes beside the pot that come once more for each further portion, as they usually take. */
  readonly twice: number;
}

/** How the pot is split before a step, of the solver's endings by group; null where a group has no version from there on. */
export function splitView(
  { before: place, endings, base: changed, ...at }: SplitQuestion & { readonly endings: readonly (Ending | null)[] },
  kitchen: Kitchen,
): SplitView | null {
  const ground = groundFor(at, kitchen);
  const { read, written, handedDown } = ground;
  const parted = groundWith(at, changed, kitchen);
  const groups = groupsOf(parted, at.table, kitchen);
  const before = changed ? placeOf(place, changed, ground) : place;
  const { constants } = kitchen.reference;
  const madeWith = { handling: kitchen.handling, constants, equipment: kitchen.household.equipment };
  const isBefore = (from: string | null) => from !== null && read.steps.findIndex(({ step }) => step.id === from) < before;
  const base = new Set(linesBefore(parted.read, place));
  const whole = massBefore(parted.read, place) * (at.table.servings / parted.read.recipe.servings);
  const portions = groups.map((group, i): SplitPortion | null => {
    const share = group.servings / at.table.servings;
    const ending = endings[i];
    const found = group.needs.length === 0 ? scaled(parted.handedDown.version, share) : proposalIn(ending)?.version;
    if (!found) return null;
    if (group.needs.length > 0 && !keepsWhole(found, group, at, parted, kitchen)) return null;
    const version = changed ? asOfRecipe(found, changed, ground, share) : found;
    const problem = changed ? openTable(read, group.table, kitchen) : group.problem;
    const { figures } = evaluateVersion(version, read, group.table, kitchen);
    const standing = standingOf(problem, version, figures);
    if (standing.breaches.length > 0) return null;
    const own = evaluateVersion(scaled(handedDown.version, share), read, group.table, kitchen);
    const beams = beamReadings(own.figures, figures, group.table.limits, group.table.serve, constants);
    const verdict = tableVerdict(standing, problem, group.table);
    const { words } = methodFor(read, version, group.table, madeWith, undefined, written);
    const last = words.findLastIndex(({ from }) => isBefore(from));
    const still = new Map(found.rows.map((row) => [row, row.line === null || !base.has(row.line)] as const));
    const isHandedDown = group.needs.length === 0 && !changed;
    return {
      eaters: group.eaters,
      names: group.names,
      servings: group.servings,
      needs: group.needs,
      base: whole > 0 ? whole * share : null,
      exchanges: group.needs.length === 0 ? "" : (proposalIn(ending)?.reason.split("; ")[0] ?? ""),
      changed: changedShare(version, problem),
      ...insideCount(beams),
      fit: fitWords(verdict, insideCount(beams)),
      questions: verdict.questions,
      allergens: [...new Set(version.rows.flatMap(({ food, grams }) => (food && grams > 0 ? food.allergens : [])))].map((each) => each.replace("-", " ")),
      amounts: [...still].flatMap(([{ food, grams }, isStill]) =>
        food && grams > 0 && isStill ? [{ name: food.name, grams, measure: kitchenMeasure(food, grams, read.measures)?.text ?? "" }] : [],
      ),
      steps: words
        .slice(last + 1)
        .map(textOf)
        .filter((text) => text.trim() !== ""),
      bench: isHandedDown ? null : stored(withBatch({ label: `Parted for ${group.names.join(", ")}`, version, byHand: true }, ground), read, group.table),
    };
  });
  if (portions.some((portion) => portion === null)) return null;
  const { words } = methodFor(read, changed?.version ?? handedDown.version, at.table, madeWith, undefined, written);
  const last = words.findLastIndex(({ from }) => isBefore(from));
  return {
    before,
    base: changed?.exchanges ?? null,
    together: words
      .slice(0, last + 1)
      .map(textOf)
      .filter((text) => text.trim() !== ""),
    portions: portions.filter((portion) => portion !== null),
    twice: read.steps.slice(before).reduce((sum, { minutes, attention }) => sum + (attention === "unattended" ? 0 : minutes.usual), 0) * (groups.length - 1),
  };
}

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
