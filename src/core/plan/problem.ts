import { NO_EQUIPMENT, panVolume, type Equipment } from "../household";
import { minuteOf, readyAt, windowsOf, type Gathering } from "./gathering";
import type { SweetTasks } from "./sweet-tasks";
import { momentAt } from "../calendar";
import type { PlacedTask, PlanKitchen, PlanMinute, PlanProblem } from "./task";

/** A plan that was solved, kept with its gathering. */
export interface GatheringPlan {
  /** What it was solved from, by `planKey`. */
  readonly key: string;
  readonly placed: readonly PlacedTask[];
  /** Moment, ms. */
  readonly solvedAt: number;
  /** No plan begins later, minutes, as far as somebody has had it proven. */
  readonly latestStart?: number;
}

/** A pan that is wider stands on no burner of a home, cm (rule of thumb). */
const WIDEST_ON_BURNER = 36;
/** Where a household has not said with what it cooks (rule of thumb). */
const USUAL_BURNERS = 2;

/** What a household cooks with, for a plan; and which pans no burner bears, by name. */
export function planKitchen(equipment: Equipment | undefined): {
  readonly burners: number;
  readonly pans: PlanKitchen["pans"];
  readonly fridge: number | null;
  readonly tooWide: readonly string[];
  readonly isSaid: boolean;
} {
  const { pans, burners, fridge } = equipment ?? NO_EQUIPMENT;
  const bears = pans.filter(({ diameter }) => diameter <= WIDEST_ON_BURNER);
  return {
    burners: equipment ? burners.length : USUAL_BURNERS,
    pans: bears.map((pan) => ({ id: pan.id, name: pan.name, ml: Math.round(panVolume(pan)) })),
    fridge,
    tooWide: pans.filter(({ diameter }) => diameter > WIDEST_ON_BURNER).map(({ name }) => name),
    isSaid: equipment !== undefined,
  };
}

/** When and with what it is planned: what is done by now, and when what goes on just now was begun, minutes by task. */
interface PlannedFrom {
  readonly equipment: Equipment | undefined;
  readonly now: number;
  readonly done: ReadonlySet<string>;
  readonly going?: Readonly<Record<string, PlanMinute>>;
  /** Sweets that are ready no sooner than so many minutes after they are due, by id: they are planned for then. */
  readonly late?: Readonly<Record<string, number>>;
}

/**
 * What a gathering is planned from: its sweets that have been worked out, its kitchen and hours; what is done by now is left out, and of what goes on the rest
 * begins now.
 */
export function gatheringProblem(
  gathering: Gathering,
  sweets: readonly SweetTasks[],
  { equipment, now, done, going = {}, late = {} }: PlannedFrom,
): PlanProblem {
  const { burners, pans, fridge } = planKitchen(equipment);
  const ready = readyAt(gathering);
  const { nights, away, notTasting, from } = windowsOf(gathering, now);
  const at = minuteOf(now, ready);
  const tasks = sweets
    .flatMap((each) => each.tasks)
    .filter(({ id }) => !done.has(id))
    .map((task) => {
      const begun = going[task.id];
      return begun === undefined ? task : { ...task, minutes: Math.max(1, begun + task.minutes - at), handsFirst: 0, after: [], within: {} };
    });
  const goesOn = tasks.flatMap(({ id }) => (going[id] === undefined ? [] : [[id, at] as const]));
  const isThere = new Set(tasks.map(({ id }) => id));
  const beforeOf = new Map(gathering.sweets.map((sweet) => [sweet.id, sweet.before] as const));
  return {
    sweets: sweets.map(({ sweet }) => ({ ...sweet, due: -(beforeOf.get(sweet.id) ?? 0) + (late[sweet.id] ?? 0) })),
    // Where nobody has said which pans there are, they stand in nobody's way.
    tasks: tasks.map((task) => ({ ...task, after: task.after.filter((each) => isThere.has(each)), pot: pans.length > 0 ? task.pot : null })),
    pots: pans.length > 0 ? sweets.flatMap(({ pots }) => pots) : [],
    kitchen: {
      cooks: gathering.cooks,
      burners: gathering.burners ?? burners,
      ovens: 1,
      mixers: 1,
      pans,
      fridge,
      quiet: [],
      away,
      nights,
      notTasting,
      from: goesOn.length > 0 ? Math.min(at, from) : from,
    },
    pinned: Object.fromEntries([
      ...Object.entries(gathering.pins).flatMap(([id, at]) => {
        const [day, hour] = at.split("T");
        return isThere.has(id) && day && hour ? [[id, minuteOf(momentAt(day, hour, gathering), ready)] as const] : [];
      }),
      ...goesOn,
    ]),
  };
}

