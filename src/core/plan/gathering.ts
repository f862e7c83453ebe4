import { addDays, dayOf, momentAt } from "../calendar";
import type { PlanMinute, Window } from "./task";

/** A sweet of a gathering: a kept version, or a recipe as handed down. */
export interface GatheringSweet {
  readonly id: string;
  readonly recipe: string;
  /** The kept version, by id; null for the recipe as handed down. */
  readonly version: string | null;
  /** As it was called when it was put on. */
  readonly title: string;
  /** The version's name; null for the recipe as handed down. */
  readonly label: string | null;
  /** All that is made, servings; of them so many go home with somebody. */
  readonly servings: number;
  readonly takeHome: number;
  /** It is done so many minutes before all is served. */
  readonly before: number;
}

/** Who comes beside the household's own: so many, of whom all leave out the same. */
export interface GatheringGuest {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  /** Rules by id. */
  readonly rules: readonly string[];
  /** Whether they were asked about allergies. */
  readonly isAsked: boolean;
}

/** An occasion: when, who eats, what is made, by whom and with what. */
export interface Gathering {
  readonly title: string;
  /** When it is served, by the clocks of the zone. */
  readonly day: string;
  readonly hour: string;
  readonly timeZone: string;
  /** Eaters of the household, by id. */
  readonly eaters: readonly string[];
  readonly guests: readonly GatheringGuest[];
  readonly sweets: readonly GatheringSweet[];
  readonly cooks: number;
  /** Burners that may be used; null for all of the household's. */
  readonly burners: number | null;
  /** Every night, when nobody is up and no mixer runs; null where somebody always is. */
  readonly quiet: { readonly from: string; readonly to: string } | null;
  /** Nobody is in the house. */
  readonly away: readonly { readonly id: string; readonly day: string; readonly from: string; readonly to: string }[];
  /** Nobody tastes on its day before this hour; null where anybody may at any time. */
  readonly noTasteBefore: string | null;
  /** Cooking begins no sooner; null for now. */
  readonly begin: { readonly day: string; readonly hour: string } | null;
  /** Steps that were set by hand, by task: day and hour, "2026-12-05T16:40". */
  readonly pins: Readonly<Record<string, string>>;
  readonly note: string;
}

/** A gathering that nobody has said more of. */
export const newGathering = (of: Pick<Gathering, "title" | "day" | "hour" | "timeZone">): Gathering => ({
  ...of,
  eaters: [],
  guests: [],
  sweets: [],
  cooks: 1,
  burners: null,
  quiet: { from: "22:00", to: "06:00" },
  away: [],
  noTasteBefore: null,
  begin: null,
  pins: {},
  note: "",
});

/** What a gathering may hold. */
export const GATHERING_LIMITS = {
  title: 120,
  name: 80,
  note: 2000,
  sweets: 8,
  guests: 30,
  people: 200,
  servings: 500,
  away: 20,
  pins: 200,
  before: 10_080,
} as const;

/** Cooking begins at the most so many days before. */
export const MOST_DAYS_BEFORE = 7;
const MINUTE = 60_000;
/** So many steps are planned at once. */
const MOST_STEPS = 400;

/**
 * The moment at which a gathering is served.
 * @unit ms since 1970
 * @range any day
 * @source its day and hour by the clocks of its zone
 */
export const readyAt = ({ day, hour, timeZone }: Pick<Gathering, "day" | "hour" | "timeZone">): number => momentAt(day, hour, { timeZone });

/**
 * A moment as a minute of a plan.
 * @unit minutes from when it is served
 * @range below 0 before it
 * @source whole minutes between the two
 */
export const minuteOf = (moment: number, ready: number): PlanMinute => Math.round((moment - ready) / MINUTE);
/**
 * A minute of a plan as a moment.
 * @unit ms since 1970
 * @range any
 * @source so many minutes from when it is served
 */
export const momentOfMinute = (minute: PlanMinute, ready: number): number => ready + minute * MINUTE;

