import type { CookPlan } from "../cook";
import type { Operation } from "../recipe";
import { capital } from "../units";
import type { PlanPot, PlanSweet, PlanTask } from "./task";

/** A sweet as it goes into a plan. */
export interface SweetTasks {
  readonly sweet: PlanSweet;
  readonly tasks: readonly PlanTask[];
  readonly pots: readonly PlanPot[];
}

type PlannedStep = CookPlan["steps"][number];

/** How long it is best to stand before it is served at the most, minutes, by how it is served; rules of thumb: hot it stiffens and skins over, warm it cools, in the cold it weeps, bound it stales. */
export const STANDS: Readonly<Record<CookPlan["serve"], number>> = { hot: 45, warm: 120, room: 48 * 60, chilled: 48 * 60 };
/** Longer it never stands: what is eaten hot or warm is out of the cold for no more than two hours (US FDA Food Code); the rest as long as it keeps, a week at the most. */
const LONGEST: Readonly<Record<CookPlan["serve"], number>> = { hot: 120, warm: 120, room: 7 * 1440, chilled: 7 * 1440 };
const ON_FIRE: readonly Operation[] = ["roast", "fry", "simmer", "reduce", "pressure", "steam", "caramelise"];
const WAITING: readonly Operation[] = ["soak", "chill", "rest", "infuse"];
/** What is on the fire is not left standing before what comes next; what is shaped or poured hot even less, minutes (rules of thumb). */
const HOT_WAITS = 15;
const AT_ONCE_WAITS = 5;
/** What has soaked may stand so much longer at least, minutes (rule of thumb). */
const SOAKED_WAITS = 60;
/** To set something going that waits by itself takes so many minutes of hands, with much to do before it more (rules of thumb). */
const SET_GOING = 2;
const SET_GOING_LONG = 5;
const MANY_WORDS = 14;
/** What is done once it has waited, where the step goes on, minutes (rule of thumb). */
const GOES_ON = 5;
/** From so many minutes on it waits by itself. */
const WAITS = 10;
/** A pot is filled to this share at the most (rule of thumb); a gram is taken for a millilitre. */
const FILLED = 0.75;
/** What stands in the fridge takes so many litres a kilogram, with its vessel (rule of thumb). */
const LITRES_PER_KG = 1.5;

const IN_OVEN = /\boven\b/i;
const HEATED = /(?:^|[.;] )(?:warm|heat|melt|boil|bring) /i;
const NOISY = /\b(?:blend|grind|pulse|blitz)(?:s|ed|ing|er)?\b|\bfood processor\b|\bmixer\b/i;
const COLD = /\b(?:fridge|refrigerat\w*|chill\w*)\b/i;
const FREEZING = /\b(?:freezer|freeze|frozen)\b/i;
const TASTED = /\btast(?:e|ing)\b/i;
const HASTE = /\b(?:still (?:hot|warm|lukewarm)|while (?:it|they|the mass) (?:is|are) (?:hot|warm)|at once|immediately|straight away|quickly)\b/i;
/** How long, in the words of a step. */
const FOR_SO_LONG =
  /\b(?:overnight|(?:for )?(?:about |at least )?[\d.½]+(?:(?: ?to ?|-|–)[\d.½]+)? (?:hours?|minutes?)|(?:for )?half an hour|(?:for )?an hour)\b/i;

/** A plan's id of a step of a sweet. */
export const taskId = (sweet: string, step: string): string => `${sweet}:${step}`;

/** A vessel as the steps go: what it held at its fullest, g, and its steps on the fire, by place. */
interface Vessel {
  readonly id: string;
  grams: number;
  readonly onFire: number[];
}

/**
 * The steps of a sweet as tasks of a plan. Steps keep the recipe's order where they share a food or one of them names none; what is made of other foods
 * beside may go before, between or after. What waits by itself is set going by hand, and what is said to follow it in the same step is a task of its own.
 * `due` is when it is ready at the latest, a minute of the plan; `keeps` how long it keeps as it is served, minutes, null where that is not known.
 */
