import { ModelBuilder, type LinearModel } from "../numeric";
import { followersOf, type PlanBounds } from "./bounds";
import { claimsOf, openStart, roomOf, shutHours, shutStarts, type Claim } from "./claims";
import type { Laid } from "./place";
import type { PlanScore } from "./solve";
import type { PlanMinute, PlanProblem, PlanTask } from "./task";

/** All is whole minutes. */
export const HALF = 0.5;

/** A plan that is laid, and what is known of it. */
export interface Found {
  readonly laid: Laid;
  readonly score: PlanScore;
  readonly begin: PlanMinute;
  readonly bounds: PlanBounds;
}
interface StartModel {
  /** Null where some task has no place at all. */
  readonly model: LinearModel | null;
  /** The column of each task's start, by id. */
  readonly starts: ReadonlyMap<string, number>;
}

/** The latest start of all that is later than a plan's, as a mixed-integer programme. Minutes are the problem's own; the objective is the start, negative. */
export function startModel(problem: PlanProblem, found: Found, latest: PlanMinute): StartModel {
  const { tasks, kitchen, pinned } = problem;
  const followers = followersOf(tasks);
  const byId = new Map(tasks.map((task) => [task.id, task] as const));
  const shut = shutHours(kitchen);
  const claims = new Map(tasks.map((task) => [task.id, claimsOf(task)] as const));
  const closed = new Map(tasks.map((task) => [task.id, shutStarts(claims.get(task.id) ?? [], shut)] as const));
  const least = Math.max(kitchen.from, found.begin + 1);
  const earliest = earliestStarts(tasks, { least, pinned, closed });
  const latestOf = (id: string) => found.bounds.latestStarts.get(id) ?? 0;
  const startOf = (id: string) => [earliest.get(id) ?? least, latestOf(id)] as const;
  const starts = new Map<string, number>();
  if (tasks.some(({ id }) => startOf(id)[0] > startOf(id)[1])) return { model: null, starts };

  const model = new ModelBuilder();
  const first = model.column("start", least, latest, -1);
  for (const { id } of tasks) starts.set(id, model.column(`start ${id}`, ...startOf(id)));
  const at = (id: string) => starts.get(id) ?? 0;
  for (const task of tasks) {
    model.row(`first ${task.id}`, -Infinity, 0, [
      [first, 1],
      [at(task.id), -1],
    ]);
    for (const before of new Set(task.after)) {
      const minutes = byId.get(before)?.minutes ?? 0;
      model.row(`order ${before} ${task.id}`, minutes, minutes + (task.within[before] ?? Infinity), [
        [at(task.id), 1],
        [at(before), -1],
      ]);
    }
    // Hours that are shut: before them or after.
    for (const [i, { from, to }] of (closed.get(task.id) ?? []).entries()) {
      const [low, high] = startOf(task.id);
      if (from < low && to > high) return { model: null, starts };
      if (high <= from || low >= to) continue;
      const after = model.binary(`after ${task.id} ${i}`);
      model.row(`before hours ${task.id} ${i}`, -Infinity, from, [
        [at(task.id), 1],
        [after, -(high - from)],
      ]);
      model.row(`after hours ${task.id} ${i}`, low, Infinity, [
        [at(task.id), 1],
        [after, -(to - low)],
      ]);
    }
  }
  freshRows(model, problem, found, { followers, at });
  const hands = new Set<string>();
  for (const [one, other, apart] of disjoint(problem, found, { claims, followers })) {
    const [a, b] = [apart.one, apart.other];
    if (a.of === "hands" || a.of === "attention") hands.add(`${one} ${other}`);
    // One ends before the other begins: by how much their starts are apart then.
    const [onePast, otherPast] = [a.to - b.from, b.to - a.from];
    const [oneLow, oneHigh] = startOf(one);
    const [otherLow, otherHigh] = startOf(other);
    const [mayFirst, maySecond] = [oneLow + onePast <= otherHigh, otherLow + otherPast <= oneHigh];
    if (!mayFirst && !maySecond) return { model: null, starts };
    if (oneHigh + onePast <= otherLow || otherHigh + otherPast <= oneLow) continue;
    const oneFirst = model.column(`${one} before ${other} ${a.of}`, maySecond ? 0 : 1, mayFirst ? 1 : 0, 0, true);
    // other − one ≥ onePast where one goes first, and whatever their bounds give where it does not; and the other way round.
    model.row(`apart ${one} ${other} ${a.of}`, otherLow - oneHigh, Infinity, [
      [at(other), 1],
      [at(one), -1],
      [oneFirst, -(onePast - (otherLow - oneHigh))],
    ]);
    model.row(`apart ${other} ${one} ${a.of}`, otherPast, Infinity, [
      [at(one), 1],
      [at(other), -1],
      [oneFirst, otherPast - (oneLow - otherHigh)],
    ]);
  }
  if (kitchen.cooks === 1 && found.score.twoInHand >= HALF) handRows(model, found, { claims, startOf, at, pairs: unordered(tasks, followers), hands });
  return { model: model.build(), starts };
}