/**
 * People who eat: eaters of the household and others.
 * @unit people
 * @range 0 or more
 * @source a count
 */
export const peopleOf = ({ eaters, guests }: Pick<Gathering, "eaters" | "guests">): number => eaters.length + guests.reduce((sum, { count }) => sum + count, 0);

/**
 * Servings that are eaten where it is served.
 * @unit servings
 * @range 0 or more
 * @source made less taken home
 */
export const eatenThere = ({ servings, takeHome }: Pick<GatheringSweet, "servings" | "takeHome">): number => Math.max(0, servings - takeHome);

/** Hours of a gathering as minutes of its plan; from when on it is cooked, where that is later than now. */
export function windowsOf(
  gathering: Gathering,
  now: number,
): { readonly nights: readonly Window[]; readonly away: readonly Window[]; readonly notTasting: readonly Window[]; readonly from: PlanMinute } {
  const { day, timeZone, quiet, away, noTasteBefore, begin } = gathering;
  const ready = readyAt(gathering);
  const minute = (of: string, at: string) => minuteOf(momentAt(of, at, { timeZone }), ready);
  const asked = begin === null ? now : Math.max(now, momentAt(begin.day, begin.hour, { timeZone }));
  const from = Math.max(minuteOf(asked, ready), -MOST_DAYS_BEFORE * 24 * 60);
  const first = dayOf(momentOfMinute(from, ready), { timeZone });
  const nights: Window[] = [];
  if (quiet && quiet.from !== quiet.to)
    for (let each = addDays(first, -1); each <= day; each = addDays(each, 1))
      nights.push({ from: minute(each, quiet.from), to: minute(quiet.to > quiet.from ? each : addDays(each, 1), quiet.to) });
  return {
    nights,
    away: away.map((window) => ({
      from: minute(window.day, window.from),
      to: minute(window.to > window.from ? window.day : addDays(window.day, 1), window.to),
    })),
    notTasting: noTasteBefore === null ? [] : [{ from: minute(day, "00:00"), to: minute(day, noTasteBefore) }],
    from,
  };
}

/** What of a gathering cannot be planned, and where. */
export interface GatheringProblem {
  readonly field: "day" | "steps" | "people" | "burners" | "begin" | "takeHome";
  readonly words: string;
}

/** What stands in the way before anything is solved, each with how to mend it. */
export function gatheringProblems(
  gathering: Gathering,
  now: number,
  { burners, steps }: { readonly burners: number; readonly steps: number },
): readonly GatheringProblem[] {
  const { sweets, begin, timeZone } = gathering;
  const ready = readyAt(gathering);
  const people = peopleOf(gathering);
  const problems: GatheringProblem[] = [];
  if (ready <= now) problems.push({ field: "day", words: "Its hour is past: give it a day and hour to come, and it is planned anew." });
  if (begin && ready > now && momentAt(begin.day, begin.hour, { timeZone }) >= ready)
    problems.push({ field: "begin", words: "Cooking would begin after it is served: begin sooner." });
  if (people > GATHERING_LIMITS.people)
    problems.push({
      field: "people",
      words: `${people} people are more than a home kitchen feeds: ${GATHERING_LIMITS.people} at the most. Make it two gatherings.`,
    });
  if (sweets.length > 0 && (gathering.burners ?? burners) === 0)
    problems.push({ field: "burners", words: "There is no burner: give the household one, or say here with how many it is cooked." });
  if (steps > MOST_STEPS)
    problems.push({
      field: "steps",
      words: `Its sweets have ${steps} steps in all: more than ${MOST_STEPS} are not planned at once. Take a sweet off, or make it another gathering.`,
    });
  for (const { title, servings, takeHome } of sweets)
    if (takeHome > servings)
      problems.push({ field: "takeHome", words: `Of ${title} ${takeHome} servings would go home, and ${servings} are made: make more, or send fewer home.` });
  return problems;
}