export function sweetTasks(id: string, given: CookPlan, { due, keeps }: { readonly due: number; readonly keeps: number | null }): SweetTasks {
  const plan = { ...given, steps: given.steps.map(asPlanned) };
  const gramsOf = new Map(plan.lines.map((line) => [line.id, line.grams] as const));
  const { steps } = plan;
  const before = steps.map((_, at) => stepsBefore(steps, at));
  const vessels: Vessel[] = [];
  const vesselOf: (Vessel | null)[] = [];
  const grams = steps.map(({ pot }) => pot.reduce((sum, { line, share }) => sum + share * (gramsOf.get(line) ?? 0), 0));
  for (const [at, step] of steps.entries()) {
    // Of several that come together the fullest goes on.
    const from = (before[at] ?? [])
      .filter((each) => sharesFood(steps[each], step))
      .toSorted((one, other) => (grams[other] ?? 0) - (grams[one] ?? 0))
      .flatMap((each) => vesselOf[each] ?? [])[0];
    const vessel = from ?? (step.pot.length === 0 ? null : { id: taskId(id, `pot ${at + 1}`), grams: 0, onFire: [] });
    if (vessel && !from) vessels.push(vessel);
    if (vessel) vessel.grams = Math.max(vessel.grams, grams[at] ?? 0);
    if (vessel && isOnFire(step) && step.operation !== "pressure") vessel.onFire.push(at);
    vesselOf.push(vessel);
  }
  const last = new Map<number, string>();
  const tasks = steps.flatMap((step, at): PlanTask[] => {
    const vessel = vesselOf[at] ?? null;
    const own = taskId(id, step.id);
    const [first, end] = [vessel?.onFire[0] ?? Infinity, vessel?.onFire.at(-1) ?? -1];
    const after = before[at] ?? [];
    const within = Object.fromEntries(
      after.flatMap((each) => {
        const [most, before] = [waitsAfter(steps[each], step, vesselOf[each] === vessel), last.get(each)];
        return before !== undefined && Number.isFinite(most) ? [[before, most] as const] : [];
      }),
    );
    const isWaiting = step.attention === "unattended" && step.minutes.usual >= WAITS;
    const rest = isWaiting ? goesOn(step.text) : null;
    const task: PlanTask = {
      id: own,
      sweet: id,
      words: rest === null ? step.text : waitingWords(step.text, rest),
      minutes: Math.max(1, Math.ceil(step.minutes.usual)),
      attention: step.attention,
      handsFirst: isWaiting ? ((step.text.split(FOR_SO_LONG)[0] ?? "").split(" ").length > MANY_WORDS ? SET_GOING_LONG : SET_GOING) : 0,
      after: after.flatMap((each) => last.get(each) ?? []),
      within,
      burner: isOnFire(step),
      oven: step.operation === "bake" || IN_OVEN.test(step.text),
      noisy: !isWaiting && NOISY.test(step.text),
      tastes: TASTED.test(step.text) && step.attention !== "unattended",
      fridge: (step.operation === "chill" || COLD.test(step.text)) && !FREEZING.test(step.text) && isWaiting ? litresOf(grams[at] ?? 0) : 0,
      pot: vessel && at >= first && at <= end ? vessel.id : null,
    };
    if (rest === null) {
      last.set(at, own);
      return [task];
    }
    const then = `${own}+`;
    last.set(at, then);
    const longest = Math.max(SOAKED_WAITS, step.minutes.longest - step.minutes.usual);
    return [
      task,
      {
        ...task,
        id: then,
        words: rest,
        minutes: GOES_ON,
        attention: "hands on",
        handsFirst: 0,
        after: [own],
        within: step.operation === "chill" ? {} : { [own]: step.operation === "soak" ? longest : HOT_WAITS },
        burner: false,
        oven: false,
        noisy: NOISY.test(rest),
        fridge: 0,
      },
    ];
  });
  // What was cooled or frozen last stands in the cold, however it is served.
  const serve = isCold(steps.at(-1)) ? "chilled" : plan.serve;
  return {
    sweet: { id, name: plan.title, due, fresh: Math.min(keeps ?? Infinity, LONGEST[serve]), best: STANDS[serve] },
    tasks,
    pots: vessels.flatMap(({ id: pot, grams: most, onFire }) => (onFire.length > 0 ? [{ id: pot, ml: Math.ceil(most / FILLED) }] : [])),
  };
}

/** A step as it is planned: an oven is hot in a quarter of an hour, and nobody has hands on what takes an hour beside no fire, or is done after so long. */
function asPlanned(step: PlannedStep): PlannedStep {
  if (HEATS_OVEN.test(step.text) && step.operation === "bake" && !/\bbake\b/i.test(step.text))
    return { ...step, minutes: PREHEATING, attention: "now and then", operation: "mix", heat: null };
  if (isPreheating(step)) return { ...step, pot: [], takes: [], minutes: PREHEATING, attention: "unattended", operation: "rest", heat: null };
  const isByItself =
    step.attention !== "unattended" &&
    !isOnFire(step) &&
    FOR_SO_LONG.test(step.text) &&
    (step.minutes.usual >= NEVER_BY_HAND || (step.minutes.usual >= WAITS && ONCE_WAITED.test(step.text)));
  return isByItself ? { ...step, attention: "unattended" } : step;
}
const PREHEATING = { shortest: 10, usual: 15, longest: 25 };
/** An oven that is hot is not kept so for longer, minutes (rule of thumb). */
const HOT_OVEN_WAITS = 20;
const NEVER_BY_HAND = 45;
/** What is done once it has stood: "break it once cold, after 30 minutes". */
const ONCE_WAITED = /\bafter (?:about |at least |another )?(?:[\d.½]|half an|an hour)|\b(?:once|when) (?:\p{L}+ ){0,3}(?:cold|cool|cooled|set|firm)\b/iu;
const HEATS_OVEN = /\b(?:pre-?)?heat (?:the|your|an|up the) oven\b/i;
const isPreheating = ({ text, takes }: PlannedStep): boolean => HEATS_OVEN.test(text) && takes.length === 0;
const isBaked = ({ operation, text }: PlannedStep): boolean => operation === "bake" || IN_OVEN.test(text);
const isCold = (step: PlannedStep | undefined): boolean =>
  step !== undefined && (step.operation === "chill" || COLD.test(step.text) || FREEZING.test(step.text));