/** What a plan was solved from, in a few letters: another where it has to be solved anew. Now is not of it. */
export function planKey(gathering: Gathering, sweets: readonly SweetTasks[], equipment: Equipment | undefined): string {
  const { day, hour, timeZone, cooks, burners, quiet, away, noTasteBefore, begin, pins } = gathering;
  const befores = gathering.sweets.map(({ id, before }) => [id, before]);
  const kitchen = planKitchen(equipment);
  return hashed(
    JSON.stringify([day, hour, timeZone, cooks, burners, quiet, away, noTasteBefore, begin, Object.entries(pins).toSorted(), befores, sweets, kitchen]),
  );
}

/** FNV-1a over the text, twice with other offsets: 64 bits in all (Fowler, Noll, Vo). */
function hashed(text: string): string {
  return [0x811c9dc5, 0x01000193]
    .map((offset) => {
      let hash = offset;
      for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193) >>> 0;
      return hash.toString(36);
    })
    .join("-");
}

/** Minutes after which what has not begun, or is not done, as planned is behind: before that nobody is late. */
const BEHIND = 5;
interface Progress {
  readonly done: ReadonlySet<string>;
  readonly going: Readonly<Record<string, PlanMinute>>;
  /** Of which tasks it is seen when they begin; of the others it is only said when they are done. */
  readonly isFollowed: (task: string) => boolean;
}
/** Tasks that should have begun by now and have not, or should be done where nobody sees them begin; in the order of the plan. */
export const behindOf = (placed: readonly PlacedTask[], now: PlanMinute, { done, going, isFollowed }: Progress): readonly string[] =>
  placed
    .filter(({ id, start, end }) => !done.has(id) && going[id] === undefined && (isFollowed(id) ? start : end) < now - BEHIND)
    .toSorted((a, b) => a.start - b.start)
    .map(({ id }) => id);

/** When a sweet is ready as things go: what is not done and should have begun begins now, and moves what follows. */
interface Forecast {
  readonly sweet: string;
  readonly ready: number;
  /** Minutes after it is due; 0 where it is on time. */
  readonly late: number;
}

/**
 * When each sweet is ready as it goes: each step that is not done begins as planned, or as soon as what comes before it is done, and no sooner than now.
 * What others hold then is not asked: it is the soonest, not what is sure.
 */
export function forecastOf(
  { tasks, sweets }: PlanProblem,
  placed: readonly PlacedTask[],
  now: number,
  going: Readonly<Record<string, number>> = {},
): readonly Forecast[] {
  const at = new Map(placed.map((row) => [row.id, row] as const));
  const ends = new Map<string, number>();
  const byId = new Map(tasks.map((task) => [task.id, task] as const));
  const endOf = (id: string): number => {
    const known = ends.get(id);
    const task = byId.get(id);
    if (known !== undefined || !task) return known ?? -Infinity;
    ends.set(id, now);
    const begun = going[id];
    const soonest = Math.max(now, ...task.after.map(endOf));
    const end = begun === undefined ? Math.max(at.get(id)?.start ?? soonest, soonest) + task.minutes : Math.max(now, begun + task.minutes);
    ends.set(id, end);
    return end;
  };
  return sweets.flatMap(({ id, due }) => {
    const own = tasks.filter(({ sweet }) => sweet === id);
    if (own.length === 0) return [];
    const ready = Math.max(...own.map((task) => endOf(task.id)));
    return [{ sweet: id, ready, late: Math.max(0, ready - due) }];
  });
}