interface Earliest {
  readonly least: number;
  readonly pinned: PlanProblem["pinned"];
  readonly closed: ReadonlyMap<string, readonly { readonly from: number; readonly to: number }[]>;
}
/** The first start of each task: after what is before it, none before the least, outside the hours that are shut for it. */
function earliestStarts(tasks: readonly PlanTask[], { least, pinned, closed }: Earliest): ReadonlyMap<string, number> {
  const byId = new Map(tasks.map((task) => [task.id, task] as const));
  const known = new Map<string, number>();
  const startOf = (id: string): number => {
    const told = known.get(id);
    const task = byId.get(id);
    if (told !== undefined || !task) return told ?? least;
    // Set before it goes on: a circle ends here, and is refused elsewhere.
    known.set(id, least);
    const after = Math.max(least, ...task.after.map((each) => startOf(each) + (byId.get(each)?.minutes ?? 0)));
    const start = Math.max(openStart(after, closed.get(id) ?? [], "later"), pinned[id] ?? -Infinity);
    known.set(id, start);
    return start;
  };
  for (const { id } of tasks) startOf(id);
  return known;
}

interface Of {
  readonly followers: ReadonlyMap<string, readonly PlanTask[]>;
  readonly at: (id: string) => number;
}
/** What is done last of a sweet is done no sooner than freshness bears; all together stand no longer than in the plan that was found. */
function freshRows(model: ModelBuilder, { tasks, sweets }: PlanProblem, found: Found, { followers, at }: Of): void {
  const stands: (readonly [number, number])[] = [];
  for (const { id, due, fresh, best } of sweets) {
    const lasts = tasks.filter((task) => task.sweet === id && followers.get(task.id)?.length === 0);
    if (fresh !== null) for (const last of lasts) model.row(`fresh ${last.id}`, due - fresh - last.minutes, Infinity, [[at(last.id), 1]]);
    const [last] = lasts;
    if (best === null || lasts.length !== 1 || !last) continue;
    const stale = model.column(`stands ${id}`, 0, found.score.stale);
    stands.push([stale, 1]);
    model.row(`stands ${id}`, due - best - last.minutes, Infinity, [
      [at(last.id), 1],
      [stale, 1],
    ]);
  }
  if (stands.length > 0) model.row("stand", -Infinity, found.score.stale, stands);
}