const litresOf = (grams: number): number => Math.max(0.1, Math.round((grams / 1000) * LITRES_PER_KG * 10) / 10);
const isOnFire = ({ heat, operation, text, attention }: PlannedStep): boolean =>
  operation !== "bake" &&
  operation !== "soak" &&
  !IN_OVEN.test(text) &&
  (heat !== null || (operation !== undefined && ON_FIRE.includes(operation)) || (attention !== "unattended" && HEATED.test(text)));
const sharesFood = (one: PlannedStep | undefined, other: PlannedStep): boolean =>
  one?.pot.some(({ line }) => other.pot.some((each) => each.line === line)) ?? false;

/** The steps that a step waits for, by place: the latest of each of its foods, all since the last that names none, that one itself; of one that names none all before. */
function stepsBefore(steps: readonly PlannedStep[], at: number): readonly number[] {
  const step = steps[at];
  if (!step) return [];
  if (isPreheating(step)) return [];
  // An oven is heated for what is baked next, and nothing else waits for it.
  const oven = isBaked(step) ? steps.slice(0, at).findLastIndex((each, i) => isPreheating(each) && !steps.slice(i + 1, at).some(isBaked)) : -1;
  const hot = oven >= 0 ? [oven] : [];
  const border = steps.slice(0, at).findLastIndex((each) => each.pot.length === 0 && !isPreheating(each));
  const free = [...steps.slice(0, at).flatMap((each, i) => (i > border && !isPreheating(each) ? [i] : [])), ...hot];
  if (step.pot.length === 0) return border >= 0 ? [border, ...free] : free;
  const latest = step.pot.flatMap(({ line }) => {
    const found = steps.slice(0, at).findLastIndex(({ pot }) => pot.some((each) => each.line === line));
    return found >= 0 ? [found] : [];
  });
  return [...new Set([...(border >= 0 ? [border] : []), ...latest, ...hot])].toSorted((one, other) => one - other);
}

/** How long what a step has done may stand before the next, minutes. */
function waitsAfter(one: PlannedStep | undefined, next: PlannedStep, isSameVessel: boolean): number {
  if (!one) return Infinity;
  if (isPreheating(one)) return HOT_OVEN_WAITS;
  if (one.operation === "soak") return Math.max(SOAKED_WAITS, one.minutes.longest - one.minutes.usual);
  if (one.operation !== undefined && WAITING.includes(one.operation) && one.minutes.usual >= WAITS) return HASTE.test(next.text) ? HOT_WAITS : Infinity;
  if (HASTE.test(next.text)) return AT_ONCE_WAITS;
  return isSameVessel && isOnFire(one) ? HOT_WAITS : Infinity;
}

/** What a step that waits goes on to, in its own words; null where it ends with the waiting. */
export function goesOn(text: string): string | null {
  const found = FOR_SO_LONG.exec(text);
  if (!found) return null;
  const tail = text.slice(found.index + found[0].length);
  // Until when it waits is still of the waiting: "until a knife goes through, then peel it".
  const rest = /^ ?(?:more )?(?:or until|until|till|so that|or)\b/i.test(tail)
    ? tail.slice(tail.search(/[,;.]/) < 0 ? tail.length : tail.search(/[,;.]/))
    : tail;
  const doing = /^[^,;.]{0,60}[,;.] ?(?:and )?(?:then )?(\p{L}[^]*)$/iu.exec(rest)?.[1] ?? /^ (?:and|then) (?:then )?(\p{L}[^]*)$/iu.exec(rest)?.[1];
  const said = doing?.trim() ?? "";
  return said.length > 2 && BY_HAND.test(said) ? capital(said) : null;
}
/** The words of a step up to what it goes on to. */
function waitingWords(text: string, rest: string): string {
  const words = text
    .slice(0, text.length - rest.length)
    .split(" ")
    .filter(Boolean);
  while (words.length > 1 && ["and", "then", "and,", "then,", ","].includes(words.at(-1) ?? "")) words.pop();
  const last = words.join(" ");
  return /[,;.]$/.test(last) ? `${last.slice(0, -1)}.` : `${last}.`;
}
const BY_HAND =
  /\b(?:add|beat|blend|cut|drain|fold|grate|grind|knead|mash|mix|peel|pound|pour|press|rinse|roll|rub|scoop|shape|slice|slip|squeeze|stir|strain|turn|unmould|work|whisk)\w*\b/i;

/** A step in a few words, for where there is little room. */
export function shortWords(text: string): string {
  const [clause = text] = text.split(/[.;:!](?=\s|$)|, (?:until|till|so|then|stirring|while)\b| until | till | so that /i);
  const words = clause.trim();
  if (words.length <= SHORT) return words;
  const cut = words.slice(0, SHORT);
  return `${cut.slice(0, Math.max(1, cut.lastIndexOf(" "))).trimEnd()} …`;
}
const SHORT = 48;