type Pair = readonly [one: string, other: string, apart: { readonly one: Claim; readonly other: Claim }];
interface Taken {
  readonly claims: ReadonlyMap<string, readonly Claim[]>;
  readonly followers: ReadonlyMap<string, readonly PlanTask[]>;
}
/** Pairs of tasks that cannot go on at once, and by what of them: of two claims that meet the one that takes longer in both. */
function disjoint({ tasks, kitchen }: PlanProblem, found: Found, { claims, followers }: Taken): readonly Pair[] {
  // Nothing is in two hands in what was found: so it stays.
  const room = { ...roomOf(kitchen), ...(found.score.twoInHand < HALF ? { attention: kitchen.cooks } : {}) };
  return unordered(tasks, followers).flatMap(([one, other]): readonly Pair[] => {
    const meeting = (claims.get(one) ?? []).flatMap((a) =>
      (claims.get(other) ?? []).flatMap((b) => (a.of === b.of && a.amount + b.amount > (room[a.of] ?? Infinity) + 1e-9 ? [{ one: a, other: b }] : [])),
    );
    // All claims begin with their task: the longest say what the others say.
    return meeting.filter((each) => !meeting.some((more) => more !== each && covers(more, each))).map((each) => [one, other, each] as const);
  });
}

/** Pairs of tasks of which neither waits for the other. */
function unordered(tasks: readonly PlanTask[], followers: ReadonlyMap<string, readonly PlanTask[]>): readonly (readonly [string, string])[] {
  const past = new Map<string, ReadonlySet<string>>();
  const pastOf = (id: string): ReadonlySet<string> => {
    const known = past.get(id);
    if (known) return known;
    past.set(id, new Set());
    const all = new Set((followers.get(id) ?? []).flatMap((each) => [each.id, ...pastOf(each.id)]));
    past.set(id, all);
    return all;
  };
  return tasks.flatMap((one, i) =>
    tasks.slice(i + 1).flatMap((other) => (pastOf(one.id).has(other.id) || pastOf(other.id).has(one.id) ? [] : [[one.id, other.id] as const])),
  );
}

interface InHand {
  readonly claims: ReadonlyMap<string, readonly Claim[]>;
  readonly startOf: (id: string) => readonly [number, number];
  readonly at: (id: string) => number;
  readonly pairs: readonly (readonly [string, string])[];
  /** Pairs that never go on at once anyway. */
  readonly hands: ReadonlySet<string>;
}
/** One cook has two things in hand for no longer than in the plan that was found: by how much each pair goes on at once, as one begins before the other ends. */
function handRows(model: ModelBuilder, found: Found, { claims, startOf, at, pairs, hands }: InHand): void {
  const lengthOf = (id: string) => claims.get(id)?.find(({ of }) => of === "attention")?.to ?? 0;
  const all: (readonly [number, number])[] = [];
  for (const [one, other] of pairs) {
    const [a, b] = [lengthOf(one), lengthOf(other)];
    const most = Math.min(a, b);
    const [[oneLow, oneHigh], [otherLow, otherHigh]] = [startOf(one), startOf(other)];
    if (most === 0 || hands.has(`${one} ${other}`) || oneHigh + a <= otherLow || otherHigh + b <= oneLow) continue;
    const both = model.column(`both ${one} ${other}`, 0, most);
    const [first, second, inside] = ["first", "second", "inside"].map((how) => model.binary(`${how} ${one} ${other}`)) as [number, number, number];
    all.push([both, 1]);
    model.row(`how ${one} ${other}`, 1, 1, [
      [first, 1],
      [second, 1],
      [inside, 1],
    ]);
    model.row(`first ${one} ${other}`, otherLow - oneHigh, Infinity, [
      [at(other), 1],
      [at(one), -1],
      [both, 1],
      [first, -(a - (otherLow - oneHigh))],
    ]);
    model.row(`second ${one} ${other}`, oneLow - otherHigh, Infinity, [
      [at(one), 1],
      [at(other), -1],
      [both, 1],
      [second, -(b - (oneLow - otherHigh))],
    ]);
    model.row(`inside ${one} ${other}`, 0, Infinity, [
      [both, 1],
      [inside, -most],
    ]);
  }
  if (all.length > 0) model.row("in two hands", -Infinity, found.score.twoInHand, all);
}

type Meeting = Pair[2];
const covers = (more: Meeting, less: Meeting): boolean =>
  more.one.to >= less.one.to && more.other.to >= less.other.to && (more.one.to > less.one.to || more.other.to > less.other.to || more.one.of < less.one.of);
